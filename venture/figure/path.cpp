#include <venture/figure/path.hpp>

#include <set>

namespace venture::figure {

std::vector<Figure> figures_of(const Table& table)
{
    std::vector<Figure> out;
    const auto add = [&](const std::string& subject, const std::vector<Cell>& cells) {
        for (std::size_t c = table.subjects; c < table.columns.size(); ++c)
            if (!std::holds_alternative<std::monostate>(cells[c]))
                out.push_back(
                    {table.name + "/" + subject + "/" + table.columns[c].key, cells[c], table.columns[c]});
    };
    for (std::size_t r = 0; r < table.rows.size(); ++r) add(table.subject(r), table.rows[r]);
    for (const Total& total : table.totals) add(total.what, total.cells);
    return out;
}

std::vector<Figure> figures_of(const Document& document, std::string_view pattern)
{
    std::vector<Figure> out;
    std::set<std::string> known; // a table that two parts of a document bring stands once
    for (const Table& table : document.data_tables())
        for (Figure& figure : figures_of(table))
            if ((pattern.empty() || matches(figure.path, pattern)) && known.insert(figure.path).second)
                out.push_back(std::move(figure));
    return out;
}

PathParts parts_of(std::string_view path)
{
    const auto first = path.find('/'), last = path.rfind('/');
    if (first == std::string_view::npos) return {.table = path};
    if (first == last) return {.table = path.substr(0, first), .subject = path.substr(first + 1)};
    return {path.substr(0, first), path.substr(first + 1, last - first - 1), path.substr(last + 1)};
}

bool matches(std::string_view path, std::string_view pattern)
{
    const PathParts is = parts_of(path), asked = parts_of(pattern);
    const auto alike = [](std::string_view part, std::string_view wanted) {
        return wanted.empty() || wanted == "*" || part == wanted;
    };
    return alike(is.table, asked.table) && alike(is.subject, asked.subject) && alike(is.column, asked.column);
}

} // namespace venture::figure
