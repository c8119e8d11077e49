#include <venture/terminal/fan_coil.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/air/moist_air.hpp>

namespace venture::terminal {
namespace {

using quantity::QuantityList;
using rating::At;
using rating::Output;
using rating::Refusal;
using rating::Service;

FanCoilData table()
{
    FanCoilData d;
    d.name = std::string{"coil"};
    d.air_flow = 0.1;
    d.entering_dry_bulb = 27.0;
    d.water_rise = 5.0;
    d.wet_bulbs = QuantityList{9.0, 12.0, 15.0, 17.0, 19.0, 21.0};
    for (const auto& [supply, total, sensible] :
         {std::tuple{6.0, QuantityList{1500, 1500, 1500, 1550, 1850, 2250},
                     QuantityList{1500, 1500, 1500, 1430, 1330, 1230}},
          {8.0, QuantityList{1350, 1350, 1350, 1370, 1600, 2000}, QuantityList{1350, 1350, 1350, 1290, 1200, 1110}},
          {12.0, QuantityList{1000, 1000, 1000, 1000, 1120, 1480}, QuantityList{1000, 1000, 1000, 1000, 960, 880}}}) {
        FanCoilRow& row = d.at_water.emplace_back();
        row.supply = supply;
        row.total = total;
        row.sensible = sensible;
    }
    return d;
}

FanCoilData point()
{
    FanCoilData d;
    d.name = std::string{"point"};
    d.air_flow = 0.22;
    d.entering_dry_bulb = 27.0;
    d.entering_wet_bulb = 19.5;
    d.water_rise = 5.0;
    d.supply = 7.0;
    d.total = 3965.0;
    d.sensible = 2975.0;
    return d;
}

rating::Conditions at(double supply_C, double dry_bulb_C, double wet_bulb_C, double rise_K = 5.0)
{
    return rating::Conditions{}
        .set(At::water_supply, supply_C)
        .set(At::water_return, supply_C + rise_K)
        .set(At::entering_dry_bulb, dry_bulb_C)
        .set(At::entering_wet_bulb, wet_bulb_C);
}
rating::Conditions with_humidity(double supply_C, double dry_bulb_C, double relative)
{
    const auto air = air::MoistAir::from_relative_humidity(quantity::Temperature::celsius(dry_bulb_C), relative,
                                                           quantity::Pressure::pascal(101325.0));
    return at(supply_C, dry_bulb_C, air::wet_bulb(air).celsius());
}

Output rated(const FanCoil& unit, const rating::Conditions& at)
{
    const auto got = unit.rate(at);
    if (const auto* refused = std::get_if<Refusal>(&got)) throw std::runtime_error{in_words(*refused)};
    return std::get<Output>(got);
}
Refusal refused(const FanCoil& unit, const rating::Conditions& at) { return std::get<Refusal>(unit.rate(at)); }

TEST(FanCoil, GivesBackThePrintedWetPoints)
{
    const FanCoil unit{table(), ""};
    const FanCoilData d = table();
    for (const FanCoilRow& row : d.at_water)
        for (std::size_t i = 0; i < 6; ++i) {
            if ((*row.sensible)[i] >= (*row.total)[i]) continue;
            const Output out = rated(unit, at(*row.supply, 27.0, (*d.wet_bulbs)[i]));
            EXPECT_NEAR(out.gives_W[Service::cooling], (*row.total)[i], 1e-9);
            EXPECT_NEAR(out.sensible_W, (*row.sensible)[i], 1e-9);
        }
}

TEST(FanCoil, ComesNearItsPrintedDryPoints)
{
    const Output out = rated(FanCoil{table(), ""}, at(6.0, 27.0, 15.0));
    EXPECT_TRUE(out.dry);
    EXPECT_NEAR(out.gives_W[Service::cooling], 1500.0, 0.03 * 1500.0); // docs/units_and_plant.md tells why not exactly
}

TEST(FanCoil, NeverDriesAirWhoseDewPointIsNotAboveItsWater)
{
    for (const FanCoil* unit : {new FanCoil{table(), ""}, new FanCoil{point(), ""}}) {
        const std::unique_ptr<const FanCoil> owned{unit};
        for (const auto& [dry_bulb_C, relative] : {std::pair{18.0, 0.45}, {16.0, 0.40}, {26.0, 0.29}}) {
            const Output out = rated(*unit, with_humidity(7.0, dry_bulb_C, relative));
            EXPECT_DOUBLE_EQ(out.gives_W[Service::cooling], out.sensible_W) << dry_bulb_C;
            EXPECT_DOUBLE_EQ(out.condensate_kg_per_s, 0.0);
            EXPECT_TRUE(out.dry);
        }
    }
}

TEST(FanCoil, GivesLessToColderAirAndWithWarmerWater)
{
    for (const FanCoilData& data : {table(), point()}) {
        const FanCoil unit{data, ""};
        const double base = rated(unit, with_humidity(7.0, 25.0, 0.5)).gives_W[Service::cooling];
        EXPECT_LT(rated(unit, with_humidity(7.0, 23.0, 0.5)).gives_W[Service::cooling], base);
        EXPECT_LT(rated(unit, with_humidity(9.0, 25.0, 0.5)).gives_W[Service::cooling], base);
        EXPECT_LT(rated(unit, at(7.0, 25.0, 17.9, 7.0)).gives_W[Service::cooling], base); // less water
        EXPECT_GT(rated(unit, at(7.0, 25.0, 17.9, 4.0)).gives_W[Service::cooling], base); // more of it
    }
}

TEST(FanCoil, GivesLessInThinAirAndTheSameAtAnyRiseAsPrinted)
{
    for (const FanCoilData& data : {table(), point()}) {
        const FanCoil unit{data, ""};
        const auto here = at(7.0, 27.0, 19.0);
        const Output sea = rated(unit, here);
        rating::Conditions high = here;
        const Output up = rated(unit, high.set(At::air_pressure, 80e3));
        EXPECT_LT(up.sensible_W, 0.95 * sea.sensible_W);
        EXPECT_GT(up.sensible_W, 0.75 * sea.sensible_W);
        const Output nearly = rated(unit, high.set(At::air_pressure, 101324.9)); // no jump at the sea
        EXPECT_NEAR(nearly.sensible_W, sea.sensible_W, 0.1);
    }
}

TEST(FanCoil, ChangesBySmallStepsWithTheRise)
{
    const FanCoil unit{table(), ""};
    double total_W = 0.0, latent_W = 0.0;
    for (double rise_K = 4.0; rise_K <= 9.0; rise_K += 0.05) {
        const Output out = rated(unit, at(7.0, 25.0, 18.0, rise_K));
        if (total_W > 0.0) {
            EXPECT_NEAR(out.gives_W[Service::cooling], total_W, 0.02 * total_W) << rise_K;
            EXPECT_NEAR(out.latent_W(), latent_W, 0.03 * total_W) << rise_K;
        }
        total_W = out.gives_W[Service::cooling];
        latent_W = out.latent_W();
    }
}

TEST(FanCoil, TakesTheHeatOfItsFanOffWhatTheRoomGets)
{
    FanCoilData d = table();
    const Output without = rated(FanCoil{d, ""}, at(6.0, 27.0, 19.0));
    d.fan_power = 40.0;
    const Output with = rated(FanCoil{d, ""}, at(6.0, 27.0, 19.0));
    EXPECT_NEAR(with.gives_W[Service::cooling], without.gives_W[Service::cooling] - 40.0, 1e-9);
    EXPECT_NEAR(with.sensible_W, without.sensible_W - 40.0, 1e-9);
    EXPECT_NEAR(with.taken_from_water_W(Service::cooling), without.gives_W[Service::cooling], 1e-9);
    EXPECT_NEAR(4186.0 * with.water_kg_per_s * 5.0, with.taken_from_water_W(Service::cooling), 1e-9);
}

TEST(FanCoil, RefusesWithTheLimitThatFailed)
{
    const FanCoil unit{table(), ""};
    EXPECT_THAT(in_words(refused(unit, at(5.0, 27.0, 19.0))),
                testing::HasSubstr("water supply of 5 degC lies outside 6 to 12 degC"));
    EXPECT_EQ(refused(unit, at(6.0, 27.0, 24.0)).what, At::entering_wet_bulb);
    EXPECT_EQ(refused(unit, at(12.0, 11.0, 9.0)).why, Refusal::Why::no_difference);
    EXPECT_EQ(refused(unit, rating::Conditions{}).why, Refusal::Why::not_given);
}

std::string what_is_wrong(const FanCoilData& data)
{
    try {
        (void)FanCoil{data, ""};
        return "nothing";
    } catch (const quantity::Error& wrong) {
        return wrong.what();
    }
}

TEST(FanCoil, IsNotMadeOfWhatNoCoilCouldDo)
{
    FanCoilData swapped = table();
    std::swap(swapped.at_water[0].total, swapped.at_water[0].sensible);
    EXPECT_THAT(what_is_wrong(swapped), testing::HasSubstr("were they swapped?"));
    FanCoilData too_much = point();
    too_much.sensible = 3900.0;
    too_much.total = 7000.0;
    EXPECT_THAT(what_is_wrong(too_much),
                testing::HasSubstr("with water at 7 degC, 27 degC dry and 19.5 degC wet bulb"));
    FanCoilData little_air = point();
    little_air.air_flow = 0.1; // typed as half of what it moves
    EXPECT_THAT(what_is_wrong(little_air), testing::HasSubstr("colder than the water"));
    FanCoilData nothing = point();
    nothing.total = {};
    EXPECT_THAT(what_is_wrong(nothing), testing::HasSubstr("one rated point"));
}

FanCoilData heating_coil()
{
    FanCoilData d = point();
    d.heating = 2500.0;
    d.heating_air = 20.0;
    d.heating_supply = 60.0;
    d.heating_return = 50.0;
    d.fan_power = 40.0;
    return d;
}

rating::Conditions warm(double supply_C, double return_C, double air_C)
{
    return rating::Conditions{}
        .set(At::water_supply, supply_C)
        .set(At::water_return, return_C)
        .set(At::entering_dry_bulb, air_C);
}

double heat_W(const FanCoil& unit, const rating::Conditions& at)
{
    return std::get<Output>(unit.rate(at)).gives_W[Service::heating];
}

TEST(FanCoil, HeatsAsItsMakerRatesItAndLessWithColderWaterAndWarmerAir)
{
    const FanCoil unit{heating_coil(), ""};
    const Output out = std::get<Output>(unit.rate(warm(60, 50, 20)));
    EXPECT_NEAR(out.gives_W[Service::heating], 2500.0 + 40.0, 1e-6); // the fan's heat is the room's
    EXPECT_NEAR(out.taken_from_water_W(Service::heating), 2500.0, 1e-6);
    EXPECT_NEAR(out.water_kg_per_s * 4186.0 * 10.0, 2500.0, 1e-6);
    EXPECT_LT(heat_W(unit, warm(45, 40, 20)), heat_W(unit, warm(60, 50, 20)));
    EXPECT_LT(heat_W(unit, warm(60, 50, 24)), heat_W(unit, warm(60, 50, 20)));
    EXPECT_LT(heat_W(unit, warm(60, 50, 20).set(At::air_pressure, 80e3)), heat_W(unit, warm(60, 50, 20)));
    EXPECT_GT(heat_W(unit, warm(60, 55, 20)), heat_W(unit, warm(60, 50, 20))); // more water
}

TEST(FanCoil, RefusesToHeatWhereNothingIsRatedOrNoFlowWould)
{
    const FanCoil cold{point(), ""};
    EXPECT_EQ(std::get<Refusal>(cold.rate(warm(60, 50, 20))).why, Refusal::Why::not_rated);
    const FanCoil unit{heating_coil(), ""};
    EXPECT_EQ(std::get<Refusal>(unit.rate(warm(60, 19, 20))).why, Refusal::Why::outside);
    EXPECT_EQ(std::get<Refusal>(unit.rate(warm(19, 15, 20))).why, Refusal::Why::no_difference);
    FanCoilData wrong = heating_coil();
    wrong.heating_return = {};
    EXPECT_THROW((FanCoil{wrong, ""}), quantity::Error);
    wrong.heating_return = 65.0;
    EXPECT_THROW((FanCoil{wrong, ""}), quantity::Error);
    wrong = heating_coil();
    wrong.heating = 80e3; // more than all its air could take
    EXPECT_THROW((FanCoil{wrong, ""}), quantity::Error);
}

TEST(FanCoil, DoesLessWithGlycolByItsMakersFactors)
{
    FanCoilData d = heating_coil();
    const rating::Conditions cold = at(7.0, 27.0, 19.0), cold_mixed = at(7.0, 27.0, 19.0).set(At::glycol, 0.3);
    EXPECT_EQ(std::get<Refusal>(FanCoil(d, "").rate(cold_mixed)).why, Refusal::Why::no_factors);
    d.glycol = QuantityList{0.0, 0.3};
    d.glycol_factors = QuantityList{1.0, 0.9};
    const FanCoil unit{d, ""};
    const Output plain = std::get<Output>(unit.rate(cold)), mixed = std::get<Output>(unit.rate(cold_mixed));
    EXPECT_NEAR(mixed.gives_W[Service::cooling] + 40.0, 0.9 * (plain.gives_W[Service::cooling] + 40.0), 1e-9);
    EXPECT_NEAR(mixed.sensible_W + 40.0, 0.9 * (plain.sensible_W + 40.0), 1e-9);
    EXPECT_TRUE(std::isnan(mixed.water_kg_per_s)); // of what it carries nobody knows the specific heat
    EXPECT_NEAR(heat_W(unit, warm(60, 50, 20).set(At::glycol, 0.3)), 0.9 * 2500.0 + 40.0, 1e-6);
}

TEST(FanCoil, HeatsWithElectricityWhereNoWaterComes)
{
    FanCoilData d = point();
    d.electric_heating = 1500.0;
    d.fan_power = 30.0;
    const auto dry = rating::Conditions{}.set(At::entering_dry_bulb, 21.0);
    const auto out = std::get<rating::Output>(FanCoil{d, ""}.rate(dry));
    EXPECT_NEAR(out.gives_W[Service::heating], 1530.0, 1e-9);
    EXPECT_NEAR(out.electric_W, 1530.0, 1e-9);
    EXPECT_TRUE(std::holds_alternative<rating::Refusal>(FanCoil{point(), ""}.rate(dry)));
}

rating::Conditions with_primary(rating::Conditions at, double kg_per_s, double t_C, double humidity)
{
    return at.set(At::primary_flow, kg_per_s).set(At::primary_dry_bulb, t_C).set(At::primary_humidity, humidity);
}

/// Mixed with air like the room's nothing changes; mixed with warmer, more humid air the coil does more.
TEST(FanCoil, TakesAirThatComesThroughItIntoItsMixture)
{
    const FanCoil product{table(), ""};
    const double room_w =
        air::humidity_ratio_by_wet_bulb(quantity::Temperature::celsius(27.0), quantity::Temperature::celsius(19.0),
                                        quantity::Pressure::pascal(101325.0));
    const auto plain = std::get<rating::Output>(product.rate(at(7.0, 27.0, 19.0)));
    const auto alike = std::get<rating::Output>(product.rate(with_primary(at(7.0, 27.0, 19.0), 0.02, 27.0, room_w)));
    EXPECT_NEAR(alike.gives_W[Service::cooling], plain.gives_W[Service::cooling], 1e-6);
    EXPECT_NEAR(alike.sensible_W, plain.sensible_W, 1e-6);
    const auto warmer = std::get<rating::Output>(product.rate(with_primary(at(7.0, 27.0, 19.0), 0.02, 31.0, room_w)));
    EXPECT_GT(warmer.sensible_W, plain.sensible_W);
    const auto wetter =
        std::get<rating::Output>(product.rate(with_primary(at(7.0, 27.0, 19.0), 0.02, 27.0, room_w + 0.003)));
    EXPECT_GT(wetter.latent_W(), plain.latent_W());
}

TEST(FanCoil, RefusesMoreAirThanItsFanMoves)
{
    const auto refused =
        std::get<rating::Refusal>(FanCoil{table(), ""}.rate(with_primary(at(7.0, 27.0, 19.0), 5.0, 20.0, 0.008)));
    EXPECT_EQ(refused.why, rating::Refusal::Why::too_little_air);
}

} // namespace
} // namespace venture::terminal
