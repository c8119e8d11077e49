#include <venture/fabric/ground_year.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace {

/// Volumetric heat of soils of this conductivity: clay and silt are wet, sand and rock hold less.
double volumetric_heat_J_per_m3K(double conductivity) { return conductivity < 1.75 ? 3.0e6 : 2.0e6; }

/// What edge insulation adds to the equivalent thickness beside it, m.
double thicker_by(const EdgeInsulation& edge, double soil)
{
    return (edge.thickness_m / edge.conductivity_W_per_mK - edge.thickness_m / soil) * soil;
}

/// Flows of the months and the temperatures that give them.
void add_months(GroundYear& out, const YearlyTemperatures& year, double months_late)
{
    quantity::check_range("ground_year", "coldest month", year.coldest_month, {0.5, 12.5}, "");
    quantity::check_range("ground_year", "amplitude outdoors", year.outdoor_amplitude_K, {0.0, 40.0}, "K");
    const double mean_W = out.steady_W_per_K * (year.indoor_C - year.outdoor_mean_C),
                 wave_W = out.periodic_W_per_K * year.outdoor_amplitude_K;
    for (std::size_t m = 0; m < 12; ++m) {
        const double since = static_cast<double>(m + 1) - year.coldest_month - months_late;
        out.heat_flow_W[m] = mean_W + wave_W * std::cos(2.0 * std::numbers::pi * since / 12.0);
        out.virtual_ground_C[m] = year.indoor_C - out.heat_flow_W[m] / out.steady_W_per_K;
    }
    out.design_heat_flow_W = mean_W + wave_W;
    out.design_ground_C = year.indoor_C - out.design_heat_flow_W / out.steady_W_per_K;
}

/// Soil and a resistance before the layers themselves, so that the whole has the U-value.
void add_layers(GroundYear& out, const Buildup& own, double inside_film, double soil)
{
    constexpr double usual_soil_m = 0.5;
    const double of_ground = 1.0 / out.u_value_W_per_m2K() - inside_film - resistance(own);
    quantity::check_range("ground_year", "resistance that the ground leaves", of_ground, {1e-3, 1e3}, "m2K/W");
    const double soil_m = std::min(usual_soil_m, 0.5 * of_ground * soil);
    out.layers.name = own.name + (out.part == GroundYear::Part::basement_walls ? " in the ground" : " on the ground");
    out.layers.layers = {
        {.material = {"ground below"}, .resistance_m2K_per_W = of_ground - soil_m / soil},
        {.material = {"soil", soil, 2000.0, volumetric_heat_J_per_m3K(soil) / 2000.0}, .thickness_m = soil_m}};
    out.layers_of_ground = out.layers.layers.size();
    out.layers.layers.insert(out.layers.layers.end(), own.layers.begin(), own.layers.end());
}

constexpr double soil_months_late = 1.0;

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
    check(floor_layers);
    GroundFloor floor = as_given;
    floor.floor_m2K_per_W = resistance(floor_layers);
    const double soil = floor.ground_conductivity_W_per_mK, depth = yearly_depth_m(soil);
    const double thickness = equivalent_thickness_m(floor);
    double u = slab_u_value(floor), periodic_per_m = 0.37 * soil * std::log1p(depth / thickness);
    if (edge.width_or_depth_m > 0.0) {
        u += 2.0 * edge_insulation_psi(floor, edge) / characteristic_dimension_m(floor);
        const double reach = std::exp(-(edge.vertical ? 2.0 : 1.0) * edge.width_or_depth_m / depth);
        periodic_per_m = 0.37 * soil *
                         ((1.0 - reach) * std::log1p(depth / (thickness + thicker_by(edge, soil))) +
                          reach * std::log1p(depth / thickness));
    }
    GroundYear out{.area_m2 = floor.area_m2,
                   .steady_W_per_K = u * floor.area_m2,
                   .periodic_W_per_K = periodic_per_m * floor.exposed_perimeter_m};
    add_months(out, year, soil_months_late);
    add_layers(out, floor_layers, floor.inside_film_m2K_per_W, soil);
    return out;
}

