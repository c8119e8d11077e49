#include <venture/figure/table.hpp>

#include <algorithm>
#include <numeric>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::figure {

namespace {

/// What some cells of a column come to; nothing if none of them holds a number.
Cell summed(const Table& table, std::size_t column, const std::vector<std::size_t>& rows)
{
    const Sum how = table.columns[column].sum;
    std::optional<double> sum;
    bool whole_numbers = true;
    for (const std::size_t r : rows) {
        const Cell& cell = table.rows[r][column];
        const auto* number = std::get_if<double>(&cell);
        const auto* count = std::get_if<std::int64_t>(&cell);
        if (number == nullptr && count == nullptr) continue;
        whole_numbers = whole_numbers && count != nullptr;
        const double value = number != nullptr ? *number : static_cast<double>(*count);
        sum = !sum                  ? value
              : how == Sum::added   ? *sum + value
              : how == Sum::largest ? std::max(*sum, value)
                                    : std::min(*sum, value);
    }
    if (how == Sum::none || !sum) return {};
    return whole_numbers ? whole(*sum) : Cell{*sum};
}

} // namespace

std::size_t Table::column(std::string_view key) const
{
    const auto found = std::ranges::find(columns, key, &Column::key);
    if (found == columns.end()) throw quantity::Error{fmt::format("table '{}' has no column '{}'", name, key)};
    return static_cast<std::size_t>(found - columns.begin());
}

std::string Table::subject(std::size_t row) const
{
    std::string out;
    for (std::size_t c = 0; c < std::min(subjects, columns.size()); ++c) {
        const Cell& cell = rows.at(row)[c];
        std::string part;
        if (const auto* words = std::get_if<std::string>(&cell)) part = *words;
        if (const auto* number = std::get_if<std::int64_t>(&cell)) part = fmt::format("{}", *number);
        if (const auto* when = std::get_if<When>(&cell)) part = in_words(*when);
        if (!part.empty()) out += (out.empty() ? "" : ", ") + part;
    }
    return out;
}

Total& Table::add_total(std::string what, std::vector<std::size_t> of_rows)
{
    Total total{std::move(what), std::move(of_rows), {}};
    for (std::size_t c = 0; c < columns.size(); ++c) total.cells.push_back(summed(*this, c, total.rows));
    totals.push_back(std::move(total));
    return totals.back();
}

Total& Table::add_total(std::string what)
{
    std::vector<std::size_t> all(rows.size());
    std::iota(all.begin(), all.end(), std::size_t{0});
    return add_total(std::move(what), std::move(all));
}

} // namespace venture::figure
