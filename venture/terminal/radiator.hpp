#pragma once
/// Radiators, rated after EN 442.

#include <array>

#include <venture/quantity/record.hpp>
#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// A radiator as a catalogue holds it.
struct RadiatorData {
    quantity::Given<std::string> name, maker, family, note;
    quantity::Given<double> height, length, depth, output, exponent, surface_share, cost;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Gives what its characteristic equation says at supply, return and room, times what connection, cover and finish leave of
/// it; the flow follows.
class Radiator : public rating::Product {
public:
    Radiator(const RadiatorData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;
    [[nodiscard]] std::optional<rating::Output> giving(const rating::Conditions& at, double W) const override;

private:
    [[nodiscard]] double nominal_W(const rating::Conditions& at) const;
    double nominal_W_, exponent_;
};

/// What their rating needs.
inline constexpr std::array radiator_needs = {rating::At::water_supply, rating::At::water_return, rating::At::room};

extern const rating::Kind radiator;

} // namespace venture::terminal
