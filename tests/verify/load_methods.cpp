/// Tables of load methods: series, terms, admittance, rules, swings, sums.

#include <functional>

#include <reference_case.hpp>
#include <venture/fabric/periodic.hpp>
#include <venture/loads/admittance_method.hpp>
#include <venture/loads/glass_swing.hpp>
#include <venture/loads/peaks.hpp>
#include <venture/loads/response_terms.hpp>
#include <venture/loads/rules_of_thumb.hpp>
#include <venture/loads/series_method.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace loads; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

constexpr double fine_step_s = 300.0;

HourlyDay day_of(const json& values)
{
    HourlyDay out{};
    if (values.is_number())
        out.fill(values.get<double>());
    else
        std::ranges::copy(values.get<std::vector<double>>(), out.begin());
    return out;
}

/// Compares with limits that are shares of something, or absolute.
class Checker {
public:
    explicit Checker(const json& table) : compare{table}, tolerances_{table.at("tolerances")} {}

    void near(const std::string& what, double got, const json& expected, const std::string& tolerance, double of = 0.0)
    {
        const json& t = tolerances_.at(tolerance);
        const double value = expected.get<double>();
        compare.error(
            what, std::abs(got - value),
            std::max({t.value("abs", 0.0), t.value("rel", 0.0) * std::abs(value), t.value("share", 0.0) * of}));
    }
    /// A number, or nothing on both sides.
    void near_or_none(const std::string& what, std::optional<double> got, const json& expected,
                      const std::string& tolerance)
    {
        if (expected.is_null() || !got)
            compare.truth(what, got.has_value(), !expected.is_null());
        else
            near(what, *got, expected, tolerance);
    }
    void near(const std::string& what, const HourlyDay& got, const json& expected, const std::string& tolerance,
              double of = 0.0)
    {
        for (std::size_t h = 0; h < got.size(); ++h)
            near(fmt::format("{} {}", what, h), got[h], expected.at(h), tolerance, of);
    }
    /// Equal, or the reference at the hour found is as good as its peak.
    void peak_hour(const std::string& what, std::size_t got, std::size_t expected, const HourlyDay& reference,
                   double allowed)
    {
        compare.error(what, got == expected ? 0.0 : reference.at(expected) - reference.at(got), allowed);
    }

    Comparison compare;

private:
    const json& tolerances_;
};

double largest_of(const HourlyDay& day)
{
    double out = 0.0;
    for (const double x : day) out = std::max(out, std::abs(x));
    return out;
}

double sum_of_magnitudes(const HourlyDay& day)
{
    double out = 0.0;
    for (const double x : day) out += std::abs(x);
    return out;
}

Outcome conduction(const json& table, const json& group)
{
    Checker check{table};
    for (const json& c : group) {
        const fabric::Buildup wall = layers_of(c.at("layers_inside_to_outside"), LayersFrom::inside);
        const fabric::Films films{c.at("Rse_m2K_W"), c.at("Rsi_m2K_W")};
        const double u = c.at("U_W_m2K");
        const auto wave = periodic_properties(wall, films);
        check.near("U", wave.u_value_W_per_m2K, c.at("U_W_m2K"), "admittance_characteristics");
        check.near("decrement", wave.decrement_factor, c.at("decrement_factor"), "admittance_characteristics");
        check.near("lag", wave.transmittance.delay_h, c.at("time_lag_h"), "lags");
        const HourlyDay at_hour = daily_response_factors(wall, films), mean = daily_mean_factors(wall, films);
        check.near("factors", at_hour, c.at("periodic_response_factors_W_m2K"), "conduction_factors", u);
        check.near("factors of means", mean, c.at("straight_to_mean_factors_W_m2K"), "conduction_factors", u);
        for (std::size_t k = 0; k < at_hour.size(); ++k) {
            check.near("series", at_hour[k] / u, c.at("conduction_time_series").at(k), "conduction_series");
            check.near("series of means", mean[k] / u, c.at("straight_to_mean_series").at(k), "conduction_series");
        }
        const json& day = c.at("day");
        HourlyDay warmer = day_of(day.at("sol_air_temperature_C"));
        for (double& t : warmer) t -= day.at("room_temperature_C").get<double>();
        const HourlyDay gain = answer_of(at_hour, warmer), expected = day_of(day.at("conduction_gain_at_hour_W_m2"));
        const double largest = largest_of(expected);
        check.near("gain", gain, day.at("conduction_gain_at_hour_W_m2"), "conduction_gains", largest);
        const json& means = day.at("conduction_gain_hour_mean_straight_W_m2");
        check.near("mean gain", answer_of(mean, warmer), means, "conduction_gains", largest_of(day_of(means)));
        check.near("mean of day", mean_of(gain), day.at("mean_gain_W_m2"), "conduction_gains", largest);
        check.near("peak", gain[hour_of_peak(gain)], day.at("peak_at_hour_W_m2"), "conduction_gains", largest);
        check.peak_hour("hour of peak", hour_of_peak(gain), day.at("peak_hour"), expected, 0.005 * largest);
    }
    return check.compare.outcome();
}

