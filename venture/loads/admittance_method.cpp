#include <venture/loads/admittance_method.hpp>

#include <algorithm>
#include <numbers>

#include <venture/fabric/two_port.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

using Complex = std::complex<double>;

namespace {

constexpr double turn = 2.0 * std::numbers::pi;
constexpr int hours = 24;

/// At the nth harmonic of a day; nil is the steady state.
SurfaceAnswers answers_of(const AdmittanceSurface& s, int n)
{
    SurfaceAnswers out;
    const fabric::Films films{s.outside_m2K_per_W.value_or(0.0), s.inside_m2K_per_W};
    const fabric::TwoPort wave = two_port(s.layers, {0.0, turn * n / 86400.0}, films);
    if (s.outside_m2K_per_W) {
        out.u_W_per_m2K = 1.0 / (films.outside_m2K_per_W + resistance(s.layers) + films.inside_m2K_per_W);
        out.admittance = wave.at_end_2();
        out.decrement = wave.t / out.u_W_per_m2K;
    } else { // nothing flows at end 1: what is stored alone
        out.admittance = n == 0 ? Complex{} : wave.b + wave.t * wave.a / (wave.a + wave.t);
    }
    out.surface_factor = 1.0 - s.inside_m2K_per_W * out.admittance;
    return out;
}

/// Amplitude of the mth harmonic of hourly values, as a share of e^(+i w t).
Complex amplitude_of(const HourlyDay& day, int m)
{
    Complex sum{};
    for (int h = 0; h < hours; ++h) sum += day[static_cast<std::size_t>(h)] * std::polar(1.0, -turn * m * h / hours);
    return sum / static_cast<double>(hours);
}

HourlyDay swing_of(const HourlyDay& day)
{
    HourlyDay out = day;
    const double mean = mean_of(day);
    for (double& x : out) x -= mean;
    return out;
}

} // namespace

double lead_h(Complex answer) { return std::arg(answer) * hours / turn; }
double lag_h(Complex answer)
{
    const double lag = -lead_h(answer);
    return lag < 0.0 ? lag + hours : lag;
}

AdmittanceMethod::AdmittanceMethod(AdmittanceRoom room) : room_{std::move(room)}
{
    constexpr const char* where = "admittance method";
    quantity::check_range(where, "environment to air", room_.environment_to_air_W_per_m2K, {0.01, 100.0}, "W/m2K");
    quantity::check_range(where, "ventilation", room_.ventilation_W_per_K, {0.0, 1e9}, "W/K");
    double sun_area_m2 = 0.0;
    for (const AdmittanceSurface& s : room_.surfaces) {
        quantity::check_range("surface '" + s.id + "'", "area", s.area_m2, {0.0, 1e7}, "m2");
        quantity::check_range("surface '" + s.id + "'", "inside film", s.inside_m2K_per_W, {1e-3, 10.0}, "m2K/W");
        const SurfaceAnswers& a = surfaces.emplace_back(answers_of(s, 1));
        area_m2 += s.area_m2;
        sum_au_W_per_K += s.area_m2 * a.u_W_per_m2K;
        sum_ay_W_per_K += s.area_m2 * std::abs(a.admittance);
        if (!s.sun_falls_on) continue;
        sun_area_m2 += s.area_m2;
        sun_factor += s.area_m2 * a.surface_factor;
    }
    quantity::check_range(where, "area of all surfaces", area_m2, {1e-6, 1e9}, "m2");
    if (sun_area_m2 > 0.0) sun_factor /= sun_area_m2;
    to_air_W_per_K = room_.environment_to_air_W_per_m2K * area_m2;
    const double air = room_.ventilation_W_per_K + to_air_W_per_K;
    ventilation_from_environment_W_per_K = room_.ventilation_W_per_K * to_air_W_per_K / air;
    convective_at_environment = to_air_W_per_K / air;
    of_mean_gain = to_air_W_per_K / (to_air_W_per_K + sum_au_W_per_K);
    of_swing_gain = to_air_W_per_K / (to_air_W_per_K + sum_ay_W_per_K);
}

