#include <venture/study/unit_figures.hpp>

#include <cmath>

#include <venture/study/choice_columns.hpp>

namespace venture::study {

using namespace detail; // NOLINT(google-build-using-namespace): what units and plants are told alike
using quantity::name_of;

namespace {

/// What makers say of all of them; nothing where nothing was chosen or the maker does not say.
Cell of_all(const UnitRow& u, double rating::Output::*what, double to_SI = 1.0)
{
    const auto& chosen = u.selection->choice.chosen;
    if (!chosen || chosen->refused) return {};
    const double value = chosen->all().*what;
    return std::isnan(value) ? Cell{} : Cell{to_SI * value};
}

const services::Circuit& circuit_of(const UnitRow& r) { return r.sizing->services.circuits[r.selection->circuit]; }

Cell of_primary_air(const UnitRow& u)
{
    const auto& airs = u.sizing->primary_air;
    const std::size_t room = u.selection->room;
    if (room >= airs.size() || !airs[room]) return {};
    const double W =
        airs[room]->part(u.selection->duty.service, u.sizing->loads.rooms[room], u.sizing->loads.pressure_Pa).total_W();
    return where(W != 0.0, u.selection->share * W);
}

} // namespace

const figure::TableOf<UnitRow>& unit_columns()
{
    using U = UnitRow;
    static const figure::TableOf<U> all = [] {
        figure::TableOf<U> out = {
            {"unit", "Terminal units", "What stands in a room for heating or cooling.", 3},
            {
                {{"room", "Room", "", "that it stands in", 0},
                 [](const U& u) -> Cell { return u.sizing->loads.rooms[u.selection->room].room; }},
                {{"duty", "Duty", "", "heating or cooling", 0},
                 [](const U& u) -> Cell { return std::string{name_of(u.selection->duty.service)}; }},
                {{"shared_by", "by", "", "circuit, where several share what the room needs", 0, Sum::none,
                  Show::if_any},
                 [](const U& u) -> Cell { return where(u.selection->share < 1.0, circuit_of(u).name); }},
                {{"loads", "Loads", "", "computed, or typed", 1, Sum::none, Show::if_varied},
                 [](const U& u) -> Cell {
                     return std::string{u.sizing->loads.rooms[u.selection->room].typed ? "typed" : "computed"};
                 }},
                {{"needs", "needs", "total_power", "heating, or sensible and latent cooling together", 1, Sum::added},
                 [](const U& u) -> Cell { return u.selection->duty.W; }},
                {{"convective_needs", "if convective", "total_power",
                  "what heating would be if all of it went into the air; units of this kind radiate a part", 3,
                  Sum::added, Show::if_any},
                 [](const U& u) -> Cell {
                     const auto& W = u.sizing->loads.rooms[u.selection->room].heating_convective_W;
                     return where(W && u.selection->duty.service == rating::Service::heating,
                                  W.value_or(0.0) * u.selection->share);
                 }},
                {{"primary_air", "primary air", "total_power",
                  "of what it needs: what outdoor air treated elsewhere adds (or takes off: negative)", 2, Sum::added,
                  Show::if_any},
                 [](const U& u) -> Cell { return of_primary_air(u); }},
                {{"sensible", "sensible", "total_power", "sensible part of cooling, at its own peak", 2, Sum::added,
                  Show::if_any},
                 [](const U& u) -> Cell {
                     const auto& sensible = u.selection->duty.sensible_W;
                     return sensible ? Cell{*sensible} : Cell{};
                 }},
                {{"latent", "latent", "total_power", "moisture to be taken, where the room's humidity is limited", 2,
                  Sum::added, Show::if_any},
                 [](const U& u) -> Cell {
                     const auto& latent = u.selection->duty.latent_W;
                     return latent ? Cell{*latent} : Cell{};
                 }},
            }};
        add_choice_columns(out.columns);
        const std::vector<figure::ColumnOf<U>> more = {
            {{"room_humidity", "leaves room at", "share",
              "relative humidity at which its coils and the room agree, where nobody limits it; chosen in air of that "
              "which was assumed",
              3, Sum::none, Show::if_any},
             [](const U& u) -> Cell {
                 const auto& humidity = u.selection->humidity;
                 return humidity ? Cell{humidity->relative} : Cell{};
             }},
            {{"units_latent", "can do latent", "total_power", "moisture that all of it takes", 5, Sum::none,
              Show::data},
             [](const U& u) -> Cell {
                 const auto& chosen = u.selection->choice.chosen;
                 return where(chosen && u.selection->duty.service == rating::Service::cooling,
                              chosen ? chosen->all().latent_W() : 0.0);
             }},
            {{"water", "water", "water_flow", "through all of it at full output", 5, Sum::added, Show::data},
             [](const U& u) -> Cell { return of_all(u, &rating::Output::water_kg_per_s, 1.0 / 1000.0); }},
            {{"fan", "fan", "electric_power", "taken by all of it, and heat in the room's air", 5, Sum::added,
              Show::if_any},
             [](const U& u) -> Cell { return of_all(u, &rating::Output::electric_W); }},
            {{"sound", "sound", "sound_power", "power level of all of it together", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return of_all(u, &rating::Output::sound_power_dBA); }},
            {{"pressure_drop", "pressure drop", "pressure", "of the water through one of it", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return of_all(u, &rating::Output::water_pressure_drop_Pa); }},
            {{"condensate", "condensate", "moisture_flow", "of all of it at full output", 5, Sum::added, Show::data},
             [](const U& u) -> Cell {
                 if (u.selection->duty.service != rating::Service::cooling) return {};
                 return of_all(u, &rating::Output::condensate_kg_per_s);
             }},
            {{"kind", "Kind", "", "of unit", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return std::string{circuit_of(u).unit->words}; }},
            {{"circuit", "Circuit", "", "that it hangs on", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return circuit_of(u).name; }},
            {{"entering", "Entering air", "temperature", "room air", 5, Sum::none, Show::data},
             [](const U& u) -> Cell { return u.selection->at[rating::At::entering_dry_bulb]; }},
            {{"entering_wet_bulb", "Entering wet bulb", "temperature", "of it, in cooling", 5, Sum::none, Show::data},
             [](const U& u) -> Cell {
                 return where(u.selection->at.has(rating::At::entering_wet_bulb),
                              u.selection->at[rating::At::entering_wet_bulb]);
             }},
        };
        out.columns.insert(out.columns.end(), more.begin(), more.end());
        return out;
    }();
    return all;
}

} // namespace venture::study
