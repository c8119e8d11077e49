#include <venture/report/as_html.hpp>

#include <sstream>

#include <fmt/format.h>

#include <venture/figure/shown.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::report {

using figure::Column;
using figure::Table;

namespace {

constexpr const char* style = R"(
body { font: 14px/1.45 system-ui, "DejaVu Sans", sans-serif; color: #1d242b; margin: 2rem auto; max-width: 96rem; padding: 0 1.5rem; }
h1 { font-size: 1.5rem; margin: 0 0 .5rem; }
h2 { font-size: 1.05rem; margin: 2rem 0 .1rem; }
p { margin: .25rem 0; max-width: 52rem; }
.what { color: #5a6672; margin: 0 0 .5rem; }
.scroll { overflow-x: auto; }
table { border-collapse: collapse; font-variant-numeric: tabular-nums; }
th, td { padding: .2rem .7rem .2rem 0; text-align: right; vertical-align: top; white-space: nowrap; }
th { font-weight: 600; vertical-align: bottom; border-bottom: 1.5px solid #1d242b; white-space: pre-line; }
th small { display: block; font-weight: 400; color: #5a6672; }
td.words, th.words { text-align: left; }
td.words { white-space: normal; min-width: 8.5rem; max-width: 26rem; overflow-wrap: anywhere; }
tbody tr:nth-child(even) { background: #f5f7f9; }
tfoot td { border-top: 1px solid #1d242b; font-weight: 600; }
@media print { body { margin: 0; max-width: none; font-size: 9px; } h2 { break-after: avoid; } tr { break-inside: avoid; } }
)";

std::string escaped(std::string_view text)
{
    std::string out;
    for (const char c : quantity::harmless(text, true)) switch (c) {
        case '&':
            out += "&amp;";
            break;
        case '<':
            out += "&lt;";
            break;
        case '>':
            out += "&gt;";
            break;
        case '"':
            out += "&quot;";
            break;
        default:
            out += c;
        }
    return out;
}

std::string cell(const char* tag, const Column& column, const std::string& inside, const std::string& title = {})
{
    return fmt::format("<{}{}{}>{}</{}>", tag, is_number(column) ? "" : " class=\"words\"",
                       title.empty() ? "" : fmt::format(" title=\"{}\"", escaped(title)), inside, tag);
}

void add_table(std::string& out, const Table& table, const quantity::PreferredUnits& units)
{
    out += fmt::format("<h2 id=\"{}\">{}</h2>\n", escaped(table.name),
                       escaped(table.title.empty() ? table.name : table.title));
    if (!table.meaning.empty()) out += fmt::format("<p class=\"what\">{}</p>\n", escaped(table.meaning));
    out += "<div class=\"scroll\"><table>\n<thead><tr>";
    const std::vector<std::size_t> columns = columns_for_people(table);
    for (const std::size_t c : columns) {
        const Column& column = table.columns[c];
        const std::string_view unit = unit_of(column, units);
        out += cell("th", column,
                    escaped(heading_in_a_line(column)) +
                        (unit.empty() ? "" : fmt::format("<small>{}</small>", escaped(unit))),
                    column.meaning);
    }
    out += "</tr></thead>\n<tbody>\n";
    const auto add_row = [&](const std::vector<figure::Cell>& cells, const std::string* what) {
        out += "<tr>";
        for (const std::size_t c : columns) {
            const bool blank = what != nullptr && std::holds_alternative<std::monostate>(cells[c]);
            out += cell("td", table.columns[c],
                        escaped(what != nullptr && c == columns.front() ? *what
                                : blank                                 ? std::string{}
                                                                        : shown(cells[c], table.columns[c], units)));
        }
        out += "</tr>\n";
    };
    for (const auto& row : table.rows) add_row(row, nullptr);
    out += "</tbody>\n";
    if (!table.totals.empty()) {
        out += "<tfoot>\n";
        for (const figure::Total& total : table.totals) add_row(total.cells, &total.what);
        out += "</tfoot>\n";
    }
    out += "</table></div>\n";
}

} // namespace

std::string as_html(const figure::Document& document, const quantity::PreferredUnits& units)
{
    const std::string title = escaped(document.title.empty() ? "Venture" : document.title);
    std::string out = fmt::format(
        "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<meta name=\"viewport\" "
        "content=\"width=device-width\">\n<title>{}</title>\n<style>{}</style>\n</head>\n<body>\n<h1>{}</h1>\n",
        title, style, title);
    for (const auto& block : document.blocks) {
        if (const auto* table = std::get_if<Table>(&block)) {
            if (table->told != figure::Told::data && !table->rows.empty()) add_table(out, *table, units);
            continue;
        }
        std::istringstream lines{std::get<figure::Sentences>(block).lines};
        for (std::string line; std::getline(lines, line);)
            if (!line.empty()) out += fmt::format("<p>{}</p>\n", escaped(line));
    }
    return out + "</body>\n</html>\n";
}

} // namespace venture::report
