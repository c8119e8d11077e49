/// Tables of glazing and of walls under daily waves.

#include <venture/fabric/glass_u_value.hpp>
#include <venture/fabric/panes.hpp>
#include <venture/fabric/periodic.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace fabric; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

constexpr double deg = 0.017453292519943295;

/// A pane that the table describes in its group of single ones.
ClearPane pane_called(const json& table, const std::string& name)
{
    for (const json& c : table.at("single_pane"))
        if (c.at("name") == name) return {c.at("thickness_m"), c.at("refractive_index"), c.at("extinction_1_m")};
    throw std::runtime_error{"no pane: " + name};
}

/// Panes of a glazing, outermost first, and what share of their heat flows inwards.
struct Glazed {
    std::vector<ClearPane> panes{};
    std::vector<double> inward{};
};

Glazed double_glazing(const json& table, const json& c)
{
    return {{pane_called(table, c.at("outer_pane")), pane_called(table, c.at("inner_pane"))},
            {c.at("inward_flowing_fraction_outer"), c.at("inward_flowing_fraction_inner")}};
}

void compare_optics(Comparison& compare, const json& expected, const StackOptics& got, double gain,
                    const std::string& tolerance)
{
    compare.value("transmittance", got.transmittance, expected.at("transmittance"), tolerance);
    compare.value("reflectance", got.reflectance, expected.at("reflectance"), tolerance);
    if (expected.contains("absorptance"))
        compare.value("absorptance", got.absorptance.at(0), expected.at("absorptance"), tolerance);
    if (expected.contains("absorptance_outer")) {
        compare.value("absorptance outside", got.absorptance.at(0), expected.at("absorptance_outer"), tolerance);
        compare.value("absorptance inside", got.absorptance.at(1), expected.at("absorptance_inner"), tolerance);
    }
    compare.value("solar gain", gain, expected.at("solar_gain_coefficient"), tolerance);
}

void compare_glazing(Comparison& compare, const json& c, const Glazed& glazed)
{
    for (const json& at : c.at("angles")) {
        const StackOptics got = stack_optics(glazed.panes, std::cos(at.at("incidence_deg").get<double>() * deg));
        compare_optics(compare, at, got, solar_gain_share(got, glazed.inward), "optics");
    }
    const StackOptics all = hemispherical_optics(glazed.panes);
    compare_optics(compare, c.at("hemispherical"), all, solar_gain_share(all, glazed.inward), "hemispherical");
}

Outcome single_panes(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group)
        compare_glazing(compare, c, {{pane_called(table, c.at("name"))}, {c.at("inward_flowing_fraction")}});
    return compare.outcome();
}

Outcome double_panes(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) compare_glazing(compare, c, double_glazing(table, c));
    return compare.outcome();
}

Outcome solar_gains(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        std::optional<Glazed> glazed;
        for (const json& d : table.at("double_pane"))
            if (d.at("name") == c.at("glazing")) glazed = double_glazing(table, d);
        if (!glazed) glazed = Glazed{{pane_called(table, c.at("glazing"))}, {}};
        const double cosine = std::cos(c.at("incidence_deg").get<double>() * deg), area = c.at("area_m2");
        const auto share = [&](const StackOptics& optics) { return solar_gain_share(optics, glazed->inward); };
        const double beam = c.at("beam_normal_W_m2").get<double>() * cosine * area *
                            c.at("sunlit_fraction").get<double>() * share(stack_optics(glazed->panes, cosine));
        const double diffuse = (c.at("sky_diffuse_on_surface_W_m2").get<double>() +
                                c.at("ground_reflected_on_surface_W_m2").get<double>()) *
                               area * share(hemispherical_optics(glazed->panes));
        compare.value("beam", beam, c.at("beam_gain_W"), "solar_gain_W");
        compare.value("diffuse", diffuse, c.at("diffuse_gain_W"), "solar_gain_W");
        compare.value("total", beam + diffuse, c.at("total_solar_gain_W"), "solar_gain_W");
    }
    return compare.outcome();
}

Gas gas_called(const std::string& name)
{
    if (name == "air") return Gas::air;
    if (name == "argon") return Gas::argon;
    if (name == "krypton") return Gas::krypton;
    throw std::runtime_error{"no gas: " + name};
}

Outcome glazing_u_values(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        GlassBuildup glass{.glass_conductivity_W_per_mK = c.at("glass_conductivity_W_mK")};
        for (const double mm : c.at("pane_thickness_mm")) glass.pane_thickness_m.push_back(mm / 1000.0);
        for (const json& gap : c.at("gaps"))
            glass.gaps.push_back(
                {gap.at("width_m"), gas_called(gap.at("gas")), gap.at("emissivity_1"), gap.at("emissivity_2")});
        const GlassUValue got = glass_u_value(glass, c.at("he_W_m2K"), c.at("hi_W_m2K"));
        compare.value("U", got.u_value_W_per_m2K, c.at("U_W_m2K"), "U_glazing");
    }
    return compare.outcome();
}

Outcome periodic_walls(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const Buildup wall = layers_of(c.at("layers_inside_to_outside"), LayersFrom::inside);
        const Films films{c.at("Rse_m2K_W"), c.at("Rsi_m2K_W")};
        const PeriodicProperties p = periodic_properties(wall, films);
        const auto check = [&](const char* key, double got) { compare.value(key, got, c.at(key), "iso13786"); };
        check("U_W_m2K", p.u_value_W_per_m2K);
        check("periodic_transmittance_W_m2K", p.transmittance.size);
        check("decrement_factor", p.decrement_factor);
        compare.value("time lag", p.transmittance.delay_h, c.at("time_lag_h"), "time_lag_h");
        check("admittance_inside_W_m2K", p.admittance_inside.size);
        check("admittance_outside_W_m2K", p.admittance_outside.size);
        check("areal_heat_capacity_inside_kJ_m2K", p.areal_capacity_inside_J_per_m2K / 1000.0);
        check("areal_heat_capacity_outside_kJ_m2K", p.areal_capacity_outside_J_per_m2K / 1000.0);
        const auto factors = daily_response_factors(wall, films);
        for (std::size_t j = 0; j < factors.size(); ++j)
            compare.value("response factor", factors[j] / p.u_value_W_per_m2K, c.at("conduction_time_series").at(j),
                          "response_factors");
    }
    return compare.outcome();
}

} // namespace

void add_glass_and_waves(Answers& answers)
{
    const std::string topic = "glazing optics, glazing U value, periodic wall conduction";
    answers[{topic, "single_pane"}] = single_panes;
    answers[{topic, "double_pane"}] = double_panes;
    answers[{topic, "solar_gain"}] = solar_gains;
    answers[{topic, "glazing_U"}] = glazing_u_values;
    answers[{topic, "periodic_walls"}] = periodic_walls;
}

} // namespace venture::verify
