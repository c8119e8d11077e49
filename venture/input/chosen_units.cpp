#include <venture/input/chosen_units.hpp>

#include <venture/quantity/record.hpp>

namespace venture::input {

quantity::PreferredUnits chosen_units(const UnitsInput& input)
{
    quantity::PreferredUnits units{input.preset ? std::string_view{*input.preset} : quantity::unit_presets().front()};
    const quantity::ConstRecord record{input};
    for (const quantity::PrintedQuantity& printed : quantity::printed_quantities())
        if (const auto& unit = record.at<std::string>(record.spec().key_called(printed.key)))
            units.choose(printed.key, *unit);
    return units;
}

} // namespace venture::input
