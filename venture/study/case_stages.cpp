/// The stages of a case.

#include <algorithm>
#include <utility>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/loads/emission.hpp>
#include <venture/loads/load_findings.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>
#include <venture/resolve/climate_input.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/study/case_state.hpp>
#include <venture/study/primary_air_findings.hpp>
#include <venture/study/unit_places.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::study {

namespace codes = quantity::codes;
using quantity::Problem;
using quantity::Severity;

namespace {

/// Outdoor temperature that chillers are rated at where no site is known; our assumption.
services::Kinds kinds() { return {terminal::unit_kinds(), plant::plant_kinds()}; }

constexpr double assumed_outdoor_C = 32.0;

/// Problems that may only follow from parts that could not be read. A misspelt name with a near one is real.
bool follows_from_gaps(const Problem& p)
{
    if (p.severity != Severity::error || p.code == codes::missing) return true;
    if (p.code == codes::unknown_name) return !p.hint.starts_with("did you mean");
    return p.code == codes::outline || p.code == codes::no_face || p.code == codes::overlap;
}

} // namespace

void Case::State::check_services_alone()
{
    std::vector<services::Client> clients;
    for (const input::RoomInput& room : input.rooms)
        if (room.name) clients.push_back({.room = *room.name, .origin = room.name.origin});
    for (const Problem& p : services::connect(input, clients, kinds()).problems)
        if (p.severity == Severity::error && given.whole) problems.add(p);
}

std::vector<services::Client> Case::State::clients() const
{
    std::vector<services::Client> out;
    if (building)
        for (const building::Room& room : building->rooms)
            out.push_back({.room = room.name,
                           .type = room.type,
                           .storey = building->storeys[room.storey].name,
                           .heated_by = room.use.heated_by.value,
                           .cooled_by = room.use.cooled_by.value,
                           .origin = room.origin,
                           .heated_by_origin = room.use.heated_by.origin,
                           .cooled_by_origin = room.use.cooled_by.origin,
                           .heated = room.use.heating_setpoint_C.has_value(),
                           .cooled = room.use.cooling_setpoint_C.has_value()});
    if (!typed) return out;
    for (const loads::RoomLoad& load : typed->loads.rooms) {
        const auto same = std::ranges::find(out, load.room, &services::Client::room);
        services::Client& client = same == out.end() ? out.emplace_back() : *same;
        if (client.room.empty()) client.origin = load.origin;
        client.room = load.room;
        if (!load.storey.empty()) client.storey = load.storey;
        client.heated = load.heated;
        client.cooled = load.cooled;
    }
    return out;
}

void Case::State::resolve_site()
{
    if (std::exchange(site_asked, true) || building_asked) return;
    use_weather();
    if (problems.has_error() && !given.whole) return;
    resolve::ResolvedSite resolved = resolve::resolve_site(input);
    input = std::move(resolved.effective);
    drop_what_weather_would_give(resolved.problems);
    problems.add_all(std::move(resolved.problems));
    if (!failed()) site = std::move(resolved.site);
}

void Case::State::resolve_building()
{
    if (std::exchange(building_asked, true)) return;
    if (resolve::wants_conditions(input.site)) use_weather();
    if (given.typed_loads) typed = given.typed_loads(input, problems);
    if (!typed || !input.rooms.empty()) {
        if (problems.has_error() && input.rooms.empty()) return; // nothing was read: more words would not help
        resolve::Resolved resolved = resolve::resolve(input);
        if (!given.whole) std::erase_if(resolved.problems, follows_from_gaps);
        drop_what_weather_would_give(resolved.problems);
        input = std::move(resolved.effective);
        problems.add_all(std::move(resolved.problems));
        if (failed() || !resolved.building) return check_services_alone();
        building = std::move(resolved.building);
        site = building->site;
    }
    services = services::connect(input, clients(), kinds());
    problems.add_all(services.problems.all());
    primary_air = terminal::read_primary_air(input, clients(),
                                             building ? air::standard_pressure(building->site.place.height_m).pascal()
                                                      : air::standard_pressure(0.0).pascal(),
                                             problems);
    tag_rule = TagRule{input.tags, problems};
    wishes = terminal::Wishes{input, clients(), terminal::unit_kinds(), problems};
}

void Case::State::tell_capped_humidity()
{
    for (const loads::RunNote& run : loads.runs) {
        // Of winter the site tells; a day made for its humidity holds that all day, so that nights are saturated.
        if (!run.humidity_capped_at_saturation || run.month == 0 || run.made_for != climate::DesignFor::dry_bulb)
            continue;
        Problem note{.severity = Severity::note,
                     .code = codes::humidity_capped,
                     .message = fmt::format("design day {}: some night hours would be more than saturated; their "
                                            "humidity is taken as saturated",
                                            run.day),
                     .hint = "the coincident wet bulb or the daily range is high",
                     .cause = "more than saturated at night",
                     .subject = fmt::format("design day {}", run.day)};
        for (const input::MonthInput& month : input.site.months)
            if (month.month && static_cast<int>(*month.month) == run.month && month.wet_bulb) {
                note.where = month.wet_bulb.origin;
                note.inputs = fmt::format("{} {} {}", *month.dry_bulb, *month.wet_bulb, *month.daily_range);
            }
        problems.add(std::move(note));
    }
}

