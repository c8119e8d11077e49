#pragma once
/// Rooms that stand in a project more than once, written once. Internal to input.

#include <venture/input/input.hpp>

namespace venture::input {

/// Adds the rooms that storeys and [[repeat]] say stand there again. What is typed for a room of a copy's name goes
/// before, key by key; openings, faces and transfer air as a whole. Rooms that are not there are left out, and told by resolve().
void add_repetitions(Input& input);

/// Gives rooms that are `like` another one what they do not say themselves.
void fill_from_likes(Input& input);

/// "Office (second)"; from the second time on "Office (second 2)".
[[nodiscard]] std::string copy_name(const std::string& room, const std::string& of, int nth);
/// "Office 7" for "Office 5" and 2; "Office 3" for "Office" and 2, which is the first of them.
[[nodiscard]] std::string counted_on(const std::string& room, int by);

} // namespace venture::input
