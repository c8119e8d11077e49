#include <venture/rating/grid_table.hpp>

#include <algorithm>
#include <array>

#include <fmt/format.h>

namespace venture::rating {

Place place_in(std::span<const double> rising, double x)
{
    if (rising.size() < 2) return {};
    const auto above = std::upper_bound(rising.begin() + 1, rising.end() - 1, x);
    const auto cell = static_cast<std::size_t>(above - rising.begin()) - 1;
    return {cell, (x - rising[cell]) / (rising[cell + 1] - rising[cell])};
}

std::optional<Refusal> refusal_of(const Axis& axis, const Conditions& at)
{
    if (!at.has(axis.input)) return Refusal{Refusal::Why::not_given, axis.input};
    const double x = at[axis.input];
    if (is_within(x, axis.range())) return std::nullopt;
    return Refusal{Refusal::Why::outside, axis.input, x, axis.range()};
}

GridTable::GridTable(std::vector<Axis> axes, std::vector<double> values)
    : axes_{std::move(axes)},
      values_{std::move(values)}
{
    if (axes_.empty() || axes_.size() > most_axes)
        throw quantity::Error{fmt::format("a table has 1 to {} inputs, not {}", most_axes, axes_.size())};
    std::size_t wanted = 1;
    for (const Axis& axis : axes_) {
        if (axis.values.empty() || std::ranges::adjacent_find(axis.values, std::greater_equal<>{}) != axis.values.end())
            throw quantity::Error{fmt::format("the values of '{}' must rise, each once", input_of(axis.input).words)};
        wanted *= axis.values.size();
    }
    if (values_.size() != wanted)
        throw quantity::Error{
            fmt::format("the table needs {} values, one for each set of inputs, and has {}", wanted, values_.size())};
}

std::optional<Refusal> GridTable::refuses(const Conditions& at) const
{
    for (const Axis& axis : axes_)
        if (auto refused = refusal_of(axis, at)) return refused;
    return std::nullopt;
}

double GridTable::at(const Conditions& conditions) const
{
    // Corners of the cell, folded together axis by axis from the last.
    std::array<double, std::size_t{1} << most_axes> corner{};
    std::array<Place, most_axes> place{};
    std::array<std::size_t, most_axes> stride{};
    const std::size_t n = axes_.size();
    std::size_t base = 0, step = 1;
    for (std::size_t k = n; k-- > 0;) {
        place[k] = place_in(axes_[k].values, conditions[axes_[k].input]);
        stride[k] = axes_[k].values.size() > 1 ? step : 0;
        base += place[k].cell * step;
        step *= axes_[k].values.size();
    }
    const std::size_t corners = std::size_t{1} << n;
    for (std::size_t c = 0; c < corners; ++c) {
        std::size_t index = base;
        for (std::size_t k = 0; k < n; ++k) index += ((c >> (n - 1 - k)) & 1U) * stride[k];
        corner[c] = values_[index];
    }
    for (std::size_t k = n, left = corners; k-- > 0;) {
        left /= 2;
        for (std::size_t c = 0; c < left; ++c)
            corner[c] = corner[2 * c] + place[k].share * (corner[2 * c + 1] - corner[2 * c]);
    }
    return corner[0];
}

} // namespace venture::rating
