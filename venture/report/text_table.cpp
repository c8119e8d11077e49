#include <venture/report/text_table.hpp>

#include <algorithm>
#include <sstream>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::report {

using quantity::display_width;

namespace {

constexpr std::size_t gap = 2;       ///< between columns
constexpr std::size_t readable = 24; ///< columns of words are no narrower while others can be left out
constexpr std::size_t narrowest = 6; ///< nor than this at all

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

std::size_t TextTable::Layout::total() const
{
    std::size_t sum = columns.empty() ? 0 : gap * (columns.size() - 1);
    for (const std::size_t c : columns) sum += width[c];
    return sum;
}

void TextTable::add_column(std::string heading, Align align, int rank, bool go_together)
{
    std::istringstream lines{heading};
    Column column{{}, align, columns_.empty() ? 0 : rank, go_together};
    for (std::string line; std::getline(lines, line);) column.heading.push_back(line);
    columns_.push_back(std::move(column));
}

void TextTable::add_row(std::vector<std::string> cells)
{
    cells.resize(columns_.size());
    for (std::string& cell : cells) cell = quantity::harmless(cell);
    rows_.push_back(std::move(cells));
}

void TextTable::add_rule() { rows_.emplace_back(); }

std::size_t TextTable::heading_width(const Layout& layout, std::size_t at) const
{
    std::size_t widest = 0;
    for (std::size_t line = 0; line < columns_[layout.columns[at]].heading.size(); ++line)
        widest = std::max(widest, display_width(heading_line(layout, at, line)));
    return widest;
}

TextTable::Layout TextTable::laid_out(std::size_t width) const
{
    Layout out;
    std::vector<std::size_t> cells(columns_.size(), 0), natural(columns_.size()), least(columns_.size());
    for (std::size_t c = 0; c < columns_.size(); ++c) {
        for (const auto& row : rows_)
            if (!row.empty()) cells[c] = std::max(cells[c], display_width(row[c]));
        out.columns.push_back(c);
    }
    const auto measure = [&] {
        for (std::size_t at = 0; at < out.columns.size(); ++at) {
            const std::size_t c = out.columns[at], heading = heading_width(out, at);
            natural[c] = std::max(cells[c], heading);
            least[c] =
                columns_[c].align == Align::left ? std::min(natural[c], std::max(readable, heading)) : natural[c];
        }
        out.width = least;
    };
    for (measure(); !out.columns.empty() && out.total() > width; measure()) {
        auto least_worth = out.columns.begin();
        for (auto at = out.columns.begin(); at != out.columns.end(); ++at)
            if (columns_[*at].rank >= columns_[*least_worth].rank) least_worth = at;
        const Column worst = columns_[*least_worth];
        if (worst.rank <= 0) break;
        if (!worst.go_together)
            out.columns.erase(least_worth);
        else
            std::erase_if(out.columns,
                          [&](std::size_t c) { return columns_[c].go_together && columns_[c].rank == worst.rank; });
    }
    const bool narrow = out.total() > width; // with what must stay alone: words give way
    out.width = natural;
    while (out.total() > width) {
        std::size_t* widest = nullptr;
        for (const std::size_t c : out.columns) {
            const std::size_t most = narrow ? narrowest : least[c];
            if (columns_[c].align == Align::left && out.width[c] > most &&
                (widest == nullptr || out.width[c] > *widest))
                widest = &out.width[c];
        }
        if (widest == nullptr) break;
        --*widest;
    }
    return out;
}

std::string TextTable::name_of(std::size_t column) const
{
    std::string name;
    for (const std::string& line : columns_[column].heading)
        if (name.ends_with('-'))
            name.replace(name.size() - 1, 1, line); // a word that was parted
        else if (!line.empty())
            name += (name.empty() ? "" : " ") + line;
    return name;
}

std::string TextTable::clear_name_of(std::size_t column) const
{
    std::vector<std::string> names;
    for (std::size_t c = 0; c < columns_.size(); ++c) names.push_back(name_of(c));
    const auto is_clear = [&](std::size_t c) {
        const auto& heading = columns_[c].heading;
        return !heading.empty() && !heading.front().empty() && std::ranges::count(names, names[c]) == 1;
    };
    for (std::size_t before = is_clear(column) ? 0 : column; before-- > 0;)
        if (is_clear(before))
            return names[column].empty() ? fmt::format("the column after {}", names[before])
                                         : fmt::format("{} (after {})", names[column], names[before]);
    return names[column];
}

/// Columns side by side that begin alike stand below one word.
std::string TextTable::heading_line(const Layout& layout, std::size_t at, std::size_t line) const
{
    const std::vector<std::string>& own = columns_[layout.columns[at]].heading;
    if (line >= own.size()) return {};
    if (line > 0 || at == 0) return own[line];
    const std::vector<std::string>& before = columns_[layout.columns[at - 1]].heading;
    return !before.empty() && before.front() == own.front() ? std::string{} : own.front();
}

std::string TextTable::left_out(const Layout& layout) const
{
    std::string names;
    for (std::size_t c = 0; c < columns_.size(); ++c)
        if (std::ranges::find(layout.columns, c) == layout.columns.end())
            names += (names.empty() ? "" : ", ") + clear_name_of(c);
    return names.empty() ? names : fmt::format("Left out for want of room: {} (--wide shows them)", names);
}

std::string TextTable::text(std::size_t width) const
{
    const Layout layout = laid_out(width);
    std::string out;
    const auto line_of = [&](const auto& cell) {
        std::string line;
        for (std::size_t at = 0; at < layout.columns.size(); ++at) {
            const std::size_t c = layout.columns[at];
            if (at > 0) line.append(gap, ' ');
            put(line, cell(at, c), layout.width[c], columns_[c].align);
        }
        end_line(out, line);
    };
    std::size_t heading_lines = 0;
    for (const std::size_t c : layout.columns) heading_lines = std::max(heading_lines, columns_[c].heading.size());
    for (std::size_t i = 0; i < heading_lines; ++i)
        line_of([&](std::size_t at, std::size_t) { return heading_line(layout, at, i); });
    const std::string rule(layout.total(), '-');
    end_line(out, rule);
    std::vector<std::vector<std::string>> cells(columns_.size());
    for (const auto& row : rows_) {
        if (row.empty()) {
            end_line(out, rule);
            continue;
        }
        std::size_t lines = 1;
        for (const std::size_t c : layout.columns) {
            cells[c] = quantity::wrapped(row[c], std::max<std::size_t>(2, layout.width[c]));
            lines = std::max(lines, cells[c].size());
        }
        for (std::size_t i = 0; i < lines; ++i)
            line_of([&](std::size_t, std::size_t c) { return i < cells[c].size() ? cells[c][i] : std::string{}; });
    }
    if (const std::string names = left_out(layout); !names.empty())
        for (const std::string& line : quantity::wrapped(names, std::max<std::size_t>(20, width))) end_line(out, line);
    return out;
}

void add_column(TextTable& table, std::string_view heading, std::string_view quantity,
                const quantity::PreferredUnits& units, int rank)
{
    table.add_column(std::string{heading} + "\n" + std::string{units.symbol(quantity)}, Align::right, rank);
}

} // namespace venture::report
