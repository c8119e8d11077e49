#pragma once
/// All that was considered for the units of a room, and how far needs may move, as tables.

#include <string>

#include <venture/figure/document.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

/// How many products fail in what: "31 by height, 20 by capacity".
[[nodiscard]] std::string failures_in_words(const Sizing& sizing, const terminal::RoomSelection& selection);

/// A line a product or body, those that suffice first; of all units of a room.
[[nodiscard]] figure::Table considered_table(const Sizing& sizing, const std::string& room);
/// A line a unit that was chosen: from which need on something else would be.
[[nodiscard]] figure::Table stays_table(const Sizing& sizing, const std::string& room);
[[nodiscard]] std::vector<figure::Declaration> considered_declarations();

} // namespace venture::study
