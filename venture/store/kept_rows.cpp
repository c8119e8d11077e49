#include <venture/store/kept_rows.hpp>

#include <algorithm>
#include <bit>
#include <charconv>
#include <cstring>
#include <limits>

#include <fmt/format.h>

#include <venture/climate/date.hpp>
#include <venture/figure/path.hpp>
#include <venture/quantity/error.hpp>
#include <venture/store/columns.hpp>

namespace venture::store::rows {

static_assert(std::endian::native == std::endian::little, "blobs are written as they stand in memory");

namespace {

std::string hexadecimal(std::uint64_t bits) { return fmt::format("{:016x}", bits); }

std::uint64_t from_hexadecimal(const std::string& text)
{
    std::uint64_t out = 0;
    std::from_chars(text.data(), text.data() + text.size(), out, 16);
    return out;
}

/// ", a, b, c" of columns.
template <class List>
std::string names(const List& columns)
{
    std::string out;
    for (const auto& [name, member] : columns) out += fmt::format(", {}", name);
    return out;
}

std::string question_marks(std::size_t count)
{
    std::string out = "?";
    for (std::size_t i = 1; i < count; ++i) out += ", ?";
    return out;
}

template <class List, class T>
void bind(Statement& s, const List& columns, const T& from)
{
    for (const auto& [name, member] : columns) s.bind(from.*member);
}

template <class List, class T>
void read(const Statement& s, const List& columns, int& column, T& into)
{
    for (const auto& [name, member] : columns) {
        using V = std::remove_cvref_t<decltype(into.*member)>;
        if constexpr (std::is_floating_point_v<V>)
            into.*member = s.number(column++);
        else
            into.*member = static_cast<V>(s.whole(column++));
    }
}

/// Every column of a table, and as many question marks.
struct Into {
    std::string columns{};
    std::size_t count = 0;
    [[nodiscard]] std::string into(const char* table) const
    {
        return fmt::format("INSERT INTO {} ({}) VALUES ({})", table, columns, question_marks(count));
    }
    [[nodiscard]] std::string from(const char* table) const { return fmt::format("SELECT {} FROM {}", columns, table); }
};
template <class... Lists>
Into all_columns(std::string first, std::size_t count, const Lists&... lists)
{
    ((first += names(lists)), ...);
    ((count += std::size(lists)), ...);
    return {std::move(first), count};
}

Into room_columns()
{
    return all_columns("run, place, name, storey, heated, cooled, limited_moisture, air_supply, given_everything", 9,
                       columns::sizes_of_room, columns::of_room, columns::hours_of_room);
}
Into month_columns()
{
    return all_columns("run, place, month", 3, columns::of_month, columns::damp_of_month, columns::air_of_month);
}
Into duration_columns() { return all_columns("run, place", 2, columns::of_duration); }

} // namespace

std::vector<KeptRun> runs(const Database& db)
{
    std::vector<KeptRun> out;
    Statement s =
        db.prepare("SELECT id, inputs, step_s, run_in_days, first_day, days, name, project, revision, program, "
                   "leap FROM run ORDER BY id");
    while (s.next())
        out.push_back({.id = s.whole(0),
                       .key = {from_hexadecimal(s.text(1)), s.number(2), s.number(3), static_cast<int>(s.whole(4)),
                               static_cast<int>(s.whole(5))},
                       .name = s.text(6),
                       .project = s.text(7),
                       .revision = s.text(8),
                       .program = s.text(9),
                       .leap = s.whole(10) != 0});
    return out;
}

std::int64_t add_run(const Database& db, const KeptRun& run, const loads::BuildingYear& year)
{
    const Into into =
        all_columns("inputs, step_s, run_in_days, first_day, days, name, project, revision, program, weather, "
                    "synthetic, leap, unsettled_steps",
                    13, columns::of_run, columns::hours_of_run);
    Statement s = db.prepare(into.into("run"));
    s.bind(std::string_view{hexadecimal(run.key.inputs)}).bind(run.key.step_s).bind(run.key.run_in_days);
    s.bind(run.key.first_day).bind(run.key.days);
    for (const std::string& text : {run.name, run.project, run.revision, run.program, year.weather})
        s.bind(std::string_view{text});
    s.bind(year.synthetic).bind(run.leap).bind(year.unsettled_steps);
    bind(s, columns::of_run, year);
    bind(s, columns::hours_of_run, year);
    s.run();
    return db.last_id();
}

void add_rooms(const Database& db, std::int64_t run, const loads::BuildingYear& year)
{
    Statement room_row = db.prepare(room_columns().into("room")),
              month_row = db.prepare(month_columns().into("room_month"));
    for (std::size_t r = 0; r < year.rooms.size(); ++r) {
        const loads::RoomYear& room = year.rooms[r];
        room_row.bind(run).bind(r).bind(std::string_view{room.room}).bind(std::string_view{room.storey});
        room_row.bind(room.heated).bind(room.cooled).bind(room.limited_moisture);
        room_row.bind(std::string_view{room.air.supply}).bind(room.air.everything);
        bind(room_row, columns::sizes_of_room, room);
        bind(room_row, columns::of_room, room.run);
        bind(room_row, columns::hours_of_room, room.run);
        room_row.run();
        for (std::size_t month = 0; month < room.months.size(); ++month) {
            month_row.bind(run).bind(r).bind(month + 1);
            bind(month_row, columns::of_month, room.months[month]);
            bind(month_row, columns::damp_of_month, room.damp[month]);
            bind(month_row, columns::air_of_month, room.air.months[month]);
            month_row.run();
        }
    }
}

namespace {

/// Hours of a year as months and days have them.
struct Split {
    int number = 1;
    std::size_t first = 0, count = 0; ///< of the values
};

template <class NumberOf>
std::vector<Split> split(std::size_t hours, const NumberOf& number_of)
{
    std::vector<Split> out;
    for (std::size_t h = 0; h < hours; ++h) {
        const int number = number_of(h);
        if (out.empty() || out.back().number != number) out.push_back({number, h, 0});
        ++out.back().count;
    }
    return out;
}

/// Of some values, or of sums of as many values each.
struct Sums {
    double sum = 0.0, least = std::numeric_limits<double>::infinity(), largest = -least;
    void add(double value)
    {
        sum += value;
        least = std::min(least, value);
        largest = std::max(largest, value);
    }
    void add(const Sums& other)
    {
        sum += other.sum;
        least = std::min(least, other.least);
        largest = std::max(largest, other.largest);
    }
};

std::vector<Sums> sums_of_days(const std::vector<double>& values, const std::vector<Split>& days)
{
    std::vector<Sums> out(days.size());
    for (std::size_t d = 0; d < days.size(); ++d)
        for (std::size_t i = 0; i < days[d].count; ++i) out[d].add(values[days[d].first + i]);
    return out;
}

void add_row(Statement& row, std::int64_t series, const Split& part, const Sums& sums)
{
    row.bind(series).bind(part.number).bind(sums.sum / static_cast<double>(part.count));
    row.bind(sums.least).bind(sums.largest).run();
}

} // namespace

void add_duration(const Database& db, std::int64_t run, const loads::BuildingYear& year)
{
    Statement row = db.prepare(duration_columns().into("duration"));
    for (std::size_t i = 0; i < year.duration.size(); ++i) {
        row.bind(run).bind(i);
        bind(row, columns::of_duration, year.duration[i]);
        row.run();
    }
}

void add_series(const Database& db, std::int64_t run, bool leap, const loads::BuildingYear& year)
{
    const std::size_t hours = 24 * static_cast<std::size_t>(year.days);
    const auto day_of = [&](std::size_t hour) { return year.first_day + static_cast<int>(hour / 24); };
    const auto days = split(hours, day_of);
    const auto months = split(hours, [&](std::size_t h) { return climate::month_day(day_of(h), leap).month; });
    Statement series = db.prepare("INSERT INTO series (run, path, subject, kind, unit) VALUES (?, ?, ?, ?, ?)"),
              day = db.prepare("INSERT INTO day VALUES (?, ?, ?, ?, ?)"),
              month = db.prepare("INSERT INTO month VALUES (?, ?, ?, ?, ?)"),
              blob = db.prepare("INSERT INTO hours VALUES (?, ?, ?, ?)");
    std::vector<float> single;
    for (const balance::Series& s : year.series) {
        series.bind(run).bind(std::string_view{path_of(s.kind, s.id)}).bind(std::string_view{s.id});
        series.bind(std::string_view{s.kind}).bind(std::string_view{s.unit}).run();
        const std::int64_t id = db.last_id();
        single.assign(s.values.begin(), s.values.end());
        for (const Split& part : months)
            blob.bind(id)
                .bind(part.number)
                .bind(static_cast<std::size_t>(year.first_day - 1) * 24 + part.first)
                .bind(std::as_bytes(std::span{single}.subspan(part.first, part.count)))
                .run();
        const std::vector<Sums> by_day = sums_of_days(s.values, days);
        for (std::size_t d = 0; d < days.size(); ++d) add_row(day, id, days[d], by_day[d]);
        std::size_t d = 0;
        for (const Split& part : months) {
            Sums sums;
            for (; d < days.size() && days[d].first < part.first + part.count; ++d) sums.add(by_day[d]);
            add_row(month, id, part, sums);
        }
    }
}

void drop(const Database& db, std::int64_t run)
{
    for (const char* table : {"day", "month", "hours"})
        db.prepare(fmt::format("DELETE FROM {} WHERE series IN (SELECT id FROM series WHERE run = ?)", table))
            .bind(run)
            .run();
    for (const char* table : {"series", "duration", "room_month", "room"})
        db.prepare(fmt::format("DELETE FROM {} WHERE run = ?", table)).bind(run).run();
    db.prepare("DELETE FROM run WHERE id = ?").bind(run).run();
}

loads::BuildingYear year(const Database& db, const KeptRun& run)
{
    loads::BuildingYear out{.first_day = run.key.first_day, .days = run.key.days};
    out.step_s = run.key.step_s;
    out.run_in_days = run.key.run_in_days;
    Statement of_run =
        db.prepare(all_columns("weather, synthetic, unsettled_steps", 3, columns::of_run, columns::hours_of_run)
                       .from("run WHERE id = ?"));
    if (of_run.bind(run.id).next()) {
        out.weather = of_run.text(0);
        out.synthetic = of_run.whole(1) != 0;
        out.unsettled_steps = static_cast<int>(of_run.whole(2));
        int column = 3;
        read(of_run, columns::of_run, column, out);
        read(of_run, columns::hours_of_run, column, out);
    }
    Statement room = db.prepare(room_columns().from("room WHERE run = ? ORDER BY place"));
    room.bind(run.id);
    while (room.next()) {
        loads::RoomYear& r = out.rooms.emplace_back();
        r.room = room.text(2);
        r.storey = room.text(3);
        r.heated = room.whole(4) != 0;
        r.cooled = room.whole(5) != 0;
        r.limited_moisture = room.whole(6) != 0;
        r.air.supply = room.text(7);
        r.air.everything = room.whole(8) != 0;
        int column = 9;
        read(room, columns::sizes_of_room, column, r);
        read(room, columns::of_room, column, r.run);
        read(room, columns::hours_of_room, column, r.run);
    }
    Statement month = db.prepare(month_columns().from("room_month WHERE run = ?"));
    month.bind(run.id);
    while (month.next()) {
        loads::RoomYear& r = out.rooms.at(static_cast<std::size_t>(month.whole(1)));
        const auto at = static_cast<std::size_t>(month.whole(2) - 1);
        int column = 3;
        read(month, columns::of_month, column, r.months.at(at));
        read(month, columns::damp_of_month, column, r.damp.at(at));
        read(month, columns::air_of_month, column, r.air.months.at(at));
    }
    Statement point = db.prepare(duration_columns().from("duration WHERE run = ? ORDER BY place"));
    point.bind(run.id);
    while (point.next()) {
        int column = 2;
        read(point, columns::of_duration, column, out.duration.emplace_back());
    }
    return out;
}

std::vector<KeptSeries> series(const Database& db, std::int64_t run, const std::string& pattern)
{
    std::vector<KeptSeries> out;
    Statement s = db.prepare("SELECT id, path, subject, kind, unit FROM series WHERE run = ? ORDER BY path");
    s.bind(run);
    while (s.next()) {
        KeptSeries one{s.whole(0), s.text(1), s.text(2), s.text(3), s.text(4)};
        if ((pattern.empty() || figure::matches(one.path, pattern))) out.push_back(std::move(one));
    }
    return out;
}

std::vector<KeptSum> sums(const Database& db, std::string_view sql, std::int64_t series)
{
    std::vector<KeptSum> out;
    Statement s = db.prepare(sql);
    s.bind(series);
    while (s.next()) out.push_back({static_cast<int>(s.whole(0)), s.number(1), s.number(2), s.number(3)});
    return out;
}

std::vector<double> hours(const Database& db, std::int64_t series, int month)
{
    std::vector<double> out;
    Statement s = db.prepare(month == 0 ? "SELECT means FROM hours WHERE series = ? ORDER BY first_hour"
                                        : "SELECT means FROM hours WHERE series = ? AND month = ?");
    s.bind(series);
    if (month != 0) s.bind(month);
    std::vector<float> single;
    while (s.next()) {
        const std::span<const std::byte> blob = s.blob(0);
        single.resize(blob.size() / sizeof(float));
        std::memcpy(single.data(), blob.data(), single.size() * sizeof(float));
        out.insert(out.end(), single.begin(), single.end());
    }
    return out;
}

} // namespace venture::store::rows
