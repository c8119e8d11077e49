#pragma once
/// Lines of a sheet, each a point of some product's table, put together into tables over two conditions.

#include <algorithm>
#include <set>
#include <span>
#include <string>
#include <string_view>
#include <vector>

#include <venture/quantity/origin.hpp>
#include <venture/rating/product.hpp>

namespace venture::rating {

/// The points of one product.
template <class Data>
struct PointGrid {
    std::vector<const Data*> points{};
    std::vector<double> first{}, second{}; ///< values of both conditions, rising
    quantity::Given<double> Data::*first_key = nullptr;
    quantity::Given<double> Data::*second_key = nullptr;

    /// Points of more than one value of something; else they are one rated point.
    [[nodiscard]] bool is_table() const { return points.size() > 1; }
    /// Of one value of the first condition, in the order of the second; not a number where there is no point.
    [[nodiscard]] std::vector<double> values_at(double at, quantity::Given<double> Data::*value) const
    {
        std::vector<double> out(second.size(), unknown);
        for (const Data* p : points)
            if (*(p->*first_key) == at && p->*value)
                out[static_cast<std::size_t>(std::ranges::find(second, *(p->*second_key)) - second.begin())] =
                    *(p->*value);
        return out;
    }
};

/// In the order in which products come first. Records without a name or condition stay alone, for others to complain of.
template <class Data>
[[nodiscard]] std::vector<PointGrid<Data>>
grids_of(const std::vector<Data>& points, quantity::Given<double> Data::*first, quantity::Given<double> Data::*second)
{
    std::vector<PointGrid<Data>> out;
    for (const Data& p : points) {
        const bool placed = p.name && p.*first && p.*second;
        const auto same = std::ranges::find_if(out, [&](const PointGrid<Data>& g) {
            const Data& other = *g.points.front();
            return placed && other.name && *other.name == *p.name && other.*first && other.*second;
        });
        (same != out.end() ? *same : out.emplace_back(PointGrid<Data>{.first_key = first, .second_key = second}))
            .points.push_back(&p);
    }
    for (PointGrid<Data>& g : out) {
        std::set<double> rows, columns;
        for (const Data* p : g.points) {
            if (p->*first) rows.insert(*(p->*first));
            if (p->*second) columns.insert(*(p->*second));
        }
        g.first.assign(rows.begin(), rows.end());
        g.second.assign(columns.begin(), columns.end());
    }
    return out;
}

/// @throws quantity::Error naming the first point that has no value
void check_points(std::span<const double> first_C, std::string_view first_words, std::span<const double> second_C,
                  std::string_view second_words, std::span<const double> values);

} // namespace venture::rating
