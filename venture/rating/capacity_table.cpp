#include <venture/rating/capacity_table.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>
#include <venture/rating/grid_table.hpp>

namespace venture::rating {

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
    const Place r = place_in(rows_, row), c = place_in(columns_, column);
    const std::size_t r1 = std::min(r.cell + 1, rows_.size() - 1), c1 = std::min(c.cell + 1, columns_.size() - 1);
    const double low = values_[r.cell][c.cell] + c.share * (values_[r.cell][c1] - values_[r.cell][c.cell]);
    const double high = values_[r1][c.cell] + c.share * (values_[r1][c1] - values_[r1][c.cell]);
    return low + r.share * (high - low);
}

} // namespace venture::rating
