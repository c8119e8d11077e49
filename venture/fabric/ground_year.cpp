#include <venture/fabric/ground_year.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// Volumetric heat of soils of this conductivity: clay and silt are wet, sand and rock hold less.
double volumetric_heat_J_per_m3K(double conductivity) { return conductivity < 1.75 ? 3.0e6 : 2.0e6; }

} // namespace

double yearly_depth_m(double conductivity)
{
    quantity::check_range("yearly_depth_m", "conductivity of the ground", conductivity, {0.1, 10.0}, "W/mK");
    constexpr double year_s = 3.15e7;
    return std::sqrt(year_s * conductivity / (std::numbers::pi * volumetric_heat_J_per_m3K(conductivity)));
}

GroundYear ground_year(const GroundFloor& as_given, const Buildup& floor_layers, const YearlyTemperatures& year,
                       const EdgeInsulation& edge)
{
    constexpr double soil_m = 0.5;
    quantity::check_range("ground_year", "coldest month", year.coldest_month, {0.5, 12.5}, "");
    quantity::check_range("ground_year", "amplitude outdoors", year.outdoor_amplitude_K, {0.0, 40.0}, "K");
    check(floor_layers);
    GroundFloor floor = as_given;
    floor.floor_m2K_per_W = resistance(floor_layers);
    const double soil = floor.ground_conductivity_W_per_mK, depth = yearly_depth_m(soil);
    const double thickness = equivalent_thickness_m(floor);
    double u = slab_u_value(floor), periodic_per_m = 0.37 * soil * std::log1p(depth / thickness);
    if (edge.width_or_depth_m > 0.0) {
        u += 2.0 * edge_insulation_psi(floor, edge) / characteristic_dimension_m(floor);
        const double more = (edge.thickness_m / edge.conductivity_W_per_mK - edge.thickness_m / soil) * soil;
        const double reach = std::exp(-(edge.vertical ? 2.0 : 1.0) * edge.width_or_depth_m / depth);
        periodic_per_m =
            0.37 * soil *
            ((1.0 - reach) * std::log1p(depth / (thickness + more)) + reach * std::log1p(depth / thickness));
    }
    GroundYear out{.steady_W_per_K = u * floor.area_m2, .periodic_W_per_K = periodic_per_m * floor.exposed_perimeter_m};
    constexpr double months_late = 1.0;
    for (std::size_t m = 0; m < 12; ++m) {
        const double since = static_cast<double>(m + 1) - year.coldest_month - months_late;
        out.heat_flow_W[m] =
            out.steady_W_per_K * (year.indoor_C - year.outdoor_mean_C) +
            out.periodic_W_per_K * year.outdoor_amplitude_K * std::cos(2.0 * std::numbers::pi * since / 12.0);
        out.virtual_ground_C[m] = year.indoor_C - out.heat_flow_W[m] / out.steady_W_per_K;
    }
    out.design_heat_flow_W =
        out.steady_W_per_K * (year.indoor_C - year.outdoor_mean_C) + out.periodic_W_per_K * year.outdoor_amplitude_K;
    out.design_ground_C = year.indoor_C - out.design_heat_flow_W / out.steady_W_per_K;
    const double rest = 1.0 / u - floor.inside_film_m2K_per_W - floor.floor_m2K_per_W - soil_m / soil;
    quantity::check_range("ground_year", "resistance that the ground leaves below half a metre of soil", rest,
                          {1e-4, 1e3}, "m2K/W");
    out.layers.name = floor_layers.name + " on the ground";
    out.layers.layers = {
        {.material = {"ground below"}, .resistance_m2K_per_W = rest},
        {.material = {"soil", soil, 2000.0, volumetric_heat_J_per_m3K(soil) / 2000.0}, .thickness_m = soil_m}};
    out.layers.layers.insert(out.layers.layers.end(), floor_layers.layers.begin(), floor_layers.layers.end());
    return out;
}

} // namespace venture::fabric
