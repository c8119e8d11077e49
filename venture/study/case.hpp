#pragma once
/// A project on its way: site, weather, building, loads, services and choices, each when first asked for.

#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <venture/airside/coil_loads.hpp>
#include <venture/figure/path.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/study/given.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

struct Options {
    double step_s = 600.0; ///< of design days: 60 to 3600, a divisor of an hour
};

/// What a case can be asked for.
enum class Stage : std::uint8_t { weather, site, building, loads, year, sizes };

/// Each stage is computed once, from the stages before it, and adds to the problems; an error stops the next. A case is cheap to
/// copy: copies share what was computed.
class Case {
public:
    explicit Case(Given given, Options options = {});

    /// The same with changes ("room/Boat hall/height=5 m") over it. What they do not touch (the loads, when only plant, circuits,
    /// kept products or units change) is shared, not computed again.
    [[nodiscard]] Case with(const std::vector<std::string>& changes) const;

    /// The weather year, if the input names one or makes one up; design conditions that the site leaves open follow from it.
    [[nodiscard]] const std::optional<climate::WeatherYear>& weather() const;
    /// The site by itself; of a case whose building is asked for as well, that of the building.
    [[nodiscard]] const std::optional<climate::Site>& site() const;
    /// Nothing where there are only typed loads, or where problems say why.
    [[nodiscard]] const std::optional<building::Building>& building() const;
    /// Who serves whom.
    [[nodiscard]] const services::Services& services() const;
    /// Computed loads with typed ones over them; none where problems say why.
    [[nodiscard]] const loads::DesignLoads& loads() const;
    /// Of air supplies that give their rooms everything; none without a building.
    [[nodiscard]] const airside::CoilLoads& coils() const;
    /// How they are computed, and what is known of their days once they were: for what else is asked of these.
    [[nodiscard]] loads::DesignOptions design_options() const;
    /// What units and plant are chosen from; with problems, only what is sound.
    [[nodiscard]] const rating::Stocks& products() const;
    /// Units and plant.
    [[nodiscard]] const Sizing& sizing() const;
    /// Through the weather year, anew each time. @pre building and weather are there
    [[nodiscard]] loads::BuildingYear year(const loads::BuildingYearOptions& options) const;

    /// Of all that a run through the year follows from: building and weather, not services nor how results are shown.
    /// @pre as for year()
    [[nodiscard]] std::uint64_t year_fingerprint() const;

    /// Of building, loads and sizes, as far as the pattern asks for them: "room_load/*/cooling".
    [[nodiscard]] std::vector<figure::Figure> figures(std::string_view pattern) const;

    /// The input, complete as far as it was resolved.
    [[nodiscard]] const input::Input& input() const;
    /// Of all that was asked for so far.
    [[nodiscard]] const quantity::Problems& problems() const;
    [[nodiscard]] bool failed() const { return problems().has_error(); }
    [[nodiscard]] bool was_asked_for(Stage stage) const;
    /// Conditions that a table of typed loads leaves open.
    [[nodiscard]] const std::vector<std::string>& assumed() const;
    [[nodiscard]] bool has_typed_loads() const;
    /// Units that the input chooses.
    [[nodiscard]] const quantity::PreferredUnits& units() const;
    /// Steps of design days from now on. @pre no loads were computed
    void set_step(double step_s);

private:
    struct State;
    std::shared_ptr<State> state_;
};

} // namespace venture::study
