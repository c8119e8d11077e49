#include <venture/quantity/unit_table.hpp>

#include <array>
#include <string>

namespace venture::quantity::detail {

namespace {

// Exact: international foot and pound, International Table Btu. Pressures of columns: conventional, water at 4 degC,
// mercury at 0 degC (ISO 80000-4). Gallons: US liquid and imperial.
constexpr double foot = 0.3048, inch = 0.0254, pound = 0.45359237, grain = pound / 7000.0, btu_J = 1055.05585262;
constexpr double hour_s = 3600.0, minute_s = 60.0, rankine_K = 5.0 / 9.0;
constexpr double square_foot = foot * foot, cubic_foot = foot * foot * foot, btu_per_h = btu_J / hour_s;
constexpr double us_gallon = 231.0 * inch * inch * inch, imperial_gallon = 4.54609e-3;
constexpr double psi_Pa = pound * 9.80665 / (inch * inch), water_Pa_per_m = 9806.65, mercury_Pa_per_m = 133322.387415;

constexpr std::array all_units = {
    Unit{Kind::number, "", 1.0, 0.0, 2},
    Unit{Kind::fraction, "%", 0.01, 0.0, 0, "percent"},
    Unit{Kind::length, "m", 1.0, 0.0, 2},
    Unit{Kind::length, "cm", 0.01, 0.0, 1},
    Unit{Kind::length, "mm", 0.001, 0.0, 0},
    Unit{Kind::length, "ft", foot, 0.0, 2, "'|foot|feet"},
    Unit{Kind::length, "in", inch, 0.0, 1, "\"|inch|inches"},
    Unit{Kind::area, "m2", 1.0, 0.0, 2, "sqm"},
    Unit{Kind::area, "ft2", square_foot, 0.0, 1, "sqft|sq ft"},
    Unit{Kind::volume, "m3", 1.0, 0.0, 1},
    Unit{Kind::volume, "L", 0.001, 0.0, 0, "l|litre|litres"},
    Unit{Kind::volume, "ft3", cubic_foot, 0.0, 0, "cuft|cu ft"},
    Unit{Kind::volume, "US gal", us_gallon, 0.0, 1},
    Unit{Kind::volume, "imp gal", imperial_gallon, 0.0, 1},
    Unit{Kind::velocity, "m/s", 1.0, 0.0, 2},
    Unit{Kind::velocity, "km/h", 1000.0 / hour_s, 0.0, 1},
    Unit{Kind::velocity, "ft/min", foot / minute_s, 0.0, 0, "fpm"},
    Unit{Kind::velocity, "mph", 5280.0 * foot / hour_s, 0.0, 1},
    Unit{Kind::velocity, "kn", 1852.0 / hour_s, 0.0, 1, "knot|knots|kt"},
    Unit{Kind::temperature, "degC", 1.0, 0.0, 1, "C"},
    Unit{Kind::temperature, "degF", rankine_K, -32.0 * rankine_K, 1, "F"},
    Unit{Kind::temperature_difference, "K", 1.0, 0.0, 1},
    Unit{Kind::temperature_difference, "degF diff", rankine_K, 0.0, 1, "F diff"},
    Unit{Kind::power, "W", 1.0, 0.0, 0},
    Unit{Kind::power, "kW", 1000.0, 0.0, 2},
    Unit{Kind::power, "MW", 1e6, 0.0, 3},
    Unit{Kind::power, "Btu/h", btu_per_h, 0.0, 0, "BTU/h|Btuh|BTUH"},
    Unit{Kind::power, "kBtu/h", 1000.0 * btu_per_h, 0.0, 1, "MBH|kBTU/h"},
    Unit{Kind::power, "ton", 12000.0 * btu_per_h, 0.0, 2, "tons|TR"},
    Unit{Kind::power_per_area, "W/m2", 1.0, 0.0, 0},
    Unit{Kind::power_per_area, "W/ft2", 1.0 / square_foot, 0.0, 2},
    Unit{Kind::power_per_area, "Btu/h.ft2", btu_per_h / square_foot, 0.0, 1, "Btu/(h.ft2)|Btu/hft2"},
    Unit{Kind::heat_transfer, "W/m2K", 1.0, 0.0, 3, "W/(m2K)|W/m2.K|W/(m2.K)"},
    Unit{Kind::heat_transfer, "Btu/h.ft2.F", btu_per_h / square_foot / rankine_K, 0.0, 4,
         "Btu/hft2F|Btu/(h.ft2.F)|Btu/(hft2F)|Btu/h.ft2.degF|Btu/(h.ft2.degF)"},
    Unit{Kind::heat_loss, "W/K", 1.0, 0.0, 2},
    Unit{Kind::heat_loss, "Btu/h.F", btu_per_h / rankine_K, 0.0, 2, "Btu/hF|Btu/(h.F)|Btu/h.degF|Btu/(h.degF)"},
    Unit{Kind::resistance, "m2K/W", 1.0, 0.0, 3, "m2.K/W"},
    Unit{Kind::resistance, "h.ft2.F/Btu", square_foot* rankine_K / btu_per_h, 0.0, 2, "hft2F/Btu|h.ft2.degF/Btu"},
    Unit{Kind::conductivity, "W/mK", 1.0, 0.0, 3, "W/(mK)|W/m.K|W/(m.K)"},
    Unit{Kind::conductivity, "mW/mK", 1e-3, 0.0, 1, "mW/(mK)|mW/m.K|mW/(m.K)"},
    Unit{Kind::conductivity, "Btu/h.ft.F", btu_per_h / foot / rankine_K, 0.0, 4, "Btu/(h.ft.F)|Btu/h.ft.degF"},
    Unit{Kind::conductivity, "Btu.in/h.ft2.F", btu_per_h* inch / square_foot / rankine_K, 0.0, 3,
         "Btu.in/(h.ft2.F)|Btu.in/h.ft2.degF"},
    Unit{Kind::density, "kg/m3", 1.0, 0.0, 0},
    Unit{Kind::density, "lb/ft3", pound / cubic_foot, 0.0, 2, "pcf"},
    Unit{Kind::specific_heat, "J/kgK", 1.0, 0.0, 0, "J/(kgK)|J/kg.K|J/(kg.K)"},
    Unit{Kind::specific_heat, "kJ/kgK", 1000.0, 0.0, 3, "kJ/(kgK)|kJ/kg.K|kJ/(kg.K)"},
    Unit{Kind::specific_heat, "Btu/lb.F", btu_J / pound / rankine_K, 0.0, 4, "Btu/lbF|Btu/(lb.F)|Btu/lb.degF"},
    Unit{Kind::areal_mass, "kg/m2", 1.0, 0.0, 0},
    Unit{Kind::areal_mass, "lb/ft2", pound / square_foot, 0.0, 1},
    Unit{Kind::areal_capacity, "kJ/m2K", 1000.0, 0.0, 1, "kJ/(m2K)|kJ/m2.K|kJ/(m2.K)"},
    Unit{Kind::areal_capacity, "Btu/ft2.F", btu_J / square_foot / rankine_K, 0.0, 3, "Btu/ft2F|Btu/(ft2.F)"},
    Unit{Kind::air_flow, "L/s", 0.001, 0.0, 1, "l/s"},
    Unit{Kind::air_flow, "m3/s", 1.0, 0.0, 3},
    Unit{Kind::air_flow, "m3/h", 1.0 / hour_s, 0.0, 0},
    Unit{Kind::air_flow, "cfm", cubic_foot / minute_s, 0.0, 0, "CFM|ft3/min"},
    Unit{Kind::standard_air_flow, "L/s std", 0.001, 0.0, 1, "l/s std"},
    Unit{Kind::standard_air_flow, "m3/h std", 1.0 / hour_s, 0.0, 0},
    Unit{Kind::standard_air_flow, "scfm", cubic_foot / minute_s, 0.0, 0, "SCFM|cfm std"},
    Unit{Kind::air_flow_per_area, "L/s.m2", 0.001, 0.0, 2, "L/sm2|L/(s.m2)|l/s.m2|l/(s.m2)"},
    Unit{Kind::air_flow_per_area, "m3/h.m2", 1.0 / hour_s, 0.0, 1, "m3/(h.m2)"},
    Unit{Kind::air_flow_per_area, "cfm/ft2", cubic_foot / minute_s / square_foot, 0.0, 3},
    Unit{Kind::area_per_power, "m2/kW", 0.001, 0.0, 1},
    Unit{Kind::area_per_power, "ft2/ton", square_foot / (12000.0 * btu_per_h), 0.0, 0},
    Unit{Kind::air_flow_per_power, "L/s.kW", 1e-6, 0.0, 1, "L/(s.kW)|l/s.kW"},
    Unit{Kind::air_flow_per_power, "cfm/ton", cubic_foot / minute_s / (12000.0 * btu_per_h), 0.0, 0},
    Unit{Kind::air_changes, "1/h", 1.0, 0.0, 2, "/h|ach|ACH"},
    Unit{Kind::water_flow, "L/s", 0.001, 0.0, 3, "l/s"},
    Unit{Kind::water_flow, "L/min", 0.001 / minute_s, 0.0, 1, "l/min"},
    Unit{Kind::water_flow, "L/h", 0.001 / hour_s, 0.0, 0, "l/h"},
    Unit{Kind::water_flow, "m3/h", 1.0 / hour_s, 0.0, 2},
    Unit{Kind::water_flow, "US gpm", us_gallon / minute_s, 0.0, 2},
    Unit{Kind::water_flow, "imp gpm", imperial_gallon / minute_s, 0.0, 2},
    Unit{Kind::mass, "kg", 1.0, 0.0, 1},
    Unit{Kind::mass, "g", 0.001, 0.0, 0},
    Unit{Kind::mass, "lb", pound, 0.0, 1},
    Unit{Kind::moisture_flow, "g/h", 0.001 / hour_s, 0.0, 0},
    Unit{Kind::moisture_flow, "kg/h", 1.0 / hour_s, 0.0, 3},
    Unit{Kind::moisture_flow, "lb/h", pound / hour_s, 0.0, 2},
    Unit{Kind::humidity_ratio, "g/kg", 0.001, 0.0, 2},
    Unit{Kind::humidity_ratio, "kg/kg", 1.0, 0.0, 5},
    Unit{Kind::humidity_ratio, "gr/lb", grain / pound, 0.0, 1},
    Unit{Kind::concentration, "ppm", 1e-6, 0.0, 0},
    Unit{Kind::concentration, "% vol", 0.01, 0.0, 3},
    Unit{Kind::enthalpy, "kJ/kg", 1000.0, 0.0, 2},
    Unit{Kind::enthalpy, "Btu/lb", btu_J / pound, 0.0, 2},
    Unit{Kind::energy, "kWh", 1000.0 * hour_s, 0.0, 0},
    Unit{Kind::energy, "MWh", 1e6 * hour_s, 0.0, 2},
    Unit{Kind::energy, "MJ", 1e6, 0.0, 0},
    Unit{Kind::energy, "kBtu", 1000.0 * btu_J, 0.0, 0, "kBTU"},
    Unit{Kind::irradiation, "kWh/m2", 1000.0 * hour_s, 0.0, 2},
    Unit{Kind::irradiation, "Wh/m2", hour_s, 0.0, 0},
    Unit{Kind::irradiation, "MJ/m2", 1e6, 0.0, 1},
    Unit{Kind::irradiation, "kJ/m2", 1e3, 0.0, 0},
    Unit{Kind::irradiation, "Btu/ft2", btu_J / square_foot, 0.0, 0, "BTU/ft2"},
    Unit{Kind::cloud_cover, "%", 0.01, 0.0, 0, "percent"},
    Unit{Kind::cloud_cover, "tenths", 0.1, 0.0, 1},
    Unit{Kind::cloud_cover, "oktas", 0.125, 0.0, 1, "eighths"},
    Unit{Kind::angle, "deg", 1.0, 0.0, 1},
    Unit{Kind::hours, "h", 1.0, 0.0, 2},
    Unit{Kind::hours, "min", 1.0 / minute_s, 0.0, 0},
    Unit{Kind::hours, "s", 1.0 / hour_s, 0.0, 0},
    Unit{Kind::pressure, "Pa", 1.0, 0.0, 0},
    Unit{Kind::pressure, "kPa", 1000.0, 0.0, 3},
    Unit{Kind::pressure, "hPa", 100.0, 0.0, 1, "mbar"},
    Unit{Kind::pressure, "bar", 1e5, 0.0, 4},
    Unit{Kind::pressure, "psi", psi_Pa, 0.0, 3},
    Unit{Kind::pressure, "inHg", mercury_Pa_per_m* inch, 0.0, 2, "in Hg"},
    Unit{Kind::pressure, "inH2O", water_Pa_per_m* inch, 0.0, 2, "in wg|in w.g.|inwg"},
    Unit{Kind::pressure, "mH2O", water_Pa_per_m, 0.0, 2},
    Unit{Kind::pressure, "ftH2O", water_Pa_per_m* foot, 0.0, 2},
    Unit{Kind::sound_power, "dB LwA", 1.0, 0.0, 0, "dB(A) LwA"},
    Unit{Kind::sound_pressure, "dB LpA", 1.0, 0.0, 0, "dB(A) LpA"},
    Unit{Kind::noise_rating, "NR", 1.0, 0.0, 0},
    Unit{Kind::noise_criterion, "NC", 1.0, 0.0, 0},
};

constexpr std::string_view shaft = "horsepower is shaft power or a trade size, not a capacity: give kW or Btu/h";
constexpr std::string_view gallons = "ambiguous: say whose gallon";
constexpr std::string_view thousand = "ambiguous: M is a thousand to some and a million to others; write kBtu/h";
constexpr std::string_view a_difference = "write a difference in K, or as \"18 degF diff\"";
constexpr std::string_view decibels = "ambiguous: say which level, sound power (dB LwA) or sound pressure (dB LpA)";
constexpr std::string_view standard_flow =
    "a standard flow is a mass of air; an actual flow follows only with its temperature and pressure";

constexpr std::array all_refused = {
    Refused{"HP", Kind::power, shaft},
    Refused{"hp", Kind::power, shaft},
    Refused{"bhp", Kind::power, shaft},
    Refused{"MBtu/h", Kind::power, thousand},
    Refused{"MMBtu/h", Kind::power, thousand},
    Refused{"gpm", Kind::water_flow, "ambiguous: write US gpm or imp gpm"},
    Refused{"gal", Kind::volume, gallons},
    Refused{"gallons", Kind::volume, gallons},
    Refused{"degF", Kind::temperature_difference, a_difference},
    Refused{"F", Kind::temperature_difference, a_difference},
    Refused{"degC", Kind::temperature_difference, a_difference},
    Refused{"C", Kind::temperature_difference, a_difference},
    Refused{"K", Kind::temperature, "K is for differences here; write degC or degF"},
    Refused{"scfm", Kind::air_flow, standard_flow},
    Refused{"L/s std", Kind::air_flow, standard_flow},
    Refused{"m3/h std", Kind::air_flow, standard_flow},
    Refused{"cfm", Kind::standard_air_flow, standard_flow},
    Refused{"L/s", Kind::standard_air_flow, standard_flow},
    Refused{"m3/h", Kind::standard_air_flow, standard_flow},
    Refused{"dB", Kind::sound_power, decibels},
    Refused{"dB(A)", Kind::sound_power, decibels},
    Refused{"dB", Kind::sound_pressure, decibels},
    Refused{"dB(A)", Kind::sound_pressure, decibels},
    Refused{"psig", Kind::pressure, "gauge pressure: give the pressure itself, in psi"},
};

/// Superscripts, degree signs and raised dots in plain letters.
std::string folded(std::string_view typed)
{
    constexpr std::pair<std::string_view, std::string_view> letters[] = {
        {"\u00b2", "2"}, {"\u00b3", "3"}, {"\u00b0", "deg"}, {"\u00b7", "."}, {"\u22c5", "."}};
    std::string out{typed};
    for (const auto& [from, to] : letters)
        for (auto at = out.find(from); at != std::string::npos; at = out.find(from, at + to.size()))
            out.replace(at, from.size(), to);
    return out;
}

} // namespace

std::span<const Unit> units() { return all_units; }
std::span<const Refused> refused_spellings() { return all_refused; }

bool spells(std::string_view typed, const Unit& unit)
{
    const std::string wanted = folded(typed);
    if (wanted == unit.symbol) return true;
    std::string_view rest = unit.others;
    while (!rest.empty()) {
        const auto bar = std::min(rest.find('|'), rest.size());
        if (rest.substr(0, bar) == wanted) return true;
        rest.remove_prefix(std::min(bar + 1, rest.size()));
    }
    return false;
}

const Unit* find_unit(std::string_view typed, Kind kind)
{
    for (const Unit& unit : all_units)
        if (unit.kind == kind && unit.symbol == typed) return &unit;
    for (const Unit& unit : all_units)
        if (unit.kind == kind && spells(typed, unit)) return &unit;
    return nullptr;
}

} // namespace venture::quantity::detail
