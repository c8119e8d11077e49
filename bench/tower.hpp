#pragma once
/// A generated tower: storeys of rooms in two rows with a partition between, windows, slabs, gains and thermostats.

#include <algorithm>
#include <cmath>
#include <string>

#include <venture/balance/heat_balance.hpp>

namespace venture::bench {

/// What a tower's films follow from.
enum class TowerFilms { fixed, varying };

/// Rooms of 5 x 4 x 3 m, ten a storey; every second one is cooled as well as heated, and each fifth floats. Each looks
/// at six surfaces or more. Varying films: natural convection at every face inside, wind by the hour and long wave to
/// the sky outside.
class Tower {
public:
    /// @param warmer_K  weather than usual
    Tower(std::size_t zones, double step_s, std::size_t days, TowerFilms films = TowerFilms::fixed,
          double warmer_K = 0.0)
        : vary_{films == TowerFilms::varying},
          warmer_K_{warmer_K}
    {
        m_.step_s = step_s;
        m_.steps = static_cast<std::size_t>(static_cast<double>(days) * 86400.0 / step_s);
        add_forcing(days);
        add_walls();
        for (std::size_t z = 0; z < zones; ++z) add_zone(z);
        for (std::size_t z = 0; z < zones; ++z) add_surfaces(z, zones);
    }
    [[nodiscard]] const balance::ThermalModel& model() const { return m_; }

private:
    static constexpr std::size_t rooms_a_storey = 10;

    static double hour_wave(double hour, double at) { return std::cos((hour - at) * 0.2617993877991494); }

    balance::SignalId hourly(std::size_t days, double mean, double swing, double at, bool by_day)
    {
        std::vector<double> values;
        for (std::size_t h = 0; h < 24 * days; ++h) {
            const double drift = by_day ? 4.0 * std::sin(0.11 * static_cast<double>(h / 24)) : 0.0;
            values.push_back(mean + drift + swing * hour_wave(static_cast<double>(h % 24), at));
        }
        return m_.add_points(values);
    }

    void add_forcing(std::size_t days)
    {
        m_.outdoor_air_C = hourly(days, 12.0 + warmer_K_, 6.0, 15.0, true);
        sky_ = hourly(days, 0.0 + warmer_K_, 4.0, 15.0, true);
        std::vector<double> wind;
        for (std::size_t h = 0; h < 24 * days; ++h) wind.push_back(8.0 + 4.0 * static_cast<double>(h * 7 % 5));
        wind_ = m_.add_blocks(wind, balance::Forcing::coefficient);
        m_.outdoor_humidity_ratio = m_.add_constant(0.006);
        for (const double at : {12.0, 10.0, 14.0, 16.0}) {
            std::vector<double> sun;
            for (std::size_t h = 0; h < 24 * days; ++h)
                sun.push_back(std::max(0.0, 500.0 * hour_wave(static_cast<double>(h % 24), at) - 50.0));
            sun_.push_back(m_.add_points(sun));
            sol_air_.push_back(hourly(days, 15.0 + warmer_K_, 9.0, at, true));
        }
        std::vector<double> work;
        for (std::size_t h = 0; h < 24 * days; ++h) work.push_back(h % 24 >= 8 && h % 24 < 18 ? 1.0 : 0.1);
        occupied_ = m_.add_blocks(work);
        heat_ = m_.add_constant(20.0);
        cool_ = m_.add_constant(25.0);
    }

    void add_walls()
    {
        const fabric::Material brick{"brick", 0.77, 1750, 1000}, wool{"wool", 0.036, 30, 1030},
            board{"board", 0.25, 800, 1000}, concrete{"concrete", 1.7, 2300, 1000};
        const fabric::ModeOptions options{.step_s = m_.step_s, .accuracy = 1e-3};
        for (const fabric::Buildup& b :
             {fabric::Buildup{"outside", {{brick, 0.1}, {wool, 0.1}, {brick, 0.1}, {board, 0.0125}}},
              fabric::Buildup{"partition", {{board, 0.025}, {wool, 0.05}, {board, 0.025}}},
              fabric::Buildup{"slab", {{concrete, 0.2}, {wool, 0.02}, {concrete, 0.06}}},
              fabric::Buildup{"glass", {{.resistance_m2K_per_W = 0.6}}}})
            m_.walls.push_back(fabric::wall_modes(b, options));
    }