HourlyDay AdmittanceMethod::delayed_conduction_W() const
{
    HourlyDay out{};
    for (std::size_t i = 0; i < surfaces.size(); ++i) {
        const SurfaceAnswers& a = surfaces[i];
        if (a.u_W_per_m2K <= 0.0) continue;
        const HourlyDay swing = swing_of(room_.surfaces[i].beyond_C);
        const double per_K = room_.surfaces[i].area_m2 * a.u_W_per_m2K * std::abs(a.decrement),
                     lag = lag_h(a.decrement);
        for (std::size_t h = 0; h < out.size(); ++h) out[h] += per_K * value_at(swing, static_cast<double>(h) - lag);
    }
    return out;
}

HourlyDay AdmittanceMethod::delayed_sun_W() const
{
    HourlyDay out{};
    const HourlyDay swing = swing_of(room_.sun_W);
    const double lag = lag_h(sun_factor);
    for (std::size_t h = 0; h < out.size(); ++h)
        out[h] = std::abs(sun_factor) * value_at(swing, static_cast<double>(h) - lag);
    return out;
}

double AdmittanceMethod::mean_conductance_W_per_K_C() const
{
    double sum = 0.0;
    for (std::size_t i = 0; i < surfaces.size(); ++i)
        sum += room_.surfaces[i].area_m2 * surfaces[i].u_W_per_m2K * mean_of(room_.surfaces[i].beyond_C);
    return sum;
}

AdmittanceMethod::Floating AdmittanceMethod::floating() const
{
    Floating out;
    const AdmittanceRoom& r = room_;
    const double mean_gain =
                     mean_of(r.sun_W) + mean_of(r.radiant_W) + convective_at_environment * mean_of(r.convective_W),
                 through_air = ventilation_from_environment_W_per_K, lost = sum_au_W_per_K + through_air;
    quantity::check_range("admittance method", "losses of a room that floats", lost, {1e-9, 1e9}, "W/K");
    out.mean_C = (mean_conductance_W_per_K_C() + through_air * mean_of(r.outdoor_C) + mean_gain) / lost;
    const HourlyDay conduction = delayed_conduction_W(), sun = delayed_sun_W(), outdoor = swing_of(r.outdoor_C),
                    radiant = swing_of(r.radiant_W), convective = swing_of(r.convective_W);
    for (std::size_t h = 0; h < conduction.size(); ++h) {
        out.swing_gain_W[h] =
            conduction[h] + through_air * outdoor[h] + sun[h] + radiant[h] + convective_at_environment * convective[h];
        out.environment_C[h] = out.mean_C + out.swing_gain_W[h] / (sum_ay_W_per_K + through_air);
        out.air_C[h] =
            (r.ventilation_W_per_K * r.outdoor_C[h] + to_air_W_per_K * out.environment_C[h] + r.convective_W[h]) /
            (r.ventilation_W_per_K + to_air_W_per_K);
    }
    return out;
}

AdmittanceMethod::Held AdmittanceMethod::environment_held(double at_C) const
{
    Held out;
    const AdmittanceRoom& r = room_;
    const HourlyDay conduction = delayed_conduction_W(), sun = delayed_sun_W();
    const double mean = mean_conductance_W_per_K_C() - sum_au_W_per_K * at_C + mean_of(r.sun_W);
    for (std::size_t h = 0; h < conduction.size(); ++h) {
        const double g = out.at_environment_W[h] = mean + conduction[h] + sun[h] + r.radiant_W[h];
        out.cooling_W[h] = (1.0 + r.ventilation_W_per_K / to_air_W_per_K) * g +
                           r.ventilation_W_per_K * (r.outdoor_C[h] - at_C) + r.convective_W[h];
        out.air_C[h] = at_C - g / to_air_W_per_K;
    }
    return out;
}

