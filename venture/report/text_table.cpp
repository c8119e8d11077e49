#include <venture/report/text_table.hpp>

#include <algorithm>
#include <sstream>

#include <venture/quantity/names.hpp>

namespace venture::report {

using quantity::display_width;

void TextTable::add_column(std::string heading, Align align)
{
    std::istringstream lines{heading};
    Column column{{}, align};
    for (std::string line; std::getline(lines, line);) column.heading.push_back(line);
    columns_.push_back(std::move(column));
}

void TextTable::add_row(std::vector<std::string> cells)
{
    cells.resize(columns_.size());
    rows_.push_back(std::move(cells));
}

void TextTable::add_rule() { rows_.emplace_back(); }

namespace {

void put(std::string& line, const std::string& cell, std::size_t width, Align align)
{
    const std::string blanks(width - std::min(width, display_width(cell)), ' ');
    line += align == Align::right ? blanks + cell : cell + blanks;
}

void end_line(std::string& out, std::string line)
{
    line.erase(line.find_last_not_of(' ') + 1);
    out += line + "\n";
}

} // namespace

std::string TextTable::text() const
{
    std::vector<std::size_t> width(columns_.size(), 0);
    std::size_t heading_lines = 0;
    for (std::size_t c = 0; c < columns_.size(); ++c) {
        heading_lines = std::max(heading_lines, columns_[c].heading.size());
        for (const std::string& line : columns_[c].heading) width[c] = std::max(width[c], display_width(line));
        for (const auto& row : rows_)
            if (!row.empty()) width[c] = std::max(width[c], display_width(row[c]));
    }
    std::string out;
    const auto line_of = [&](auto cell) {
        std::string line;
        for (std::size_t c = 0; c < columns_.size(); ++c) {
            if (c > 0) line += "  ";
            put(line, cell(c), width[c], columns_[c].align);
        }
        end_line(out, line);
    };
    std::size_t total = columns_.empty() ? 0 : 2 * (columns_.size() - 1);
    for (const std::size_t w : width) total += w;
    for (std::size_t i = 0; i < heading_lines; ++i)
        line_of([&](std::size_t c) { return i < columns_[c].heading.size() ? columns_[c].heading[i] : std::string{}; });
    const std::string rule(total, '-');
    end_line(out, rule);
    for (const auto& row : rows_) {
        if (row.empty())
            end_line(out, rule);
        else
            line_of([&](std::size_t c) { return row[c]; });
    }
    return out;
}

void add_column(TextTable& table, std::string_view heading, std::string_view quantity,
                const quantity::PreferredUnits& units)
{
    table.add_column(std::string{heading} + "\n" + std::string{units.symbol(quantity)});
}

} // namespace venture::report
