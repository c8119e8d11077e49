/// Room types: built on others, fit for the project's region and the room's hours, and used at all.

#include <algorithm>

#include <venture/building/resolver.hpp>

namespace venture::building::detail {

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

/// The type of a room, the one that that is like, and so on; each once.
std::vector<const RoomTypeInput*> Resolver::types_of(const RoomInput& room) const
{
    std::vector<const RoomTypeInput*> out;
    const RoomTypeInput* type = type_called(input_.room_types, room.type);
    for (; type != nullptr && std::ranges::find(out, type) == out.end();
         type = type_called(input_.room_types, type->like))
        out.push_back(type);
    return out;
}

void Resolver::check_room_types()
{
    for (const RoomTypeInput& type : input_.room_types) {
        if (!type.like) continue;
        (void)find("room type", type.like, input_.room_types, [](const RoomTypeInput& t) { return value_of(t.name); });
        const RoomTypeInput* other = type_called(input_.room_types, type.like);
        for (std::size_t steps = 0; other != nullptr && steps < input_.room_types.size(); ++steps) {
            if (other == &type) {
                problem(codes::repeat, type.like.origin,
                        fmt::format("room type '{}' is like itself in the end", value_of(type.name)),
                        "let one of them stand by itself");
                break;
            }
            other = type_called(input_.room_types, other->like);
        }
    }
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
void Resolver::check_type_fits(const RoomInput& given, const Room& room)
{
    const RoomTypeInput* type = type_called(input_.room_types, given.type);
    if (type == nullptr) return;
    const Given<std::string>& region = input_.project.region;
    if (region && type->region && *region != *type->region)
        finding(Severity::warning, codes::other_region, given.type.origin, "room/" + room.name,
                fmt::format("room '{}' has the usual values of {}, the others those of {}", room.name, *type->region,
                            *region),
                "take the type of this region, or say why it is right");
    if (!type->purpose) return;
    for (const auto field : {&UseInput::people_profile, &UseInput::lighting_profile, &UseInput::equipment_profile,
                             &UseInput::ventilation_profile}) {
        const Given<std::string>& hours = given.use.*field;
        if (!hours || input_.origins.at(hours.origin).kind != OriginKind::file) continue; // its type's own
        const auto profile =
            std::ranges::find_if(input_.profiles, [&](const ProfileInput& p) { return p.name && *p.name == *hours; });
        if (profile == input_.profiles.end() || !profile->purpose || *profile->purpose == *type->purpose) continue;
        finding(Severity::warning, codes::other_purpose, hours.origin, "room/" + room.name,
                fmt::format("room '{}' is for {}, its {} go by '{}', hours of {}", room.name, *type->purpose,
                            spec_of(field).name.substr(0, spec_of(field).name.find('_')), *hours, *profile->purpose),
                "take hours of its own purpose, or say why these are right");
    }
}

} // namespace venture::building::detail
