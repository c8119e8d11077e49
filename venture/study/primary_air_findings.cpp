#include <venture/study/primary_air_findings.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>

namespace venture::study {

using quantity::Problem;
using quantity::Severity;

namespace {

bool has_unit_that_passes_air(const Sizing& s, std::size_t room)
{
    return std::ranges::any_of(s.units, [&](const terminal::RoomSelection& u) {
        return u.room == room && s.services.circuits[u.circuit].unit->passes_air;
    });
}

} // namespace

void add_primary_air_findings(const Sizing& s, const building::Building* building,
                              const quantity::PreferredUnits& units, std::vector<Problem>& into)
{
    for (std::size_t r = 0; r < s.primary_air.size(); ++r) {
        const auto& air = s.primary_air[r];
        if (!air) continue;
        const loads::RoomLoad& load = s.loads.rooms[r];
        const auto say = [&](std::string message, std::string hint) {
            into.push_back({.severity = Severity::warning,
                            .code = quantity::codes::primary_air,
                            .where = air->origin,
                            .message = fmt::format("{}: {}", load.room, message),
                            .hint = std::move(hint),
                            .cause = "primary air",
                            .subject = fmt::format("{} primary air", load.room)});
        };
        const auto room = building != nullptr && !load.typed ? building->find_room(load.room) : std::nullopt;
        const double own_m3_per_s = room ? building->rooms[*room].outdoor_air_by_plan_m3_per_s() : 0.0;
        if (own_m3_per_s > 0.0)
            say(fmt::format("its load holds {} of outdoor air, and {} of primary air come to it besides",
                            units.text(own_m3_per_s, "air_flow"), units.text(air->flow_m3_per_s, "air_flow")),
                "take the ventilation of the room away (ventilation_rate = 0 and its kin), or the line of primary air");
        if (air->through_units && !has_unit_that_passes_air(s, r))
            say("primary air is to come through its units, and none of them lets air through",
                "way = \"beside units\", or fan coils");
    }
}

} // namespace venture::study
