#include <venture/input/repetition.hpp>

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <map>
#include <optional>
#include <ranges>
#include <set>
#include <unordered_map>

#include <fmt/format.h>

#include <venture/input/rings.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/record.hpp>

namespace venture::input {

namespace {

using quantity::ConstRecord;
using quantity::Key;
using quantity::Nested;
using quantity::OriginId;
using quantity::OriginKind;
using quantity::Record;
using quantity::ValueShape;

/// Words of the plan that change sides in a mirror.
std::string mirrored_words(const std::string& text, const std::array<std::string_view, 4>& pairs)
{
    std::string out;
    for (std::size_t at = 0; at < text.size();) {
        const bool begins = at == 0 || std::isalpha(static_cast<unsigned char>(text[at - 1])) == 0;
        bool swapped = false;
        for (std::size_t k = 0; begins && k < pairs.size() && !swapped; ++k) {
            const std::string_view word = pairs[k];
            if (quantity::lower_case(text.substr(at, word.size())) != word) continue;
            out += pairs[k ^ 1U];
            at += word.size();
            swapped = true;
        }
        if (!swapped) out += text[at++];
    }
    return out;
}

constexpr std::array<std::string_view, 4> left_to_right = {"east", "west", "left", "right"},
                                          top_to_bottom = {"north", "south", "left", "right"};

class Repetition {
public:
    explicit Repetition(Input& input) : input_{input} {}

    void run()
    {
        std::vector<const RepeatInput*> later; // of rooms that stand there by a storey that repeats another
        for (const RepeatInput& repeat : input_.repeats)
            if (all_there(repeat))
                repeat_rooms(repeat);
            else
                later.push_back(&repeat);
        for (const StoreyInput& storey : input_.storeys) repeat_storey(storey);
        for (const RepeatInput* repeat : later) repeat_rooms(*repeat);
    }

    /// Rooms that others are like first. Those on a ring take nothing from each other: that is told elsewhere.
    void fill_likes()
    {
        std::vector<std::optional<std::size_t>> next;
        for (const RoomInput& room : input_.rooms) next.push_back(room.like ? index_of(*room.like) : std::nullopt);
        for (const std::vector<std::size_t>& ring : rings_of(next))
            for (const std::size_t room : ring) next[room].reset();
        std::vector<bool> filled(next.size(), false);
        for (std::size_t r = 0; r < next.size(); ++r) {
            std::vector<std::size_t> chain; // each is like the one after it
            for (std::optional<std::size_t> at = r; at && !filled[*at]; at = next[*at]) chain.push_back(*at);
            for (const std::size_t one : chain | std::views::reverse) {
                if (next[one]) fill_like(input_.rooms[one], input_.rooms[*next[one]]);
                filled[one] = true;
            }
        }
    }

private:
    bool all_there(const RepeatInput& repeat)
    {
        return !repeat.rooms || std::ranges::all_of(*repeat.rooms, [&](const quantity::PlacedText& name) {
            return room_called(name.text) != nullptr;
        });
    }

    /// The first of that name.
    std::optional<std::size_t> index_of(const std::string& name)
    {
        for (; indexed_ < input_.rooms.size(); ++indexed_)
            if (const Given<std::string>& called = input_.rooms[indexed_].name) index_.try_emplace(*called, indexed_);
        const auto at = index_.find(name);
        return at == index_.end() ? std::nullopt : std::optional{at->second};
    }

    RoomInput* room_called(const std::string& name)
    {
        const auto at = index_of(name);
        return at ? &input_.rooms[*at] : nullptr;
    }

    void fill_like(RoomInput& room, const RoomInput& like)
    {
        RoomInput copy = like;
        copy.at = {};
        copy.place = {};
        copy.storey = room.storey ? Given<std::string>{} : copy.storey;
        copy.like = {};
        fill(room, copy, *like.name);
    }

    /// Takes what is not typed from another room: keys one by one, openings, faces and the like as a whole. A shape or a
    /// place of its own takes none of those that would contradict it.
    void fill(RoomInput& room, const RoomInput& from, const std::string& name)
    {
        const Record own{room};
        const ConstRecord other{from};
        for (const Key* key : quantity::keys_to_take(own, other)) {
            quantity::take_value(own, other, *key);
            own.visit(*key, [&](auto& given) { given.origin = taken_from(name, given.origin); });
        }
        for (const Nested& nested : RoomInput::spec().nested())
            if (own.records(nested).size() == 0)
                for (std::size_t i = 0; i < other.records(nested).size(); ++i)
                    own.records(nested).append_copy(other.records(nested)[i]);
    }

