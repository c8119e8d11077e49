#include <venture/exchange/weather_order.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>

#include <fmt/format.h>

#include <venture/exchange/weather_times.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/climate_input.hpp>

namespace venture::exchange::detail {

namespace codes = quantity::codes;
using input::WeatherInput;
using project::CsvCell;
using project::CsvRow;
using quantity::OriginId;
using quantity::Severity;

namespace {

class Orderer {
public:
    Orderer(const project::CsvTable& table, const WeatherColumns& columns, const WeatherInput& stated,
            const std::string& file, quantity::OriginPool& origins, quantity::Problems& problems)
        : table_{table},
          columns_{columns},
          stated_{stated},
          file_{file},
          origins_{origins},
          problems_{problems}
    {
        date_order_ = resolve::choice_of(stated, &WeatherInput::date_order);
    }

    std::optional<Order> run() { return columns_.has_times() ? by_times() : by_number(); }

private:
    quantity::Problem& problem(std::string_view code, const CsvCell& at, std::string message, std::string hint,
                               std::string cause)
    {
        const OriginId where = origins_.add({quantity::OriginKind::file, file_, at.line, at.column, {}});
        return problems_.add(quantity::Problem{.severity = Severity::error,
                                               .code = code,
                                               .where = where,
                                               .message = std::move(message),
                                               .hint = std::move(hint),
                                               .cause = std::move(cause)});
    }

    std::nullopt_t no_time(const CsvCell& at, const std::string& reason)
    {
        problem(codes::weather_records, at, reason, "see date_order, and whether the line is whole", "no time");
        return std::nullopt;
    }

    /// The cell of a part of the time; nothing if no column holds it or the row is too short.
    [[nodiscard]] const CsvCell* cell(const CsvRow& row, TimePart part) const
    {
        const auto index = columns_.at(part);
        return index && *index < row.size() ? &row[*index] : nullptr;
    }

    /// What the row says of its time; nothing, and a problem, if it says nothing that can be understood.
    std::optional<RecordTime> time_of(const CsvRow& row)
    {
        if (const CsvCell* time = cell(row, TimePart::time)) {
            const auto read = read_date_and_clock(time->text, date_order_);
            if (const auto* no = std::get_if<NoTime>(&read)) return no_time(*time, no->reason);
            return std::get<RecordTime>(read);
        }
        const auto date = date_of(row);
        const auto minute = date ? clock_of(row) : std::nullopt;
        if (!minute) return std::nullopt;
        return RecordTime{*date, *minute};
    }

    std::optional<climate::MonthDay> date_of(const CsvRow& row)
    {
        if (const CsvCell* date = cell(row, TimePart::date)) {
            const auto read = read_date(date->text, date_order_);
            if (const auto* no = std::get_if<NoTime>(&read)) return no_time(*date, no->reason);
            return std::get<climate::MonthDay>(read);
        }
        const auto month = whole(row, TimePart::month, 1, 12), day = whole(row, TimePart::day, 1, 31);
        if (!month || !day) return std::nullopt;
        const int most = climate::days_in_month(*month, true);
        if (*day > most)
            return no_time(*cell(row, TimePart::day), fmt::format("{} has {} days", climate::month_name(*month), most));
        return climate::MonthDay{*month, *day};
    }

    std::optional<int> clock_of(const CsvRow& row)
    {
        int minutes = 0;
        if (const CsvCell* hour = cell(row, TimePart::hour)) {
            const auto read = read_clock(hour->text);
            if (const auto* no = std::get_if<NoTime>(&read)) return no_time(*hour, no->reason);
            minutes = std::get<int>(read);
        }
        if (!columns_.at(TimePart::minute)) return minutes;
        const auto more = whole(row, TimePart::minute, 0, 60);
        if (!more) return std::nullopt;
        return minutes + *more;
    }

    std::optional<int> whole(const CsvRow& row, TimePart part, int lowest, int highest)
    {
        constexpr std::array names = {"time", "date", "month", "day", "hour", "minute"};
        const char* name = names[static_cast<std::size_t>(part)];
        const CsvCell* at = cell(row, part);
        if (at == nullptr) {
            problem(codes::missing, row.front(), fmt::format("no column holds '{}'", name),
                    "times are told by 'time', by 'date' and 'hour', or by 'month', 'day' and 'hour'",
                    fmt::format("no {}", name));
            return std::nullopt;
        }
        const auto number = quantity::leading_number(at->text);
        if (number && number->rest.empty() && number->value == std::floor(number->value) && number->value >= lowest &&
            number->value <= highest)
            return static_cast<int>(number->value);
        return no_time(*at, fmt::format("'{}' is no {} ({} to {})", at->text.substr(0, 40), name, lowest, highest));
    }

