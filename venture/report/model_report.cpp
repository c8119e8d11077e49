#include <venture/report/model_report.hpp>

#include <algorithm>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace venture::report {

using balance::ThermalModel;
using building::Building;
using loads::Compiled;
using nlohmann::json;

namespace {

std::string number(double value) { return fmt::format("{:.4g}", value); }

double mean(const ThermalModel& m, const balance::Drives& drives)
{
    double sum = 0.0;
    for (const balance::Drive& d : drives) sum += d.factor * m.signals[d.signal.index].mean();
    return sum;
}

std::string mean_or_dash(const ThermalModel& m, const std::optional<balance::SignalId>& id)
{
    return id ? number(m.signals[id->index].mean()) : "-";
}

/// Which build-up, glazing or typed value a surface follows from, and where that stands.
std::string from(const Building& b, const loads::SurfaceFrom& made_from)
{
    const building::Surface& s = b.surfaces[made_from.surface];
    if (!made_from.opening) {
        const building::NamedBuildup& build_up = b.build_ups[s.build_up];
        return fmt::format("build-up '{}' ({})", build_up.layers.name, b.origins.describe(build_up.origin));
    }
    const building::Opening& opening = s.openings[*made_from.opening];
    if (opening.kind == building::Opening::Kind::window)
        return fmt::format("glazing '{}'", b.glazings[opening.glazing].values.name);
    return "a door of typed U-value";
}

std::string beyond(const ThermalModel& m, const balance::Face& face)
{
    if (const auto* z = std::get_if<balance::ZoneFace>(&face))
        return fmt::format("zone {}, {} + {} W/m2K", m.zones[z->zone].id, number(z->convective_W_per_m2K),
                           number(z->radiative_W_per_m2K));
    if (const auto* o = std::get_if<balance::OutdoorFace>(&face))
        return fmt::format("outdoors, {}{}",
                           o->film_by_step ? fmt::format("signal {} W/m2K", o->film_by_step->index)
                                           : number(o->film_W_per_m2K) + " W/m2K",
                           o->long_wave ? ", long wave apart" : "");
    if (const auto* f = std::get_if<balance::FixedFace>(&face))
        return fmt::format("signal {}{}", f->temperature_C.index,
                           f->film_W_per_m2K ? fmt::format(", {} W/m2K", number(*f->film_W_per_m2K)) : "");
    return "nothing";
}

/// A table of words: numbers of the model have units of their own, four digits of them are shown.
figure::Table words_table(std::string name, std::string title, std::string meaning,
                          const std::vector<std::pair<const char*, const char*>>& columns)
{
    figure::Table out;
    out.name = std::move(name);
    out.title = std::move(title);
    out.meaning = std::move(meaning);
    int rank = 0;
    for (const auto& [key, heading] : columns) out.columns.push_back({key, heading, "", "", rank++ == 0 ? 0 : 1});
    return out;
}

void add_row(figure::Table& table, std::vector<std::string> cells)
{
    auto& row = table.rows.emplace_back();
    for (std::string& cell : cells) row.emplace_back(std::move(cell));
}

figure::Table zones_table(const Building& b, const Compiled& c)
{
    const ThermalModel& m = c.model;
    figure::Table table = words_table("model_zone", "Zones", "A zone of the numeric model.",
                                      {{"zone", "Zone"},
                                       {"stores_kJ_per_K", "stores\nkJ/K"},
                                       {"dry_air_kg", "dry air\nkg"},
                                       {"leakage_g_per_s", "leakage\ng/s"},
                                       {"air_by_plan_g_per_s", "air by plan\ng/s"},
                                       {"bridges_W_per_K", "bridges\nW/K"},
                                       {"gains_to_air_W", "gains to air\nW"},
                                       {"radiant_W", "radiant\nW"},
                                       {"heat_below_C", "heat below\ndegC"},
                                       {"cool_above_C", "cool above\ndegC"},
                                       {"from", "from"}});
    std::vector<std::size_t> room_of_zone(m.zones.size());
    for (std::size_t r = 0; r < c.zone_of_room.size(); ++r) room_of_zone[c.zone_of_room[r]] = r;
    for (std::size_t z = 0; z < m.zones.size(); ++z) {
        const balance::Zone& zone = m.zones[z];
        add_row(table, {zone.id, number(zone.air_capacity_J_per_K / 1000.0), number(zone.dry_air_kg),
                        number(1000.0 * mean(m, zone.infiltration_kg_per_s)),
                        number(1000.0 * mean(m, zone.ventilation_kg_per_s)), number(zone.thermal_bridges_W_per_K),
                        number(mean(m, zone.convective_gain_W)), number(mean(m, zone.radiant_gain_W)),
                        mean_or_dash(m, zone.heat_below_C), mean_or_dash(m, zone.cool_above_C),
                        b.origins.describe(b.rooms[room_of_zone[z]].origin)});
    }
    return table;
}

figure::Table surfaces_table(const Building& b, const Compiled& c)
{
    const ThermalModel& m = c.model;
    figure::Table table = words_table("model_surface", "Surfaces", "A surface of the numeric model.",
                                      {{"surface", "Surface"},
                                       {"area_m2", "m2"},
                                       {"face_to_face_W_per_m2K", "face to face\nW/m2K"},
                                       {"stores_kJ_per_m2K", "stores\nkJ/m2K"},
                                       {"modes", "modes"},
                                       {"inside", "inside"},
                                       {"beyond", "beyond"},
                                       {"from", "from"}});
    for (std::size_t i = 0; i < m.surfaces.size(); ++i) {
        const balance::Surface& s = m.surfaces[i];
        const fabric::WallModes& wall = m.walls[s.wall];
        double capacity = 0.0, u = -wall.d12;
        for (std::size_t k = 0; k < wall.size(); ++k) {
            capacity += wall.s[k] * (wall.b1[k] + wall.b2[k]) / wall.rate_per_s[k];
            u += wall.b1[k] * wall.b2[k] / wall.rate_per_s[k];
        }
        add_row(table, {s.id, number(s.area_m2), number(u), number(capacity / 1000.0), fmt::format("{}", wall.size()),
                        beyond(m, s.inside), beyond(m, s.outside), from(b, c.surfaces_from[i])});
    }
    return table;
}

figure::Table signals_table(const ThermalModel& m)
{
    figure::Table table = words_table("model_signal", "Signals", "What varies over the period of the numeric model.",
                                      {{"signal", "Signal"},
                                       {"is", "is"},
                                       {"values", "values"},
                                       {"lowest", "lowest"},
                                       {"mean", "mean"},
                                       {"highest", "highest"}});
    for (std::size_t i = 0; i < m.signals.size(); ++i) {
        const balance::Signal& s = m.signals[i];
        const auto [low, high] = std::ranges::minmax(s.start);
        add_row(table,
                {fmt::format("{}", i), std::string{balance::forcing_names()[static_cast<std::size_t>(s.forcing)]},
                 fmt::format("{}", s.start.size()), number(low), number(s.mean()), number(high)});
    }
    return table;
}

json drives_json(const balance::Drives& drives)
{
    json out = json::array();
    for (const balance::Drive& d : drives) out.push_back({{"signal", d.signal.index}, {"factor", d.factor}});
    return out;
}

json id_json(const std::optional<balance::SignalId>& id) { return id ? json(id->index) : json(nullptr); }

json face_json(const balance::Face& face)
{
    if (const auto* z = std::get_if<balance::ZoneFace>(&face))
        return {{"zone", z->zone},
                {"convective_W_per_m2K", z->convective_W_per_m2K},
                {"radiative_W_per_m2K", z->radiative_W_per_m2K},
                {"by_difference", z->natural.has_value()},
                {"air_warmer_K", z->air_warmer_K},
                {"absorbed_W", drives_json(z->absorbed_W)}};
    if (const auto* o = std::get_if<balance::OutdoorFace>(&face))
        return {{"outdoors", o->environment_C.index},
                {"film_W_per_m2K", o->film_W_per_m2K},
                {"film_by_step", id_json(o->film_by_step)},
                {"sky_share", o->long_wave ? json(o->long_wave->sky_share) : json(nullptr)},
                {"absorbed_W", drives_json(o->absorbed_W)}};
    if (const auto* f = std::get_if<balance::FixedFace>(&face))
        return {{"temperature", f->temperature_C.index},
                {"film_W_per_m2K", f->film_W_per_m2K ? json(*f->film_W_per_m2K) : json(nullptr)}};
    return nullptr;
}

} // namespace

