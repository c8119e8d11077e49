/// Models that nobody would build: whatever a model holds, its balance closes and its day becomes periodic.

#include <cmath>
#include <random>

#include <gtest/gtest.h>

#include <venture/balance/periodic_day.hpp>
#include <venture/quantity/error.hpp>

namespace venture::balance {
namespace {

/// Zones of 1 to 10,000 m3 in any neighbourhood, walls from a sheet of steel to a metre of concrete.
class RandomModel {
public:
    explicit RandomModel(unsigned seed) : random_{seed}
    {
        m_.outdoor_air_C = signal(between(-5.0, 25.0), between(0.0, 10.0), Forcing::outdoor_air);
        m_.outdoor_humidity_ratio = m_.add_constant(0.005, Forcing::moisture);
        const int walls = 1 + whole(4);
        for (int i = 0; i < walls; ++i) m_.walls.push_back(wall());
        zones_ = static_cast<std::size_t>(1 + whole(6));
        for (std::size_t z = 0; z < zones_; ++z) add_zone(z);
    }
    [[nodiscard]] const ThermalModel& model() const { return m_; }

private:
    double between(double low, double high)
    {
        return low + (high - low) * static_cast<double>(random_()) / 4294967296.0; // the same on every machine
    }
    int whole(int below) { return static_cast<int>(between(0.0, below)); }
    bool one_in(int n) { return whole(n) == 0; }

    SignalId signal(double mean, double swing, Forcing forcing)
    {
        std::vector<double> hours;
        for (int h = 0; h < 24; ++h) hours.push_back(mean + swing * (std::cos((h - 15) * 0.2618) + between(-0.2, 0.2)));
        return m_.add_points(hours, forcing);
    }

    fabric::WallModes wall()
    {
        fabric::Buildup b{"any", {}};
        const int layers = 1 + whole(4);
        for (int i = 0; i < layers; ++i) switch (whole(4)) {
            case 0:
                b.layers.push_back({{"steel", 50.0, 7800.0, 450.0}, between(0.0005, 0.004)});
                break;
            case 1:
                b.layers.push_back({{"wool", 0.035, 30.0, 1030.0}, between(0.05, 0.3)});
                break;
            case 2:
                b.layers.push_back({{"concrete", 1.8, 2300.0, 1000.0}, between(0.05, 1.0)});
                break;
            default:
                b.layers.push_back({.resistance_m2K_per_W = between(0.1, 1.5)});
            }
        return fabric::wall_modes(b);
    }

    void add_zone(std::size_t z)
    {
        const double volume = std::pow(10.0, between(0.0, 4.0)), air_kg = 1.2 * volume;
        Zone zone{.id = "zone " + std::to_string(z),
                  .air_capacity_J_per_K = air_kg * 1006.0 * between(0.0, 3.0),
                  .dry_air_kg = air_kg};
        const auto changes = [&](double most) {
            return Drives{{m_.add_constant(air_kg / 3600.0 * between(0.0, most), Forcing::coefficient)}};
        };
        zone.infiltration_kg_per_s = changes(3.0);
        zone.convective_gain_W = {{signal(0.5 * volume, 0.2 * volume, Forcing::equipment)}};
        zone.radiant_gain_W = {{signal(0.3 * volume, 0.0, Forcing::lighting)}};
        zone.radiant_weight = one_in(2) ? 0.5 : 0.0;
        zone.convective_share = one_in(2) ? 1.0 : between(0.1, 1.0);
        if (zones_ > 1 && one_in(3)) zone.transfer_air = {{(z + 1) % zones_, changes(5.0)}};
        if (one_in(3)) {
            zone.heat_below_C = zone.cool_above_C = signal(20.0, 1.0, Forcing::set_point);
        } else if (one_in(2)) {
            zone.heat_below_C = m_.add_constant(20.0, Forcing::set_point);
            zone.cool_above_C = m_.add_constant(between(20.5, 26.0), Forcing::set_point);
            zone.most_heating_W = m_.add_constant(volume * between(1.0, 30.0), Forcing::limit);
        }
        if (one_in(3)) zone.supply_air = supply_air(z, changes);
        m_.zones.push_back(std::move(zone));
        const int surfaces = 1 + whole(6);
        for (int i = 0; i < surfaces; ++i) add_surface(z, volume);
    }