/// A room of the table, and its parts by name.
struct Room {
    balance::ThermalModel model;

    explicit Room(const json& c) : model{reference::model_of(c, fine_step_s)} {}
    [[nodiscard]] std::size_t zone(const std::string& id) const { return index_of(model.zones, id); }
    [[nodiscard]] std::size_t surface(const std::string& id) const { return index_of(model.surfaces, id); }

    template <class Part>
    [[nodiscard]] static std::size_t index_of(const std::vector<Part>& all, const std::string& id)
    {
        const auto at = std::ranges::find(all, id, &Part::id);
        if (at == all.end()) throw std::runtime_error{"no '" + id + "' in the room"};
        return static_cast<std::size_t>(at - all.begin());
    }
};

Outcome radiant_series(const json& table, const json& group)
{
    Checker check{table};
    for (const json& c : group) {
        const Room room{c.at("room")};
        const std::size_t zone = room.zone(c.at("zone"));
        const json& expected = c.at("results");
        const Source sources[2] = {{Source::Kind::by_area, zone},
                                   {Source::Kind::face, room.surface(c.at("sun_falls_on"))}};
        const char* names[2] = {"nonsolar", "solar"};
        for (std::size_t i = 0; i < 2; ++i)
            for (const Losses losses : {Losses::as_they_are, Losses::none}) {
                const ResponseTerms got = response_terms(room.model, zone, sources[i], losses);
                const json& one =
                    expected.at(fmt::format("{}_{}_losses", names[i], losses == Losses::none ? "without" : "with"));
                check.near(names[i], got.equal_kind, one.at("series"), "radiant_series");
                check.near("sum", got.sum(), one.at("sum"), "radiant_sums");
                if (losses == Losses::as_they_are)
                    check.near("lost", 1.0 - got.sum(), expected.at(fmt::format("lost_fraction_{}", names[i])),
                               "radiant_sums");
            }
    }
    return check.compare.outcome();
}

Source source_of(const Room& room, const std::string& kind, const std::string& where)
{
    if (kind == "outside") return {Source::Kind::beyond, room.surface(where)};
    if (kind == "face") return {Source::Kind::face, room.surface(where)};
    if (kind == "by_area") return {Source::Kind::by_area, room.zone(where)};
    if (kind == "convective") return {Source::Kind::into_air, room.zone(where)};
    if (kind == "air_of") return {Source::Kind::set_point, room.zone(where)};
    throw std::runtime_error{"a source of kind " + kind};
}

Outcome terms(const json& table, const json& group)
{
    Checker check{table};
    for (const json& c : group) {
        const Room room{c.at("room")};
        const std::size_t zone = room.zone(c.at("zone"));
        const json& expected = c.at("results");
        const HourlyDay load = day_of(expected.at("load_hour_mean_W"));
        const double largest = largest_of(load);
        const auto terms_of = [&](const std::string& kind, const std::string& where) {
            if (kind == "infiltration") return immediate_terms(c.at("infiltration_conductance_W_K"));
            return response_terms(room.model, zone, source_of(room, kind, where));
        };
        std::map<std::pair<std::string, std::string>, ResponseTerms> known;
        for (const json& t : expected.at("terms")) {
            const ResponseTerms& got =
                known.emplace(std::pair{t.at("kind"), t.at("where")}, terms_of(t.at("kind"), t.at("where")))
                    .first->second;
            for (const auto& [key, series] :
                 {std::pair{"equal_kind", &got.equal_kind}, {"straight_to_mean", &got.straight_to_mean}})
                check.near(
                    fmt::format("{} {} {}", key, t.at("kind").get<std::string>(), t.at("where").get<std::string>()),
                    *series, t.at(key), "response_terms", sum_of_magnitudes(day_of(t.at(key))));
            check.near("sum", got.sum(), t.at("sum"), "sum_of_terms");
        }
        HourlyDay sum{}, at_hour{};
        for (const json& s : c.at("sources")) {
            const std::pair<std::string, std::string> key{s.at("kind"), s.at("where")};
            if (!known.contains(key)) known.emplace(key, terms_of(key.first, key.second));
            const ResponseTerms& t = known.at(key);
            const HourlyDay signal = day_of(s.at("signal"));
            const HourlyDay part =
                answer_of(s.at("signal_between_hours") == "held" ? t.equal_kind : t.straight_to_mean, signal);
            check.near(s.at("id"), part, expected.at("parts_hour_mean_W").at(s.at("id")), "parts_and_loads", largest);
            const HourlyDay straight = answer_of(t.equal_kind, signal);
            for (std::size_t h = 0; h < sum.size(); ++h) {
                sum[h] += part[h];
                at_hour[h] += straight[h];
            }
        }
        check.near("load", sum, expected.at("load_hour_mean_W"), "parts_and_loads", largest);
        check.near("load at the hour", at_hour, expected.at("load_at_hour_all_signals_straight_W"), "parts_and_loads",
                   largest);
        const json& peak = expected.at("peak");
        check.near("peak", sum[hour_of_peak(sum)], peak.at("value_W"), "parts_and_loads", largest);
        check.peak_hour("hour of peak", hour_of_peak(sum), peak.at("hour"), load, 0.005 * largest);
        check.near("mean", mean_of(sum), expected.at("daily_mean_W"), "parts_and_loads", largest);
    }
    return check.compare.outcome();
}

