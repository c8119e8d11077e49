#include <venture/building/chosen_units.hpp>

#include <algorithm>

#include <venture/building/keys.hpp>

namespace venture::building {

quantity::PreferredUnits chosen_units(const UnitsInput& input)
{
    quantity::PreferredUnits units{input.preset ? std::string_view{*input.preset} : quantity::unit_presets().front()};
    for (const auto& key : keys<UnitsInput>()) {
        const auto& printed = quantity::printed_quantities();
        if (std::ranges::find(printed, key.spec.name, &quantity::PrintedQuantity::key) == printed.end()) continue;
        const auto& unit = input.*std::get<Given<std::string> UnitsInput::*>(key.field);
        if (unit) units.choose(key.spec.name, *unit);
    }
    return units;
}

} // namespace venture::building