GroundYear basement_floor_year(const Basement& as_given, const Buildup& floor_layers, const YearlyTemperatures& year)
{
    check(floor_layers);
    Basement basement = as_given;
    basement.floor.floor_m2K_per_W = resistance(floor_layers);
    const GroundFloor& floor = basement.floor;
    const double soil = floor.ground_conductivity_W_per_mK, depth = yearly_depth_m(soil);
    GroundYear out{.part = GroundYear::Part::basement_floor,
                   .area_m2 = floor.area_m2,
                   .steady_W_per_K = basement_u_values(basement).floor_W_per_m2K * floor.area_m2,
                   .periodic_W_per_K = 0.37 * soil * floor.exposed_perimeter_m * std::exp(-basement.depth_m / depth) *
                                       std::log1p(depth / equivalent_thickness_m(floor))};
    add_months(out, year, soil_months_late);
    add_layers(out, floor_layers, floor.inside_film_m2K_per_W, soil);
    return out;
}

GroundYear basement_wall_year(const Basement& as_given, const Buildup& wall_layers, const YearlyTemperatures& year)
{
    check(wall_layers);
    Basement basement = as_given;
    basement.wall_m2K_per_W = resistance(wall_layers);
    const GroundFloor& floor = basement.floor;
    const double soil = floor.ground_conductivity_W_per_mK, depth = yearly_depth_m(soil);
    const double thickness =
        soil * (basement.wall_inside_film_m2K_per_W + basement.wall_m2K_per_W + floor.outside_film_m2K_per_W);
    GroundYear out{.part = GroundYear::Part::basement_walls, .area_m2 = basement.depth_m * floor.exposed_perimeter_m};
    out.steady_W_per_K = basement_u_values(basement).walls_W_per_m2K * out.area_m2;
    out.periodic_W_per_K = 0.37 * soil * floor.exposed_perimeter_m * 2.0 * (1.0 - std::exp(-basement.depth_m / depth)) *
                           std::log1p(depth / thickness);
    add_months(out, year, soil_months_late);
    add_layers(out, wall_layers, basement.wall_inside_film_m2K_per_W, soil);
    return out;
}

GroundYear suspended_floor_year(const SuspendedFloor& as_given, const Buildup& floor_layers,
                                const YearlyTemperatures& year)
{
    check(floor_layers);
    SuspendedFloor floor = as_given;
    const GroundFloor& ground = floor.ground;
    const double film = ground.inside_film_m2K_per_W;
    floor.u_value_W_per_m2K = 1.0 / (2.0 * film + resistance(floor_layers));
    const double soil = ground.ground_conductivity_W_per_mK, depth = yearly_depth_m(soil);
    const double to_air = void_to_outdoors_W_per_m2K(floor);
    GroundYear out{.part = GroundYear::Part::floor_over_void,
                   .area_m2 = ground.area_m2,
                   .steady_W_per_K = suspended_floor_u_value(floor) * ground.area_m2};
    out.periodic_W_per_K =
        floor.u_value_W_per_m2K *
        (0.37 * ground.exposed_perimeter_m * soil * std::log1p(depth / equivalent_thickness_m(ground)) +
         to_air * ground.area_m2) /
        (soil / depth + to_air + floor.u_value_W_per_m2K);
    add_months(out, year, 0.0);
    out.layers = {floor_layers.name + " over the void",
                  {{.material = {"void and ground"},
                    .resistance_m2K_per_W = 1.0 / out.u_value_W_per_m2K() - film - resistance(floor_layers)}}};
    out.layers_of_ground = 1;
    out.layers.layers.insert(out.layers.layers.end(), floor_layers.layers.begin(), floor_layers.layers.end());
    return out;
}

} // namespace venture::fabric
