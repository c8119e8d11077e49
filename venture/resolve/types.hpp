#pragma once
/// Room types: built on others, fit for the project's region and the room's hours, and used at all. Internal to resolve.

#include <cstdint>
#include <set>
#include <string>
#include <vector>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

/// The type of a room, the one that that is like, and so on; each once.
[[nodiscard]] std::vector<const RoomTypeInput*> types_of(const Input& input, const RoomInput& room);

class RoomTypes : Pass {
public:
    explicit RoomTypes(Work& work) : Pass{work} {}
    /// Types by themselves: whom they are like, and whether a room is of them.
    void check();
    /// Whether a room's type, and the hours that it was given over those of its type, are meant for it.
    void check_fit(const RoomInput& given, const Room& room);

private:
    void check_hours_fit(const RoomInput& given, const RoomTypeInput& type, const Room& room);
    [[nodiscard]] bool has_hours_of(const std::string& purpose) const;
    [[nodiscard]] std::string purpose_of_hours(const std::string& name, std::size_t depth = 0) const;

    std::set<std::uint32_t> hours_told_{}; ///< origins of hours that are of another purpose
};

} // namespace venture::resolve
