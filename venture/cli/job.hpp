#pragma once
/// What every command does with a project: read it, lay changes over it, resolve it, compute, choose.

#include <filesystem>
#include <optional>
#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/climate/weather_year.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/project/acceptance.hpp>
#include <venture/project/read_project.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/study/sizing.hpp>

namespace venture::cli {

/// A project on its way through the stages. Each stage adds to the problems; errors stop the next.
class Job {
public:
    /// Reads a folder, a project file, or a table of typed loads (*.csv), and applies "key/path=value" changes.
    Job(const std::filesystem::path& path, const std::vector<std::string>& changes);

    /// A project, or a weather file by itself, with its weather year and nothing else resolved.
    [[nodiscard]] static Job with_weather(const std::filesystem::path& path, const std::vector<std::string>& changes);

    /// Reads or makes the project's weather year, if it has one, and derives the design conditions that the site leaves
    /// open. Done by resolve() where conditions are open; otherwise only who looks at the weather pays for it.
    void use_weather();
    /// Takes from the library that ships with the program what the project names, which reading does already.
    /// @param also  a name that somebody asks for without the project naming it
    void take_from_shipped_library(const std::vector<std::string>& also = {});
    /// Resolves the building (if there is one) and who serves whom.
    void resolve();
    /// Resolves nothing but the site.
    void resolve_site();
    /// Computes loads of the building and lays typed ones over them.
    void compute(double step_s);
    /// Runs the building through its weather year. @pre both are there
    [[nodiscard]] loads::BuildingYear run_year(const loads::BuildingYearOptions& options);
    /// Chooses units and plant, and adds what was found on the way.
    [[nodiscard]] study::Sizing size();

    /// Whether loads or a year were computed, whatever came of it.
    [[nodiscard]] bool has_run() const { return computed_ || ran_a_year_; }
    [[nodiscard]] bool failed() const { return problems_.has_error(); }
    [[nodiscard]] const std::optional<building::Building>& building() const { return building_; }
    [[nodiscard]] const std::optional<climate::Site>& site() const { return site_; }
    /// The weather year; nothing before use_weather(), and if the project has none.
    [[nodiscard]] const std::optional<climate::WeatherYear>& weather() const { return weather_; }
    [[nodiscard]] const loads::DesignLoads& design() const { return design_; }
    /// Everything said so far, what is accepted apart.
    [[nodiscard]] project::Findings findings() const;
    /// The project as it was read; its input is complete once it is resolved.
    [[nodiscard]] const project::ProjectFile& project() const { return project_; }
    [[nodiscard]] const quantity::OriginPool& origins() const { return project_.input.origins; }
    [[nodiscard]] const std::filesystem::path& folder() const { return project_.folder; }
    /// Units that the project, or this run, chose.
    [[nodiscard]] const quantity::PreferredUnits& units() const { return units_; }
    /// Conditions that a table of typed loads leaves open.
    [[nodiscard]] const std::vector<std::string>& assumed() const { return assumed_; }

private:
    Job() = default;
    void lay_over(const std::vector<std::string>& changes);
    void read_weather_alone(const std::filesystem::path& file);
    void apply(const std::string& change);
    [[nodiscard]] std::optional<climate::WeatherYear> make_weather();
    void derive_conditions();
    /// Where the weather year is wrong, missing design conditions follow from it.
    void drop_what_weather_would_give(std::vector<quantity::Problem>& problems) const;
    void read_typed_loads(const std::string& bytes, const std::string& name);
    void read_loads_alone(const std::filesystem::path& file);
    /// Tells what is wrong with circuits and plants of a project whose building does not stand.
    void check_services_alone();
    void tell_capped_humidity();
    void read_events();
    [[nodiscard]] std::vector<services::Client> clients() const;

    project::ProjectFile project_{};
    quantity::Problems problems_{};
    std::optional<building::Building> building_{};
    std::optional<climate::Site> site_{};
    std::optional<climate::WeatherYear> weather_{};
    std::optional<loads::RoomLoads> typed_{};
    std::vector<std::string> assumed_{};
    services::Services services_{};
    loads::DesignLoads design_{};
    quantity::PreferredUnits units_{};
    bool weather_used_ = false, computed_ = false, sized_ = false, ran_a_year_ = false;
};

} // namespace venture::cli
