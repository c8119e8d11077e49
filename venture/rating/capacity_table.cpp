#include <venture/rating/capacity_table.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::rating {

namespace {

/// Cell that holds x, and how far into it.
struct Place {
    std::size_t cell;
    double share;
};

Place place_of(const std::vector<double>& lines, double x)
{
    if (lines.size() == 1) return {0, 0.0};
    const auto above = std::upper_bound(lines.begin(), lines.end() - 1, x);
    const std::size_t cell = above == lines.begin() ? 0 : static_cast<std::size_t>(above - lines.begin()) - 1;
    const std::size_t low = std::min(cell, lines.size() - 2);
    return {low, (x - lines[low]) / (lines[low + 1] - lines[low])};
}

} // namespace

CapacityTable::CapacityTable(std::string name, std::vector<double> rows, std::vector<double> columns,
                             std::vector<std::vector<double>> values)
    : name_{std::move(name)},
      rows_{std::move(rows)},
      columns_{std::move(columns)},
      values_{std::move(values)}
{
    const auto rises = [](const std::vector<double>& x) {
        return !x.empty() && std::ranges::adjacent_find(x, std::greater_equal<>{}) == x.end();
    };
    if (!rises(rows_) || !rises(columns_))
        throw quantity::Error{name_ + ": the conditions of a capacity table must rise"};
    const bool full = values_.size() == rows_.size() &&
                      std::ranges::all_of(values_, [&](const auto& row) { return row.size() == columns_.size(); });
    if (!full) throw quantity::Error{name_ + ": a capacity table needs one value for each pair of conditions"};
}

double CapacityTable::at(double row, double column) const
{
    quantity::check_range(name_, "first condition", row, {rows_.front(), rows_.back()}, "degC");
    quantity::check_range(name_, "second condition", column, {columns_.front(), columns_.back()}, "degC");
    const Place r = place_of(rows_, row), c = place_of(columns_, column);
    const std::size_t r1 = std::min(r.cell + 1, rows_.size() - 1), c1 = std::min(c.cell + 1, columns_.size() - 1);
    const double low = values_[r.cell][c.cell] + c.share * (values_[r.cell][c1] - values_[r.cell][c.cell]);
    const double high = values_[r1][c.cell] + c.share * (values_[r1][c1] - values_[r1][c.cell]);
    return low + r.share * (high - low);
}

} // namespace venture::rating
