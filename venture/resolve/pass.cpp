#include <venture/resolve/pass.hpp>

#include <venture/input/key_value.hpp>
#include <venture/quantity/unknown_name.hpp>

namespace venture::resolve {

using quantity::Severity;
namespace codes = quantity::codes;

namespace {

/// Where a record stands, for what is missing from it.
quantity::OriginId place_of(const ConstRecord& record, const quantity::OriginPool& origins)
{
    quantity::OriginId place{};
    for (const Key& key : record.keys()) {
        const quantity::OriginId origin = record.origin(key);
        if (record.is_given(key) && origins.at(origin).kind == quantity::OriginKind::file &&
            (place == quantity::OriginId{} || origin.index < place.index))
            place = origin;
    }
    return place;
}

} // namespace

bool is_sound(const ConstRecord& record)
{
    return std::ranges::none_of(record.keys(), [&](const Key& key) {
        return record.is_refused(key) || (key.shape == quantity::ValueShape::number && record.is_given(key) &&
                                          bounds_problem(*record.at<double>(key), key.spec, record.origin(key)));
    });
}

Pass::Pass(Work& work)
    : work_{work},
      input_{work.input},
      units_{work.units},
      building_{work.building},
      problems_{work.problems}
{
}

quantity::Problem& Pass::problem(std::string_view code, quantity::OriginId where, std::string message, std::string hint)
{
    return problems_.add({Severity::error, code, where, std::move(message), std::move(hint)});
}

quantity::Problem& Pass::finding(Severity severity, std::string_view code, quantity::OriginId where,
                                 const std::string& subject, std::string message, std::string hint)
{
    constexpr std::string_view of_room = "room/";
    const auto place = input_.origins.place_behind(where).kind;
    if (place == quantity::OriginKind::default_value || place == quantity::OriginKind::unknown)
        if (subject.starts_with(of_room)) // nobody said it: the room is where to look
            if (const auto room = work_.typed_room_called(subject.substr(of_room.size())))
                where = input_.rooms[*room].name.origin;
    quantity::Problem& out = problem(code, where, std::move(message), std::move(hint));
    out.severity = severity;
    out.subject = subject;
    return out;
}

void Pass::tell_missing(std::string_view table, const ConstRecord& record, std::string_view keys, std::string hint,
                        std::string cause)
{
    const std::string label = label_of(record);
    problem(codes::missing, place_of(record, input_.origins),
            fmt::format("[{}]{} has no {}", table, label.empty() ? "" : fmt::format(" '{}'", label), keys),
            std::move(hint))
        .cause = std::move(cause);
}

void Pass::tell_unknown(std::string_view what, const Given<std::string>& name, const std::vector<std::string>& there)
{
    std::vector<std::string> offered;
    for (const auto& [table, names] : input_.offered)
        if (what.find(Input::spec().find_nested(table)->in_words()) != std::string_view::npos)
            offered.insert(offered.end(), names.begin(), names.end());
    problems_.add(quantity::unknown_name(what, *name, name.origin, there, offered));
}

std::optional<std::size_t> Pass::find_room(const Given<std::string>& name)
{
    if (const auto room = work_.room_called(*name)) return room;
    return find("room", name, building_.rooms, [](const Room& r) { return r.name; });
}

std::optional<std::size_t> Pass::find_build_up(const Given<std::string>& name)
{
    return find("build-up", name, building_.build_ups, [](const NamedBuildup& b) { return b.layers.name; });
}

std::optional<std::size_t> Pass::other_room(std::string_view key, const Given<std::string>& name, std::size_t room)
{
    const auto found = find_room(name);
    if (found != room) return found;
    problem(codes::contradiction, name.origin, fmt::format("{}: room '{}' names itself", key, *name),
            "name another room, or leave it out");
    return std::nullopt;
}

} // namespace venture::resolve