    void add_zone(std::size_t z)
    {
        balance::Zone zone{.id = "room " + std::to_string(1000000 + z),
                           .air_capacity_J_per_K = 72000.0 + 200000.0,
                           .dry_air_kg = 72.0};
        zone.infiltration_kg_per_s = {{m_.add_constant(0.006)}};
        zone.ventilation_kg_per_s = {{occupied_, 0.02}};
        zone.convective_gain_W = {{occupied_, 150.0}};
        zone.radiant_gain_W = {{occupied_, 150.0}};
        zone.moisture_gain_kg_per_s = {{occupied_, 2e-5}};
        zone.radiant_weight = 0.5;
        if (z % 5 != 4) zone.heat_below_C = heat_;
        if (z % 2 == 0) zone.cool_above_C = cool_;
        m_.zones.push_back(zone);
    }

    void add(std::string id, double area, std::size_t wall, balance::Face outside, balance::Face inside)
    {
        m_.surfaces.push_back({.id = std::move(id),
                               .area_m2 = area,
                               .wall = wall,
                               .outside = std::move(outside),
                               .inside = std::move(inside)});
    }
    balance::ZoneFace face(std::size_t zone, double convective, std::size_t sun, double sun_m2) const
    {
        balance::ZoneFace face{zone, convective, 5.13, {{sun_[sun], sun_m2}}};
        const double cosine = convective > 4.0 ? -1.0 : convective < 1.0 ? 1.0 : 0.0;
        if (vary_) face.natural = fabric::NaturalConvection{.cos_tilt = cosine};
        return face;
    }

    /// Outside wall and window, a wall to the next room of the row, a wall to the other row, and the floor.
    void add_surfaces(std::size_t z, std::size_t zones)
    {
        const std::size_t row = z % 2, looks = z % sun_.size();
        const auto outdoors = [&](balance::SignalId environment) {
            balance::OutdoorFace face{25.0, environment};
            if (vary_) {
                face.film_by_step = wind_;
                face.long_wave = balance::LongWave{.sky_share = 0.35, .sky_C = sky_, .ground_C = m_.outdoor_air_C};
            }
            return face;
        };
        const std::string id = m_.zones[z].id;
        add(id + " outside", 12.0, 0, outdoors(sol_air_[looks]), face(z, 2.5, looks, 0.3));
        add(id + " window", 3.0, 3, outdoors(m_.outdoor_air_C), face(z, 2.5, looks, 0.1));
        if ((z / 2) % (rooms_a_storey / 2) != 0)
            add(id + " partition", 12.0, 1, face(z - 2, 2.5, looks, 0.2), face(z, 2.5, looks, 0.2));
        else
            add(id + " end wall", 12.0, 0, outdoors(sol_air_[2 * row]), face(z, 2.5, looks, 0.2));
        if (row == 1) add(id + " middle wall", 15.0, 1, face(z - 1, 2.5, looks, 0.2), face(z, 2.5, looks, 0.2));
        if (z >= rooms_a_storey)
            add(id + " floor", 20.0, 2, face(z - rooms_a_storey, 5.0, looks, 0.1), face(z, 0.7, looks, 0.8));
        else
            add(id + " ground floor", 20.0, 2, balance::FixedFace{heat_, 2.0}, face(z, 0.7, looks, 0.8));
        if (z + rooms_a_storey >= zones) add(id + " roof", 20.0, 0, outdoors(sol_air_[0]), face(z, 5.0, looks, 0.1));
    }

    balance::ThermalModel m_{};
    std::vector<balance::SignalId> sun_{}, sol_air_{};
    balance::SignalId occupied_{}, heat_{}, cool_{}, sky_{}, wind_{};
    bool vary_;
    double warmer_K_;
};

} // namespace venture::bench
