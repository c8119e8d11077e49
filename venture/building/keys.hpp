#pragma once
/// The keys of every table of a project: one declaration each, which reading, checking and help are driven by.

#include <venture/building/input.hpp>

namespace venture {

namespace quantity {

template <>
std::span<const Key<building::ProjectInput>> keys<building::ProjectInput>();
template <>
std::span<const Key<building::UnitsInput>> keys<building::UnitsInput>();
template <>
std::span<const Key<building::LibraryInput>> keys<building::LibraryInput>();
template <>
std::span<const Key<building::TableFileInput>> keys<building::TableFileInput>();
template <>
std::span<const Key<building::AcceptedInput>> keys<building::AcceptedInput>();
template <>
std::span<const Key<building::SiteInput>> keys<building::SiteInput>();
template <>
std::span<const Key<building::MonthInput>> keys<building::MonthInput>();
template <>
std::span<const Key<building::WeatherInput>> keys<building::WeatherInput>();
template <>
std::span<const Key<building::WeatherColumnInput>> keys<building::WeatherColumnInput>();
template <>
std::span<const Key<building::MonthlyMeanInput>> keys<building::MonthlyMeanInput>();
template <>
std::span<const Key<building::MaterialInput>> keys<building::MaterialInput>();
template <>
std::span<const Key<building::BuildupInput>> keys<building::BuildupInput>();
template <>
std::span<const Key<building::PaneInput>> keys<building::PaneInput>();
template <>
std::span<const Key<building::GlazingInput>> keys<building::GlazingInput>();
template <>
std::span<const Key<building::ShadeInput>> keys<building::ShadeInput>();
template <>
std::span<const Key<building::GroundInput>> keys<building::GroundInput>();
template <>
std::span<const Key<building::MethodInput>> keys<building::MethodInput>();
template <>
std::span<const Key<building::ThermalBridgeInput>> keys<building::ThermalBridgeInput>();
template <>
std::span<const Key<building::FabricInput>> keys<building::FabricInput>();
template <>
std::span<const Key<building::ProfileInput>> keys<building::ProfileInput>();
template <>
std::span<const Key<building::DaysInput>> keys<building::DaysInput>();
template <>
std::span<const Key<building::CalendarInput>> keys<building::CalendarInput>();
template <>
std::span<const Key<building::AirtightnessInput>> keys<building::AirtightnessInput>();
template <>
std::span<const Key<building::DwellingInput>> keys<building::DwellingInput>();
template <>
std::span<const Key<building::GainInput>> keys<building::GainInput>();
template <>
std::span<const Key<building::UseInput>> keys<building::UseInput>();
template <>
std::span<const Key<building::RoomTypeInput>> keys<building::RoomTypeInput>();
template <>
std::span<const Key<building::PlanInput>> keys<building::PlanInput>();
template <>
std::span<const Key<building::StoreyInput>> keys<building::StoreyInput>();
template <>
std::span<const Key<building::RepeatInput>> keys<building::RepeatInput>();
template <>
std::span<const Key<building::OpeningInput>> keys<building::OpeningInput>();
template <>
std::span<const Key<building::FaceInput>> keys<building::FaceInput>();
template <>
std::span<const Key<building::ObstructionInput>> keys<building::ObstructionInput>();
template <>
std::span<const Key<building::TransferAirInput>> keys<building::TransferAirInput>();
template <>
std::span<const Key<building::RoomInput>> keys<building::RoomInput>();
template <>
std::span<const Key<building::OfRoom<building::OpeningInput>>> keys<building::OfRoom<building::OpeningInput>>();
template <>
std::span<const Key<building::OfRoom<building::GainInput>>> keys<building::OfRoom<building::GainInput>>();
template <>
std::span<const Key<building::OfRoom<building::TransferAirInput>>> keys<building::OfRoom<building::TransferAirInput>>();
template <>
std::span<const Key<building::CircuitInput>> keys<building::CircuitInput>();
template <>
std::span<const Key<building::PlantInput>> keys<building::PlantInput>();
template <>
std::span<const Key<building::KeptInput>> keys<building::KeptInput>();
template <>
std::span<const Key<building::LoadsInput>> keys<building::LoadsInput>();

} // namespace quantity

namespace building {

using quantity::for_each_key_set;
using quantity::for_each_nested_table;
using quantity::Key;
using quantity::keys;
using quantity::KeySpec;
using quantity::spec_of;

/// Visits every table of an input as (name, list of records or the single record).
template <class Visit>
void for_each_table(auto& input, Visit visit)
{
    visit("project", input.project);
    visit("units", input.units);
    visit("library", input.libraries);
    visit("table", input.tables);
    visit("accepted", input.accepted);
    visit("site", input.site);
    visit("weather", input.weather);
    visit("monthly_mean", input.monthly_means);
    visit("fabric", input.fabric);
    visit("material", input.materials);
    visit("build_up", input.build_ups);
    visit("pane", input.panes);
    visit("glazing", input.glazings);
    visit("shade", input.shades);
    visit("ground", input.ground);
    visit("thermal_bridge", input.thermal_bridges);
    visit("obstruction", input.obstructions);
    visit("profile", input.profiles);
    visit("days", input.days);
    visit("calendar", input.calendars);
    visit("airtightness", input.airtightness);
    visit("dwelling", input.dwelling);
    visit("room_type", input.room_types);
    visit("plan", input.plan);
    visit("storey", input.storeys);
    visit("room", input.rooms);
    visit("repeat", input.repeats);
    visit("circuit", input.circuits);
    visit("plant", input.plants);
    visit("kept", input.kept);
    visit("loads", input.loads);
    visit("method", input.method);
}

/// Visits the tables nested in rooms that may also stand in a CSV file by themselves, as (name, member of a room).
template <class Visit>
void for_each_table_of_rooms(Visit visit)
{
    visit("opening", &RoomInput::openings);
    visit("gain", &RoomInput::gains);
    visit("transfer_air", &RoomInput::transfer_air);
}

/// Visits the tables that a library may hold.
template <class Visit>
void for_each_library_table(auto& input, Visit visit)
{
    visit("material", input.materials);
    visit("build_up", input.build_ups);
    visit("pane", input.panes);
    visit("glazing", input.glazings);
    visit("shade", input.shades);
    visit("profile", input.profiles);
    visit("days", input.days);
    visit("calendar", input.calendars);
    visit("room_type", input.room_types);
}

/// What a record is called in a key path: its name, the face it is on, its month; empty if it has none.
template <class Record>
[[nodiscard]] std::string label_of(const Record& record)
{
    if constexpr (requires { record.month; })
        return record.month ? quantity::print_quantity(*record.month, quantity::Kind::number) : "";
    if constexpr (requires { record.name; })
        if (record.name) return *record.name;
    if constexpr (requires { record.on; })
        if (record.on) return *record.on;
    return "";
}

/// The same; the `index`th of its list (from 0) is called by its number from 1 if it has no name.
template <class Record>
[[nodiscard]] std::string label_of(const Record& record, std::size_t index)
{
    std::string label = label_of(record);
    return label.empty() ? std::to_string(index + 1) : label;
}

} // namespace building
} // namespace venture
