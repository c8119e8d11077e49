#include <venture/balance/fingerprint.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/each_field.hpp>

namespace venture::balance {
namespace {

/// A model that has one of everything that a model can have. It stands for no building.
ThermalModel one_of_everything()
{
    ThermalModel m;
    const SignalId of_time = m.add(Signal{.start = {1.0, 2.0}, .end = {2.0, 3.0}, .steps_per_value = 72});
    const Drives drives{{of_time, 2.0}};
    m.walls = {{.rate_per_s = {1e-4},
                .b1 = {0.1},
                .b2 = {0.2},
                .s = {3.0},
                .planes = {{.e = {0.5}, .w1 = 0.1, .w2 = 0.2, .r = {0.3}}}}};
    Surface s{.id = "wall", .area_m2 = 12.0};
    s.outside = OutdoorFace{.film_W_per_m2K = 25.0,
                            .environment_C = of_time,
                            .film_by_step = of_time,
                            .absorbed_W = drives,
                            .long_wave = LongWave{.sky_share = 0.4, .ground_share = 0.5}};
    s.inside = ZoneFace{.convective_W_per_m2K = 2.5,
                        .radiative_W_per_m2K = 5.0,
                        .absorbed_W = drives,
                        .natural = fabric::NaturalConvection{},
                        .air_warmer_K = 1.0};
    s.sources_W = {drives};
    s.water = Water{.temperature_C = of_time, .conductance_W_per_m2K = of_time};
    s.shade_down = of_time;
    m.surfaces = {s, Surface{.id = "floor", .outside = FixedFace{of_time, 7.0}}};
    Zone z{.id = "zone",
           .air_capacity_J_per_K = 1e5,
           .infiltration_kg_per_s = drives,
           .ventilation_kg_per_s = drives,
           .convective_gain_W = drives,
           .radiant_gain_W = drives,
           .moisture_gain_kg_per_s = drives,
           .heat_below_C = of_time,
           .cool_above_C = of_time,
           .dry_above_kg_per_kg = of_time,
           .wet_below_kg_per_kg = of_time,
           .dry_above_relative = of_time,
           .wet_below_relative = of_time,
           .plane_shares = {{.share = 0.2}},
           .most_heating_W = of_time,
           .most_cooling_W = of_time,
           .supply_air = SupplyAir{.least_kg_per_s = drives,
                                   .most_kg_per_s = drives,
                                   .coldest_exhaust_C = 1.0,
                                   .leaves_from = 0,
                                   .cooled_further = SupplyAir::CooledFurther{}},
           .follows = Follows{},
           .transfer_air = {{0, drives}}};
    m.zones = {z};
    m.bodies = {{.zone = 0, .sensible = of_time, .latent = of_time}};
    m.radiant_links = {{.surface = {0, 1}, .W_per_K = 3.0}};
    return m;
}

/// Moves the number, word or flag that comes so many after the first. Counts of things are no values of their own.
struct Mover {
    std::size_t which = 0, seen = 0;
    bool moved = false;
    void operator()(const std::size_t&) {}
    template <class T>
    void operator()(T& value)
    {
        if (seen++ != which) return;
        moved = true;
        if constexpr (std::is_same_v<T, std::string>)
            value += "!";
        else if constexpr (std::is_same_v<T, bool>)
            value = !value;
        else
            value = static_cast<T>(static_cast<int>(value) + 1);
    }
};

TEST(Fingerprint, ChangesWithEveryFieldOfAModel)
{
    const ThermalModel model = one_of_everything();
    const std::uint64_t base = fingerprint_of(model);
    EXPECT_EQ(fingerprint_of(one_of_everything()), base);
    std::size_t fields = 0;
    for (;; ++fields) {
        ThermalModel other = model;
        Mover mover{.which = fields};
        quantity::each_field(other, mover);
        if (!mover.moved) break;
        EXPECT_NE(fingerprint_of(other), base) << "field " << fields;
    }
    EXPECT_GT(fields, 90U);
}

TEST(Fingerprint, TellsNothingFromSomething)
{
    const ThermalModel model = one_of_everything();
    ThermalModel other = model;
    other.zones[0].most_cooling_W.reset();
    EXPECT_NE(fingerprint_of(other), fingerprint_of(model));
    other = model;
    other.surfaces[1].outside = InsulatedFace{};
    EXPECT_NE(fingerprint_of(other), fingerprint_of(model));
    other = model; // the same drives, one list on
    std::swap(other.zones[0].convective_gain_W, other.zones[0].radiant_gain_W);
    other.zones[0].radiant_gain_W.push_back(other.zones[0].convective_gain_W.back());
    other.zones[0].convective_gain_W.clear();
    EXPECT_NE(fingerprint_of(other), fingerprint_of(model));
}

} // namespace
} // namespace venture::balance
