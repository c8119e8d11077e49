#pragma once
/// A room cut into perimeter and core: parts that are rooms by themselves, with open boundaries between them. Internal to resolve.

#include <venture/resolve/outlines.hpp>
#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Puts parts where rooms with `perimeter` stood, in the input as in the outlines.
void cut_perimeters(Work& work, std::vector<RoomOutline>& outlines);
/// Walls between parts of one room are none: air goes through them both ways.
void open_between_parts(Work& work);

} // namespace venture::resolve