    OriginId taken_from(const std::string& name, OriginId from)
    {
        OriginId& known = taken_[from.index];
        if (known == OriginId{})
            known = input_.origins.add(
                {.kind = OriginKind::inherited, .text = fmt::format("room '{}'", name), .parent = from});
        return known;
    }

    void repeat_storey(const StoreyInput& storey)
    {
        if (!storey.repeats || !storey.name) return;
        std::vector<std::string> names;
        for (const RoomInput& room : input_.rooms)
            if (room.storey && room.name && *room.storey == *storey.repeats &&
                !(storey.without && std::ranges::any_of(*storey.without, [&](const quantity::PlacedText& name) {
                      return name.text == *room.name;
                  })))
                names.push_back(*room.name);
        std::map<std::string, std::string> copies;
        for (const std::string& name : names) copies[name] = copy_name(name, *storey.name, 1);
        copy_group(names, copies, [&](RoomInput& room) {
            room.storey = Given<std::string>{*storey.name, storey.repeats.origin};
        });
    }

    void repeat_rooms(const RepeatInput& repeat)
    {
        if (!repeat.rooms) return;
        if (!repeat.shift && !repeat.mirror_x && !repeat.mirror_y && !repeat.storey) return; // told
        std::vector<std::string> names;
        for (const quantity::PlacedText& name : *repeat.rooms) names.push_back(name.text);
        const int times = repeat.times ? static_cast<int>(*repeat.times) : 1;
        const int count_on = repeat.count_on ? static_cast<int>(*repeat.count_on) : 1;
        for (int k = 1; k <= times; ++k) {
            std::map<std::string, std::string> copies;
            for (const std::string& name : names)
                copies[name] = repeat.name ? copy_name(name, *repeat.name, k) : counted_on(name, k * count_on);
            copy_group(names, copies, [&](RoomInput& room) {
                if (repeat.storey) room.storey = repeat.storey;
                if (repeat.mirror_x) mirror(room, *repeat.mirror_x, true);
                if (repeat.mirror_y) mirror(room, *repeat.mirror_y, false);
                if (repeat.shift && (*repeat.shift).size() == 2)
                    shift(room, k * (*repeat.shift)[0], k * (*repeat.shift)[1], copies);
            });
        }
    }

    /// @param renamed  each room's copy
    void copy_group(const std::vector<std::string>& names, const std::map<std::string, std::string>& renamed,
                    const std::function<void(RoomInput&)>& change)
    {
        for (const std::string& name : names) {
            const RoomInput* original = room_called(name);
            if (original == nullptr) continue;
            const std::string& new_name = renamed.at(name);
            RoomInput copy = *original;
            copy.name = Given<std::string>{new_name, taken_from(name, original->name.origin)};
            rename(copy, renamed);
            change(copy);
            RoomInput* typed = room_called(new_name);
            if (typed != nullptr && !copies_.contains(new_name)) {
                fill(*typed, copy, name);
            } else {
                input_.rooms.push_back(std::move(copy)); // a second copy of that name is told as any second room
            }
            copies_.insert(new_name);
        }
    }

    /// Rooms of a group that name each other name each other's copies.
    static void rename(RoomInput& room, const std::map<std::string, std::string>& renamed)
    {
        quantity::for_each_record_in(Record{room}, [&](const Record& record) {
            for (const Key& key : record.keys())
                if (key.shape == ValueShape::text && !key.spec.names_within &&
                    std::ranges::find(key.spec.names, "room") != key.spec.names.end()) {
                    auto& name = record.at<std::string>(key).value;
                    if (const auto copy = name ? renamed.find(*name) : renamed.end(); copy != renamed.end())
                        name = copy->second;
                }
        });
        if (!room.place) return;
        for (const auto& [old, copy] : renamed) {
            const std::string clause = (*room.place).substr(0, (*room.place).find(','));
            if (!quantity::trimmed(clause).ends_with(old)) continue;
            room.place.value = clause.substr(0, clause.rfind(old)) + copy + (*room.place).substr(clause.size());
            break;
        }
    }

