#include <venture/loads/response_terms.hpp>

#include <algorithm>
#include <cmath>

#include <venture/balance/periodic_day.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

using balance::SignalId;
using balance::ThermalModel;

namespace {

constexpr double pulse = 1000.0; ///< W or K: large beside the accuracy to which a day is periodic
constexpr std::size_t hours = 24;

/// Everything at nil, zones held there by their air.
void silence(ThermalModel& m)
{
    for (balance::Signal& s : m.signals)
        if (s.forcing != balance::Forcing::coefficient) s = {.start = {0.0}, .level = true, .forcing = s.forcing};
    const SignalId nil = m.add_constant(0.0);
    m.bodies.clear();
    for (balance::Zone& zone : m.zones) {
        const bool held = zone.heat_below_C || zone.cool_above_C || zone.follows;
        zone.heat_below_C = zone.cool_above_C = held ? std::optional{nil} : std::nullopt;
        zone.most_heating_W = zone.most_cooling_W = std::nullopt;
        zone.dry_above_kg_per_kg = zone.dry_above_relative = std::nullopt;
        zone.follows = std::nullopt;
        zone.radiant_weight = 0.0;
        zone.convective_share = 1.0;
        zone.plane_shares.clear();
        if (held) zone.thermal_bridges_W_per_K += 1.0; // carries nothing, and leaves no room without a temperature
    }
    for (balance::Surface& s : m.surfaces)
        for (balance::Face* face : {&s.outside, &s.inside})
            if (auto* in = std::get_if<balance::ZoneFace>(face)) in->air_warmer_K = 0.0;
}

bool looks_into(const balance::Face& face, std::size_t zone)
{
    const auto* in = std::get_if<balance::ZoneFace>(&face);
    return in != nullptr && in->zone == zone;
}

/// The face of a surface that looks into the zone; of one between others, its inside.
balance::Face& near_face(balance::Surface& s, std::size_t zone)
{
    return looks_into(s.outside, zone) && !looks_into(s.inside, zone) ? s.outside : s.inside;
}
balance::Face& far_face(balance::Surface& s, std::size_t zone)
{
    return &near_face(s, zone) == &s.inside ? s.outside : s.inside;
}

void take_up(balance::Face& face, SignalId signal)
{
    if (auto* in = std::get_if<balance::ZoneFace>(&face))
        in->absorbed_W = {{signal, 1.0}};
    else if (auto* out = std::get_if<balance::OutdoorFace>(&face))
        out->absorbed_W = {{signal, 1.0}};
    else
        throw quantity::Error{"response_terms: a face that takes up heat must look into a zone or outdoors"};
}

void put(ThermalModel& m, std::size_t zone, const Source& source, SignalId signal)
{
    switch (source.kind) {
    case Source::Kind::beyond: {
        balance::Face& far = far_face(m.surfaces.at(source.index), zone);
        if (auto* out = std::get_if<balance::OutdoorFace>(&far))
            out->environment_C = signal;
        else if (auto* fixed = std::get_if<balance::FixedFace>(&far))
            fixed->temperature_C = signal;
        else
            throw quantity::Error{"response_terms: nothing of a temperature lies beyond '" +
                                  m.surfaces[source.index].id + "'"};
        return;
    }
    case Source::Kind::face:
        return take_up(near_face(m.surfaces.at(source.index), zone), signal);
    case Source::Kind::far_face:
        return take_up(far_face(m.surfaces.at(source.index), zone), signal);
    case Source::Kind::by_area:
        m.zones.at(source.index).radiant_gain_W = {{signal, 1.0}};
        return;
    case Source::Kind::into_air:
        m.zones.at(source.index).convective_gain_W = {{signal, 1.0}};
        return;
    case Source::Kind::set_point:
        m.zones.at(source.index).heat_below_C = m.zones.at(source.index).cool_above_C = signal;
        return;
    }
}

void insulate(ThermalModel& m)
{
    for (balance::Surface& s : m.surfaces)
        for (balance::Face* face : {&s.outside, &s.inside})
            if (!std::holds_alternative<balance::ZoneFace>(*face)) *face = balance::InsulatedFace{};
}

} // namespace

ResponseTerms immediate_terms(double load_per_unit)
{
    ResponseTerms out;
    out.equal_kind.front() = load_per_unit;
    out.straight_to_mean.front() = out.straight_to_mean.back() = 0.5 * load_per_unit;
    return out;
}

ResponseTerms response_terms(const ThermalModel& model, std::size_t zone, const Source& source, Losses losses)
{
    if (source.kind == Source::Kind::into_air && source.index == zone) return immediate_terms(1.0);
    VENTURE_ASSERT(std::lround(static_cast<double>(model.steps) * model.step_s) == 86400);
    ThermalModel m = model;
    silence(m);
    if (losses == Losses::none) insulate(m);
    std::vector<double> triangle(hours, 0.0);
    triangle.front() = pulse;
    put(m, zone, source, m.add_points(triangle));
    const std::size_t per_hour = m.steps / hours;
    ResponseTerms out;
    const balance::PeriodicDay day = run_periodic_day(m, {}, [&](std::size_t step, const balance::StepResult& r) {
        const balance::ZoneStep& z = r.zones[zone];
        const std::size_t hour = step / per_hour;
        out.straight_to_mean[hour] += (z.cooling_W - z.heating_W) / (pulse * static_cast<double>(per_hour));
        if ((step + 1) % per_hour == 0) out.equal_kind[(hour + 1) % hours] = -z.load_end_W / pulse;
    });
    if (!day.converged) throw quantity::Error{"response_terms: the day did not become periodic"};
    return out;
}

} // namespace venture::loads