    std::optional<Order> by_times()
    {
        const std::size_t before = problems_.size();
        constexpr std::size_t enough = 100; // wrong ones: the rest will be alike
        std::vector<RecordTime> times;
        for (const CsvRow& row : table_.rows) {
            if (const auto time = time_of(row)) times.push_back(*time);
            if (problems_.size() > before + enough) return std::nullopt;
        }
        if (problems_.size() > before) return std::nullopt;
        Order order;
        order.leap = std::ranges::any_of(times, [](const auto& t) { return t.date == climate::MonthDay{2, 29}; });
        std::vector<int> minutes;
        for (const RecordTime& t : times)
            minutes.push_back(24 * 60 * (climate::day_of_year(t.date, order.leap) - 1) + t.minute_of_day);
        const int step = usual_step(minutes);
        if (step <= 0 || step > 60 || 60 % step != 0) {
            problem(codes::weather_records, table_.rows.front().front(),
                    fmt::format("records follow each other by {} minutes", step),
                    "steps of 1 minute to 1 hour that divide the hour are read", {});
            return std::nullopt;
        }
        order.steps_per_hour = 60 / step;
        return placed(std::move(order), minutes, step);
    }

    /// The difference that most records have to the one before.
    static int usual_step(const std::vector<int>& minutes)
    {
        std::map<int, int> count;
        for (std::size_t i = 1; i < minutes.size(); ++i) ++count[minutes[i] - minutes[i - 1]];
        return count.empty() ? 0 : std::ranges::max_element(count, {}, [](const auto& c) { return c.second; })->first;
    }

    std::optional<Order> placed(Order order, const std::vector<int>& minutes, int step)
    {
        const auto n = static_cast<int>(climate::steps_in_year(order.leap, order.steps_per_hour));
        const int shift = stated_.stamp == climate::Stamp::end ? step : 0;
        std::map<std::size_t, std::size_t> row_of_record;
        for (std::size_t row = 0; row < minutes.size(); ++row) {
            const int start = minutes[row] - shift;
            const CsvCell& at = table_.rows[row].front();
            if (start % step != 0) {
                problem(codes::weather_records, at,
                        fmt::format("the time is no multiple of the step of {} minutes", step),
                        "records of one step each are read", "no multiple of the step");
                continue;
            }
            const auto record = static_cast<std::size_t>((start / step + n) % n);
            const auto [first, is_new] = row_of_record.emplace(record, row);
            if (!is_new)
                problem(codes::twice, at, "a second record of one time",
                        fmt::format("the first is in line {}; is there summer time in the file, or a second year?",
                                    table_.rows[first->second].front().line),
                        "a second record of one time");
            order.record_of_row.push_back(record);
        }
        if (order.record_of_row.size() != minutes.size()) return std::nullopt;
        return order;
    }

    std::optional<Order> by_number()
    {
        const std::size_t rows = table_.rows.size();
        for (const bool leap : {false, true})
            for (const int per_hour : {1, 2, 3, 4, 5, 6, 10, 12, 15, 20, 30, 60})
                if (rows == climate::steps_in_year(leap, per_hour)) {
                    Order order{.leap = leap, .steps_per_hour = per_hour};
                    for (std::size_t i = 0; i < rows; ++i) order.record_of_row.push_back(i);
                    return order;
                }
        problem(codes::weather_records, table_.rows.back().front(),
                fmt::format("{} records; a year has 8760 hours, a leap year 8784 (or that many times the steps of an "
                            "hour)",
                            rows),
                "find the missing ones; a file whose records bear their times (holds = \"time\") may have short gaps",
                {});
        return std::nullopt;
    }

    const project::CsvTable& table_;
    const WeatherColumns& columns_;
    const WeatherInput& stated_;
    const std::string& file_;
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    DateOrder date_order_ = DateOrder::year_month_day;
};

} // namespace

std::optional<Order> order_records(const project::CsvTable& table, const WeatherColumns& columns,
                                   const WeatherInput& stated, const std::string& file, quantity::OriginPool& origins,
                                   quantity::Problems& problems)
{
    return Orderer{table, columns, stated, file, origins, problems}.run();
}

} // namespace venture::exchange::detail
