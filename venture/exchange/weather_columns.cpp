#include <venture/exchange/weather_columns.hpp>

#include <algorithm>
#include <charconv>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::exchange::detail {

namespace codes = quantity::codes;
using climate::Reading;
using climate::ReadingSpec;
using input::WeatherColumnInput;
using project::CsvHeading;
using quantity::OriginId;
using quantity::Severity;

namespace {

constexpr std::array<std::string_view, time_parts> time_words = {"time", "date", "month", "day", "hour", "minute"};

std::optional<TimePart> time_part_called(std::string_view word)
{
    const auto at = std::ranges::find(time_words, word);
    if (at == time_words.end()) return std::nullopt;
    return static_cast<TimePart>(at - time_words.begin());
}

const ReadingSpec* reading_called(std::string_view word)
{
    const auto& specs = climate::reading_specs();
    const auto at = std::ranges::find(specs, word, &ReadingSpec::key);
    return at == specs.end() ? nullptr : &*at;
}

/// A heading as the word of a reading would be written.
std::string as_word(std::string_view heading)
{
    std::string word = quantity::lower_case(heading);
    std::ranges::replace(word, ' ', '_');
    return word;
}

/// "3" for the third column.
std::optional<std::size_t> column_number(std::string_view text)
{
    std::size_t number = 0;
    const auto [end, wrong] = std::from_chars(text.data(), text.data() + text.size(), number);
    if (wrong != std::errc{} || end != text.data() + text.size() || number == 0) return std::nullopt;
    return number;
}

/// Whether a heading is the one that somebody names, with or without the unit in brackets.
bool is_called(const CsvHeading& heading, std::string_view name)
{
    const auto alike = [](std::string_view a, std::string_view b) {
        return quantity::lower_case(a) == quantity::lower_case(b);
    };
    return alike(heading.name, name) ||
           (!heading.unit.empty() && alike(fmt::format("{} [{}]", heading.name, heading.unit), name));
}

class Finder {
public:
    Finder(const project::CsvTable& table, const std::string& file, quantity::OriginPool& origins,
           quantity::Problems& problems)
        : file_{file},
          origins_{origins},
          problems_{problems},
          headings_{project::headings(table)}
    {
        for (const project::CsvRow& row : table.rows) widest_ = std::max(widest_, row.size());
        widest_ = std::max(widest_, headings_.size());
    }

    WeatherColumns run(const std::vector<WeatherColumnInput>& stated)
    {
        for (const WeatherColumnInput& column : stated)
            if (column.holds && column.column) add_stated(column);
        if (stated.empty()) add_by_headings();
        return std::move(out_);
    }

private:
    void problem(std::string_view code, OriginId where, std::string message, std::string hint)
    {
        problems_.add({Severity::error, code, where, std::move(message), std::move(hint)});
    }

    void add_stated(const WeatherColumnInput& column)
    {
        for (std::size_t i = 0; i < headings_.size(); ++i)
            if (is_called(headings_[i], *column.column)) return add(column, i);
        if (const auto number = column_number(*column.column); number && *number <= widest_)
            return add(column, *number - 1);
        std::vector<std::string> names;
        for (const CsvHeading& h : headings_) names.push_back(h.name);
        const auto near = quantity::nearest_name(*column.column, names);
        problem(codes::unknown_name, column.column.origin,
                headings_.empty() ? fmt::format("the file has {} columns and no headings; '{}' is none of them",
                                                widest_, *column.column)
                                  : fmt::format("no column of {} is called '{}'; there are: {}", file_, *column.column,
                                                quantity::listed(names, 12)),
                near ? fmt::format("did you mean '{}'?", *near)
                     : std::string{"are the headings in the line after skip_lines? columns may also go by number"});
    }

    void add(const WeatherColumnInput& column, std::size_t index)
    {
        const std::string heading_unit = index < headings_.size() ? headings_[index].unit : std::string{};
        add(*column.holds, index, column.unit ? *column.unit : heading_unit,
            column.unit ? column.unit.origin : column.column.origin, column.holds.origin);
    }

    void add(const std::string& word, std::size_t index, const std::string& unit, OriginId unit_at, OriginId word_at)
    {
        if (!taken_.emplace(word, index).second)
            return problem(codes::twice, word_at, fmt::format("two columns hold '{}'", word), "name one of them");
        if (const auto part = time_part_called(word)) {
            out_.times[static_cast<std::size_t>(*part)] = index;
            return;
        }
        const ReadingSpec* spec = reading_called(word);
        if (spec == nullptr) return; // told as a wrong choice
        const std::string symbol = unit.empty() ? std::string{quantity::plain_unit(spec->kind)} : unit;
        const auto zero = quantity::to_si(0.0, symbol, spec->kind), one = quantity::to_si(1.0, symbol, spec->kind);
        if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&zero))
            return problem(codes::quantity, unit_at,
                           fmt::format("{}: {} found, {} expected", word, wrong->found, wrong->expected), wrong->hint);
        out_.readings.push_back(
            {spec->reading, index, std::get<double>(one) - std::get<double>(zero), std::get<double>(zero)});
    }

    void add_by_headings()
    {
        for (std::size_t i = 0; i < headings_.size(); ++i) {
            const CsvHeading& h = headings_[i];
            const std::string word = as_word(h.name);
            if (!time_part_called(word) && reading_called(word) == nullptr) continue;
            const OriginId where = origins_.add({quantity::OriginKind::file, file_, h.line, h.column, {}});
            add(word, i, h.unit, where, where);
        }
        if (out_.readings.empty())
            problem(codes::weather_records,
                    origins_.add({quantity::OriginKind::file, file_, headings_.empty() ? 1 : headings_[0].line, 0, {}}),
                    "no heading is the word of a reading",
                    "say with [[weather.column]] which column holds what, such as holds = \"dry_bulb\", "
                    "column = \"Temp\", unit = \"degC\"");
    }

    const std::string& file_;
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    std::vector<CsvHeading> headings_;
    std::size_t widest_ = 0;
    std::map<std::string, std::size_t> taken_{};
    WeatherColumns out_{};
};

} // namespace

bool WeatherColumns::has_times() const
{
    return std::ranges::any_of(times, [](const auto& index) { return index.has_value(); });
}

project::NumbersIn numbers_in(const std::vector<WeatherColumnInput>& stated)
{
    return [&stated](std::size_t index, const std::string& heading) {
        if (stated.empty()) return reading_called(as_word(heading)) != nullptr;
        return std::ranges::any_of(stated, [&](const WeatherColumnInput& column) {
            if (!column.holds || !column.column || reading_called(*column.holds) == nullptr) return false;
            return is_called({.name = heading}, *column.column) || column_number(*column.column) == index + 1;
        });
    };
}

WeatherColumns find_columns(const project::CsvTable& table, const std::string& file,
                            const std::vector<WeatherColumnInput>& stated, quantity::OriginPool& origins,
                            quantity::Problems& problems)
{
    return Finder{table, file, origins, problems}.run(stated);
}

} // namespace venture::exchange::detail
