#include <venture/loads/design_hours.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <memory>

#include <venture/balance/series.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/design_day_run.hpp>
#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

namespace {

constexpr std::size_t hours_of_a_day = 24;
constexpr const char* of_rooms[] = {"sun through glass, beam",
                                    "sun through glass, diffuse",
                                    "sun taken up at windows",
                                    "people",
                                    "lighting",
                                    "equipment"};
constexpr const char* of_outdoors[] = {"outdoor temperature", "outdoor humidity ratio"};

/// Series of the last day that was watched, by kind and room.
class DayWatch {
public:
    explicit DayWatch(const balance::ThermalModel& model) : model_{model} {}
    balance::Watch begin()
    {
        std::vector<balance::Ask> asks;
        for (const char* kind : of_rooms) asks.push_back({kind, {}});
        for (const char* kind : of_outdoors) asks.push_back({kind, {}});
        gatherer_.emplace(model_, asks, model_.steps / hours_of_a_day);
        return [this](std::size_t step, const balance::StepResult& result) { gatherer_->take(result, step); };
    }
    std::map<std::pair<std::string, std::string>, std::vector<double>> series() &&
    {
        std::map<std::pair<std::string, std::string>, std::vector<double>> out;
        for (balance::Series& s : std::move(*gatherer_).series()) out[{s.kind, s.id}] = std::move(s.values);
        return out;
    }

private:
    const balance::ThermalModel& model_;
    std::optional<balance::SeriesGatherer> gatherer_{};
};

constexpr AirBalance operator+(const AirBalance& a, const AirBalance& b)
{
    AirBalance out;
    constexpr double AirBalance::*all[] = {&AirBalance::outside_walls_W,   &AirBalance::roof_W,
                                           &AirBalance::windows_W,         &AirBalance::doors_W,
                                           &AirBalance::ground_W,          &AirBalance::inner_W,
                                           &AirBalance::thermal_bridges_W, &AirBalance::convective_gains_W,
                                           &AirBalance::infiltration_W,    &AirBalance::ventilation_W,
                                           &AirBalance::transfer_air_W,    &AirBalance::released_by_air_W};
    for (const auto part : all) out.*part = a.*part + b.*part;
    return out;
}

} // namespace

std::vector<LoadHour> design_hours(const building::Building& b, const climate::DesignDay& day,
                                   const DesignOptions& options)
{
    const auto models = models_of(b, options);
    const Compiled compiled = models->compile(b, day);
    DayWatch watch{compiled.model};
    const balance::PeriodicDay run = detail::run_with_films(
        compiled.model, {.near = models->begin_of(day), .watch = [&watch] { return watch.begin(); }});
    const auto series = std::move(watch).series();
    std::vector<LoadHour> out;
    for (std::size_t r = 0; r < b.rooms.size(); ++r) {
        if (b.rooms[r].left_out) continue;
        const balance::ZoneDay& zone = run.zones[compiled.zone_of_room[r]];
        const std::vector<double> latent_W = detail::asked_latent_W(b.rooms[r], zone);
        const auto of_room = [&](std::size_t kind, std::size_t h) {
            return series.at({of_rooms[kind], b.rooms[r].name})[h];
        };
        for (std::size_t h = 0; h < hours_of_a_day; ++h)
            out.push_back({.of = b.rooms[r].name,
                           .day = day.name,
                           .hour = h,
                           .clock_hour = clock_hour(day.clock_ahead_h, h),
                           .outdoor_C = series.at({of_outdoors[0], ""})[h],
                           .outdoor_humidity_ratio = series.at({of_outdoors[1], ""})[h],
                           .sun_beam_W = of_room(0, h),
                           .sun_diffuse_W = of_room(1, h),
                           .sun_taken_up_W = of_room(2, h),
                           .people_W = of_room(3, h),
                           .lighting_W = of_room(4, h),
                           .equipment_W = of_room(5, h),
                           .into_air = detail::balance_of(zone.parts[h]),
                           .air_C = zone.air_C[h],
                           .operative_C = zone.operative_C[h],
                           .humidity_ratio = zone.humidity_ratio[h],
                           .heating_W = zone.heating_W[h],
                           .sensible_W = zone.cooling_W[h],
                           .latent_W = latent_W[h]});
    }
    return out;
}

std::vector<LoadHour> hours_together(const std::vector<LoadHour>& hours)
{
    std::vector<LoadHour> out;
    for (const LoadHour& h : hours) {
        if (h.hour == out.size()) {
            LoadHour& first = out.emplace_back(h);
            first.of = "all rooms";
            first.air_C = first.operative_C = first.humidity_ratio = std::nullopt;
            continue;
        }
        LoadHour& sum = out[h.hour];
        constexpr double LoadHour::*all[] = {&LoadHour::sun_beam_W, &LoadHour::sun_diffuse_W, &LoadHour::sun_taken_up_W,
                                             &LoadHour::people_W,   &LoadHour::lighting_W,    &LoadHour::equipment_W,
                                             &LoadHour::heating_W,  &LoadHour::sensible_W,    &LoadHour::latent_W};
        for (const auto part : all) sum.*part += h.*part;
        sum.into_air = sum.into_air + h.into_air;
    }
    return out;
}