    /// @param group  rooms that are shifted with it: a room placed against one of them comes along by itself
    static void shift(RoomInput& room, double x, double y, const std::map<std::string, std::string>& group)
    {
        const auto stands_by = [&](const auto& copy) {
            const std::string clause = (*room.place).substr(0, (*room.place).find(','));
            return quantity::trimmed(clause).ends_with(copy.second);
        };
        if (room.place && std::ranges::none_of(group, stands_by)) {
            if (x != 0.0) *room.place.value += fmt::format(", {} m further {}", std::abs(x), x > 0.0 ? "east" : "west");
            if (y != 0.0)
                *room.place.value += fmt::format(", {} m further {}", std::abs(y), y > 0.0 ? "north" : "south");
        }
        if (room.at && (*room.at).size() == 2) room.at.value = QuantityList{(*room.at)[0] + x, (*room.at)[1] + y};
        const auto move = [&](Given<PointList>& points) {
            if (!points) return;
            PointList corners = *points;
            for (quantity::Point& p : corners) p = {p.x_m + x, p.y_m + y, p.z_m};
            points.value = std::move(corners);
        };
        move(room.corners);
        for (FaceInput& face : room.faces) move(face.corners);
    }

    /// @param at  x, or y, of the mirror
    static void mirror(RoomInput& room, double at, bool along_x)
    {
        const auto& pairs = along_x ? left_to_right : top_to_bottom;
        const auto turn = [&](Given<std::string>& text) {
            if (text) text.value = mirrored_words(*text, pairs);
        };
        const auto turn_face = [&](Given<std::string>& text) { // but not the name of a face
            if (text && std::ranges::none_of(room.faces, [&](const FaceInput& f) {
                    return f.name && quantity::lower_case(*f.name) == quantity::lower_case(*text);
                }))
                turn(text);
        };
        const auto turn_over = [&](Given<PointList>& points) {
            if (!points) return;
            PointList corners = *points;
            for (quantity::Point& p : corners) (along_x ? p.x_m : p.y_m) = 2.0 * at - (along_x ? p.x_m : p.y_m);
            points.value = std::move(corners);
        };
        if (room.at && (*room.at).size() == 2) {
            QuantityList spot = *room.at;
            double& moved = spot[along_x ? 0 : 1];
            const bool to_far_side =
                room.size && (*room.size).size() == 2; // of a rectangle at is the lower left corner
            moved = 2.0 * at - moved - (to_far_side ? (*room.size)[along_x ? 0 : 1] : 0.0);
            room.at.value = std::move(spot);
        }
        turn_over(room.corners);
        turn(room.walk);
        if (room.place) { // but for the other room's name
            const std::string& text = *room.place;
            const auto word = std::min(text.find(' '), text.size()), comma = std::min(text.find(','), text.size());
            room.place.value = mirrored_words(text.substr(0, word), pairs) + text.substr(word, comma - word) +
                               mirrored_words(text.substr(comma), pairs);
        }
        if (room.slopes) {
            TextList slopes = *room.slopes;
            for (quantity::PlacedText& text : slopes) text.text = mirrored_words(text.text, pairs);
            room.slopes.value = std::move(slopes);
        }
        for (FaceInput& face : room.faces) {
            turn_face(face.on);
            turn_over(face.corners);
        }
        for (OpeningInput& o : room.openings) {
            turn_face(o.in);
            std::swap(o.from_left, o.from_right);
        }
    }

    Input& input_;
    std::unordered_map<std::string, std::size_t> index_{}; ///< rooms by name, those before indexed_
    std::size_t indexed_ = 0;
    std::unordered_map<std::uint32_t, OriginId> taken_{};
    std::set<std::string> copies_{}; ///< names of rooms that are copies
};

} // namespace

std::string copy_name(const std::string& room, const std::string& of, int nth)
{
    return nth == 1 ? fmt::format("{} ({})", room, of) : fmt::format("{} ({} {})", room, of, nth);
}

std::string counted_on(const std::string& room, int by)
{
    const auto last = room.find_last_not_of("0123456789");
    const std::string digits = room.substr(last == std::string::npos ? 0 : last + 1);
    constexpr std::size_t most_digits = 6; // longer ones are no numbers of rooms
    if (digits.empty() || digits.size() > most_digits) return fmt::format("{} {}", room, 1 + by);
    return fmt::format("{}{:0{}}", room.substr(0, room.size() - digits.size()), std::stoi(digits) + by, digits.size());
}

void add_repetitions(Input& input) { Repetition{input}.run(); }

void fill_from_likes(Input& input) { Repetition{input}.fill_likes(); }

} // namespace venture::input
