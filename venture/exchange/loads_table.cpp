#include <venture/exchange/loads_table.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <optional>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/project/csv.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>

namespace venture::exchange {

namespace codes = quantity::codes;
using project::CsvCell;
using project::CsvHeading;
using project::CsvRow;
using quantity::Kind;
using quantity::OriginId;

namespace {

enum Field : std::size_t {
    heating,
    sensible,
    sensible_peak,
    latent,
    area,
    heating_room,
    cooling_room,
    humidity,
    field_count
};

struct Column {
    std::string_view name;
    Kind kind;
    double lowest, highest;
    std::optional<double> otherwise; ///< nothing: the column must be there
    std::string_view assumption;     ///< what to say when it is assumed; empty if not worth saying
};

constexpr double largest_W = 1e7;
const std::array<Column, field_count> columns = {{
    {"heating", Kind::power, 0, largest_W, std::nullopt, {}},
    {"sensible cooling", Kind::power, 0, largest_W, std::nullopt, {}},
    {"sensible peak", Kind::power, 0, largest_W, 0.0, {}}, // without this column: the sensible cooling itself
    {"latent cooling", Kind::power, 0, largest_W, 0.0, "no latent cooling"},
    {"floor area", Kind::area, 0, 1e6, 0.0, {}},
    {"heating room", Kind::temperature, -10, 40, 20.0, "20 degC in heated rooms"},
    {"cooling room", Kind::temperature, 10, 40, 24.0, "24 degC in cooled rooms"},
    {"relative humidity", Kind::fraction, 0.05, 1, 0.5, "50 % relative humidity in cooled rooms"},
}};

/// Where a known column stands, and the unit of its header.
struct Found {
    std::optional<std::size_t> at{};
    std::string unit{};
};

class LoadsReader {
public:
    LoadsReader(const std::string& file, quantity::OriginPool& origins, quantity::Problems& problems)
        : file_{file},
          origins_{origins},
          problems_{problems}
    {
    }

    LoadsTable run(const std::string& bytes)
    {
        const auto holds_numbers = [](std::size_t, const std::string& name) {
            return std::ranges::find(columns, name, &Column::name) != columns.end();
        };
        const project::CsvTable table = project::read_csv(bytes, file_, {}, holds_numbers, origins_, problems_);
        note_dialect(table, {}, file_, origins_, problems_);
        LoadsTable out{.text = table.text};
        if (table.header.empty()) {
            problem(codes::file, 1, 0, "the table is empty",
                    "begin with a header: room, heating [W], sensible cooling [W]");
            return out;
        }
        decimal_mark_ = table.dialect.decimal_mark;
        read_header(headings(table));
        for (std::size_t f = 0; f < field_count; ++f)
            if (!found_[f].at && !columns[f].assumption.empty()) out.assumed.emplace_back(columns[f].assumption);
        if (!room_at_) return out;
        for (const CsvRow& row : table.rows) read_row(row, table.header.front().size(), out.loads);
        return out;
    }

private:
    OriginId place(std::uint32_t line, std::uint32_t column)
    {
        return origins_.add({quantity::OriginKind::file, file_, line, column, {}});
    }
    void problem(std::string_view code, std::uint32_t line, std::uint32_t column, std::string message,
                 std::string hint = {})
    {
        problems_.add({quantity::Severity::error, code, place(line, column), std::move(message), std::move(hint)});
    }

    void read_header(const std::vector<CsvHeading>& header)
    {
        std::vector<std::string> known = {"room", "storey"};
        for (const Column& c : columns) known.emplace_back(c.name);
        for (std::size_t i = 0; i < header.size(); ++i) {
            const std::string &name = header[i].name, &unit = header[i].unit;
            if (name == "room")
                room_at_ = i;
            else if (name == "storey")
                storey_at_ = i;
            else if (const auto c = std::ranges::find(columns, name, &Column::name); c != columns.end()) {
                found_[static_cast<std::size_t>(c - columns.begin())] = {i, unit};
                check_unit(*c, unit, header[i]);
            } else {
                const auto near = quantity::nearest_name(name, known);
                problem(codes::unknown_key, header[i].line, header[i].column,
                        fmt::format("unknown column '{}'; expected one of {}", name, quantity::listed(known, 12)),
                        near ? fmt::format("did you mean '{}'?", *near)
                             : std::string{"remove it; a comment line begins with #"});
            }
        }
        if (!room_at_) problem(codes::missing, header.front().line, 0, "no column 'room'");
        for (std::size_t f = 0; f < field_count; ++f)
            if (!found_[f].at && !columns[f].otherwise)
                problem(codes::missing, header.front().line, 0, fmt::format("no column '{}'", columns[f].name),
                        "0 stands for no load");
    }

    void check_unit(const Column& c, const std::string& unit, const CsvHeading& cell)
    {
        const auto one = quantity::to_si(1.0, unit, c.kind);
        if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&one))
            problem(codes::quantity, cell.line, cell.column,
                    fmt::format("{}: {} found, expected {}", c.name, wrong->found, wrong->expected), wrong->hint);
    }

