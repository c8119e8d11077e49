#include <venture/report/kept_report.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/climate/date.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/loads_report.hpp>

namespace venture::report {

using figure::Cell;
using figure::Document;
using figure::Table;
using store::KeptRun;
using store::KeptRuns;
using store::KeptSeries;

namespace {

const figure::TableOf<KeptRunRow>& run_columns()
{
    using R = KeptRunRow;
    static const figure::TableOf<R> all = {
        {"kept_run", "Kept runs", "A run through the weather year that is kept."},
        {
            {{"run", "Run", "count", "its number", 0}, [](const R& r) -> Cell { return figure::whole(r.run.id); }},
            {{"name", "Name", "", "that it was given", 0, figure::Sum::none, figure::Show::if_any},
             [](const R& r) -> Cell { return figure::where(!r.run.name.empty(), r.run.name); }},
            {{"state", "State", "", "whether what it follows from has moved since", 1},
             [](const R& r) -> Cell { return std::string{r.of_today ? "as the project is" : "of an earlier state"}; }},
            {{"revision", "Revision", "", "of the project, when it was run", 3},
             [](const R& r) -> Cell { return figure::where(!r.run.revision.empty(), r.run.revision); }},
            {{"first_day", "From", "", "first day", 2},
             [](const R& r) -> Cell { return climate::in_words(climate::month_day(r.run.key.first_day, r.run.leap)); }},
            {{"days", "Days", "count", "that were run", 2},
             [](const R& r) -> Cell { return figure::whole(r.run.key.days); }},
            {{"step", "Step\nmin", "count", "of time, minutes", 4},
             [](const R& r) -> Cell { return r.run.key.step_s / 60.0; }},
            {{"run_in", "Run-in", "count", "days before the first", 5},
             [](const R& r) -> Cell { return r.run.key.run_in_days; }},
        }};
    return all;
}

struct KindRow {
    std::string kind{}, unit{};
    std::size_t count = 0;
};

const figure::TableOf<KindRow>& kind_columns()
{
    using K = KindRow;
    static const figure::TableOf<K> all = {
        {"kept_kind", "Kept series", "A kind of series that is kept of a run."},
        {
            {{"kind", "Series", "", "last part of its paths", 0}, [](const K& k) -> Cell { return k.kind; }},
            {{"unit", "Unit", "", "that files hold it in", 1}, [](const K& k) -> Cell { return k.unit; }},
            {{"of", "of", "count", "rooms, surfaces, or the whole", 1},
             [](const K& k) -> Cell { return figure::whole(k.count); }},
        }};
    return all;
}

std::string run_text(const KeptRun& run)
{
    return fmt::format("run {}{}", run.id, run.name.empty() ? "" : fmt::format(" '{}'", run.name));
}

/// Numbers of lines, and values of a series on them.
struct Lines {
    std::vector<int> number{}; ///< of a month or day; of an hour of the year, from 0
    std::vector<double> value{};
};

Lines lines_of(const KeptRuns& kept, const KeptRun& run, const KeptSeries& series, const KeptValues& v)
{
    Lines out;
    const auto month_of_day = [&](int day) { return climate::month_day(day, run.leap).month; };
    if (v.by == KeptValues::By::hour) {
        out.value = kept.hours(series, v.month);
        int hour = (run.key.first_day - 1) * 24;
        while (v.month != 0 && hour < 366 * 24 && month_of_day(hour / 24 + 1) != v.month) hour += 24;
        for (std::size_t i = 0; i < out.value.size(); ++i) out.number.push_back(hour + static_cast<int>(i));
        return out;
    }
    const bool by_month = v.by == KeptValues::By::month;
    for (const store::KeptSum& sum : by_month ? kept.months(series) : kept.days(series)) {
        if (v.month != 0 && (by_month ? sum.number : month_of_day(sum.number)) != v.month) continue;
        out.number.push_back(sum.number);
        out.value.push_back(sum.mean);
    }
    return out;
}

std::string line_text(int number, const KeptRun& run, KeptValues::By by)
{
    if (by == KeptValues::By::month) return climate::month_name(number);
    const int day = by == KeptValues::By::day ? number : number / 24 + 1;
    return climate::in_words(climate::month_day(day, run.leap));
}

/// Without columns of values yet.
Table table_of_lines(const std::vector<int>& numbers, const KeptRun& run, const KeptValues& v)
{
    Table out;
    out.name = "kept_series";
    out.title = "Kept series";
    out.meaning = "Means over months, days or hours of local standard time.";
    const bool hours = v.by == KeptValues::By::hour;
    out.subjects = hours ? 2 : 1;
    out.columns.push_back({v.by == KeptValues::By::month ? "month" : "day",
                           v.by == KeptValues::By::month ? "Month" : "Day", "", "that a line is of", 0});
    if (hours) out.columns.push_back({"hour", "Hour", "count", "14: from 14 to 15 h", 0});
    for (const int number : numbers) {
        auto& row = out.rows.emplace_back();
        row.emplace_back(line_text(number, run, v.by));
        if (hours) row.push_back(figure::whole(number % 24));
    }
    return out;
}

void add_values(Table& table, const std::string& key, const std::string& heading, const KeptSeries& series,
                const std::vector<double>& values)
{
    table.columns.push_back({key, heading, std::string{quantity::printed_in(series.unit)}, series.kind});
    for (std::size_t i = 0; i < table.rows.size(); ++i)
        table.rows[i].emplace_back(i < values.size() ? Cell{values[i]} : Cell{});
}

/// What the columns share stands first, so that it is shown once.
class Headings {
public:
    explicit Headings(const std::vector<KeptSeries>& series)
        : one_kind_{std::ranges::all_of(series, [&](const KeptSeries& s) { return s.kind == series.front().kind; })}
    {
    }
    [[nodiscard]] std::string of(const KeptSeries& s) const
    {
        if (s.subject.empty()) return s.kind;
        return one_kind_ ? s.kind + "\n" + s.subject : s.subject + "\n" + s.kind;
    }

private:
    bool one_kind_;
};

/// A table a kind, a line a room, a column a month: more rooms than columns fit beside one another.
std::vector<Table> tables_by_kind(const KeptRuns& kept, const std::vector<KeptSeries>& series, const KeptValues& v)
{
    std::map<std::string, Table> out;
    for (const KeptSeries& s : series) {
        Table& table = out[s.kind];
        const std::vector<store::KeptSum> months = kept.months(s);
        if (table.columns.empty()) {
            table.name = "kept_" + s.path.substr(s.path.rfind('/') + 1);
            table.title = s.kind;
            table.meaning = "Means over months.";
            table.columns.push_back({"subject", s.kind, "", "that a line is of", 0});
            for (const store::KeptSum& month : months)
                if (v.month == 0 || v.month == month.number)
                    table.columns.push_back({climate::month_name(month.number),
                                             climate::month_name(month.number).substr(0, 3),
                                             std::string{quantity::printed_in(s.unit)}, "mean over the month"});
        }
        auto& row = table.rows.emplace_back();
        row.emplace_back(s.subject);
        for (const store::KeptSum& month : months)
            if (v.month == 0 || v.month == month.number) row.emplace_back(month.mean);
    }
    std::vector<Table> tables;
    for (auto& [kind, table] : out) tables.push_back(std::move(table));
    return tables;
}

} // namespace

Document kept_runs_document(const building::Building& b, const std::vector<KeptRunRow>& runs,
                            const std::vector<KeptSeries>& series, const KeptRun& of)
{
    Document out{job_title(b)};
    out.add(figure::table_of(run_columns(), runs));
    std::map<std::string, KindRow> kinds;
    for (const KeptSeries& s : series) {
        KindRow& row = kinds[s.path.substr(s.path.rfind('/') + 1)];
        row.kind = s.path.substr(s.path.rfind('/') + 1);
        row.unit = s.unit;
        ++row.count;
    }
    std::vector<KindRow> rows;
    for (const auto& [name, row] : kinds) rows.push_back(row);
    out.add(figure::table_of(kind_columns(), rows));
    out.add(fmt::format("Series of {}; a path is hour/ROOM/SERIES, or hour/building/SERIES of the whole. "
                        "`venture series PROJECT SERIES` prints one of all rooms, --by day or hour finer.\n",
                        run_text(of)));
    return out;
}

Document kept_series_document(const building::Building& b, const KeptRuns& kept, const KeptRun& run,
                              const std::vector<KeptSeries>& series, const KeptValues& v)
{
    Document out{job_title(b)};
    constexpr std::size_t many = 6;
    if (v.by == KeptValues::By::month && series.size() > many) {
        for (Table& table : tables_by_kind(kept, series, v)) out.add(std::move(table));
        out.add(fmt::format("Means over months, of {}.\n", run_text(run)));
        return out;
    }
    Table table = table_of_lines(lines_of(kept, run, series.front(), v).number, run, v);
    const Headings headings{series};
    for (const KeptSeries& s : series) add_values(table, s.path, headings.of(s), s, lines_of(kept, run, s, v).value);
    out.add(std::move(table));
    out.add(fmt::format("Means, of {}.\n", run_text(run)));
    return out;
}

Document kept_difference_document(const building::Building& b, const KeptRuns& kept, const KeptRun& run,
                                  const KeptRun& other, const std::vector<KeptSeries>& series, const KeptValues& v)
{
    Document out{job_title(b)};
    const Lines first = lines_of(kept, run, series.front(), v);
    Table table = table_of_lines(first.number, run, v);
    std::vector<std::string> alone;
    const Headings headings{series};
    for (const KeptSeries& s : series) {
        const auto same = kept.series(other.id, s.path);
        if (same.empty()) {
            alone.push_back(s.path);
            continue;
        }
        const Lines one = lines_of(kept, run, s, v), two = lines_of(kept, other, same.front(), v);
        std::vector<double> theirs, more;
        for (std::size_t i = 0; i < one.number.size(); ++i) {
            const auto at = std::ranges::find(two.number, one.number[i]);
            if (at == two.number.end()) break;
            theirs.push_back(two.value[static_cast<std::size_t>(at - two.number.begin())]);
            more.push_back(one.value[i] - theirs.back());
        }
        KeptSeries difference = s;
        if (s.unit == "degC") difference.unit = "K";
        add_values(table, s.path, headings.of(s) + fmt::format("\n{}", run_text(run)), s, one.value);
        add_values(table, s.path + "/against", headings.of(s) + fmt::format("\n{}", run_text(other)), s, theirs);
        add_values(table, s.path + "/more", headings.of(s) + "\nmore", difference, more);
    }
    out.add(std::move(table));
    out.add(fmt::format("Means, of {} and {}; more: the first less the other.\n", run_text(run), run_text(other)));
    if (!alone.empty()) out.add(fmt::format("Only {} holds {}\n", run_text(run), quantity::listed(alone, 6)));
    return out;
}

} // namespace venture::report
