#include <venture/building/completion.hpp>

#include <algorithm>
#include <map>
#include <unordered_map>

#include <fmt/format.h>

#include <venture/building/climate_input.hpp>
#include <venture/building/keys.hpp>
#include <venture/building/repetition.hpp>

namespace venture::building {

using quantity::OriginId;
using quantity::OriginKind;

namespace {

class Completion {
public:
    explicit Completion(Input& input) : input_{input} {}

    void run()
    {
        for (RoomTypeInput& type : input_.room_types) spread_hours(type.use);
        for (RoomInput& room : input_.rooms) spread_hours(room.use); // before what a type or another room says
        detail::fill_from_likes(input_);                             // before: a storey may come from another room
        detail::add_repetitions(input_);
        detail::fill_from_likes(input_); // after: of copies
        for (RoomTypeInput& type : input_.room_types) take_kind(type);
        for (RoomInput& room : input_.rooms) inherit(room);
        take_ground_temperatures(input_);
        for_each_table(input_, [&](std::string_view, auto& records) {
            if constexpr (requires { records.begin(); }) {
                for (auto& record : records) fill_defaults(record);
            } else if constexpr (requires { records.is_used(); }) {
                if (records.is_used()) fill_defaults(records);
            } else {
                fill_defaults(records);
            }
        });
    }

private:
    template <class T>
    static bool is_open(const Given<T>& given)
    {
        return !given.value && !given.refused;
    }

    /// The origin of what is taken from some place; the same place gives the same origin.
    OriginId inherited(std::string_view what, std::string_view name, OriginId from)
    {
        OriginId& known = inherited_[{from.index, std::string{name}}];
        if (known == OriginId{})
            known = input_.origins.add(
                {.kind = OriginKind::inherited, .text = fmt::format("{} '{}'", what, name), .parent = from});
        return known;
    }

    OriginId default_of(const KeySpec& spec)
    {
        OriginId& known = defaults_[&spec];
        if (known == OriginId{})
            known = input_.origins.add({.kind = OriginKind::default_value, .text = spec.default_source});
        return known;
    }

    template <class T>
    void take(Given<T>& own, const Given<T>& from, std::string_view what, std::string_view name)
    {
        if (is_open(own) && from) own = Given<T>{*from, inherited(what, name, from.origin)};
    }

    static void spread_hours(UseInput& use)
    {
        if (!use.hours) return;
        for (const auto field : {&UseInput::people_profile, &UseInput::lighting_profile, &UseInput::equipment_profile})
            if (is_open(use.*field)) use.*field = use.hours;
    }

    template <class Record>
    static const Record* find(const std::vector<Record>& all, const Given<std::string>& name)
    {
        if (!name) return nullptr;
        for (const Record& record : all)
            if (record.name && *record.name == *name) return &record;
        return nullptr;
    }

    /// A type, the one that it is like, the one that that is like, and so on; each once.
    std::vector<const RoomTypeInput*> with_likes(const RoomTypeInput* type) const
    {
        std::vector<const RoomTypeInput*> out;
        for (; type != nullptr && std::ranges::find(out, type) == out.end(); type = find(input_.room_types, type->like))
            out.push_back(type);
        return out;
    }

    /// What rooms of a type are for, and whose values they are.
    void take_kind(RoomTypeInput& type)
    {
        for (const RoomTypeInput* other : with_likes(&type)) {
            take(type.region, other->region, "room type", *other->name);
            take(type.purpose, other->purpose, "room type", *other->name);
        }
    }

    /// Whether a key says in another way what was said already: people by number or by area, their heat by activity or
    /// in watts.
    static bool said_otherwise(const UseInput& use, std::string_view key)
    {
        if (key == "people") return use.area_per_person.value.has_value();
        if (key == "area_per_person") return use.people.value.has_value();
        if (key == "activity") return use.sensible_per_person || use.latent_per_person;
        if (key == "sensible_per_person" || key == "latent_per_person") return use.activity.value.has_value();
        return false;
    }

    /// What is open of a room's use from a type.
    void take_use(UseInput& use, const RoomTypeInput& type)
    {
        const UseInput said = use; // before, so that one key of the type does not shut out another
        for (const auto& key : keys<UseInput>()) {
            if (said_otherwise(said, key.spec.name)) continue;
            std::visit([&](auto field) { take(use.*field, type.use.*field, "room type", *type.name); }, key.field);
        }
    }

    /// Gains of a type that the room has none of the same name for.
    void take_gains(std::vector<GainInput>& gains, const RoomTypeInput& type)
    {
        for (const GainInput& from : type.gains) {
            if (find(gains, from.name) != nullptr) continue;
            GainInput& own = gains.emplace_back();
            for (const auto& key : keys<GainInput>())
                std::visit([&](auto field) { take(own.*field, from.*field, "room type", *type.name); }, key.field);
        }
    }

    void inherit(RoomInput& room)
    {
        for (const RoomTypeInput* type : with_likes(find(input_.room_types, room.type))) {
            take_use(room.use, *type);
            take_gains(room.gains, *type);
        }
        if (const StoreyInput* storey = find(input_.storeys, room.storey))
            take(room.height, storey->height, "storey", *storey->name);
        for (OpeningInput& opening : room.openings)
            if (opening.kind && *opening.kind == "door")
                take(opening.u_value, input_.fabric.door_u_value, "table", "fabric");
            else
                take(opening.glazing, input_.fabric.glazing, "table", "fabric");
    }

    template <class Record>
    void fill_defaults(Record& record)
    {
        if constexpr (!std::is_same_v<Record, RoomTypeInput>) // a type's gaps are the rooms' to fill
            for_each_key_set(record, [&](auto& object, auto all) {
                for (const auto& key : all)
                    std::visit([&](auto field) { fill_default(object.*field, key.spec); }, key.field);
            });
        for_each_nested_table(record, [&](std::string_view, auto& nested) {
            for (auto& inner : nested) fill_defaults(inner);
        });
    }

    template <class T>
    void fill_default(Given<T>& given, const KeySpec& spec)
    {
        if (!is_open(given)) return;
        if constexpr (std::is_same_v<T, double>)
            if (spec.default_value) given = Given<T>{*spec.default_value, default_of(spec)};
        if constexpr (std::is_same_v<T, std::string>)
            if (!spec.default_word.empty()) given = Given<T>{std::string{spec.default_word}, default_of(spec)};
    }

    Input& input_;
    std::map<std::pair<std::uint32_t, std::string>, OriginId> inherited_{};
    std::unordered_map<const KeySpec*, OriginId> defaults_{};
};

} // namespace

Input completed(Input input)
{
    Completion{input}.run();
    return input;
}

} // namespace venture::building
