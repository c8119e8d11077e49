#include <venture/fabric/glass_heat.hpp>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

using quantity::check_range;

InwardOfFaces inward_of_faces(double between_m2K_per_W, double outside_m2K_per_W, double inside_m2K_per_W)
{
    constexpr const char* where = "inward_of_faces";
    check_range(where, "resistance between the faces", between_m2K_per_W, {0.0, 100.0}, "m2K/W");
    check_range(where, "resistance outside", outside_m2K_per_W, {1e-6, 100.0}, "m2K/W");
    check_range(where, "resistance inside", inside_m2K_per_W, {1e-6, 100.0}, "m2K/W");
    const double all = outside_m2K_per_W + between_m2K_per_W + inside_m2K_per_W;
    return {outside_m2K_per_W / all, (outside_m2K_per_W + between_m2K_per_W) / all};
}

FaceHeat heat_on_faces(double flows_in, std::optional<double> taken_up, const InwardOfFaces& inward)
{
    check_range("heat_on_faces", "what flows in", flows_in, {0.0, 1e6}, "");
    const FaceHeat inner_alone{0.0, flows_in / inward.inner};
    if (!taken_up || inner_alone.inner >= *taken_up) return inner_alone;
    const FaceHeat outer_alone{flows_in / inward.outer, 0.0};
    if (outer_alone.outer <= *taken_up) return outer_alone;
    const double inner = (flows_in - *taken_up * inward.outer) / (inward.inner - inward.outer);
    return {*taken_up - inner, inner};
}

} // namespace venture::fabric