/// The room as the series method sees it.
SeriesRoom series_room(const json& c, const Room& room)
{
    SeriesRoom out{.set_point_C = c.at("set_point_C"),
                   .outdoor_C = day_of(c.at("outdoor_air_temperature_C")),
                   .beam_W = day_of(c.at("transmitted_beam_W_all_on_the_floor")),
                   .diffuse_W = day_of(c.at("transmitted_diffuse_W_by_area"))};
    const balance::ThermalModel& m = room.model;
    const balance::Zone& zone = m.zones.at(room.zone(c.at("zone")));
    out.outdoor_air_W_per_K = m.value(zone.infiltration_kg_per_s, 0, 0.0) * m.air_specific_heat_J_per_kgK;
    for (const json& s : c.at("room").at("surfaces")) {
        const std::string id = s.at("id");
        if (!c.at("outside_temperature_of_surface_C").contains(id)) continue;
        fabric::Buildup wall;
        for (const json& construction : c.at("room").at("constructions"))
            if (construction.at("id") == s.at("construction"))
                wall = layers_of(construction.at("layers_outside_to_inside"), LayersFrom::outside);
        const json &in = s.at("inside"), &far = s.at("outside");
        const fabric::Films films{
            far.contains("film_W_per_m2K") ? 1.0 / far.at("film_W_per_m2K").get<double>() : 0.0,
            1.0 / (in.at("convective_W_per_m2K").get<double>() + in.at("radiative_W_per_m2K").get<double>())};
        out.surfaces.push_back({id, s.at("area_m2"), daily_response_factors(wall, films),
                                day_of(c.at("outside_temperature_of_surface_C").at(id)),
                                c.at("radiant_fraction_of_conduction").at(id)});
    }
    for (const json& g : c.at("gains"))
        out.gains.push_back({g.at("id"), day_of(g.at("gain_W")), g.at("radiant_fraction")});
    return out;
}

