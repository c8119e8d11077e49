#pragma once
/// A wall cut at its planes, and the joining of the pieces. Used by the headers of walls.

#include <optional>

#include <venture/fabric/ports.hpp>

namespace venture::fabric::detail {

/// Layers between the faces and planes of a wall: one list more than planes, none of them without resistance.
using Pieces = std::vector<std::vector<Layer>>;
/// Neighbouring layers of one material become one layer, so that a stack answers alike however it was split.
/// @throws quantity::RangeError as port_response()
[[nodiscard]] Pieces pieces_between(const Buildup& buildup, const std::vector<Plane>& planes);

/// @param pieces   two-ports between the ports, outside to inside
template <class Number>
[[nodiscard]] PortMatrix<Number> join_ports(const std::vector<TwoPortOf<Number>>& pieces)
{
    const std::size_t planes = pieces.size() - 1;
    std::vector<TwoPortOf<Number>> before{pieces.front()}, behind{pieces.back()}; // from a plane to either face
    for (std::size_t k = 1; k < pieces.size(); ++k) {
        before.push_back(in_series(before.back(), pieces[k]));
        behind.push_back(in_series(pieces[planes - k], behind.back()));
    }
    PortMatrix<Number> out{planes + 2, std::vector<Number>((planes + 2) * (planes + 2))};
    const TwoPortOf<Number>& whole = before.back();
    out(0, 0) = -whole.at_end_1();
    out(1, 1) = -whole.at_end_2();
    out(0, 1) = out(1, 0) = whole.t;
    for (std::size_t p = 0; p < planes; ++p) {
        const auto to_inside = [&](std::size_t q) -> const TwoPortOf<Number>& { return behind[planes - 1 - q]; };
        const Number own = Number{1.0} / (before[p].at_end_2() + to_inside(p).at_end_1());
        out(0, p + 2) = out(p + 2, 0) = before[p].t * own;
        out(1, p + 2) = out(p + 2, 1) = to_inside(p).t * own;
        Number answer = out(p + 2, p + 2) = own;
        for (std::size_t q = p + 1; q < planes; ++q) {
            answer = answer * pieces[q].t / (pieces[q].at_end_2() + to_inside(q).at_end_1());
            out(p + 2, q + 2) = out(q + 2, p + 2) = answer;
        }
    }
    return out;
}

/// Joins the layers of every piece by `of_layer(layer)`, then the pieces.
template <class OfLayer>
[[nodiscard]] auto ports_of(const Pieces& pieces, OfLayer of_layer)
{
    std::vector<decltype(of_layer(pieces[0][0]))> joined;
    for (const std::vector<Layer>& piece : pieces) {
        auto whole = of_layer(piece.front());
        for (std::size_t i = 1; i < piece.size(); ++i) whole = in_series(whole, of_layer(piece[i]));
        joined.push_back(whole);
    }
    return join_ports(joined);
}

} // namespace venture::fabric::detail
