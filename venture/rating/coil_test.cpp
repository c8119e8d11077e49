/// Laws that every coil obeys, over random ratings and states.

#include <cmath>
#include <random>

#include <gtest/gtest.h>

#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/exchanger.hpp>
#include <venture/rating/printed_capacity.hpp>

namespace venture::rating {
namespace {

using air::MoistAir;
using quantity::Pressure;
using quantity::Temperature;

class Draws {
public:
    explicit Draws(unsigned seed) : random_{seed} {}
    double between(double low, double high)
    {
        return low + (high - low) * static_cast<double>(random_()) / 4294967296.0; // the same on every machine
    }
    /// What a coil of some size does at a usual rating point.
    CoilConductances coil()
    {
        for (;;) {
            CoilRating rated{.flows = {.air_C = between(24.0, 28.0),
                                       .humidity_ratio = between(0.008, 0.0125),
                                       .dry_air_kg_per_s = between(0.05, 0.6),
                                       .water_in_C = between(5.0, 9.0)}};
            rated.flows.water_kg_per_s = rated.flows.dry_air_kg_per_s * between(0.4, 1.2);
            rated.total_W = rated.flows.dry_air_kg_per_s * between(8e3, 20e3);
            rated.sensible_W = rated.total_W * between(0.6, 1.0);
            try {
                return CoilConductances::of(rated, {between(0.4, 0.8), between(0.6, 0.9)});
            } catch (const quantity::Error&) { // no coil could do that: another
            }
        }
    }
    CoilFlows flows()
    {
        CoilFlows f{.air_C = between(16.0, 34.0),
                    .dry_air_kg_per_s = between(0.05, 0.6),
                    .water_in_C = between(4.0, 15.0),
                    .water_kg_per_s = between(0.02, 0.5),
                    .pressure = Pressure::pascal(between(65e3, 103e3))};
        f.humidity_ratio =
            between(0.1, 0.95) * air::saturation_humidity_ratio(Temperature::celsius(f.air_C), f.pressure);
        return f;
    }

private:
    std::mt19937 random_;
};

const CoilOutput& output(const std::variant<CoilOutput, Refusal>& v) { return std::get<CoilOutput>(v); }

class Coils : public testing::TestWithParam<unsigned> {};

TEST_P(Coils, CloseTheirBalances)
{
    Draws draw{GetParam()};
    for (int i = 0; i < 40; ++i) {
        const CoilConductances coil = draw.coil();
        const CoilFlows f = draw.flows();
        const CoilOutput out = output(coil.cools(f));
        const double water_W = f.water_kg_per_s * specific_heat_of_water_J_per_kgK * (out.water_out_C - f.water_in_C);
        EXPECT_NEAR(out.total_W, water_W, 1e-7 * water_W);
        const double w = f.humidity_ratio;
        const auto enthalpy = [](double t, double x) { return 1006.0 * t + x * (2.501e6 + 1860.0 * t); };
        const double air_W =
            f.dry_air_kg_per_s * (enthalpy(f.air_C, w) - enthalpy(out.air_out_C, out.humidity_ratio_out));
        EXPECT_NEAR(out.total_W, air_W, 1e-7 * air_W);
        EXPECT_NEAR(out.condensate_kg_per_s, f.dry_air_kg_per_s * (w - out.humidity_ratio_out), 1e-12);
    }
}

TEST_P(Coils, TakeNoMoreThanThereIs)
{
    Draws draw{GetParam()};
    for (int i = 0; i < 40; ++i) {
        const CoilConductances coil = draw.coil();
        const CoilFlows f = draw.flows();
        const CoilOutput out = output(coil.cools(f));
        EXPECT_GE(out.total_W, out.sensible_W * (1.0 - 1e-12));
        EXPECT_GT(out.air_out_C, f.water_in_C);
        EXPECT_LT(out.water_out_C, f.air_C);
        const double saturated = air::saturation_humidity_ratio(Temperature::celsius(f.water_in_C), f.pressure);
        if (f.humidity_ratio <= saturated) { // dew point not above the water
            EXPECT_DOUBLE_EQ(out.latent_W(), 0.0);
        }
        EXPECT_GE(out.humidity_ratio_out, std::min(f.humidity_ratio, saturated));
    }
}

TEST_P(Coils, TakeLessFromColderAirAndWithWarmerWater)
{
    Draws draw{GetParam()};
    for (int i = 0; i < 40; ++i) {
        const CoilConductances coil = draw.coil();
        CoilFlows f = draw.flows();
        const double before = output(coil.cools(f)).total_W;
        CoilFlows warmer = f;
        warmer.water_in_C += 0.5;
        EXPECT_LT(output(coil.cools(warmer)).total_W, before);
        CoilFlows drier = f;
        drier.humidity_ratio *= 0.97;
        EXPECT_LE(output(coil.cools(drier)).total_W, before * (1.0 + 1e-9));
        f.water_kg_per_s *= 0.9;
        EXPECT_LT(output(coil.cools(f)).total_W, before);
    }
}

TEST_P(Coils, GiveBackTheRatingThatTheyAreFoundFrom)
{
    Draws draw{GetParam()};
    for (int i = 0; i < 40; ++i) {
        CoilRating rated{.flows = draw.flows()};
        rated.flows.humidity_ratio *= 0.6; // the line of nearly saturated air grazes saturation
        const CoilOutput out = output(draw.coil().cools(rated.flows));
        const double saturated =
            air::saturation_humidity_ratio(Temperature::celsius(out.air_out_C), rated.flows.pressure);
        if (out.humidity_ratio_out > 0.999 * saturated) continue;
        rated.total_W = out.total_W;
        rated.sensible_W = out.sensible_W;
        const CoilOutput again = output(CoilConductances::of(rated).cools(rated.flows));
        EXPECT_NEAR(again.total_W, out.total_W, 1e-6 * out.total_W);
        EXPECT_NEAR(again.sensible_W, out.sensible_W, 1e-6 * out.total_W);
    }
}

INSTANTIATE_TEST_SUITE_P(Random, Coils, testing::Range(1U, 9U));

TEST(CoilConductances, RefuseWhatNoCoilCouldDo)
{
    CoilRating rated{.flows = {.air_C = 27.0,
                               .humidity_ratio = 0.0112,
                               .dry_air_kg_per_s = 0.264,
                               .water_in_C = 7.0,
                               .water_kg_per_s = 0.191},
                     .total_W = 3965.0,
                     .sensible_W = 2975.0};
    EXPECT_NO_THROW((void)CoilConductances::of(rated));
    const auto refused = [&](double total_W, double sensible_W, const char* because) {
        CoilRating wrong = rated;
        wrong.total_W = total_W;
        wrong.sensible_W = sensible_W;
        try {
            (void)CoilConductances::of(wrong);
            ADD_FAILURE() << because;
        } catch (const quantity::Error& error) {
            EXPECT_NE(std::string{error.what()}.find(because), std::string::npos) << error.what();
        }
    };
    refused(2975.0, 3965.0, "above total");
    refused(9000.0, 6000.0, "colder than the water");
    refused(6000.0, 1000.0, "more latent than a coil can take");
}

TEST(CoilConductances, RefuseWaterThatIsNoColder)
{
    Draws draw{1};
    const CoilConductances coil = draw.coil();
    CoilFlows f = draw.flows();
    f.water_in_C = f.air_C;
    const auto refused = coil.cools(f);
    ASSERT_TRUE(std::holds_alternative<Refusal>(refused));
    EXPECT_EQ(std::get<Refusal>(refused).why, Refusal::Why::no_difference);
    EXPECT_TRUE(std::holds_alternative<Refusal>(coil.heats(f)));
}

TEST(CoilColumns, ReturnTheirWetPoints)
{
    const std::vector<double> wet_bulb = {15, 17, 19, 21}, total = {700, 710, 890, 1120},
                              sensible = {700, 705, 690, 650};
    const bool wet[] = {false, true, true, true};
    for (std::size_t i = 1; i < wet_bulb.size(); ++i) {
        const auto got = read_columns({wet_bulb, total, sensible, wet}, wet_bulb[i]);
        EXPECT_NEAR(std::get<CoilHeat>(got).total_W, total[i], 1e-9);
        EXPECT_NEAR(std::get<CoilHeat>(got).sensible_W, sensible[i], 1e-9);
    }
    const auto dry = std::get<CoilHeat>(read_columns({wet_bulb, total, sensible, wet}, 3.0)); // below the table: dry
    EXPECT_TRUE(dry.dry);
    EXPECT_DOUBLE_EQ(dry.total_W, dry.sensible_W);
    const auto above = read_columns({wet_bulb, total, sensible, wet}, 22.0);
    EXPECT_EQ(std::get<Refusal>(above).what, At::entering_wet_bulb);
}

TEST(CoilColumns, NeverHaveMoreSensibleThanTotal)
{
    Draws draw{5};
    for (int i = 0; i < 500; ++i) {
        std::vector<double> wet_bulb, total, sensible;
        bool wet[5] = {};
        const double slope = draw.between(30, 120), falls = draw.between(5, 60), from = draw.between(500, 1200),
                     kink = draw.between(10, 18);
        for (std::size_t k = 0; k < 5; ++k) {
            const double t = 11.0 + 3.0 * static_cast<double>(k), beyond = t - kink;
            wet_bulb.push_back(t);
            total.push_back(beyond > 0 ? from + slope * beyond : from);
            sensible.push_back(beyond > 0 ? from - falls * beyond : from);
            wet[k] = beyond > 0;
        }
        const double more = draw.between(-400, 300), asked = draw.between(5, 23);
        for (double& s : sensible) s += more;
        const auto got = read_columns({wet_bulb, total, sensible, wet}, asked);
        if (const auto* heat = std::get_if<CoilHeat>(&got)) {
            EXPECT_GE(heat->total_W, heat->sensible_W - 1e-9);
            EXPECT_EQ(heat->dry, heat->latent_W() == 0.0);
        }
    }
}

TEST(Exchanger, FindsTheTransferUnitsOfItsEffectiveness)
{
    for (const double ratio : {0.0, 0.3, 0.9, 1.0})
        for (const double ntu : {0.1, 1.0, 4.0})
            EXPECT_NEAR(counterflow_ntu(effectiveness(Arrangement::counter, ntu, ratio), ratio), ntu, 1e-9);
}

} // namespace
} // namespace venture::rating
