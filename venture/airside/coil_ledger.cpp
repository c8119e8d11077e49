#include <venture/airside/coil_ledger.hpp>

#include <cmath>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/air/room_density.hpp>

namespace venture::airside {

using air::Point;
using figure::Cell;
using quantity::Ledger;
using quantity::LedgerLine;

namespace {

bool differ(const Point& a, const Point& b)
{
    constexpr double shown_K = 0.05, shown_kg_per_kg = 2e-5;
    return std::abs(a.dry_bulb_C - b.dry_bulb_C) > shown_K ||
           std::abs(a.humidity_ratio - b.humidity_ratio) > shown_kg_per_kg;
}

LedgerLine line_of_mixing(const AirStates& s)
{
    const double room = air::enthalpy_J_per_kg(s.room), fresh = air::enthalpy_J_per_kg(s.behind_recovery);
    return {
        .what = "enthalpy of outdoor air mixed with air of the room",
        .symbol = "h_mixed",
        .formula = "h_room + m_out/m*(h_fresh - h_room)",
        .inputs = {{"h_room", room, "J/kg", "air of the room in that hour, as above"},
                   {"m_out", s.outdoor_kg_per_s, "kg/s", "outdoor air, dry"},
                   {"m", s.supply_kg_per_s, "kg/s",
                    "supply air, dry: outdoor air, or more where its bounds of temperature and humidity ask for it"},
                   {"h_fresh", fresh, "J/kg", "outdoor air behind recovery, as above"}},
        .value = room + s.outdoor_kg_per_s / s.supply_kg_per_s * (fresh - room),
        .unit = "J/kg"};
}

/// Sensible heat from one temperature to another, of air as moist as it leaves.
LedgerLine line_of_heat(const char* what, const char* formula, const AirStates& s, double first_C, double second_C,
                        double value_W)
{
    return {.what = what,
            .symbol = "Q",
            .formula = formula,
            .inputs = {{"m", s.supply_kg_per_s, "kg/s", "supply air, dry"},
                       {"w", s.supply.humidity_ratio, "kg/kg", "humidity ratio of the supply air"},
                       {"t1", first_C, "degC", "before the coil"},
                       {"t2", second_C, "degC", "behind it"}},
            .value = value_W,
            .unit = "W"};
}

double capacity_W_per_K(const AirStates& s)
{
    return s.supply_kg_per_s * air::heat_capacity_J_per_kgK(s.supply.humidity_ratio);
}

LedgerLine line_of_latent(const AirStates& s)
{
    return {
        .what = "water that condenses",
        .symbol = "Q_lat",
        .formula = "m*(2501000 + 1860*t)*(w1 - w2)",
        .inputs = {{"m", s.supply_kg_per_s, "kg/s", "supply air, dry"},
                   {"t", s.mixed.dry_bulb_C, "degC", "before the coil"},
                   {"w1", s.mixed.humidity_ratio, "kg/kg", "before the coil"},
                   {"w2", s.supply.humidity_ratio, "kg/kg", "of the supply air, so that the room stays at its limit"}},
        .value = s.supply_kg_per_s * (air::enthalpy_J_per_kg(s.mixed) -
                                      air::enthalpy_J_per_kg({s.mixed.dry_bulb_C, s.supply.humidity_ratio})),
        .unit = "W"};
}

/// What a capacity leaves of what is asked for.
LedgerLine line_of_given(const char* bound, double given_W, double short_W)
{
    return {.what = "given, within what its coils can do",
            .symbol = "Q_given",
            .formula = "Q_asked - Q_short",
            .inputs = {{"Q_asked", given_W + short_W, "W", "all of the above"},
                       {"Q_short", short_W, "W", fmt::format("without reheat, beyond {} times the floor area", bound)}},
            .value = given_W,
            .unit = "W"};
}

} // namespace

std::vector<NamedState> named_states(const AirStates& s)
{
    std::vector<NamedState> out = {{"outdoor air", s.outdoor, s.outdoor_kg_per_s}, {"air of the room", s.room, 0.0}};
    if (differ(s.outdoor, s.behind_recovery)) out.push_back({"behind recovery", s.behind_recovery, s.outdoor_kg_per_s});
    if (differ(s.mixed, s.behind_recovery)) out.push_back({mixed_state, s.mixed, s.supply_kg_per_s});
    if (differ(s.off_coil, s.supply) && differ(s.off_coil, s.mixed))
        out.push_back({"behind the cooling coil", s.off_coil, s.supply_kg_per_s});
    out.push_back({"supply air", s.supply, s.supply_kg_per_s});
    return out;
}

const figure::TableOf<StateRow>& state_columns()
{
    using S = StateRow;
    static const figure::TableOf<S> all = {
        {"coil_air", "States of the air", "What the air of a room's coils is on its way, in the hours of their peaks.",
         2},
        {
            {{"hour", "Air on its way", "", "winter design, or day and hour of the cooling", 0},
             [](const S& s) -> Cell { return s.of; }},
            {{"state", "", "", "where on its way", 0}, [](const S& s) -> Cell { return s.state.name; }},
            {{"flow", "flow", "air_flow", "of air at 20 degC"},
             [](const S& s) -> Cell {
                 const double density = air::room_density_kg_per_m3(s.pressure);
                 return figure::where(s.state.kg_per_s > 0.0, s.state.kg_per_s / density);
             }},
            {{"dry_bulb", "dry bulb", "temperature", ""}, [](const S& s) -> Cell { return s.state.at.dry_bulb_C; }},
            {{"humidity_ratio", "humidity\nratio", "humidity_ratio", "for each mass of dry air"},
             [](const S& s) -> Cell { return s.state.at.humidity_ratio; }},
            {{"relative_humidity", "relative\nhumidity", "share", ""},
             [](const S& s) -> Cell {
                 return air::relative_humidity(quantity::Temperature::celsius(s.state.at.dry_bulb_C),
                                               s.state.at.humidity_ratio, s.pressure);
             }},
        }};
    return all;
}

std::vector<StateRow> state_rows(const CoilLoad& load, quantity::Pressure pressure)
{
    std::vector<StateRow> out;
    const auto add = [&](const std::string& of, const AirStates& states) {
        for (NamedState& state : named_states(states)) out.push_back({of, std::move(state), pressure});
    };
    if (load.heating_W > 0.0) add("winter design", load.in_winter);
    if (load.cooling_W > 0.0) add(in_words(load.cooling_when), load.in_summer);
    return out;
}

Ledger ledger_of_coils(const CoilLoad& load)
{
    Ledger out;
    if (load.heating_W > 0.0 && load.in_winter.supply_kg_per_s > 0.0) {
        const AirStates& s = load.in_winter;
        const quantity::LedgerOf of{out, fmt::format("coils of '{}', winter design", load.supply)};
        of.write(line_of_mixing(s));
        of.write(line_of_heat("heating, with reheat", "m*(1006 + 1860*w)*(t2 - t1)", s, s.off_coil.dry_bulb_C,
                              s.supply.dry_bulb_C,
                              capacity_W_per_K(s) * (s.supply.dry_bulb_C - s.off_coil.dry_bulb_C)));
        if (load.heating_short_W > 0.0)
            of.write(line_of_given("greatest_heating", load.heating_W, load.heating_short_W));
    }
    if (load.cooling_W > 0.0 && load.in_summer.supply_kg_per_s > 0.0) {
        const AirStates& s = load.in_summer;
        const quantity::LedgerOf of{out, fmt::format("coils of '{}', {}", load.supply, in_words(load.cooling_when))};
        of.write(line_of_mixing(s));
        of.write(line_of_heat("sensible cooling", "m*(1006 + 1860*w)*(t1 - t2)", s, s.mixed.dry_bulb_C,
                              s.off_coil.dry_bulb_C,
                              capacity_W_per_K(s) * (s.mixed.dry_bulb_C - s.off_coil.dry_bulb_C)));
        if (s.mixed.humidity_ratio > s.supply.humidity_ratio) of.write(line_of_latent(s));
        if (load.cooling_short_W > 0.0)
            of.write(line_of_given("greatest_cooling", load.cooling_W, load.cooling_short_W));
    }
    return out;
}

} // namespace venture::airside