Outcome series_loads(const json& table, const json& group)
{
    Checker check{table};
    for (const json& c : group) {
        const Room room{c.at("room")};
        const std::size_t zone = room.zone(c.at("zone"));
        const json &expected = c.at("results"), &between = c.at("intermediate");
        const double largest = largest_of(day_of(expected.at("exact_load_W")));
        SeriesRoom by_hand = series_room(c, room);
        const auto series_of = [&](Losses losses) {
            by_hand.by_area = response_terms(room.model, zone, {Source::Kind::by_area, zone}, losses).equal_kind;
            by_hand.by_beam =
                response_terms(room.model, zone, {Source::Kind::face, room.surface(c.at("beam_falls_on"))}, losses)
                    .equal_kind;
        };
        const auto watts = [&](const std::string& what, const HourlyDay& got, const json& reference) {
            check.near(what, got, reference, "day_loads", largest);
        };
        series_of(Losses::none);
        check.near("by area", by_hand.by_area, between.at("nonsolar_series_without_losses"), "radiant_series");
        check.near("by beam", by_hand.by_beam, between.at("solar_series_without_losses"), "radiant_series");
        const SeriesLoad plain = series_load(by_hand);
        for (std::size_t i = 0; i < by_hand.surfaces.size(); ++i)
            watts("conduction", plain.conduction_W[i], between.at("conduction_gain_W").at(by_hand.surfaces[i].id));
        watts("outdoor air", plain.outdoor_air_W, between.at("infiltration_W"));
        watts("convective", plain.convective_W, between.at("convective_sum_W"));
        watts("radiant", plain.radiant_W, between.at("radiant_nonsolar_sum_W"));
        watts("delayed", plain.delayed_W, between.at("delayed_nonsolar_W"));
        watts("delayed beam", plain.delayed_beam_W, between.at("delayed_solar_W"));
        watts("load", plain.load_W, expected.at("series_load_W"));
        const json& peak = expected.at("series_peak");
        const std::size_t at = hour_of_peak(plain.load_W);
        check.near("peak", plain.load_W[at], peak.at("value_W"), "day_loads", largest);
        check.peak_hour("hour of peak", at, peak.at("hour"), day_of(expected.at("series_load_W")), 0.005 * largest);

        series_of(Losses::as_they_are);
        check.near("by area, losses", by_hand.by_area, between.at("nonsolar_series_with_losses"), "radiant_series");
        check.near("by beam, losses", by_hand.by_beam, between.at("solar_series_with_losses"), "radiant_series");
        const json& back = expected.at("share_of_radiation_that_comes_back");
        check.near("comes back", std::accumulate(by_hand.by_area.begin(), by_hand.by_area.end(), 0.0),
                   back.at("nonsolar"), "radiant_sums");
        check.near("comes back of beam", std::accumulate(by_hand.by_beam.begin(), by_hand.by_beam.end(), 0.0),
                   back.at("solar"), "radiant_sums");
        for (SeriesSurface& s : by_hand.surfaces) s.radiant_share = between.at("film_split_of_conduction").at(s.id);
        const SeriesLoad exact_split = series_load(by_hand);
        watts("load with losses", exact_split.load_W, expected.at("series_load_with_losses_and_film_split_W"));

        // one heat balance with everything at once, by the terms of each source
        HourlyDay exact{};
        const auto act = [&](const Source& source, const HourlyDay& signal) {
            const HourlyDay part = answer_of(response_terms(room.model, zone, source).equal_kind, signal);
            for (std::size_t h = 0; h < exact.size(); ++h) exact[h] += part[h];
        };
        for (const SeriesSurface& s : by_hand.surfaces) {
            HourlyDay warmer = s.beyond_C;
            for (double& t : warmer) t -= by_hand.set_point_C;
            act({Source::Kind::beyond, room.surface(s.id)}, warmer);
        }
        HourlyDay radiant = by_hand.diffuse_W, convective = plain.outdoor_air_W;
        for (const SeriesGain& g : by_hand.gains)
            for (std::size_t h = 0; h < radiant.size(); ++h) {
                radiant[h] += g.radiant_share * g.gain_W[h];
                convective[h] += (1.0 - g.radiant_share) * g.gain_W[h];
            }
        act({Source::Kind::by_area, zone}, radiant);
        act({Source::Kind::face, room.surface(c.at("beam_falls_on"))}, by_hand.beam_W);
        act({Source::Kind::into_air, zone}, convective);
        watts("exact", exact, expected.at("exact_load_W"));
        check.near("difference of peaks", 100.0 * (plain.load_W[at] / exact[hour_of_peak(exact)] - 1.0),
                   expected.at("peak_difference_percent"), "day_differences");
    }
    return check.compare.outcome();
}

AdmittanceRoom admittance_room(const json& c)
{
    AdmittanceRoom out{.environment_to_air_W_per_m2K = c.at("h_ae_W_m2K"),
                       .ventilation_W_per_K = c.at("ventilation_conductance_W_K"),
                       .outdoor_C = day_of(c.at("outdoor_air_temperature_C")),
                       .sun_W = day_of(c.at("solar_gain_absorbed_at_surfaces_W")),
                       .radiant_W = day_of(c.at("radiant_gain_to_environmental_node_W")),
                       .convective_W = day_of(c.at("convective_gain_to_air_W"))};
    const auto sunny = c.at("solar_falls_on").get<std::vector<std::string>>();
    for (const json& s : c.at("surfaces")) {
        const std::string id = s.at("id");
        AdmittanceSurface& surface = out.surfaces.emplace_back();
        surface = {.id = id,
                   .area_m2 = s.at("area_m2"),
                   .layers = layers_of(s.at("layers_inside_to_outside"), LayersFrom::inside),
                   .inside_m2K_per_W = s.at("Rsi_m2K_W"),
                   .sun_falls_on = std::ranges::find(sunny, id) != sunny.end()};
        if (s.at("far_side") != "outdoors") continue;
        surface.outside_m2K_per_W = s.at("Rse_m2K_W");
        surface.beyond_C = day_of(s.at("sol_air_temperature_C"));
    }
    return out;
}

