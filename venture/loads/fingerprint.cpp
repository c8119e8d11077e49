#include <venture/loads/fingerprint.hpp>

namespace venture::loads::detail {

namespace {

void add_drives(Fingerprint& f, const Drives& drives)
{
    for (const Drive& d : drives) {
        f.add_bits(d.signal.index);
        f.add(d.factor);
    }
}

void add_face(Fingerprint& f, const Face& face)
{
    f.add_bits(face.index());
    if (const auto* z = std::get_if<ZoneFace>(&face)) {
        f.add_bits(z->zone);
        f.add_bits(z->natural ? 1U : 0U);
        f.add(z->air_warmer_K);
        f.add(z->convective_W_per_m2K);
        f.add(z->radiative_W_per_m2K);
        add_drives(f, z->absorbed_W);
    } else if (const auto* o = std::get_if<OutdoorFace>(&face)) {
        f.add_bits(o->environment_C.index);
        f.add(o->film_W_per_m2K);
        f.add_bits(o->film_by_step ? o->film_by_step->index : ~0ULL);
        add_drives(f, o->absorbed_W);
        if (o->long_wave)
            for (const double v : {o->long_wave->emissivity, o->long_wave->sky_share}) f.add(v);
    } else if (const auto* t = std::get_if<FixedFace>(&face)) {
        f.add_bits(t->temperature_C.index);
        f.add(t->film_W_per_m2K.value_or(-1.0));
    }
}

} // namespace

std::uint64_t fingerprint_of(const ThermalModel& m)
{
    Fingerprint f;
    f.add(m.step_s);
    for (const Signal& s : m.signals)
        for (const auto* values : {&s.start, &s.end})
            for (const double v : *values) f.add(v);
    for (const fabric::WallModes& w : m.walls) {
        for (const auto* values : {&w.rate_per_s, &w.b1, &w.b2})
            for (const double v : *values) f.add(v);
        for (const double d : {w.d11, w.d12, w.d22}) f.add(d);
    }
    for (const Surface& s : m.surfaces) {
        f.add(s.area_m2);
        f.add_bits(s.wall);
        add_face(f, s.outside);
        add_face(f, s.inside);
    }
    for (const Zone& z : m.zones) {
        for (const double v : {z.air_capacity_J_per_K, z.dry_air_kg, z.moisture_buffer, z.thermal_bridges_W_per_K,
                               z.radiant_weight, z.convective_share})
            f.add(v);
        for (const Drives* drives : {&z.infiltration_kg_per_s, &z.ventilation_kg_per_s, &z.convective_gain_W,
                                     &z.radiant_gain_W, &z.moisture_gain_kg_per_s})
            add_drives(f, *drives);
        for (const auto& setpoint : {z.heat_below_C, z.cool_above_C, z.dry_above_kg_per_kg})
            f.add_bits(setpoint ? setpoint->index : ~0ULL);
    }
    return f.value();
}

} // namespace venture::loads::detail
