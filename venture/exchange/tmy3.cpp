#include <venture/exchange/tmy3.hpp>

#include <array>

#include <fmt/format.h>

#include <venture/project/csv.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/record.hpp>

namespace venture::exchange::detail {

namespace codes = quantity::codes;
using input::WeatherInput;
using quantity::Given;
using quantity::OriginId;

namespace {

constexpr std::string_view first_heading = "Date (MM/DD/YYYY)";

struct Heading {
    const char *holds, *column, *unit;
};
constexpr std::array<Heading, 10> headings = {{
    {"date", "Date (MM/DD/YYYY)", ""},
    {"hour", "Time (HH:MM)", ""},
    {"global_horizontal", "GHI (W/m^2)", "W/m2"},
    {"beam_normal", "DNI (W/m^2)", "W/m2"},
    {"diffuse_horizontal", "DHI (W/m^2)", "W/m2"},
    {"cloud_cover", "TotCld (tenths)", "tenths"},
    {"dry_bulb", "Dry-bulb (C)", "degC"},
    {"dew_point", "Dew-point (C)", "degC"},
    {"pressure", "Pressure (mbar)", "hPa"},
    {"wind_speed", "Wspd (m/s)", "m/s"},
}};
constexpr Heading wind_direction = {"wind_direction", "Wdir (degrees)", "deg"};

std::string line_of(const std::string& text, std::size_t number)
{
    std::size_t from = 0;
    for (; number > 0 && from != std::string::npos; --number) {
        from = text.find('\n', from);
        if (from != std::string::npos) ++from;
    }
    return from == std::string::npos ? std::string{} : text.substr(from, text.find('\n', from) - from);
}

template <class T>
void take(Given<T>& own, T value, OriginId where)
{
    if (!own && !own.refused) own = Given<T>{std::move(value), where};
}

template <class E>
void take_word(quantity::Choice<E>& own, E value, OriginId where)
{
    take<std::string>(own, std::string{quantity::name_of(value)}, where);
}

} // namespace

bool is_tmy3(const std::string& text) { return line_of(text, 1).starts_with(first_heading); }

void describe_tmy3(const std::string& text, const std::string& file, WeatherInput& stated,
                   quantity::OriginPool& origins, quantity::Problems& problems)
{
    const OriginId form = origins.add({.kind = quantity::OriginKind::computed, .text = "the TMY3 form"});
    const auto column = [&](const Heading& h) {
        input::WeatherColumnInput c;
        c.holds = Given<std::string>{h.holds, form};
        c.column = Given<std::string>{h.column, form};
        if (*h.unit != '\0') c.unit = Given<std::string>{h.unit, form};
        stated.columns.push_back(std::move(c));
    };
    if (stated.columns.empty()) {
        for (const Heading& h : headings) column(h);
        column(wind_direction);
    }
    take(stated.skip_lines, 1.0, form);
    take(stated.header_rows, 1.0, form);
    take_word(stated.separator, input::Separator::comma, form);
    take_word(stated.decimal_mark, input::DecimalMark::point, form);
    take_word(stated.stamp, climate::Stamp::end, form);
    take_word(stated.date_order, input::DateOrder::month_day_year, form);
    take(stated.missing, quantity::TextList{{"-9900", form}, {"-9900.0", form}}, form);

    const project::CsvTable station = project::read_csv(
        line_of(text, 0), file, {.separator = ',', .decimal_mark = '.', .header_rows = 0},
        [](std::size_t, const std::string&) { return false; }, origins, problems);
    const auto wrong = [&](std::uint32_t at, std::string message) {
        problems.add({quantity::Severity::error, codes::weather_records,
                      origins.add({quantity::OriginKind::file, file, 1, at, {}}), std::move(message),
                      "the first line holds: number, name, state, time zone, latitude, longitude, height"});
    };
    constexpr std::size_t fields = 7;
    if (station.rows.empty() || station.rows[0].size() != fields)
        return wrong(1, fmt::format("{} fields in the station line, {} expected",
                                    station.rows.empty() ? 0 : station.rows[0].size(), fields));
    const project::CsvRow& row = station.rows[0];
    take(stated.name, row[1].text, origins.add({quantity::OriginKind::file, file, 1, row[1].column, {}}));
    const std::array<std::pair<Given<double> WeatherInput::*, std::size_t>, 4> numbers = {
        {{&WeatherInput::time_zone, 3},
         {&WeatherInput::latitude, 4},
         {&WeatherInput::longitude, 5},
         {&WeatherInput::height, 6}}};
    for (const auto& [key, field] : numbers) {
        const auto& spec = quantity::spec_of(key);
        const auto number = quantity::leading_number(row[field].text);
        if (!number || !number->rest.empty() || number->value < spec.allowed.lowest ||
            number->value > spec.allowed.highest)
            wrong(row[field].column, fmt::format("'{}' is no {}", row[field].text.substr(0, 40), spec.name));
        else
            take(stated.*key, number->value, origins.add({quantity::OriginKind::file, file, 1, row[field].column, {}}));
    }
}

} // namespace venture::exchange::detail