figure::Document model_document(const Building& b, const Compiled& c)
{
    const ThermalModel& m = c.model;
    figure::Document out{
        fmt::format("{} zones, {} surfaces, {} walls, {} signals over {} steps of {:.0f} s; means over the period",
                    m.zones.size(), m.surfaces.size(), m.walls.size(), m.signals.size(), m.steps, m.step_s)};
    return out.add(zones_table(b, c)).add(surfaces_table(b, c)).add(signals_table(m));
}

json model_json(const Building& b, const Compiled& c)
{
    const ThermalModel& m = c.model;
    json zones = json::array(), surfaces = json::array(), walls = json::array(), signals = json::array();
    for (const balance::Zone& z : m.zones)
        zones.push_back({{"id", z.id},
                         {"air_capacity_J_per_K", z.air_capacity_J_per_K},
                         {"dry_air_kg", z.dry_air_kg},
                         {"moisture_buffer", z.moisture_buffer},
                         {"thermal_bridges_W_per_K", z.thermal_bridges_W_per_K},
                         {"infiltration_kg_per_s", drives_json(z.infiltration_kg_per_s)},
                         {"ventilation_kg_per_s", drives_json(z.ventilation_kg_per_s)},
                         {"convective_gain_W", drives_json(z.convective_gain_W)},
                         {"radiant_gain_W", drives_json(z.radiant_gain_W)},
                         {"moisture_gain_kg_per_s", drives_json(z.moisture_gain_kg_per_s)},
                         {"heat_below_C", id_json(z.heat_below_C)},
                         {"cool_above_C", id_json(z.cool_above_C)},
                         {"dry_above_kg_per_kg", id_json(z.dry_above_kg_per_kg)},
                         {"wet_below_kg_per_kg", id_json(z.wet_below_kg_per_kg)},
                         {"dry_above_relative", id_json(z.dry_above_relative)},
                         {"wet_below_relative", id_json(z.wet_below_relative)},
                         {"radiant_weight", z.radiant_weight}});
    for (std::size_t i = 0; i < m.surfaces.size(); ++i) {
        const balance::Surface& s = m.surfaces[i];
        surfaces.push_back({{"id", s.id},
                            {"area_m2", s.area_m2},
                            {"wall", s.wall},
                            {"outside", face_json(s.outside)},
                            {"inside", face_json(s.inside)},
                            {"from", from(b, c.surfaces_from[i])}});
    }
    for (const fabric::WallModes& w : m.walls)
        walls.push_back({{"rate_per_s", w.rate_per_s},
                         {"b1", w.b1},
                         {"b2", w.b2},
                         {"s", w.s},
                         {"d11", w.d11},
                         {"d12", w.d12},
                         {"d22", w.d22}});
    for (const balance::Signal& s : m.signals)
        signals.push_back({{"is", balance::forcing_names()[static_cast<std::size_t>(s.forcing)]},
                           {"start", s.start},
                           {"end", s.level ? s.start : s.end},
                           {"steps_per_value", s.steps_per_value}});
    return {{"step_s", m.step_s}, {"steps", m.steps},     {"outdoor_air_C", m.outdoor_air_C.index},
            {"zones", zones},     {"surfaces", surfaces}, {"walls", walls},
            {"signals", signals}};
}

} // namespace venture::report