    template <class Changes>
    SupplyAir supply_air(std::size_t z, Changes changes)
    {
        SupplyAir out{.least_kg_per_s = changes(2.0), .temperature_C = m_.outdoor_air_C};
        out.humidity_ratio = m_.outdoor_humidity_ratio;
        out.recovers_heat = one_in(2) ? 0.0 : between(0.0, 0.95);
        out.recovers_moisture = out.recovers_heat * between(0.0, 1.0);
        out.bypass = one_in(2);
        if (one_in(3)) out.coldest_exhaust_C = between(-5.0, 5.0);
        if (zones_ > 1 && one_in(3)) out.leaves_from = (z + 1) % zones_;
        if (one_in(2)) {
            out.most_kg_per_s = out.least_kg_per_s;
            out.most_kg_per_s->front().factor *= between(1.0, 10.0);
        } else if (one_in(2)) {
            out.cooled_further = SupplyAir::CooledFurther{between(8.0, 18.0), between(0.2, 1.0)};
        }
        out.more_by_enthalpy = one_in(3);
        return out;
    }

    ZoneFace zone_face(std::size_t zone) { return {zone, between(0.5, 6.0), between(0.0, 6.0), {}}; }

    void add_surface(std::size_t z, double volume)
    {
        Face outside = OutdoorFace{between(5.0, 30.0), m_.outdoor_air_C};
        switch (whole(6)) {
        case 0:
            outside = InsulatedFace{};
            break;
        case 1:
            outside = FixedFace{m_.add_constant(between(0.0, 20.0), Forcing::ground), {}};
            break;
        case 2:
            outside = FixedFace{m_.add_constant(between(0.0, 20.0), Forcing::ground), between(2.0, 20.0)};
            break;
        case 3:
            outside = zone_face(static_cast<std::size_t>(whole(static_cast<int>(z) + 1)));
            break;
        default:
            break;
        }
        ZoneFace inside = zone_face(z);
        if (one_in(3)) inside.natural = fabric::NaturalConvection{.cos_tilt = between(-1.0, 1.0)};
        m_.surfaces.push_back({.id = "surface " + std::to_string(m_.surfaces.size()),
                               .area_m2 = std::pow(volume, 0.67) * between(0.5, 3.0),
                               .wall = static_cast<std::size_t>(whole(static_cast<int>(m_.walls.size()))),
                               .outside = outside,
                               .inside = inside});
    }

    std::mt19937 random_;
    ThermalModel m_{};
    std::size_t zones_ = 1;
};

TEST(AnyModel, ClosesAndBecomesPeriodic)
{
    int ran = 0;
    for (unsigned seed = 1; seed <= 150; ++seed) {
        const RandomModel random{seed};
        try {
            const PeriodicDay day = run_periodic_day(random.model());
            EXPECT_TRUE(day.converged) << "seed " << seed;
            EXPECT_EQ(day.unsettled_steps, 0) << "seed " << seed;
            EXPECT_LE(day.worst_closure, 1e-8) << "seed " << seed;
            ++ran;
        } catch (const quantity::Error& refused) { // nothing holds it, or its supply does not reach it
            EXPECT_TRUE(std::string{refused.what()}.find("no unique") != std::string::npos ||
                        std::string{refused.what()}.find("does not reach") != std::string::npos)
                << refused.what();
        }
    }
    EXPECT_GT(ran, 140);
}

TEST(HeldZone, TakesAirFromAZoneThatIsSolvedAfterIt) // its load used to lag a step behind
{
    ThermalModel m;
    m.outdoor_air_C = m.add_points({0, 0, 0, 0, 0, 0, 5, 10, 10, 10, 10, 10, 10, 10, 10, 10, 5, 0, 0, 0, 0, 0, 0, 0},
                                   Forcing::outdoor_air);
    m.outdoor_humidity_ratio = m.add_constant(0.004, Forcing::moisture);
    Zone held{.id = "a"}, free{.id = "b", .air_capacity_J_per_K = 1e5};
    held.heat_below_C = held.cool_above_C = m.add_constant(20.0, Forcing::set_point);
    held.transfer_air = {{1, {{m.add_constant(0.1, Forcing::coefficient)}}}};
    free.infiltration_kg_per_s = {{m.add_constant(0.2, Forcing::coefficient)}};
    m.zones = {held, free};
    const PeriodicDay day = run_periodic_day(m);
    for (std::size_t h = 0; h < 24; ++h)
        EXPECT_NEAR(day.zones[0].heating_W[h], 0.1 * 1006.0 * (20.0 - day.zones[1].air_C[h]), 1e-6);
    EXPECT_LE(day.worst_closure, 1e-12);
}

} // namespace
} // namespace venture::balance
