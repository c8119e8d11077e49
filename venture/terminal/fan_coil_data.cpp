/// Fan coils as catalogues hold them.

#include <venture/rating/point_grid.hpp>
#include <venture/rating/product_keys.hpp>
#include <venture/terminal/fan_coil.hpp>

namespace venture::terminal {

const quantity::RecordSpec& FanCoilRow::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = FanCoilRow;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({
        {must(number("supply", Kind::temperature, 1, 30, "chilled water")), &T::supply},
        {must(number("total", Kind::power, 0, largest_W, "of the coil, one for each wet bulb")), &T::total},
        {must(number("sensible", Kind::power, 0, largest_W, "of the coil, one for each wet bulb")), &T::sensible},
    });
    return all;
}

const quantity::RecordSpec& FanCoilData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = FanCoilData;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>(
        {
            {name_key(), &T::name},
            {maker_key(), &T::maker},
            {family_key(), &T::family},
            {speed_key(), &T::speed},
            {text("mounting", "how it is made to hang or stand: \"cassette\", \"wall\", \"floor\", \"ducted\""),
             &T::mounting},
            {height_key(), &T::height},
            {length_key(), &T::length},
            {depth_key(), &T::depth},
            {cost_key(), &T::cost},
            {must(number("air_flow", Kind::air_flow, 0.001, 100, "through the coil")), &T::air_flow},
            {must(number("entering_dry_bulb", Kind::temperature, 10, 50,
                         "of the air in the table, or of the rated point")),
             &T::entering_dry_bulb},
            {number("bypass_factor", Kind::fraction, 0, 0.9, "of the coil; found from the table unless given"),
             &T::bypass_factor},
            {must(number("water_rise", Kind::temperature_difference, 1, 20, "return minus supply, as printed")),
             &T::water_rise},
            {fan_power_key("all of which heats the air; capacities do not hold it"), &T::fan_power},
            {sound_key(), &T::sound},
            {number("external_pressure", Kind::pressure, 0, 2000,
                    "that its fan overcomes beyond it at this air flow: of ducts and grilles"),
             &T::external_pressure},
            {number("pressure_drop", Kind::pressure, 0, 1e6, "of the water at the largest printed capacity"),
             &T::pressure_drop},
            {number("wet_bulbs", Kind::temperature, -10, 40, "entering wet bulbs: the columns of the table"),
             &T::wet_bulbs},
            {number("glycol", Kind::fraction, 0, 0.7, "shares of glycol in its water, that glycol_factors are for"),
             &T::glycol},
            {number("glycol_factors", Kind::fraction, 0.1, 1.2, "of the capacity with plain water, one for each share"),
             &T::glycol_factors},
            {number("total", Kind::power, 0, largest_W, "of the coil at one rated point, instead of a table"),
             &T::total},
            {number("sensible", Kind::power, 0, largest_W, "of the coil at that point"), &T::sensible},
            {number("entering_wet_bulb", Kind::temperature, -10, 40, "of the air at that point"),
             &T::entering_wet_bulb},
            {number("supply", Kind::temperature, 1, 30, "chilled water at that point"), &T::supply},
            {number("heating", Kind::power, 0, largest_W,
                    "of its heating coil, or of the same coil changed over, at one rated point; without it none"),
             &T::heating},
            {number("heating_air", Kind::temperature, -20, 40, "air that enters it then"), &T::heating_air},
            {number("heating_supply", Kind::temperature, 20, 120, "water that comes to it then"), &T::heating_supply},
            {number("heating_return", Kind::temperature, 15, 110, "water that it gives back then"), &T::heating_return},
            {number("electric_heating", Kind::power, 0, largest_W,
                    "of its electric heater, for a circuit of electricity; without it none"),
             &T::electric_heating},
            {note_key(), &T::note},
        },
        {{"at_water", &T::at_water}});
    return all;
}

std::vector<FanCoilData> FanCoilData::joined(const std::vector<FanCoilData>& points)
{
    std::vector<FanCoilData> out;
    for (const rating::PointGrid<FanCoilData>& grid :
         rating::grids_of(points, &FanCoilData::supply, &FanCoilData::entering_wet_bulb)) {
        FanCoilData& one = out.emplace_back(*grid.points.front());
        if (!grid.is_table()) continue;
        one.wet_bulbs = grid.second;
        for (const double supply : grid.first) {
            FanCoilRow& row = one.at_water.emplace_back();
            row.supply = supply;
            row.total = grid.values_at(supply, &FanCoilData::total);
            row.sensible = grid.values_at(supply, &FanCoilData::sensible);
        }
    }
    return out;
}

} // namespace venture::terminal
