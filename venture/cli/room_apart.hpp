#pragma once
/// One room's loads taken apart, for whichever command asks.

#include <optional>
#include <string>

#include <venture/cli/job.hpp>
#include <venture/cli/parser.hpp>
#include <venture/figure/document.hpp>

namespace venture::cli {

/// What is asked of one room beside its peaks.
struct RoomAsked {
    bool by_source = false;  ///< also by what acts anywhere in the building
    std::string at{};        ///< an hour of a design day, in place of the peaks; empty: the peaks
    bool arithmetic = false; ///< also how its steady loss was reckoned
    std::string terms{};     ///< a path, for the 24 hours that its load adds up from; empty: none
};
/// @param when  begins the help: "with --room: "
void add_room_asked(Parser& parser, RoomAsked& asked, const std::string& when = {});
/// @throws Misuse where no room is named and something of one is asked
void needs_no_room(const RoomAsked& asked);

/// @param room  that has loads   @returns nothing, and told, if it is asked for what there is not
[[nodiscard]] std::optional<figure::Document> room_taken_apart(const Job& job, const std::string& room,
                                                               const RoomAsked& asked = {});

} // namespace venture::cli
