#include <venture/exchange/weather_file.hpp>

#include <algorithm>
#include <cmath>
#include <numbers>

#include <fmt/format.h>

#include <venture/climate/complete_year.hpp>
#include <venture/exchange/tmy3.hpp>
#include <venture/exchange/weather_columns.hpp>
#include <venture/exchange/weather_order.hpp>
#include <venture/project/stated_csv.hpp>
#include <venture/project/weather_heading.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/resolve/climate_input.hpp>

namespace venture::exchange {

namespace codes = quantity::codes;
using climate::Readings;
using climate::RemarkKind;
using input::WeatherForm;
using input::WeatherInput;
using project::CsvCell;
using project::CsvRow;
using quantity::OriginId;
using quantity::Severity;

namespace {

std::string_view code_of(RemarkKind kind)
{
    switch (kind) {
    case RemarkKind::missing_reading:
        return codes::missing;
    case RemarkKind::impossible:
        return codes::weather_value;
    case RemarkKind::long_gap:
        return codes::weather_gap;
    case RemarkKind::sun_and_clock:
        return codes::sun_and_clock;
    case RemarkKind::sums_differ:
    case RemarkKind::stuck:
        return codes::weather_odd;
    case RemarkKind::filled:
    case RemarkKind::assumed:
        return codes::weather_filled;
    }
    VENTURE_UNREACHABLE("a remark without a kind");
}

class WeatherReader {
public:
    WeatherReader(const std::string& file, WeatherInput stated, const std::optional<climate::Place>& site,
                  quantity::OriginPool& origins, quantity::Problems& problems)
        : file_{file},
          stated_{std::move(stated)},
          site_{site},
          origins_{origins},
          problems_{problems}
    {
    }

    std::optional<climate::WeatherYear> run(const std::string& bytes)
    {
        const std::size_t before = problems_.size();
        if (project::has_weather_heading(bytes))
            project::read_weather_heading(bytes, file_, stated_, origins_, problems_);
        tmy3_ = resolve::choice_of(stated_, &WeatherInput::form) == WeatherForm::tmy3 ||
                (!stated_.form && detail::is_tmy3(bytes));
        if (tmy3_) detail::describe_tmy3(bytes, file_, stated_, origins_, problems_);
        project::CsvStated how = project::stated_by(stated_);
        how.skip_lines = static_cast<int>(resolve::number_of(stated_, &WeatherInput::skip_lines));
        table_ = project::read_csv(bytes, file_, how, detail::numbers_in(stated_.columns), origins_, problems_);
        note_dialect(table_, how, file_, origins_, problems_);
        if (table_.rows.empty()) {
            problem(codes::weather_records, place(1, 0), "no records", "a line holds the weather of one step");
            return std::nullopt;
        }
        columns_ = detail::find_columns(table_, file_, stated_.columns, origins_, problems_);
        check_stamp();
        if (errors_since(before)) return std::nullopt;
        auto readings = read_records(before);
        if (!readings) return std::nullopt;
        return complete(std::move(*readings));
    }

private:
    [[nodiscard]] bool errors_since(std::size_t before) const
    {
        return std::any_of(problems_.begin() + static_cast<std::ptrdiff_t>(before), problems_.end(),
                           [](const quantity::Problem& p) { return p.severity == Severity::error; });
    }

    OriginId place(std::uint32_t line, std::uint32_t column)
    {
        return origins_.add({quantity::OriginKind::file, file_, line, column, {}});
    }

    quantity::Problem& problem(std::string_view code, OriginId where, std::string message, std::string hint)
    {
        return problems_.add(quantity::Problem{Severity::error, code, where, std::move(message), std::move(hint)});
    }

    void check_stamp()
    {
        if (stated_.stamp || stated_.stamp.refused) return;
        problem(codes::missing, stated_.file ? stated_.file.origin : place(1, 0),
                "[weather] has no 'stamp': which end of its step a record bears the time of",
                "stamp = \"end\" if the first record of 1 January is that of 01:00 (most hourly files), "
                "\"beginning\" if it is that of 00:00; an hour's mistake is seen by the sun");
    }

    std::optional<Readings> read_records(std::size_t before)
    {
        const auto order = detail::order_records(table_, columns_, stated_, file_, origins_, problems_);
        if (!order || errors_since(before)) return std::nullopt;
        Readings r{.leap = order->leap, .steps_per_hour = order->steps_per_hour};
        line_of_record_.assign(r.size(), 0);
        for (std::size_t row = 0; row < table_.rows.size(); ++row)
            line_of_record_[order->record_of_row[row]] = table_.rows[row].front().line;
        for (const detail::ReadingColumn& column : columns_.readings) {
            auto& series = r.series[column.reading];
            series.assign(r.size(), std::nullopt);
            for (std::size_t row = 0; row < table_.rows.size(); ++row)
                series[order->record_of_row[row]] = value(table_.rows[row], column);
        }
        if (errors_since(before)) return std::nullopt;
        return r;
    }

    [[nodiscard]] bool is_missing(const std::string& text) const
    {
        if (text.empty()) return true;
        return stated_.missing && std::ranges::any_of(*stated_.missing, [&](const auto& m) { return m.text == text; });
    }

