#pragma once
/// A printed table over any number of inputs.

#include <cstddef>
#include <optional>
#include <span>
#include <vector>

#include <venture/rating/condition.hpp>

namespace venture::rating {

/// One input of a table and the values that it is printed for.
struct Axis {
    At input = At::water_supply;
    std::vector<double> values{}; ///< rising
    [[nodiscard]] quantity::Range range() const { return {values.front(), values.back()}; }
};

/// Linear between the lines of the grid along each input in turn, and never outside; nothing is allocated when it is read.
class GridTable {
public:
    /// @param values  of the whole grid, the last axis running fastest
    /// @throws quantity::Error if an axis does not rise or the number of values is another
    GridTable(std::vector<Axis> axes, std::vector<double> values);

    [[nodiscard]] const std::vector<Axis>& axes() const { return axes_; }
    [[nodiscard]] std::span<const double> values() const { return values_; }
    /// The first input that is missing or outside, if any.
    [[nodiscard]] std::optional<Refusal> refuses(const Conditions& at) const;
    /// @pre it does not refuse them
    [[nodiscard]] double at(const Conditions& conditions) const;

    static constexpr std::size_t most_axes = 8;

private:
    std::vector<Axis> axes_;
    std::vector<double> values_;
};

/// Where a value lies among rising ones: the cell, and how far into it. Ends belong to them.
struct Place {
    std::size_t cell = 0;
    double share = 0.0;
};
[[nodiscard]] Place place_in(std::span<const double> rising, double x);

/// A refusal of a value that is missing or outside an axis; nothing if it is neither.
[[nodiscard]] std::optional<Refusal> refusal_of(const Axis& axis, const Conditions& at);

} // namespace venture::rating
