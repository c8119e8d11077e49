#pragma once
/// Heaters that take electricity and no water.

#include <venture/quantity/record.hpp>
#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// An electric heater as a catalogue holds it.
struct ElectricHeaterData {
    quantity::Given<std::string> name, maker, family, note;
    quantity::Given<double> height, length, depth, output, surface, cost;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Gives its output whatever the room is like; all of what it takes becomes heat.
class ElectricHeater : public rating::Product {
public:
    ElectricHeater(const ElectricHeaterData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;

private:
    double output_W_;
};

extern const rating::Kind electric_heater;

} // namespace venture::terminal