    std::optional<double> value(const CsvRow& row, const detail::ReadingColumn& column)
    {
        const auto& spec = climate::spec_of(column.reading);
        const CsvCell* at = column.index < row.size() ? &row[column.index] : nullptr;
        if (at == nullptr) {
            problem(codes::weather_records, place(row.back().line, row.back().column),
                    fmt::format("the line ends after {} cells; {} stands in the {}th", row.size(), spec.key,
                                column.index + 1),
                    "is the line whole?")
                .cause = "a short line";
            return std::nullopt;
        }
        if (is_missing(at->text)) return std::nullopt;
        const std::string text = project::with_decimal_point(at->text, table_.dialect.decimal_mark);
        const auto number = quantity::leading_number(text);
        if (number && number->rest.empty()) return column.offset + column.factor * number->value;
        problem(codes::wrong_type, place(at->line, at->column),
                fmt::format("{}: a number expected, '{}' found", spec.key, at->text.substr(0, 40)),
                "if it marks a missing value, list it: missing = [\"" + at->text.substr(0, 12) + "\"]")
            .cause = fmt::format("'{}' is no number", at->text.substr(0, 40));
        return std::nullopt;
    }

    std::optional<climate::WeatherYear> complete(Readings r)
    {
        input::Input input;
        input.weather = stated_;
        if (site_) {
            input.site.latitude = site_->latitude_deg;
            input.site.longitude = site_->longitude_deg;
            input.site.time_zone = site_->time_zone_h;
            input.site.height = site_->height_m;
        }
        const auto station = resolve::station_of(input);
        if (!station) {
            problem(codes::missing, place(1, 0), "where the weather was recorded is not known",
                    "give [weather] latitude, longitude, time_zone and height, or a [site]");
            return std::nullopt;
        }
        r.name = stated_.name ? *stated_.name : file_;
        r.synthetic = stated_.form == WeatherForm::synthetic;
        r.source = r.synthetic ? fmt::format("synthetic: made up from monthly means, kept in {}", file_)
                               : fmt::format("{} ({})", file_, tmy3_ ? "TMY3" : "described columns");
        r.calendar_year = resolve::number_of(stated_, &WeatherInput::year);
        r.stamp = *stated_.stamp.which();
        r.below_freezing = resolve::choice_of(stated_, &WeatherInput::below_freezing);
        r.place = *station;
        tell_distance(*station);
        climate::CompletedYear done =
            climate::complete_year(std::move(r), {resolve::number_of(stated_, &WeatherInput::longest_gap)});
        for (const climate::WeatherRemark& remark : done.remarks) tell(remark);
        return std::move(done.year);
    }

    /// The line of a record, or of the last one before it.
    [[nodiscard]] std::uint32_t line_near(std::size_t record) const
    {
        for (std::size_t i = record + 1; i > 0; --i)
            if (line_of_record_[i - 1] > 0) return line_of_record_[i - 1];
        return table_.rows.front().front().line;
    }

    void tell(const climate::WeatherRemark& remark)
    {
        const auto column = std::ranges::find_if(
            columns_.readings, [&](const detail::ReadingColumn& c) { return c.reading == remark.reading; });
        std::uint32_t line = 1, at = 0;
        if (remark.record) {
            line = line_near(*remark.record);
            const auto row = std::ranges::find_if(table_.rows, [&](const CsvRow& r) { return r.front().line == line; });
            if (column != columns_.readings.end() && row != table_.rows.end() && column->index < row->size())
                at = (*row)[column->index].column;
        }
        quantity::Problem& p = problem(code_of(remark.kind), place(line, at), remark.message, remark.hint);
        const bool note = remark.kind == RemarkKind::filled || remark.kind == RemarkKind::assumed;
        p.severity = remark.is_error ? Severity::error : note ? Severity::note : Severity::warning;
        p.subject = "weather";
        if (remark.kind == RemarkKind::long_gap && line_of_record_[*remark.record] == 0)
            p.cause = fmt::format("no records from {}", *remark.record); // of all readings together
    }

    void tell_distance(const climate::Place& station)
    {
        if (!site_) return;
        constexpr double earth_km = 6371.0, far_km = 100.0, deg = std::numbers::pi / 180.0;
        const double a = station.latitude_deg * deg, b = site_->latitude_deg * deg;
        const double between = std::acos(
            std::clamp(std::sin(a) * std::sin(b) +
                           std::cos(a) * std::cos(b) * std::cos((station.longitude_deg - site_->longitude_deg) * deg),
                       -1.0, 1.0));
        if (between * earth_km < far_km) return;
        quantity::Problem& p =
            problem(codes::weather_odd, stated_.file ? stated_.file.origin : place(1, 0),
                    fmt::format("the weather was recorded {:.0f} km from the site", between * earth_km),
                    "is it the right station, and its longitude east positive?");
        p.severity = Severity::warning;
        p.subject = "weather";
    }

    const std::string& file_;
    WeatherInput stated_;
    const std::optional<climate::Place>& site_;
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    bool tmy3_ = false;
    project::CsvTable table_{};
    detail::WeatherColumns columns_{};
    std::vector<std::uint32_t> line_of_record_{}; ///< 0 where the file has none
};

} // namespace

bool describes_itself(const std::string& bytes)
{
    return project::has_weather_heading(bytes) || detail::is_tmy3(bytes);
}

std::optional<climate::WeatherYear> read_weather(const std::string& bytes, const std::string& file, WeatherInput stated,
                                                 const std::optional<climate::Place>& site,
                                                 quantity::OriginPool& origins, quantity::Problems& problems)
{
    return WeatherReader{file, std::move(stated), site, origins, problems}.run(bytes);
}

} // namespace venture::exchange
