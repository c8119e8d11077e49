#pragma once
/// Air-cooled chillers, by a table over water supply and outdoor dry bulb.

#include <optional>

#include <venture/quantity/record.hpp>
#include <venture/rating/factor_table.hpp>
#include <venture/rating/grid_table.hpp>
#include <venture/rating/kind.hpp>

namespace venture::plant {

struct ChillerRow {
    quantity::Given<double> supply;
    quantity::Given<quantity::QuantityList> capacity, power;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A chiller as a catalogue holds it.
struct ChillerData {
    quantity::Given<std::string> name, maker, note;
    quantity::Given<double> supply, outdoor_dry_bulb, capacity, power; ///< one point of a table, as sheets have it
    quantity::Given<quantity::QuantityList> outdoor, heights, height_factors, glycol, glycol_factors;
    std::vector<ChillerRow> at_water{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
    /// Points of the same name become rows of one table; a point that is not there is not a number.
    [[nodiscard]] static std::vector<ChillerData> joined(const std::vector<ChillerData>& points);
};

/// What it takes of electricity follows its capacity's factors; both together are the heat that its condenser gives off.
/// In thinner air the condenser's fans move less: by the maker's factors over the height above the sea if given, else as
/// in air that is warmer by what the condenser must be warmer than it, `condenser_approach_K`, times 1/density ratio - 1.
class Chiller : public rating::Product {
public:
    /// @throws quantity::Error for a table of the wrong shape, or whose capacity rises with the outdoor temperature
    Chiller(const ChillerData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;

    static constexpr double condenser_approach_K = 12.0; ///< our assumption

private:
    rating::GridTable capacity_W_;
    std::optional<rating::GridTable> power_W_{}; ///< that it takes, where its maker says
    rating::FactorTable at_height_, with_glycol_;
};

extern const rating::Kind chiller;

} // namespace venture::plant
