#include <venture/report/changes.hpp>

#include <cmath>
#include <map>

#include <fmt/format.h>

#include <venture/figure/shown.hpp>

namespace venture::report {

using figure::Cell;
using figure::Figure;

namespace {

struct Moved {
    std::string path{}, from{}, to{}, by{};
};

std::string by_how_much(const Figure& before, const Figure& after, const quantity::PreferredUnits& units)
{
    const auto *was = std::get_if<double>(&before.value), *is = std::get_if<double>(&after.value);
    if (was == nullptr || is == nullptr) return {};
    if (after.column.quantity == "temperature") // no zero of its own to take shares of
        return fmt::format("{:+.1f} {}", units.value(*is, "temperature") - units.value(*was, "temperature"),
                           units.symbol("temperature_difference"));
    if (*was == 0.0) return {};
    return fmt::format("{:+.1f} %", 100.0 * (*is - *was) / std::abs(*was));
}

} // namespace

figure::Table moved_table(const std::vector<Figure>& before, const std::vector<Figure>& after,
                          const quantity::PreferredUnits& units)
{
    static const figure::TableOf<Moved> declared = {
        {"moved", "What moved", "A figure that shows otherwise than before."},
        {
            {{"figure", "Moved", "", "its path", 0}, [](const Moved& m) -> Cell { return m.path; }},
            {{"from", "from", "", "before"}, [](const Moved& m) -> Cell { return m.from; }},
            {{"to", "to", "", "now"}, [](const Moved& m) -> Cell { return m.to; }},
            {{"by", "by", "", "as a share of before"}, [](const Moved& m) -> Cell { return m.by; }},
        }};
    const auto shown_of = [&](const Figure& f) { return shown_with_unit(f.value, f.column, units); };
    std::map<std::string_view, const Figure*> old;
    for (const Figure& f : before) old[f.path] = &f;
    std::vector<Moved> rows;
    for (const Figure& f : after) {
        const auto found = old.find(f.path);
        if (found == old.end()) {
            rows.push_back({f.path, "(new)", shown_of(f), ""});
            continue;
        }
        std::string was = shown_of(*found->second), is = shown_of(f);
        if (was != is) rows.push_back({f.path, std::move(was), std::move(is), by_how_much(*found->second, f, units)});
        old.erase(found);
    }
    for (const Figure& f : before)
        if (old.contains(f.path)) rows.push_back({f.path, shown_of(f), "(gone)", ""});
    return figure::table_of(declared, rows);
}

} // namespace venture::report
