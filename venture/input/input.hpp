#pragma once
/// What a user has given of a building: optional values, each with its origin. Made from files, from code, or both;
/// resolve() turns it into a complete Building.

#include <functional>
#include <map>
#include <string>
#include <vector>

#include <venture/input/air_need.hpp>
#include <venture/input/air_supply.hpp>
#include <venture/input/choosing.hpp>
#include <venture/input/fabric.hpp>
#include <venture/input/glass.hpp>
#include <venture/input/ground.hpp>
#include <venture/input/hours.hpp>
#include <venture/input/primary_air.hpp>
#include <venture/input/project.hpp>
#include <venture/input/room.hpp>
#include <venture/input/services.hpp>
#include <venture/input/site.hpp>
#include <venture/input/tags.hpp>
#include <venture/input/weather.hpp>
#include <venture/quantity/origin.hpp>

namespace venture::input {

/// Everything given of a building and its site.
struct Input {
    Input();
    Input(const Input&);
    Input(Input&&) noexcept;
    Input& operator=(const Input&);
    Input& operator=(Input&&) noexcept;
    ~Input();

    ProjectInput project{};
    UnitsInput units{};
    std::vector<LibraryInput> libraries{};
    std::vector<CatalogueInput> catalogues{};
    std::vector<TableFileInput> tables{};
    std::vector<AcceptedInput> accepted{};
    SiteInput site{};
    WeatherInput weather{};
    std::vector<MonthlyMeanInput> monthly_means{};
    FabricInput fabric{};
    std::vector<MaterialInput> materials{};
    std::vector<BuildupInput> build_ups{};
    std::vector<PaneInput> panes{};
    std::vector<GlazingInput> glazings{};
    std::vector<ShadeInput> shades{};
    GroundInput ground{};
    std::vector<ThermalBridgeInput> thermal_bridges{};
    std::vector<ObstructionInput> obstructions{};
    std::vector<ProfileInput> profiles{};
    std::vector<DaysInput> days{};
    std::vector<CalendarInput> calendars{};
    AirtightnessInput airtightness{};
    std::vector<AirNeedInput> air_needs{};
    std::vector<AirSupplyInput> air_supplies{};
    std::vector<ExtractInput> extracts{};
    DwellingInput dwelling{};
    std::vector<RoomTypeInput> room_types{};
    PlanInput plan{};
    std::vector<StoreyInput> storeys{};
    std::vector<RoomInput> rooms{};
    std::vector<RepeatInput> repeats{};
    std::vector<CircuitInput> circuits{};
    std::vector<PlantInput> plants{};
    std::vector<ServeInput> serve{};
    std::vector<PrimaryAirInput> primary_air{};
    std::vector<ChoosingInput> choosing{};
    std::vector<KeptInput> kept{};
    TagsInput tags{};
    LoadsInput loads{};
    MethodInput method{};
    /// Names that a library has beside these, by table, for whoever misspells one.
    std::map<std::string, std::vector<std::string>, std::less<>> offered{};
    quantity::OriginPool origins{};
    /// Its tables, in the order of their page.
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