void Case::State::tell_typed_loads()
{
    for (const loads::RoomLoad& load : typed->loads.rooms)
        problems.add(
            {.severity = Severity::note,
             .code = codes::typed_load,
             .where = load.origin,
             .message = fmt::format("loads of '{}' were typed{}", load.room,
                                    building->find_room(load.room) ? " and stand instead of the computed ones" : ""),
             .cause = "loads were typed",
             .subject = "room/" + load.room,
             .inputs =
                 fmt::format("{:.3f} {:.3f} {:.3f}", load.heating_W, load.cooling_sensible_W, load.cooling_latent_W)});
}

void Case::State::point_to_own_origins()
{
    for (std::size_t r = 0; r < building->rooms.size(); ++r) {
        const building::Room& room = building->rooms[r];
        loads::RoomLoad& load = loads.loads.rooms[r];
        load.origin = room.origin;
        if (room.use.heating_setpoint_C) load.heating_setpoint_origin = room.use.heating_setpoint_C->origin;
        if (room.use.cooling_setpoint_C) load.cooling_setpoint_origin = room.use.cooling_setpoint_C->origin;
    }
}

void Case::State::compute_loads()
{
    if (std::exchange(loads_asked, true)) return;
    resolve_building();
    if (failed()) return;
    if (building) {
        if (loads.runs.empty())
            loads = loads::design_loads(*building, {.step_s = options.step_s});
        else
            point_to_own_origins(); // they were computed for a case like this one
        tell_capped_humidity();
        problems.add_all(loads::load_findings(*building, loads.loads, units));
        coils = airside::coil_loads(*building, loads.loads, units);
        problems.add_all(coils.problems);
    }
    if (!typed) return;
    if (building) tell_typed_loads();
    loads::lay_over(typed->loads, loads.loads);
}

void Case::State::read_products()
{
    if (stocks) return;
    stocks = given.products ? given.products(input, problems) : nullptr;
    if (!stocks) stocks = std::make_shared<const rating::Stocks>();
}

/// Heating as the units on its circuits give it: in part radiant, by their kind or as typed for the circuit. Rooms that say
/// their own share, and loads that were typed, stay as they are; and no product that is chosen later alters it.
loads::RoomLoads Case::State::for_their_units() const
{
    loads::RoomLoads out = loads.loads;
    if (!building) return out;
    std::vector<double> shares;
    std::vector<bool> moves;
    for (std::size_t r = 0; r < building->rooms.size(); ++r) {
        const auto& said = building->rooms[r].use.radiant_share;
        const bool nobody_said =
            said.value == 0.0 && input.origins.place_behind(said.origin).kind == quantity::OriginKind::default_value;
        const loads::RoomLoad& load = out.rooms[r];
        double share = said.value;
        if (nobody_said && load.heated && !load.typed && !load.heating_overruled)
            for (const services::Server& server : services.rooms[r][rating::Service::heating])
                share += server.share * services.circuits[server.circuit].radiant_share;
        shares.push_back(share);
        moves.push_back(share != said.value);
    }
    if (std::ranges::find(moves, true) == moves.end()) return out;
    const auto hours_W =
        loads::heating_with_radiant_shares(*building, shares, {.step_s = options.step_s, .known = loads.models});
    for (std::size_t r = 0; r < building->rooms.size(); ++r) {
        if (!moves[r]) continue;
        loads::RoomLoad& load = out.rooms[r];
        load.heating_convective_W = load.heating_W;
        load.heating_hours_W = hours_W[r];
        load.heating_W = *std::ranges::max_element(hours_W[r]);
    }
    return out;
}

void Case::State::choose()
{
    if (sizing) return;
    compute_loads();
    sizing.emplace();
    if (failed()) return;
    read_products();
    if (failed()) return;
    sizing->stocks = stocks;
    plant::Outdoors outdoors{assumed_outdoor_C, loads.loads.outdoor_winter_C, loads.loads.pressure_Pa,
                             building ? building->site.place.height_m : 0.0};
    if (building && !building->site.months.empty())
        outdoors.hottest_C = std::ranges::max(building->site.months, {}, &climate::CoolingMonth::dry_bulb_C).dry_bulb_C;
    sizing->services = services;
    sizing->tag_rule = tag_rule;
    sizing->primary_air = primary_air;
    sizing->loads = terminal::with_primary_air(airside::with_coils(for_their_units(), coils), primary_air);
    sizing->places = unit_places(building ? &*building : nullptr, sizing->loads);
    sizing->units =
        terminal::select_units(sizing->loads, services, *sizing->stocks, {outdoors.pressure_Pa, outdoors.height_m},
                               {wishes, sizing->places, sizing->primary_air});
    sizing->leaves = leaves_of(sizing->loads, services);
    sizing->needs = services::needs_of(services, sizing->leaves.needs, terminal::what_units_take(sizing->units));
    sizing->plants = plant::select_plants(sizing->needs, services, *sizing->stocks, outdoors);
    problems.add_all(size_findings(*sizing, units));
    std::vector<Problem> of_air;
    add_primary_air_findings(*sizing, building ? &*building : nullptr, units, of_air);
    problems.add_all(std::move(of_air));
}

} // namespace venture::study