const figure::TableOf<LoadHour>& load_hour_columns()
{
    using H = LoadHour;
    using figure::Cell;
    using figure::Show;
    using figure::Sum;
    static const figure::TableOf<H> all = {
        {"load_hour", "A design day hour by hour",
         "A room, or all of them, in one hour of a design day; what comes into the air, less what the supply takes "
         "away, is nil.",
         3},
        {
            {{"of", "Room", "", "room, or all rooms", 0, Sum::none, Show::if_varied},
             [](const H& h) -> Cell { return h.of; }},
            {{"day", "Day", "", "design day", 0, Sum::none, Show::data}, [](const H& h) -> Cell { return h.day; }},
            {{"hour", "hour", "count", "of local standard time: 14 is from 14 to 15 h", 0},
             [](const H& h) -> Cell { return figure::whole(h.hour); }},
            {{"clock", "clock", "count", "hour that clocks show", 6},
             [](const H& h) -> Cell { return figure::whole(h.clock_hour); }},
            {{"outdoor", "outdoors", "temperature", "outdoor air"}, [](const H& h) -> Cell { return h.outdoor_C; }},
            {{"outdoor_humidity", "outdoors", "humidity_ratio", "of outdoor air", 5},
             [](const H& h) -> Cell { return h.outdoor_humidity_ratio; }},
            {{"sun_beam", "through glass\nbeam", "power", "light straight from the sun that windows let in", 2,
              Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.sun_beam_W; }},
            {{"sun_diffuse", "through glass\ndiffuse", "power", "light of sky and ground that windows let in", 2,
              Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.sun_diffuse_W; }},
            {{"sun_taken_up", "through glass\ntaken up", "power",
              "heat that sun sets free on inner faces of panes and in shades inside", 3, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.sun_taken_up_W; }},
            {{"people", "gains\npeople", "power", "sensible, to air and faces", 3, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.people_W; }},
            {{"lighting", "gains\nlights", "power", "to air and faces", 3, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.lighting_W; }},
            {{"equipment", "gains\nother", "power", "sensible heat of equipment and cooking, to air and faces", 3,
              Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.equipment_W; }},
            {{"from_walls", "into air\nwalls", "power", "outside walls, by convection", 4, Sum::none, Show::always,
              true},
             [](const H& h) -> Cell { return h.into_air.outside_walls_W; }},
            {{"from_roof", "into air\nroof", "power", "by convection", 4, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.into_air.roof_W; }},
            {{"from_windows", "into air\nwindows", "power", "by convection", 4, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.into_air.windows_W; }},
            {{"from_doors", "into air\ndoors", "power", "by convection", 5, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.into_air.doors_W; }},
            {{"from_ground", "into air\nground", "power", "floors and walls in the ground, by convection", 4, Sum::none,
              Show::always, true},
             [](const H& h) -> Cell { return h.into_air.ground_W; }},
            {{"from_inner", "into air\ninner", "power", "inner walls and floors, by convection", 4, Sum::none,
              Show::always, true},
             [](const H& h) -> Cell { return h.into_air.inner_W; }},
            {{"from_bridges", "into air\nbridges", "power", "thermal bridges", 5, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.into_air.thermal_bridges_W; }},
            {{"from_gains", "into air\ngains", "power", "convective part of gains and of shades inside", 4, Sum::none,
              Show::always, true},
             [](const H& h) -> Cell { return h.into_air.convective_gains_W; }},
            {{"infiltration", "into air\nleaks", "power", "outdoor air by leakage", 4, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.into_air.infiltration_W; }},
            {{"ventilation", "into air\nplan", "power", "outdoor air by ventilation", 4, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.into_air.ventilation_W; }},
            {{"transfer", "into air\nrooms", "power", "air from other rooms", 5, Sum::none, Show::always, true},
             [](const H& h) -> Cell { return h.into_air.transfer_air_W; }},
            {{"released", "into air\nstore", "power", "released by air and furniture", 5, Sum::none, Show::always,
              true},
             [](const H& h) -> Cell { return h.into_air.released_by_air_W; }},
            {{"air", "air", "temperature", "of the room", 1, Sum::none, Show::if_any},
             [](const H& h) -> Cell { return figure::cell_of(h.air_C); }},
            {{"operative", "operative", "temperature", "of the room", 2, Sum::none, Show::if_any},
             [](const H& h) -> Cell { return figure::cell_of(h.operative_C); }},
            {{"humidity", "humidity", "humidity_ratio", "of the room", 4, Sum::none, Show::if_any},
             [](const H& h) -> Cell { return figure::cell_of(h.humidity_ratio); }},
            {{"heating", "heating", "power", "that the room asks for", 1, Sum::largest, Show::always, true},
             [](const H& h) -> Cell { return h.heating_W; }},
            {{"sensible", "cooling\nsensible", "power", "that the room asks for", 1, Sum::largest, Show::always, true},
             [](const H& h) -> Cell { return h.sensible_W; }},
            {{"latent", "cooling\nlatent", "power", "that the room asks for", 1, Sum::largest, Show::always, true},
             [](const H& h) -> Cell { return h.latent_W; }},
        }};
    return all;
}

} // namespace venture::loads
