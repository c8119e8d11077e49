#include <venture/rating/coil_conductance.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/air/point.hpp>
#include <venture/air/root.hpp>
#include <venture/rating/exchanger.hpp>

namespace venture::rating {

namespace {

using air::latent_heat_of_vaporisation_J_per_kg;
using air::specific_heat_of_dry_air_J_per_kgK;
using air::specific_heat_of_vapour_J_per_kgK;
using quantity::Pressure;
using quantity::Temperature;

double moist_specific_heat(double humidity_ratio) { return air::heat_capacity_J_per_kgK(humidity_ratio); }
double vapour_enthalpy(double t_C)
{
    return latent_heat_of_vaporisation_J_per_kg + specific_heat_of_vapour_J_per_kgK * t_C;
}
double enthalpy(double t_C, double w) { return air::enthalpy_J_per_kg(air::Point{t_C, w}); }
double temperature_of(double h, double w)
{
    return (h - w * latent_heat_of_vaporisation_J_per_kg) / moist_specific_heat(w);
}
double saturated(double t_C, Pressure p) { return air::saturation_humidity_ratio(Temperature::celsius(t_C), p); }

/// Rise of saturated enthalpy for each kelvin of water, over the water's way.
double slope_of_saturation(double water_in_C, double water_out_C, Pressure p)
{
    const double apart = water_out_C - water_in_C;
    if (std::abs(apart) > 1e-3)
        return (saturated_enthalpy_J_per_kg(water_out_C, p) - saturated_enthalpy_J_per_kg(water_in_C, p)) / apart;
    return (saturated_enthalpy_J_per_kg(water_in_C + 5e-3, p) - saturated_enthalpy_J_per_kg(water_in_C - 5e-3, p)) /
           1e-2;
}

/// Where the line from the entering through the leaving state meets saturation, below the leaving state: degC.
double apparatus_dew_point(double h_in, double w_in, double h_out, double w_out, Pressure p)
{
    // Above saturation on the line the air could hold more than it does: there is room (positive). The first place
    // from the outlet on where there is none.
    const double dry_at = w_in > w_out ? w_out / (w_in - w_out) : 50.0; // there the line has no vapour left
    const auto room_at = [&](double beyond) {                           // 0 at the outlet; on along the line
        const double h = h_out - beyond * (h_in - h_out), w = w_out - beyond * (w_in - w_out);
        return saturated(temperature_of(h, w), p) - w;
    };
    double near = 0.0, far = 0.0;
    for (double step = 0.01; room_at(far) > 0.0; step *= 1.3) {
        near = far;
        far += step;
        if (far >= dry_at)
            throw quantity::Error{"the line from the entering through the leaving air never meets saturation: more "
                                  "latent than a coil can take"};
    }
    const double at = air::root_of_increasing([&](double x) { return -room_at(x); }, near, far);
    return temperature_of(h_out - at * (h_in - h_out), w_out - at * (w_in - w_out));
}

double checked_share(double share, const char* what)
{
    if (!(share > 0.0 && share < 1.0))
        throw quantity::Error{fmt::format("{} would take {:.3g} of all the heat there is to be had", what, share)};
    return share;
}

} // namespace

double saturated_enthalpy_J_per_kg(double t_C, Pressure p) { return enthalpy(t_C, saturated(t_C, p)); }

double saturation_temperature_C(double h, Pressure p)
{
    return air::root_of_increasing([&](double t) { return saturated_enthalpy_J_per_kg(t, p) - h; }, -60.0, 70.0);
}

CoilConductances CoilConductances::of(const CoilRating& rated, FlowExponents exponents)
{
    const CoilFlows& f = rated.flows;
    CoilConductances out;
    out.exponents_ = exponents;
    out.rated_air_kg_per_s_ = f.dry_air_kg_per_s;
    out.rated_water_kg_per_s_ = f.water_kg_per_s;
    const double cp = moist_specific_heat(f.humidity_ratio), air = f.dry_air_kg_per_s;
    const double latent_W = rated.total_W - rated.sensible_W;
    if (!(rated.sensible_W > 0.0) || latent_W < -1e-9 * rated.total_W)
        throw quantity::Error{"sensible capacity is nil or above total"};
    const double w_out = f.humidity_ratio - latent_W / (air * vapour_enthalpy(f.air_C));
    const double h_in = enthalpy(f.air_C, f.humidity_ratio), h_out = h_in - rated.total_W / air;
    const double out_C = temperature_of(h_out, w_out), water = f.water_kg_per_s * specific_heat_of_water_J_per_kgK;
    const double water_out_C = f.water_in_C + rated.total_W / water;
    if (out_C <= f.water_in_C)
        throw quantity::Error{
            fmt::format("air would leave at {:.1f} degC, colder than the water at {:.1f} degC", out_C, f.water_in_C)};
    if (w_out < 0.0 || w_out > saturated(out_C, f.pressure))
        throw quantity::Error{fmt::format("air would leave at {:.1f} degC with {:.1f} g/kg, more than it can hold",
                                          out_C, 1000.0 * w_out)};
    if (latent_W <= 1e-6 * rated.total_W) { // one conductance is all that it tells: shared as is usual
        const double smaller = std::min(air * cp, water), larger = std::max(air * cp, water);
        const double e = checked_share(rated.total_W / (smaller * (f.air_C - f.water_in_C)), "the rating");
        out.share_dry(counterflow_ntu(e, smaller / larger) * smaller, f);
        return out;
    }
    const double dew_point_C = apparatus_dew_point(h_in, f.humidity_ratio, h_out, w_out, f.pressure);
    const double h_adp = saturated_enthalpy_J_per_kg(dew_point_C, f.pressure);
    if (dew_point_C <= f.water_in_C)
        throw quantity::Error{fmt::format("its apparatus dew point of {:.1f} degC lies below the water at {:.1f} degC",
                                          dew_point_C, f.water_in_C)};
    const double bypass = checked_share((h_out - h_adp) / (h_in - h_adp), "the air side");
    const double ntu_air = -std::log(bypass);
    out.air_W_per_K_ = ntu_air * air * cp;
    const double cs = slope_of_saturation(f.water_in_C, water_out_C, f.pressure), ratio = air * cs / water;
    const double e = checked_share(
        rated.total_W / (air * (h_in - saturated_enthalpy_J_per_kg(f.water_in_C, f.pressure))), "the rating");
    const double inside = (1.0 - e * ratio) / (1.0 - e);
    if (!(inside > 0.0)) throw quantity::Error{"the water would have to leave warmer than the air comes"};
    const double ntu = std::abs(1.0 - ratio) < 1e-9 ? e / (1.0 - e) : std::log(inside) / (1.0 - ratio);
    const double water_resistance = 1.0 / ntu - 1.0 / ntu_air;
    if (!(water_resistance > 0.0))
        throw quantity::Error{"its latent share is larger than its total capacity allows: check total and sensible"};
    out.water_W_per_K_ = air * cs / water_resistance;
    return out;
}

void CoilConductances::share_dry(double ua_W_per_K, const CoilFlows& rated)
{
    constexpr double usual_air_share = 0.7; // of the resistance of finned coils; our assumption
    const auto give = [&](double air_share) {
        air_W_per_K_ = ua_W_per_K / air_share;
        water_W_per_K_ = ua_W_per_K / (1.0 - air_share);
    };
    give(usual_air_share);
    if (rated.humidity_ratio <= saturated(rated.water_in_C, rated.pressure)) return; // it could not be wet
    const auto is_dry = [&] { return wet(rated, sides(rated)).total_W <= dry(rated, sides(rated)).total_W; };
    if (is_dry()) return;
    // It was rated dry: its face was warmer than that, so the air has a smaller share.
    double low = 0.01, high = usual_air_share;
    for (int i = 0; i < 50; ++i) {
        const double middle = 0.5 * (low + high);
        give(middle);
        (is_dry() ? low : high) = middle;
    }
    give(low);
}

CoilConductances::Sides CoilConductances::sides(const CoilFlows& f) const
{
    return {air_side(f), water_side(f.water_kg_per_s)};
}

double CoilConductances::air_side(const CoilFlows& f) const
{
    return air_W_per_K_ * std::pow(f.dry_air_kg_per_s / rated_air_kg_per_s_, exponents_.air);
}

double CoilConductances::water_side(double water_kg_per_s) const
{
    return water_W_per_K_ * std::pow(water_kg_per_s / rated_water_kg_per_s_, exponents_.water);
}

CoilOutput CoilConductances::dry(const CoilFlows& f, const Sides& s) const
{
    const double ua = 1.0 / (1.0 / s.air_W_per_K + 1.0 / s.water_W_per_K);
    const double air = f.dry_air_kg_per_s * moist_specific_heat(f.humidity_ratio),
                 water = f.water_kg_per_s * specific_heat_of_water_J_per_kgK;
    const Exchange e = exchange(Arrangement::counter, ua, f.air_C, air, f.water_in_C, water);
    CoilOutput out;
    out.total_W = out.sensible_W = e.heat_W;
    out.dry = true;
    out.air_out_C = e.hot_out_C;
    out.humidity_ratio_out = f.humidity_ratio;
    out.water_out_C = e.cold_out_C;
    out.water_kg_per_s = f.water_kg_per_s;
    return out;
}

namespace {

/// Enthalpy that air has above air that the entering water would saturate, J/kg: what there is to be had.
double enthalpy_above_water(const CoilFlows& f)
{
    return enthalpy(f.air_C, f.humidity_ratio) - saturated_enthalpy_J_per_kg(f.water_in_C, f.pressure);
}

/// What a wet coil takes, by enthalpy.
/// @param cs  slope of saturated enthalpy over the water's way   @param above  enthalpy_above_water()
double wet_total_W(const CoilFlows& f, double ntu_air, double water_side_W_per_K, double cs, double above)
{
    const double air = f.dry_air_kg_per_s, water = f.water_kg_per_s * specific_heat_of_water_J_per_kgK;
    const double ratio = air * cs / water, ntu = 1.0 / (1.0 / ntu_air + air * cs / water_side_W_per_K);
    const double left = std::exp(-ntu * (1.0 - ratio));
    const double e = std::abs(1.0 - ratio) < 1e-9 ? ntu / (1.0 + ntu) : (1.0 - left) / (1.0 - ratio * left);
    return e * air * above;
}

double transfer_units_of_air(const CoilFlows& f, double air_side_W_per_K)
{
    return air_side_W_per_K / (f.dry_air_kg_per_s * moist_specific_heat(f.humidity_ratio));
}

} // namespace

CoilOutput CoilConductances::wetted(const CoilFlows& f, double ntu_air, double total_W)
{
    CoilOutput out;
    const double air = f.dry_air_kg_per_s, h_in = enthalpy(f.air_C, f.humidity_ratio);
    out.total_W = total_W;
    out.water_kg_per_s = f.water_kg_per_s;
    out.water_out_C = f.water_in_C + total_W / (f.water_kg_per_s * specific_heat_of_water_J_per_kgK);
    out.bypass_factor = std::exp(-ntu_air);
    const double h_out = h_in - out.total_W / air, h_adp = h_in - (h_in - h_out) / (1.0 - out.bypass_factor);
    // Above the water that comes and below the air: looked for there, since each look costs.
    out.apparatus_dew_point_C = air::root_of_increasing(
        [&](double t) { return saturated_enthalpy_J_per_kg(t, f.pressure) - h_adp; }, f.water_in_C, f.air_C);
    const double w_adp = saturated(out.apparatus_dew_point_C, f.pressure);
    out.humidity_ratio_out = w_adp + out.bypass_factor * (f.humidity_ratio - w_adp);
    out.air_out_C = temperature_of(h_out, out.humidity_ratio_out);
    if (out.humidity_ratio_out > saturated(out.air_out_C, f.pressure)) { // of nearly saturated air the line crosses
        out.air_out_C = saturation_temperature_C(h_out, f.pressure);
        out.humidity_ratio_out = saturated(out.air_out_C, f.pressure);
    }
    out.condensate_kg_per_s = air * (f.humidity_ratio - out.humidity_ratio_out);
    out.sensible_W = out.total_W - out.condensate_kg_per_s * vapour_enthalpy(f.air_C);
    return out;
}

CoilOutput CoilConductances::wet(const CoilFlows& f, const Sides& s) const
{
    const double water = f.water_kg_per_s * specific_heat_of_water_J_per_kgK;
    const double ntu_air = transfer_units_of_air(f, s.air_W_per_K), above = enthalpy_above_water(f);
    const auto total_with = [&](double water_out_C) {
        return wet_total_W(f, ntu_air, s.water_W_per_K, slope_of_saturation(f.water_in_C, water_out_C, f.pressure),
                           above);
    };
    // The warmer the water leaves, the steeper saturation and the less is taken: one root, and below the air that comes.
    const double out_C = air::root_of_increasing([&](double t) { return t - f.water_in_C - total_with(t) / water; },
                                                 f.water_in_C, f.air_C);
    return wetted(f, ntu_air, water * (out_C - f.water_in_C));
}

bool CoilConductances::can_be_wet(const CoilFlows& f) const
{
    return f.humidity_ratio > saturated(f.water_in_C, f.pressure);
}

std::variant<CoilOutput, Refusal> CoilConductances::cools(const CoilFlows& f) const
{
    if (!(f.dry_air_kg_per_s > 0.0)) return Refusal{Refusal::Why::too_little_air, At::air_flow, f.dry_air_kg_per_s};
    if (!(f.water_in_C < f.air_C))
        return Refusal{Refusal::Why::no_difference, At::water_supply, f.water_in_C, {f.air_C, f.air_C}};
    const Sides s = sides(f);
    CoilOutput out = dry(f, s);
    if (!can_be_wet(f)) return out;
    const CoilOutput other = wet(f, s);
    return other.total_W > out.total_W && other.condensate_kg_per_s > 0.0 ? other : out;
}

template <class Total>
std::optional<double> CoilConductances::flow_meeting(CoilFlows f, double rise_K, Total total_W) const
{
    constexpr double most_times = 50.0; // of the rated flow
    // The more water, the less it warms.
    const auto too_small_rise = [&](double log_flow) {
        f.water_kg_per_s = std::exp(log_flow);
        return rise_K - total_W(f) / (f.water_kg_per_s * specific_heat_of_water_J_per_kgK);
    };
    const double least = std::log(rated_water_kg_per_s_ / most_times),
                 most = std::log(rated_water_kg_per_s_ * most_times);
    if (too_small_rise(least) > 0.0 || too_small_rise(most) < 0.0) return std::nullopt;
    return std::exp(air::root_of_increasing(too_small_rise, least, most));
}

std::variant<CoilOutput, Refusal> CoilConductances::cools_to(CoilFlows f, double water_out_C, CoilFace face) const
{
    if (!(f.dry_air_kg_per_s > 0.0)) return Refusal{Refusal::Why::too_little_air, At::air_flow, f.dry_air_kg_per_s};
    if (!(f.water_in_C < f.air_C))
        return Refusal{Refusal::Why::no_difference, At::water_supply, f.water_in_C, {f.air_C, f.air_C}};
    const quantity::Range allowed{f.water_in_C, f.air_C};
    if (!(water_out_C > f.water_in_C && water_out_C < f.air_C))
        return Refusal{Refusal::Why::outside, At::water_return, water_out_C, allowed};
    const double rise_K = water_out_C - f.water_in_C;
    const double air_W_per_K = air_side(f);
    const auto sides_at = [&](const CoilFlows& at) { return Sides{air_W_per_K, water_side(at.water_kg_per_s)}; };
    std::optional<CoilOutput> out;
    if (const auto flow = flow_meeting(f, rise_K, [&](const CoilFlows& at) { return dry(at, sides_at(at)).total_W; })) {
        f.water_kg_per_s = *flow;
        out = dry(f, sides_at(f));
    }
    if (face != CoilFace::dry && can_be_wet(f)) {
        const double cs = slope_of_saturation(f.water_in_C, water_out_C, f.pressure), above = enthalpy_above_water(f);
        const double ntu_air = transfer_units_of_air(f, air_W_per_K);
        const auto total_W = [&](const CoilFlows& at) {
            return wet_total_W(at, ntu_air, water_side(at.water_kg_per_s), cs, above);
        };
        if (const auto flow = flow_meeting(f, rise_K, total_W)) {
            f.water_kg_per_s = *flow;
            const CoilOutput other = wetted(f, ntu_air, total_W(f));
            if (other.condensate_kg_per_s > 0.0 && (face == CoilFace::wet || !out || other.total_W > out->total_W))
                out = other;
        }
    }
    if (!out) return Refusal{Refusal::Why::outside, At::water_return, water_out_C, allowed};
    return *out;
}

std::variant<CoilOutput, Refusal> CoilConductances::heats(const CoilFlows& f) const
{
    if (!(f.dry_air_kg_per_s > 0.0)) return Refusal{Refusal::Why::too_little_air, At::air_flow, f.dry_air_kg_per_s};
    if (!(f.water_in_C > f.air_C))
        return Refusal{Refusal::Why::no_difference, At::water_supply, f.water_in_C, {f.air_C, f.air_C}};
    CoilOutput out = dry(f, sides(f)); // the other way round
    out.total_W = out.sensible_W = -out.total_W;
    return out;
}

CoilOutput heats_by_one_conductance(const HeatingRating& rated, double air_share, FlowExponents exponents,
                                    const CoilFlows& flows)
{
    const double rated_air = rated.dry_air_kg_per_s * specific_heat_of_dry_air_J_per_kgK,
                 rated_water = rated.water_kg_per_s * specific_heat_of_water_J_per_kgK;
    const auto [smaller, larger] = std::minmax(rated_air, rated_water);
    const double e = checked_share(rated.heating_W / (smaller * (rated.water_in_C - rated.air_in_C)), "the rating");
    const double ua = counterflow_ntu(e, smaller / larger) * smaller;
    const double resistance =
        (air_share * std::pow(flows.dry_air_kg_per_s / rated.dry_air_kg_per_s, -exponents.air) +
         (1.0 - air_share) * std::pow(flows.water_kg_per_s / rated.water_kg_per_s, -exponents.water)) /
        ua;
    const Exchange now = exchange(Arrangement::counter, 1.0 / resistance, flows.water_in_C,
                                  flows.water_kg_per_s * specific_heat_of_water_J_per_kgK, flows.air_C,
                                  flows.dry_air_kg_per_s * specific_heat_of_dry_air_J_per_kgK);
    CoilOutput out;
    out.total_W = out.sensible_W = now.heat_W;
    out.dry = true;
    out.air_out_C = now.cold_out_C;
    out.water_out_C = now.hot_out_C;
    out.humidity_ratio_out = flows.humidity_ratio;
    return out;
}

} // namespace venture::rating
