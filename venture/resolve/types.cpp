#include <venture/resolve/types.hpp>

#include <algorithm>

#include <venture/resolve/repetitions.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::OriginKind;
using quantity::Severity;

namespace {

const RoomTypeInput* type_called(const std::vector<RoomTypeInput>& types, const Given<std::string>& name)
{
    const auto at =
        std::ranges::find_if(types, [&](const RoomTypeInput& t) { return name && t.name && *t.name == *name; });
    return at == types.end() ? nullptr : &*at;
}

} // namespace

std::vector<const RoomTypeInput*> types_of(const Input& input, const RoomInput& room)
{
    std::vector<const RoomTypeInput*> out;
    const RoomTypeInput* type = type_called(input.room_types, room.type);
    for (; type != nullptr && std::ranges::find(out, type) == out.end();
         type = type_called(input.room_types, type->like))
        out.push_back(type);
    return out;
}

void RoomTypes::check()
{
    tell_rings(problems_, "room type", "is like", refers(input_.room_types, &RoomTypeInput::like));
    for (const RoomTypeInput& type : input_.room_types) {
        const auto names_it = [&](const Given<std::string>& name) { return name && type.name && *name == *type.name; };
        if (!type.name || input_.origins.at(type.name.origin).kind != OriginKind::file)
            continue; // a library's may wait
        if (std::ranges::any_of(input_.rooms, [&](const RoomInput& r) { return names_it(r.type); }) ||
            std::ranges::any_of(input_.room_types, [&](const RoomTypeInput& t) { return names_it(t.like); }))
            continue;
        finding(Severity::note, codes::unused, type.name.origin, "room_type/" + *type.name,
                fmt::format("no room is of the type '{}'", *type.name), "give it to a room, or leave it out");
    }
}

/// Whether a room's type, and the hours that it was given over those of its type, are meant for it.
void RoomTypes::check_fit(const RoomInput& given, const Room& room)
{
    const RoomTypeInput* type = type_called(input_.room_types, given.type);
    if (type == nullptr) return;
    const Given<std::string>& region = input_.project.region;
    if (region && type->region && *region != *type->region)
        finding(Severity::warning, codes::other_region, given.type.origin, "room/" + room.name,
                fmt::format("room '{}' has the usual values of {}, the others those of {}", room.name, *type->region,
                            *region),
                "take the type of this region, or say why it is right");
    check_hours_fit(given, *type, room);
}

/// Whether a room's hours, where somebody chose them in the project, are those of its purpose: as long as there are hours
/// of that purpose at all (there are none of corridors and stores).
void RoomTypes::check_hours_fit(const RoomInput& given, const RoomTypeInput& type, const Room& room)
{
    if (!type.purpose || !has_hours_of(*type.purpose)) return;
    struct Kind {
        Given<std::string> UseInput::*hours;
        std::string_view whose;
    };
    for (const Kind& kind :
         {Kind{&UseInput::people_profile, "people go"}, Kind{&UseInput::lighting_profile, "lighting goes"},
          Kind{&UseInput::equipment_profile, "equipment goes"},
          Kind{&UseInput::ventilation_profile, "ventilation goes"}}) {
        const Given<std::string>& hours = given.use.*kind.hours;
        if (!hours || hours_told_.contains(hours.origin.index)) continue;
        OriginKind chosen = input_.origins.at(hours.origin).kind;
        const bool by_type = chosen == OriginKind::inherited;
        if (by_type) chosen = input_.origins.at(input_.origins.at(hours.origin).parent).kind;
        if (chosen != OriginKind::file && chosen != OriginKind::overlay) continue;
        const std::string purpose = purpose_of_hours(*hours);
        if (purpose.empty() || purpose == *type.purpose) continue;
        hours_told_.insert(hours.origin.index); // a type's once, whatever rooms are of it
        finding(Severity::warning, codes::other_purpose, hours.origin,
                by_type ? "room_type/" + *type.name : "room/" + room.name,
                fmt::format("{} '{}' is for {}, its {} by '{}', hours of {}", by_type ? "room type" : "room",
                            by_type ? *type.name : room.name, *type.purpose, kind.whose, *hours, purpose),
                "take hours of its own purpose, or say why these are right");
    }
}

bool RoomTypes::has_hours_of(const std::string& purpose) const
{
    const auto is_of = [&](const auto& hours) { return hours.purpose && *hours.purpose == purpose; };
    return std::ranges::any_of(input_.profiles, is_of) || std::ranges::any_of(input_.calendars, is_of);
}

/// What hours are of: as their profile or calendar says; or, of a calendar that says nothing, as all do that its rules
/// name. Empty if nothing is said, or several things.
std::string RoomTypes::purpose_of_hours(const std::string& name, std::size_t depth) const
{
    for (const ProfileInput& profile : input_.profiles)
        if (profile.name && *profile.name == name) return value_of(profile.purpose);
    for (const CalendarInput& given : input_.calendars) {
        if (!given.name || *given.name != name) continue;
        if (given.purpose || !given.rules || depth > input_.calendars.size()) return value_of(given.purpose);
        std::set<std::string> purposes;
        for (const quantity::PlacedText& rule : *given.rules)
            if (const auto colon = rule.text.find(": "); colon != std::string::npos)
                purposes.insert(purpose_of_hours(
                    std::string{quantity::trimmed(std::string_view{rule.text}.substr(colon + 2))}, depth + 1));
        purposes.erase(std::string{}); // closed, or hours in figures
        return purposes.size() == 1 ? *purposes.begin() : std::string{};
    }
    return {};
}

} // namespace venture::resolve
