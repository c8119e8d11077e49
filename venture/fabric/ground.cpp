#include <venture/fabric/ground.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

using quantity::check_range;
using std::numbers::pi;

namespace {

void check_floor(const GroundFloor& f)
{
    constexpr const char* where = "floor on the ground";
    check_range(where, "area", f.area_m2, {0.1, 1e7}, "m2");
    check_range(where, "exposed perimeter", f.exposed_perimeter_m, {0.01, 1e5}, "m");
    check_range(where, "wall thickness", f.wall_thickness_m, {0.0, 3.0}, "m");
    check_range(where, "conductivity of the ground", f.ground_conductivity_W_per_mK, {0.1, 10.0}, "W/mK");
    check_range(where, "resistance of the floor", f.floor_m2K_per_W, {0.0, 100.0}, "m2K/W");
}

/// U-value of a floor with so much soil under it: formula for little insulation, or for much.
double floor_u_value(double characteristic_m, double thickness_m, double conductivity)
{
    if (thickness_m < characteristic_m)
        return 2.0 * conductivity / (pi * characteristic_m + thickness_m) *
               std::log1p(pi * characteristic_m / thickness_m);
    return conductivity / (0.457 * characteristic_m + thickness_m);
}

} // namespace

double characteristic_dimension_m(const GroundFloor& floor)
{
    check_floor(floor);
    return floor.area_m2 / (0.5 * floor.exposed_perimeter_m);
}

double equivalent_thickness_m(const GroundFloor& f)
{
    check_floor(f);
    return f.wall_thickness_m +
           f.ground_conductivity_W_per_mK * (f.inside_film_m2K_per_W + f.floor_m2K_per_W + f.outside_film_m2K_per_W);
}

double slab_u_value(const GroundFloor& floor)
{
    return floor_u_value(characteristic_dimension_m(floor), equivalent_thickness_m(floor),
                         floor.ground_conductivity_W_per_mK);
}

double edge_insulation_psi(const GroundFloor& floor, const EdgeInsulation& edge)
{
    constexpr const char* where = "edge_insulation_psi";
    check_range(where, "width or depth", edge.width_or_depth_m, {0.0, 10.0}, "m");
    check_range(where, "thickness", edge.thickness_m, {1e-3, 1.0}, "m");
    check_range(where, "conductivity", edge.conductivity_W_per_mK, {1e-3, floor.ground_conductivity_W_per_mK}, "W/mK");
    const double soil = floor.ground_conductivity_W_per_mK, thickness = equivalent_thickness_m(floor);
    const double more = (edge.thickness_m / edge.conductivity_W_per_mK - edge.thickness_m / soil) * soil;
    const double reach = (edge.vertical ? 2.0 : 1.0) * edge.width_or_depth_m;
    return -soil / pi * (std::log1p(reach / thickness) - std::log1p(reach / (thickness + more)));
}

BasementUValues basement_u_values(const Basement& b)
{
    check_range("basement_u_values", "depth", b.depth_m, {0.01, 30.0}, "m");
    check_range("basement_u_values", "resistance of the walls", b.wall_m2K_per_W, {0.0, 100.0}, "m2K/W");
    const double soil = b.floor.ground_conductivity_W_per_mK, z = b.depth_m;
    const double under_floor = equivalent_thickness_m(b.floor);
    const double behind_wall =
        soil * (b.wall_inside_film_m2K_per_W + b.wall_m2K_per_W + b.floor.outside_film_m2K_per_W);
    const double beside = std::min(under_floor, behind_wall);
    BasementUValues out{
        .floor_W_per_m2K = floor_u_value(characteristic_dimension_m(b.floor), under_floor + 0.5 * z, soil),
        .walls_W_per_m2K = 2.0 * soil / (pi * z) * (1.0 + 0.5 * beside / (beside + z)) * std::log1p(z / behind_wall)};
    const double wall_area = z * b.floor.exposed_perimeter_m;
    out.all_W_per_m2K =
        (b.floor.area_m2 * out.floor_W_per_m2K + wall_area * out.walls_W_per_m2K) / (b.floor.area_m2 + wall_area);
    return out;
}

double void_to_outdoors_W_per_m2K(const SuspendedFloor& f)
{
    constexpr const char* where = "suspended floor";
    check_range(where, "height", f.height_m, {0.0, 5.0}, "m");
    check_range(where, "U-value of the void's walls", f.void_wall_W_per_m2K, {0.0, 10.0}, "W/m2K");
    check_range(where, "wind", f.wind_m_per_s, {0.0, 30.0}, "m/s");
    check_range(where, "wind shielding", f.wind_shielding, {0.0, 1.0}, "");
    check_range(where, "vents", f.vents_m2_per_m, {0.0, 1.0}, "m2/m");
    return (2.0 * f.height_m * f.void_wall_W_per_m2K + 1450.0 * f.vents_m2_per_m * f.wind_m_per_s * f.wind_shielding) /
           characteristic_dimension_m(f.ground);
}

double suspended_floor_u_value(const SuspendedFloor& f)
{
    check_range("suspended floor", "U-value", f.u_value_W_per_m2K, {0.01, 10.0}, "W/m2K");
    return 1.0 / (1.0 / f.u_value_W_per_m2K + 1.0 / (slab_u_value(f.ground) + void_to_outdoors_W_per_m2K(f)));
}

} // namespace venture::fabric
