#include "reference_case.hpp"

#include <algorithm>
#include <cmath>
#include <fstream>
#include <optional>
#include <stdexcept>

namespace venture::reference {

using nlohmann::json;

namespace {

json read_json(const std::filesystem::path& file)
{
    std::ifstream in{file};
    return json::parse(in);
}

/// Builds one model from one CASE.json.
class CaseReader {
public:
    CaseReader(const json& c, double step_s) : case_{c}
    {
        hours_ = c.value("period_h", std::size_t{24});
        model_.step_s = step_s;
        model_.steps = static_cast<std::size_t>(static_cast<double>(hours_) * 3600.0 / step_s);
    }

    balance::ThermalModel read()
    {
        density_ = air_value("density_kg_per_m3", 1.2);
        model_.air_specific_heat_J_per_kgK = air_value("specific_heat_J_per_kgK", 1006.0);
        model_.outdoor_air_C = signal(case_.at("outdoor_air_temperature_C"));
        model_.outdoor_humidity_ratio = model_.add_constant(0.005);
        for (const json& zone : case_.at("zones")) read_zone(zone);
        for (const json& construction : case_.at("constructions")) read_construction(construction);
        for (const json& surface : case_.at("surfaces")) read_surface(surface);
        for (const auto& [zone, shares] : embedded_)
            for (const auto& [surface, share] : shares)
                model_.zones[zone].plane_shares.push_back(
                    {surface_index_.at(surface), supply_plane_.at(surface), share});
        if (case_.contains("air_exchange"))
            for (const json& air : case_.at("air_exchange"))
                model_.zones[zone_index_.at(air.at("to"))].transfer_air.push_back(
                    {zone_index_.at(air.at("from")), {{model_.add_constant(air.at("mass_flow_kg_per_s"))}}});
        return std::move(model_);
    }

private:
    double air_value(const char* key, double otherwise) const
    {
        return case_.contains("air") ? case_.at("air").value(key, otherwise) : otherwise;
    }

    std::vector<double> values(const json& s) const
    {
        if (s.is_number()) return std::vector<double>(hours_, s.get<double>());
        return s.get<std::vector<double>>();
    }
    balance::SignalId signal(const json& s) { return model_.add_points(values(s)); }

    void read_zone(const json& z)
    {
        const double mass = z.at("volume_m3").get<double>() * density_;
        balance::Zone zone{.id = z.at("id"),
                           .air_capacity_J_per_K =
                               mass * model_.air_specific_heat_J_per_kgK * z.value("air_capacity_multiplier", 1.0),
                           .dry_air_kg = mass};
        zone.infiltration_kg_per_s = {{model_.add_constant(z.value("infiltration_ach", 0.0) * mass / 3600.0)}};
        if (z.contains("convective_gain_W")) zone.convective_gain_W = {{signal(z.at("convective_gain_W"))}};
        if (z.contains("radiant_gain_W")) zone.radiant_gain_W = {{signal(z.at("radiant_gain_W"))}};
        read_control(z.at("control"), zone);
        zone_index_[zone.id] = model_.zones.size();
        model_.zones.push_back(zone);
    }

    void read_control(const json& control, balance::Zone& zone)
    {
        if (control.at("mode") == "free") return;
        const char* key = control.contains("temperature_C") ? "temperature_C" : "air_temperature_C";
        zone.heat_below_C = zone.cool_above_C = signal(control.at(key));
        zone.radiant_weight = control.value("on", "air") == "operative" ? 0.5 : 0.0;
        if (!control.contains("emission")) return;
        const json& emission = control.at("emission");
        zone.convective_share = emission.value("convective", 0.0);
        if (!emission.contains("surfaces")) return;
        for (const auto& [surface, share] : emission.at("surfaces").items())
            embedded_[model_.zones.size()][surface] = share;
    }

    void read_construction(const json& c)
    {
        fabric::Buildup buildup{.name = c.at("id")};
        for (const json& layer : c.at("layers_outside_to_inside")) {
            if (layer.contains("resistance_m2K_per_W"))
                buildup.layers.push_back({.resistance_m2K_per_W = layer.at("resistance_m2K_per_W")});
            else
                buildup.layers.push_back(
                    {.material = {"", layer.at("conductivity_W_per_mK"), layer.at("density_kg_per_m3"),
                                  layer.at("specific_heat_J_per_kgK")},
                     .thickness_m = layer.at("thickness_m")});
        }
        wall_index_[buildup.name] = model_.walls.size();
        model_.walls.push_back(fabric::wall_modes(buildup, {.step_s = balance::part_of_step_s(model_.step_s)}));
        build_ups_.push_back(std::move(buildup));
    }

