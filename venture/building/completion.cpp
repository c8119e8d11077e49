#include <venture/building/completion.hpp>

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
        detail::fill_from_likes(input_); // before: a storey may come from another room
        detail::add_repetitions(input_);
        detail::fill_from_likes(input_); // after: of copies
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
        OriginId& known = inherited_[from.index];
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

    template <class Record>
    static const Record* find(const std::vector<Record>& all, const Given<std::string>& name)
    {
        if (!name) return nullptr;
        for (const Record& record : all)
            if (record.name && *record.name == *name) return &record;
        return nullptr;
    }

    void inherit(RoomInput& room)
    {
        if (const RoomTypeInput* type = find(input_.room_types, room.type))
            for (const auto& key : keys<UseInput>())
                std::visit([&](auto field) { take(room.use.*field, type->use.*field, "room type", *type->name); },
                           key.field);
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
    std::unordered_map<std::uint32_t, OriginId> inherited_{};
    std::unordered_map<const KeySpec*, OriginId> defaults_{};
};

} // namespace

Input completed(Input input)
{
    Completion{input}.run();
    return input;
}

} // namespace venture::building
