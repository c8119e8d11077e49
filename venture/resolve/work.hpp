#pragma once
/// What the passes of resolve() work on. Internal to resolve.

#include <optional>
#include <string>
#include <unordered_map>
#include <vector>

#include <venture/input/chosen_units.hpp>
#include <venture/input/completion.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

/// What was given, the building as far as it has come, and what is wrong. A pass reads what those before it added, and adds
/// its own part.
struct Work {
    explicit Work(const Input& given) : input{completed(given)}, units{chosen_units(input.units)} {}

    /// Index of the first room of the building that is called so; rooms are only added.
    [[nodiscard]] std::optional<std::size_t> room_called(const std::string& name)
    {
        for (; indexed_ < building.rooms.size(); ++indexed_)
            rooms_.try_emplace(building.rooms[indexed_].name, indexed_);
        return found(rooms_, name);
    }
    /// The same of the rooms of the input, as they are: some pass may have cut them.
    [[nodiscard]] std::optional<std::size_t> typed_room_called(const std::string& name)
    {
        if (indexed_input_ != input.rooms.data()) {
            typed_rooms_.clear();
            for (std::size_t r = 0; r < input.rooms.size(); ++r)
                if (input.rooms[r].name) typed_rooms_.try_emplace(*input.rooms[r].name, r);
            indexed_input_ = input.rooms.data();
        }
        return found(typed_rooms_, name);
    }

    Input input; ///< completed; a pass may fill what was left open with what it computes, never what was typed
    quantity::PreferredUnits units; ///< that messages speak in
    Building building{};
    quantity::Problems problems{};
    std::size_t broken_references = 0;   ///< names that nothing bears, told before any part is made
    bool numbers_sound = true;           ///< every number lies in its bounds
    std::vector<std::size_t> cut_from{};     ///< of each room, which typed room it is a part of
    std::vector<std::string> typed_names{}; ///< of those

private:
    using Index = std::unordered_map<std::string, std::size_t>;
    [[nodiscard]] static std::optional<std::size_t> found(const Index& index, const std::string& name)
    {
        const auto at = index.find(name);
        return at == index.end() ? std::nullopt : std::optional{at->second};
    }
    Index rooms_{}, typed_rooms_{};
    std::size_t indexed_ = 0;
    const RoomInput* indexed_input_ = nullptr;
};

} // namespace venture::resolve