void compare_surface(Checker& check, const SurfaceAnswers& got, const json& e)
{
    check.near("Y", std::abs(got.admittance), e.at("admittance_W_m2K"), "admittance_characteristics");
    check.near("lead of Y", lead_h(got.admittance), e.at("admittance_lead_h"), "lags");
    check.near("F", std::abs(got.surface_factor), e.at("surface_factor"), "admittance_characteristics");
    check.near("lag of F", lag_h(got.surface_factor), e.at("surface_factor_lag_h"), "lags");
    if (e.at("U_W_m2K").is_null()) return;
    check.near("U", got.u_W_per_m2K, e.at("U_W_m2K"), "admittance_characteristics");
    check.near("f", std::abs(got.decrement), e.at("decrement_factor"), "admittance_characteristics");
    check.near("lag of f", lag_h(got.decrement), e.at("decrement_lag_h"), "lags");
}

Outcome admittance(const json& table, const json& group)
{
    Checker check{table};
    for (const json& c : group) {
        const AdmittanceMethod method{admittance_room(c)};
        const json& e = c.at("results");
        for (std::size_t i = 0; i < method.surfaces.size(); ++i)
            compare_surface(check, method.surfaces[i], e.at("surfaces").at(i));
        for (const auto& [key, got] : {std::pair{"sum_A_m2", method.area_m2},
                                       {"sum_AU_W_K", method.sum_au_W_per_K},
                                       {"sum_AY_W_K", method.sum_ay_W_per_K},
                                       {"H_ae_W_K", method.to_air_W_per_K},
                                       {"C_v_W_K", method.ventilation_from_environment_W_per_K},
                                       {"F_a", method.convective_at_environment},
                                       {"F_au", method.of_mean_gain},
                                       {"F_ay", method.of_swing_gain}})
            check.near(key, got, e.at(key), "admittance_characteristics");
        check.near("F of sun", std::abs(method.sun_factor), e.at("solar_surface_factor"), "admittance_characteristics");
        check.near("lag of sun", lag_h(method.sun_factor), e.at("solar_surface_factor_lag_h"), "lags");
        if (e.contains("free_running") && !e.at("free_running").is_null()) {
            const json& free = e.at("free_running");
            const AdmittanceMethod::Floating got = method.floating();
            check.near("mean", got.mean_C, free.at("mean_environmental_temperature_C"), "admittance_temperatures");
            check.near("swing", got.swing_gain_W, free.at("swing_gain_W"), "admittance_loads");
            check.near("environment", got.environment_C, free.at("environmental_temperature_C"),
                       "admittance_temperatures");
            check.near("air", got.air_C, free.at("air_temperature_C"), "admittance_temperatures");
        }
        const json &environment = e.at("constant_environmental_temperature"), &air = e.at("constant_air_temperature");
        const AdmittanceMethod::Held held = method.environment_held(c.at("held_environmental_temperature_C"));
        check.near("gain", held.at_environment_W, environment.at("gain_at_environmental_node_W"), "admittance_loads");
        check.near("plant", held.cooling_W, environment.at("plant_cooling_W"), "admittance_loads");
        check.near("air beside", held.air_C, environment.at("air_temperature_C"), "admittance_temperatures");
        check.near("air held", method.air_held_W(c.at("held_air_temperature_C")), air.at("plant_cooling_W"),
                   "admittance_loads");
        const AdmittanceMethod::FirstHarmonic first = method.first_harmonic();
        const json& wave = e.at("first_harmonic_with_phases");
        check.near("amplitude", first.amplitude_K, wave.at("amplitude_K"), "admittance_temperatures");
        check.near("warmest", first.warmest_h, wave.at("time_of_maximum_h"), "lags");
        check.near("exact", method.exact_environment_C(),
                   e.at("exact_all_harmonics_for_comparison").at("environmental_temperature_C"), "exact_comparison");
    }
    return check.compare.outcome();
}

} // namespace

void add_load_methods(Answers& answers)
{
    const std::string topic = "methods for heating and cooling loads";
    answers[{topic, "conduction_time_series"}] = conduction;
    answers[{topic, "radiant_time_series"}] = radiant_series;
    answers[{topic, "rts_cooling_load"}] = series_loads;
    answers[{topic, "response_terms"}] = terms;
    answers[{topic, "admittance_method"}] = admittance;
    add_load_sums(answers, topic);
}

} // namespace venture::verify