    /// Heat put in between layers, and water there: the wall once more, with planes.
    void read_planes(const json& s, balance::Surface& surface)
    {
        std::map<std::size_t, balance::Drives> by_layer; // in order from the outside
        const auto layer_of = [](const json& at) { return at.at("after_layer").get<std::size_t>() - 1; };
        std::optional<std::size_t> supplied, watered;
        for (const json& source : s.value("sources", json::array())) {
            balance::Drives& drives = by_layer[layer_of(source)];
            if (source.contains("flux_W_per_m2"))
                drives.push_back({signal(source.at("flux_W_per_m2")), surface.area_m2});
            if (source.value("from_supply", false) && !supplied) supplied = layer_of(source);
        }
        if (s.contains("plane_temperature")) {
            watered = layer_of(s.at("plane_temperature"));
            by_layer[*watered];
        }
        fabric::ModeOptions options{.step_s = balance::part_of_step_s(model_.step_s)};
        for (auto& [layer, drives] : by_layer) {
            if (supplied == layer) supply_plane_[surface.id] = options.planes.size();
            if (watered == layer) surface.water = water(s.at("plane_temperature"), options.planes.size());
            options.planes.push_back({.layer = layer, .share = 1.0});
            surface.sources_W.push_back(std::move(drives));
        }
        const fabric::Buildup& buildup = build_ups_[surface.wall];
        surface.wall = model_.walls.size();
        model_.walls.push_back(fabric::wall_modes(buildup, options));
    }

    balance::Water water(const json& w, std::size_t plane)
    {
        std::vector<double> flows(hours_, 1.0);
        if (w.contains("operation")) flows = values(w.at("operation"));
        for (double& flow : flows) flow /= w.at("resistance_m2K_per_W").get<double>();
        return {plane, signal(w.at("temperature_C")), model_.add_blocks(flows)};
    }

    balance::Face zone_face(const json& f)
    {
        balance::ZoneFace face{.zone = zone_index_.at(f.at("zone")),
                               .convective_W_per_m2K = f.at("convective_W_per_m2K"),
                               .radiative_W_per_m2K = f.at("radiative_W_per_m2K")};
        if (f.contains("absorbed_gain_W")) face.absorbed_W = {{signal(f.at("absorbed_gain_W"))}};
        return face;
    }

    balance::Face outside_face(const json& f)
    {
        const std::string type = f.at("type");
        if (type == "adiabatic") return balance::InsulatedFace{};
        if (type == "zone") return zone_face(f);
        if (type == "fixed") {
            balance::FixedFace face{.temperature_C = signal(f.at("temperature_C"))};
            if (f.contains("film_W_per_m2K")) face.film_W_per_m2K = f.at("film_W_per_m2K");
            return face;
        }
        if (type != "air") throw std::runtime_error{"far end of unknown type " + type};
        std::vector<double> sol_air = values(case_.at("outdoor_air_temperature_C"));
        const double film = f.at("film_W_per_m2K");
        if (f.contains("incident_solar_W_per_m2")) {
            const auto sun = values(f.at("incident_solar_W_per_m2"));
            for (std::size_t h = 0; h < sol_air.size(); ++h)
                sol_air[h] += f.value("solar_absorptance", 0.0) * sun[h] / film;
        }
        return balance::OutdoorFace{film, model_.add_points(sol_air)};
    }

    void read_surface(const json& s)
    {
        balance::Surface surface{.id = s.at("id"),
                                 .area_m2 = s.at("area_m2"),
                                 .wall = wall_index_.at(s.at("construction")),
                                 .outside = outside_face(s.at("outside")),
                                 .inside = zone_face(s.at("inside"))};
        if (s.contains("sources") || s.contains("plane_temperature")) read_planes(s, surface);
        surface_index_[surface.id] = model_.surfaces.size();
        model_.surfaces.push_back(std::move(surface));
    }