HourlyDay AdmittanceMethod::air_held_W(double at_C) const
{
    HourlyDay out{};
    const AdmittanceRoom& r = room_;
    const HourlyDay conduction = delayed_conduction_W(), sun = delayed_sun_W(), radiant = swing_of(r.radiant_W);
    const double mean = mean_conductance_W_per_K_C() - sum_au_W_per_K * at_C + mean_of(r.sun_W) + mean_of(r.radiant_W);
    for (std::size_t h = 0; h < out.size(); ++h)
        out[h] = r.ventilation_W_per_K * (r.outdoor_C[h] - at_C) + r.convective_W[h] + of_mean_gain * mean +
                 of_swing_gain * (conduction[h] + sun[h] + radiant[h]);
    return out;
}

AdmittanceMethod::FirstHarmonic AdmittanceMethod::first_harmonic() const
{
    const AdmittanceRoom& r = room_;
    Complex gain = ventilation_from_environment_W_per_K * amplitude_of(r.outdoor_C, 1) +
                   sun_factor * amplitude_of(r.sun_W, 1) + amplitude_of(r.radiant_W, 1) +
                   convective_at_environment * amplitude_of(r.convective_W, 1),
            lost = ventilation_from_environment_W_per_K;
    for (std::size_t i = 0; i < surfaces.size(); ++i) {
        const SurfaceAnswers& a = surfaces[i];
        gain += r.surfaces[i].area_m2 * a.u_W_per_m2K * a.decrement * amplitude_of(r.surfaces[i].beyond_C, 1);
        lost += r.surfaces[i].area_m2 * a.admittance;
    }
    const Complex swing = 2.0 * gain / lost;
    return {std::abs(swing), lag_h(swing)};
}

HourlyDay AdmittanceMethod::exact_environment_C() const
{
    constexpr int aliases = 200; // what is beyond falls as the square of the harmonic
    const AdmittanceRoom& r = room_;
    double sun_area_m2 = 0.0;
    for (const AdmittanceSurface& s : r.surfaces) sun_area_m2 += s.sun_falls_on ? s.area_m2 : 0.0;
    const auto environment = [&](int n, int m) { // a harmonic n that the hourly values show as m
        Complex gain = ventilation_from_environment_W_per_K * amplitude_of(r.outdoor_C, m) +
                       amplitude_of(r.radiant_W, m) + convective_at_environment * amplitude_of(r.convective_W, m),
                lost = ventilation_from_environment_W_per_K;
        for (const AdmittanceSurface& s : r.surfaces) {
            const SurfaceAnswers a = answers_of(s, n);
            gain += s.area_m2 * a.u_W_per_m2K * a.decrement * amplitude_of(s.beyond_C, m);
            if (s.sun_falls_on) gain += s.area_m2 / sun_area_m2 * a.surface_factor * amplitude_of(r.sun_W, m);
            lost += s.area_m2 * a.admittance;
        }
        return gain / lost;
    };
    std::array<Complex, hours> by_harmonic{};
    by_harmonic[0] = environment(0, 0);
    for (int m = 1; m < hours; ++m)
        for (int k = -aliases; k < aliases; ++k) {
            const int n = m + hours * k;
            const double w = std::sin(std::numbers::pi * n / hours) / (std::numbers::pi * n / hours);
            by_harmonic[static_cast<std::size_t>(m)] +=
                w * w * (n > 0 ? environment(n, m) : std::conj(environment(-n, hours - m)));
        }
    HourlyDay out{};
    for (int h = 0; h < hours; ++h)
        for (int m = 0; m < hours; ++m)
            out[static_cast<std::size_t>(h)] +=
                (by_harmonic[static_cast<std::size_t>(m)] * std::polar(1.0, turn * m * h / hours)).real();
    return out;
}

} // namespace venture::loads
