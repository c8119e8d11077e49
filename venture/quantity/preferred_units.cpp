#include <venture/quantity/preferred_units.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unit_table.hpp>

namespace venture::quantity {

const std::vector<PrintedQuantity>& printed_quantities()
{
    static const std::vector<PrintedQuantity> all = {
        {"length", Kind::length, "m", "ft", "of rooms and openings"},
        {"thickness", Kind::length, "mm", "in", "of layers and build-ups"},
        {"area", Kind::area, "m2", "ft2", "of floors and surfaces"},
        {"volume", Kind::volume, "m3", "ft3", "of rooms"},
        {"velocity", Kind::velocity, "m/s", "ft/min", "of air and water"},
        {"temperature", Kind::temperature, "degC", "degF", "of air, water and surfaces"},
        {"temperature_difference", Kind::temperature_difference, "K", "degF diff", "between two temperatures"},
        {"power", Kind::power, "W", "Btu/h", "loads of rooms"},
        {"total_power", Kind::power, "kW", "kBtu/h", "loads of buildings, duties of units and plant"},
        {"electric_power", Kind::power, "kW", "kW", "that fans and machines take"},
        {"power_per_area", Kind::power_per_area, "W/m2", "Btu/h.ft2", "loads and gains for the floor area"},
        {"heat_transfer", Kind::heat_transfer, "W/m2K", "Btu/h.ft2.F", "U-values"},
        {"heat_loss", Kind::heat_loss, "W/K", "Btu/h.F", "losses for each degree"},
        {"resistance", Kind::resistance, "m2K/W", "h.ft2.F/Btu", "of layers"},
        {"conductivity", Kind::conductivity, "W/mK", "Btu/h.ft.F", "of materials"},
        {"density", Kind::density, "kg/m3", "lb/ft3", "of materials"},
        {"specific_heat", Kind::specific_heat, "J/kgK", "Btu/lb.F", "of materials"},
        {"areal_mass", Kind::areal_mass, "kg/m2", "lb/ft2", "of build-ups"},
        {"areal_capacity", Kind::areal_capacity, "kJ/m2K", "Btu/ft2.F", "of furniture and surfaces"},
        {"air_flow", Kind::air_flow, "L/s", "cfm", "actual flow of air"},
        {"standard_air_flow", Kind::standard_air_flow, "L/s std", "scfm", "flow of air at 1.2 kg/m3"},
        {"air_flow_per_area", Kind::air_flow_per_area, "L/s.m2", "cfm/ft2", "ventilation for the floor area"},
        {"area_per_power", Kind::area_per_power, "m2/kW", "ft2/ton", "floor for the capacity that cools it"},
        {"air_flow_per_power", Kind::air_flow_per_power, "L/s.kW", "cfm/ton", "air for the capacity that cools it"},
        {"water_flow", Kind::water_flow, "L/s", "US gpm", "flow of water"},
        {"mass", Kind::mass, "kg", "lb", "of materials"},
        {"moisture_flow", Kind::moisture_flow, "g/h", "lb/h", "water that evaporates"},
        {"humidity_ratio", Kind::humidity_ratio, "g/kg", "gr/lb", "of moist air"},
        {"concentration", Kind::concentration, "ppm", "ppm", "of carbon dioxide in air"},
        {"enthalpy", Kind::enthalpy, "kJ/kg", "Btu/lb", "of moist air"},
        {"energy", Kind::energy, "kWh", "kBtu", "over a day or a year"},
        {"electricity", Kind::energy, "kWh", "kWh", "that fans take over a month or a year"},
        {"irradiation", Kind::irradiation, "kWh/m2", "Btu/ft2", "sun on a surface over a day or a year"},
        {"cloud_cover", Kind::cloud_cover, "%", "%", "share of the sky"},
        {"wind", Kind::velocity, "m/s", "mph", "of the wind"},
        {"duration", Kind::hours, "h", "h", "lengths of time"},
        {"pressure", Kind::pressure, "Pa", "inH2O", "of air and water"},
    };
    return all;
}

std::string_view printed_in(std::string_view unit)
{
    for (const PrintedQuantity& q : printed_quantities())
        if (si_unit(q.kind) == unit) return q.key;
    return "fine_ratio";
}

const std::vector<std::string>& unit_presets()
{
    static const std::vector<std::string> presets = {"SI", "inch-pound"};
    return presets;
}

namespace {

std::size_t index_of(std::string_view key)
{
    const auto& all = printed_quantities();
    const auto at = std::ranges::find(all, key, &PrintedQuantity::key);
    if (at == all.end()) throw Error{fmt::format("no quantity that is printed is called '{}'", key)};
    return static_cast<std::size_t>(at - all.begin());
}

} // namespace

PreferredUnits::PreferredUnits() : PreferredUnits{unit_presets().front()} {}

PreferredUnits::PreferredUnits(std::string_view preset)
{
    const auto& presets = unit_presets();
    if (std::ranges::find(presets, preset) == presets.end())
        throw Error{fmt::format("no set of units is called '{}'; there are: {}", preset, listed(presets))};
    for (const PrintedQuantity& q : printed_quantities())
        symbols_.push_back(preset == presets.front() ? q.si : q.inch_pound);
}

void PreferredUnits::choose(std::string_view key, std::string_view unit)
{
    const std::size_t i = index_of(key);
    const detail::Unit* found = detail::find_unit(unit, printed_quantities()[i].kind);
    if (found == nullptr)
        throw Error{fmt::format("{} has no unit '{}'; it has: {}", key, unit,
                                listed(unit_symbols(printed_quantities()[i].kind), 12))};
    symbols_[i] = found->symbol;
}

std::string_view PreferredUnits::symbol(std::string_view key) const { return symbols_[index_of(key)]; }

const detail::Unit& PreferredUnits::unit(std::string_view key) const
{
    const std::size_t i = index_of(key);
    const detail::Unit* unit = detail::find_unit(symbols_[i], printed_quantities()[i].kind);
    VENTURE_ASSERT(unit != nullptr);
    return *unit;
}

double PreferredUnits::value(double si, std::string_view key) const
{
    const detail::Unit& shown = unit(key);
    return (si - shown.offset) / shown.factor;
}

int PreferredUnits::decimals(std::string_view key) const { return unit(key).decimals; }

std::string PreferredUnits::number(double si, std::string_view key) const
{
    const double typed = value(si, key);
    int decimals = unit(key).decimals;
    constexpr double whole = 0.05; // boards come in halves of a millimetre, and must not look like others
    if (key == "thickness" && decimals == 0 && std::abs(typed - std::round(typed)) > whole) decimals = 1;
    const bool rounds_to_zero = std::abs(typed) < 0.5 * std::pow(10.0, -decimals); // never "-0"
    return fmt::format("{:.{}f}", rounds_to_zero ? 0.0 : typed, decimals);
}

std::string PreferredUnits::text(double si, std::string_view key) const
{
    return fmt::format("{} {}", number(si, key), symbol(key));
}

std::string_view PreferredUnits::symbol(Kind kind) const
{
    const auto& all = printed_quantities();
    const auto at = std::ranges::find(all, kind, &PrintedQuantity::kind);
    if (at != all.end()) return symbols_[static_cast<std::size_t>(at - all.begin())];
    return kind == Kind::fraction ? "%" : plain_unit(kind);
}

std::string PreferredUnits::text(double si, Kind kind, int digits) const
{
    const std::string_view unit = symbol(kind);
    const double value = from_si(si, unit, kind) + 0.0;
    std::string number = fmt::format("{:.{}g}", value, digits);
    constexpr double most = 1e9; // a figure that a reader knows by sight; no power of ten up to it
    if (std::abs(value) >= 1.0 && std::abs(value) < most && number.find('e') != std::string::npos)
        number = fmt::format("{:.0f}", std::stod(number));
    return unit.empty() ? number : fmt::format("{} {}", number, unit);
}

} // namespace venture::quantity