    void read_row(const CsvRow& row, std::size_t width, loads::RoomLoads& out)
    {
        if (row.size() != width) {
            problem(
                codes::syntax, row.front().line, 0, fmt::format("{} cells where the header has {}", row.size(), width),
                "write numbers with a decimal point and without thousands marks; quote names that hold a separator");
            return;
        }
        const std::string name = row[*room_at_].text;
        if (name.empty()) problem(codes::missing, row.front().line, row[*room_at_].column, "a room without a name");
        if (!seen_.insert({name, row.front().line}).second)
            problem(codes::twice, row.front().line, row[*room_at_].column, fmt::format("room '{}' stands twice", name),
                    fmt::format("the first is in line {}", seen_[name]));
        std::array<double, field_count> v{};
        for (std::size_t f = 0; f < field_count; ++f)
            v[f] = found_[f].at ? number(row[*found_[f].at], columns[f], found_[f].unit)
                                : columns[f].otherwise.value_or(0.0);
        loads::RoomLoad load{.room = name,
                             .storey = storey_at_ ? row[*storey_at_].text : "",
                             .floor_area_m2 = v[area],
                             .typed = true,
                             .origin = place(row.front().line, 0),
                             .heated = v[heating] > 0.0,
                             .cooled = v[sensible] + v[latent] > 0.0,
                             .heating_W = v[heating],
                             .heating_room_C = v[heating_room],
                             .cooling_W = v[sensible] + v[latent],
                             .cooling_sensible_W = v[sensible],
                             .cooling_latent_W = v[latent],
                             .cooling_sensible_peak_W = found_[sensible_peak].at ? v[sensible_peak] : v[sensible],
                             .cooling_air_C = v[cooling_room]};
        load.cooling_humidity_ratio =
            air::MoistAir::from_relative_humidity(quantity::Temperature::celsius(load.cooling_air_C), v[humidity],
                                                  quantity::Pressure::pascal(out.pressure_Pa))
                .humidity_ratio();
        out.rooms.push_back(std::move(load));
    }

    double number(const CsvCell& cell, const Column& c, const std::string& header_unit)
    {
        const double fallback = c.otherwise.value_or(c.lowest);
        if (cell.text.empty()) {
            problem(codes::missing, cell.line, cell.column, fmt::format("{}: an empty cell", c.name),
                    "write 0 for none");
            return fallback;
        }
        const std::string text = project::with_decimal_point(cell.text, decimal_mark_);
        const auto parsed = quantity::leading_number(text);
        const auto si =
            parsed ? quantity::to_si(parsed->value, parsed->rest.empty() ? std::string_view{header_unit} : parsed->rest,
                                     c.kind)
                   : quantity::parse_quantity(text, c.kind);
        if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&si)) {
            problem(codes::quantity, cell.line, cell.column,
                    fmt::format("{}: {} found, expected {}", c.name, wrong->found, wrong->expected), wrong->hint);
            return fallback;
        }
        const double value = std::get<double>(si);
        if (value >= c.lowest && value <= c.highest) return value;
        problem(codes::bounds, cell.line, cell.column,
                fmt::format("{}: {} is outside {} to {}", c.name, quantity::print_quantity(value, c.kind),
                            quantity::print_quantity(c.lowest, c.kind), quantity::print_quantity(c.highest, c.kind)));
        return fallback;
    }

    const std::string& file_;
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    std::optional<std::size_t> room_at_{}, storey_at_{};
    std::array<Found, field_count> found_{};
    char decimal_mark_ = '.';
    std::map<std::string, std::uint32_t> seen_{};
};

} // namespace

LoadsTable read_loads_table(const std::string& bytes, const std::string& file, quantity::OriginPool& origins,
                            quantity::Problems& problems)
{
    return LoadsReader{file, origins, problems}.run(bytes);
}

std::string write_loads_table(const loads::RoomLoads& loads)
{
    std::string out = "room,storey,floor area [m2],heating [W],sensible cooling [W],sensible peak [W],latent cooling "
                      "[W],heating room [degC],cooling room [degC],relative humidity [%]\n";
    for (const loads::RoomLoad& r : loads.rooms) {
        const auto air =
            air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(r.cooling_air_C),
                                               r.cooling_humidity_ratio, quantity::Pressure::pascal(loads.pressure_Pa));
        const double humidity = r.cooled ? 100.0 * air::relative_humidity(air) : 50.0;
        out += fmt::format("{},{},{:.2f},{:.3f},{:.3f},{:.3f},{:.3f},{:.3f},{:.4f},{:.4f}\n", project::csv_cell(r.room),
                           project::csv_cell(r.storey), r.floor_area_m2, r.heating_W, r.cooling_sensible_W,
                           r.cooling_sensible_peak_W, r.cooling_latent_W, r.heating_room_C, r.cooling_air_C,
                           std::clamp(humidity, 5.0, 100.0));
    }
    return out;
}

} // namespace venture::exchange
