#include <venture/catalogue/product_keys.hpp>

namespace venture::catalogue {

using quantity::KeySpec;
using quantity::Kind;
using quantity::RecordSpec;

namespace {

KeySpec text(std::string_view name, std::string_view meaning, bool required = false)
{
    return {.name = name, .text = meaning, .required = required};
}

KeySpec number(std::string_view name, Kind kind, double lowest, double highest, std::string_view meaning)
{
    return {.name = name, .text = meaning, .kind = kind, .allowed = {lowest, highest}, .required = true};
}

constexpr double largest_W = 1e8;

} // namespace

const RecordSpec& RadiatorInput::spec()
{
    using T = RadiatorInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {text("name", "as ordered", true), &T::name},
        {text("maker", "who makes it"), &T::maker},
        {number("height", Kind::length, 0.05, 5, "of the body"), &T::height},
        {number("length", Kind::length, 0.05, 10, "of the body"), &T::length},
        {number("output", Kind::power, 1, largest_W, "at 75/65/20 degC, EN 442"), &T::output},
        {number("exponent", Kind::number, 1, 2, "of the characteristic equation"), &T::exponent},
        {text("note", "not read"), &T::note},
    });
    return all;
}

const RecordSpec& FanCoilInput::spec()
{
    using T = FanCoilInput;
    static const RecordSpec all = RecordSpec::of<T>(
        {
            {text("name", "as ordered", true), &T::name},
            {text("maker", "who makes it"), &T::maker},
            {number("air_flow", Kind::air_flow, 0.001, 100, "through the coil"), &T::air_flow},
            {number("entering_dry_bulb", Kind::temperature, 10, 50, "of the air in the tables"), &T::entering_dry_bulb},
            {number("bypass_factor", Kind::fraction, 0, 0.9, "of the coil"), &T::bypass_factor},
            {number("water_rise", Kind::temperature_difference, 1, 20, "return minus supply in the tables"),
             &T::water_rise},
            {number("wet_bulbs", Kind::temperature, -10, 40, "entering wet bulbs: the columns of the tables"),
             &T::wet_bulbs},
            {text("note", "not read"), &T::note},
        },
        {{"at_water", &T::at_water}});
    return all;
}

const RecordSpec& FanCoilRow::spec()
{
    using T = FanCoilRow;
    static const RecordSpec all = RecordSpec::of<T>({
        {number("supply", Kind::temperature, 1, 30, "chilled water"), &T::supply},
        {number("total", Kind::power, 0, largest_W, "one for each wet bulb"), &T::total},
        {number("sensible", Kind::power, 0, largest_W, "one for each wet bulb"), &T::sensible},
    });
    return all;
}

const RecordSpec& BoilerInput::spec()
{
    using T = BoilerInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {text("name", "as ordered", true), &T::name},
        {text("maker", "who makes it"), &T::maker},
        {number("output", Kind::power, 1, largest_W, "at full load"), &T::output},
        {number("highest_supply", Kind::temperature, 20, 110, "that it can deliver"), &T::highest_supply},
        {text("note", "not read"), &T::note},
    });
    return all;
}

const RecordSpec& ChillerInput::spec()
{
    using T = ChillerInput;
    static const RecordSpec all = RecordSpec::of<T>(
        {
            {text("name", "as ordered", true), &T::name},
            {text("maker", "who makes it"), &T::maker},
            {number("outdoor", Kind::temperature, -20, 60, "outdoor dry bulbs: the columns of the table"), &T::outdoor},
            {text("note", "not read"), &T::note},
        },
        {{"at_water", &T::at_water}});
    return all;
}

const RecordSpec& ChillerRow::spec()
{
    using T = ChillerRow;
    static const RecordSpec all = RecordSpec::of<T>({
        {number("supply", Kind::temperature, 1, 30, "chilled water"), &T::supply},
        {number("capacity", Kind::power, 0, largest_W, "one for each outdoor dry bulb"), &T::capacity},
    });
    return all;
}

} // namespace venture::catalogue
