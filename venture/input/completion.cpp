#include <venture/input/completion.hpp>

#include <algorithm>
#include <map>
#include <unordered_map>

#include <fmt/format.h>

#include <venture/input/repetition.hpp>
#include <venture/quantity/record.hpp>

namespace venture::input {

using quantity::ConstRecord;
using quantity::Key;
using quantity::KeySpec;
using quantity::Nested;
using quantity::OriginId;
using quantity::OriginKind;
using quantity::Record;
using quantity::Records;

namespace {

class Completion {
public:
    explicit Completion(Input& input) : input_{input} {}

    void run()
    {
        for (RoomTypeInput& type : input_.room_types) speak_for_others(type);
        for (RoomInput& room : input_.rooms) speak_for_others(room); // before what a type or another room says
        fill_from_likes(input_);                                     // before: a storey may come from another room
        add_repetitions(input_);
        fill_from_likes(input_); // after: of copies
        for (RoomTypeInput& type : input_.room_types) take_kind(type);
        for (RoomInput& room : input_.rooms) inherit(room);
        take_ground_temperatures(input_);
        const Record all{input_};
        for (const Nested& table : Input::spec().nested()) {
            const Records records = all.records(table);
            if (!records.is_used()) continue;
            for (std::size_t i = 0; i < records.size(); ++i) fill_defaults(records[i]);
        }
    }

private:
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
        if (own.is_open() && from) own = Given<T>{*from, inherited(what, name, from.origin)};
    }

    /// Keys that another one speaks for: the profiles of people, lighting and equipment for which `hours` stands.
    static void speak_for_others(const Record& record)
    {
        for (const Key& key : record.keys())
            if (!key.spec.taken_from.empty() && record.is_open(key))
                record.at<std::string>(key) = record.at<std::string>(record.spec().key_called(key.spec.taken_from));
    }

    template <class T>
    static const T* find(const std::vector<T>& all, const Given<std::string>& name)
    {
        if (!name) return nullptr;
        for (const T& record : all)
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

    /// What is open of a record, from another one of its kind.
    void take_open(const Record& own, const ConstRecord& from, const std::string& type)
    {
        for (const Key* key : quantity::keys_to_take(own, from)) {
            quantity::take_value(own, from, *key);
            own.visit(*key, [&](auto& given) { given.origin = inherited("room type", type, given.origin); });
        }
    }

    /// Gains of a type that the room has none of the same name for.
    void take_gains(std::vector<GainInput>& gains, const RoomTypeInput& type)
    {
        for (const GainInput& from : type.gains)
            if (find(gains, from.name) == nullptr) take_open(gains.emplace_back(), from, *type.name);
    }

    void inherit(RoomInput& room)
    {
        for (const RoomTypeInput* type : with_likes(find(input_.room_types, room.type))) {
            take_open(room.use, type->use, *type->name);
            take_gains(room.gains, *type);
        }
        if (const AirNeedInput* need = find(input_.air_needs, room.use.air_need)) {
            take(room.use.ventilation_per_person, need->per_person, "air need", *need->name);
            take(room.use.ventilation_per_area, need->per_area, "air need", *need->name);
        }
        take(room.use.control, input_.method.control, "table", "method");
        if (const StoreyInput* storey = find(input_.storeys, room.storey))
            take(room.height, storey->height, "storey", *storey->name);
        for (OpeningInput& opening : room.openings)
            if (opening.kind == OpeningKind::door)
                take(opening.u_value, input_.fabric.door_u_value, "table", "fabric");
            else if (opening.kind != OpeningKind::open)
                take(opening.glazing, input_.fabric.glazing, "table", "fabric");
    }

    void fill_defaults(const Record& record)
    {
        if (!record.spec().keeps_gaps())
            for (const Key& key : record.keys())
                if (record.is_open(key)) fill_default(record, key);
        for (const Nested& nested : record.spec().nested()) {
            const Records inner = record.records(nested);
            for (std::size_t i = 0; i < inner.size(); ++i) fill_defaults(inner[i]);
        }
    }

    void fill_default(const Record& record, const Key& key)
    {
        const KeySpec& spec = key.spec;
        if (!spec.default_with.empty() && !record.is_given(record.spec().key_called(spec.default_with))) return;
        if (const auto value = quantity::default_number(record, spec))
            record.at<double>(key) = {*value, default_of(spec)};
        if (!spec.default_word.empty())
            record.at<std::string>(key) = {std::string{spec.default_word}, default_of(spec)};
    }

    Input& input_;
    std::map<std::pair<std::uint32_t, std::string>, OriginId> inherited_{};
    std::unordered_map<const KeySpec*, OriginId> defaults_{};
};

} // namespace

void take_ground_temperatures(Input& input)
{
    const Given<double>& mean = input.ground.outdoor_mean;
    if (!mean) return;
    const OriginId origin = input.origins.add({.kind = OriginKind::computed,
                                               .text = "[ground]: mean of the year; floors find their own",
                                               .parent = mean.origin});
    const auto take = [&](Given<double>& ground) {
        if (ground.is_open()) ground = Given<double>{*mean, origin};
    };
    take(input.site.winter_ground);
    for (MonthInput& month : input.site.months) take(month.ground);
}

Input completed(Input input)
{
    Completion{input}.run();
    return input;
}

} // namespace venture::input
