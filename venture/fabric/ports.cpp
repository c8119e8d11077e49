#include <venture/fabric/ports.hpp>

#include <fmt/format.h>

#include <venture/fabric/port_ladder.hpp>
#include <venture/quantity/error.hpp>

namespace venture::fabric {

namespace detail {

namespace {

bool same_stuff(const Layer& a, const Layer& b)
{
    return a.has_capacity() && b.has_capacity() &&
           a.material.conductivity_W_per_mK == b.material.conductivity_W_per_mK &&
           a.material.density_kg_per_m3 == b.material.density_kg_per_m3 &&
           a.material.specific_heat_J_per_kgK == b.material.specific_heat_J_per_kgK;
}

/// The part of a layer from one share of its depth to another.
Layer part_of(const Layer& layer, double from, double to)
{
    Layer part = layer;
    part.thickness_m *= to - from;
    part.resistance_m2K_per_W *= to - from;
    return part;
}

void add_layer(std::vector<Layer>& piece, const Layer& layer)
{
    if (layer.resistance() <= 0.0) return;
    if (!piece.empty() && same_stuff(piece.back(), layer))
        piece.back().thickness_m += layer.thickness_m;
    else
        piece.push_back(layer);
}

} // namespace

Pieces pieces_between(const Buildup& buildup, const std::vector<Plane>& planes)
{
    check(buildup);
    const std::string wall = "build-up '" + buildup.name + "'";
    for (std::size_t p = 0; p < planes.size(); ++p) {
        const std::string where = fmt::format("{}, plane {}", wall, p + 1);
        quantity::check_range(where, "layer (from 0)", static_cast<double>(planes[p].layer),
                              {0.0, static_cast<double>(buildup.layers.size()) - 1.0}, "");
        quantity::check_range(where, "share of its layer", planes[p].share, {0.0, 1.0}, "");
    }
    Pieces pieces(1);
    std::size_t next = 0;
    for (std::size_t i = 0; i < buildup.layers.size(); ++i) {
        double from = 0.0;
        for (; next < planes.size() && planes[next].layer == i && planes[next].share >= from; ++next) {
            add_layer(pieces.back(), part_of(buildup.layers[i], from, planes[next].share));
            from = planes[next].share;
            pieces.emplace_back();
        }
        add_layer(pieces.back(), part_of(buildup.layers[i], from, 1.0));
    }
    quantity::check_range(wall, "planes in order from the outside", static_cast<double>(next),
                          {static_cast<double>(planes.size()), static_cast<double>(planes.size())}, "");
    for (const std::vector<Layer>& piece : pieces) {
        double resistance = 0.0;
        for (const Layer& layer : piece) resistance += layer.resistance();
        quantity::check_range(wall, planes.empty() ? "resistance" : "resistance between two of its faces and planes",
                              resistance, {1e-9, 1e3}, "m2K/W");
    }
    return pieces;
}

} // namespace detail

PortMatrix<std::complex<double>> port_response(const Buildup& buildup, const std::vector<Plane>& planes,
                                               std::complex<double> s)
{
    return detail::ports_of(detail::pieces_between(buildup, planes),
                            [s](const Layer& layer) { return two_port(layer, s); });
}

} // namespace venture::fabric