    const json& case_;
    std::size_t hours_ = 24;
    double density_ = 1.2;
    balance::ThermalModel model_{};
    std::map<std::string, std::size_t> zone_index_{}, wall_index_{}, surface_index_{};
    std::map<std::string, std::size_t> supply_plane_{};               ///< of surfaces that a supply feeds
    std::map<std::size_t, std::map<std::string, double>> embedded_{}; ///< zone -> surface -> share of its supply
    std::vector<fabric::Buildup> build_ups_{};                        ///< of the first walls, in their order
};

/// Hour means and values at the hours of one quantity, gathered step by step.
struct Gathered {
    std::vector<double> mean, at_hour;
};

double largest(const std::vector<double>& x)
{
    double most = 0.0;
    for (const double v : x) most = std::max(most, std::abs(v));
    return most;
}

double largest_error(const std::vector<double>& x, const json& expected)
{
    double most = 0.0;
    for (std::size_t i = 0; i < x.size(); ++i) most = std::max(most, std::abs(x[i] - expected.at(i).get<double>()));
    return most;
}

/// Collects every compared series of a run.
class Gatherer {
public:
    Gatherer(const balance::ThermalModel& m, std::size_t hours)
        : hours_{hours},
          per_hour_{m.steps / hours},
          air_(m.zones.size()),
          radiant_(m.zones.size()),
          load_(m.zones.size()),
          face_(2 * m.surfaces.size()),
          flux_(2 * m.surfaces.size())
    {
    }
    void operator()(std::size_t step, const balance::StepResult& r)
    {
        for (std::size_t z = 0; z < air_.size(); ++z) {
            take(air_[z], step, r.zones[z].air_C, r.zones[z].air_end_C);
            take(radiant_[z], step, r.zones[z].radiant_C, r.zones[z].radiant_end_C);
            take(load_[z], step, r.zones[z].heating_W - r.zones[z].cooling_W, r.zones[z].load_end_W);
        }
        for (std::size_t i = 0; i < r.surfaces.size(); ++i)
            for (std::size_t j = 0; j < 2; ++j) {
                const auto& s = r.surfaces[i];
                take(face_[2 * i + j], step, s.temperature_C[j], s.temperature_end_C[j]);
                take(flux_[2 * i + j], step, s.flux_W_per_m2[j], s.flux_end_W_per_m2[j]);
            }
    }
    [[nodiscard]] const Gathered& air(std::size_t z) const { return air_[z]; }
    [[nodiscard]] const Gathered& radiant(std::size_t z) const { return radiant_[z]; }
    [[nodiscard]] const Gathered& load(std::size_t z) const { return load_[z]; }
    [[nodiscard]] const Gathered& face(std::size_t i, std::size_t j) const { return face_[2 * i + j]; }
    [[nodiscard]] const Gathered& flux(std::size_t i, std::size_t j) const { return flux_[2 * i + j]; }

private:
    void take(Gathered& g, std::size_t step, double mean, double end) const
    {
        g.mean.resize(hours_, 0.0);
        g.at_hour.resize(hours_, 0.0);
        g.mean[step / per_hour_] += mean / static_cast<double>(per_hour_);
        if ((step + 1) % per_hour_ == 0) g.at_hour[((step + 1) / per_hour_) % hours_] = end;
    }
    std::size_t hours_, per_hour_;
    std::vector<Gathered> air_, radiant_, load_, face_, flux_;
};

void compare_temperature(PeriodicErrors& e, const Gathered& got, const json& expected)
{
    if (expected.is_null()) return;
    e.temperature_K = std::max({e.temperature_K, largest_error(got.mean, expected.at("hour_mean")),
                                largest_error(got.at_hour, expected.at("at_hour"))});
}

void compare_flux(PeriodicErrors& e, const Gathered& got, const json& expected)
{
    const double peak = largest(expected.at("hour_mean").get<std::vector<double>>());
    if (peak > 1e-6) e.flux_share = std::max(e.flux_share, largest_error(got.mean, expected.at("hour_mean")) / peak);
}

} // namespace

balance::ThermalModel model_of(const json& room, double step_s) { return CaseReader{room, step_s}.read(); }

PeriodicCase read_periodic_case(const std::filesystem::path& folder, double step_s)
{
    const json c = read_json(folder / "CASE.json");
    PeriodicCase out{.name = c.at("name"),
                     .expected = read_json(folder / "RESULT.json"),
                     .hours = c.value("period_h", std::size_t{24})};
    out.model = CaseReader{c, step_s}.read();
    return out;
}

PeriodicErrors run_and_compare(const PeriodicCase& reference)
{
    PeriodicErrors e;
    Gatherer got{reference.model, reference.hours};
    e.day = balance::run_periodic_day(reference.model, {}, std::ref(got));
    const json& zones = reference.expected.at("zones");
    for (std::size_t z = 0; z < zones.size(); ++z) {
        compare_temperature(e, got.air(z), zones[z].at("air_temperature_C"));
        compare_temperature(e, got.radiant(z), zones[z].at("radiant_star_temperature_C"));
        if (zones[z].at("load_W").is_null()) continue;
        const json& load = zones[z].at("load_W").at("hour_mean");
        const double peak = largest(load.get<std::vector<double>>());
        e.load_share = std::max(e.load_share, largest_error(got.load(z).mean, load) / peak);
    }
    const json& surfaces = reference.expected.at("surfaces");
    for (std::size_t i = 0; i < surfaces.size(); ++i) {
        compare_temperature(e, got.face(i, 0), surfaces[i].at("outside_temperature_C"));
        compare_temperature(e, got.face(i, 1), surfaces[i].at("inside_temperature_C"));
        compare_flux(e, got.flux(i, 0), surfaces[i].at("outside_flux_into_wall_W_per_m2"));
        compare_flux(e, got.flux(i, 1), surfaces[i].at("inside_flux_into_wall_W_per_m2"));
    }
    return e;
}

} // namespace venture::reference
