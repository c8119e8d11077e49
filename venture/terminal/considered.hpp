#pragma once
/// All that was considered for one room: why each was not chosen, and how far the need may move.

#include <string>
#include <vector>

#include <venture/rating/choosing.hpp>
#include <venture/terminal/selection.hpp>

namespace venture::terminal {

struct Considered {
    std::string called{}; ///< "2 x Windlass 5"; of a body its row, or its name and height
    rating::Verdict verdict{};
};

/// Every product; of kinds that stand in rows every body.
/// @param places   of the room; null: nothing is known   @param also  what the same units do besides
[[nodiscard]] std::vector<Considered> considered(const RoomSelection& selection, const rating::Kind& kind,
                                                 const rating::Stocks& stocks, const RoomPlaces* places,
                                                 const std::optional<rating::Asked>& also = {});

/// What is chosen where a need, all its parts alike, is no longer what it is.
struct StaysChosen {
    double down_to = 0.0, up_to = rating::no_limit; ///< times the need
    std::string below{}, above{};                   ///< what is chosen then; empty: the same for ever, or nothing
};
/// Of rows within half a percent where the need falls.   @pre something was chosen, not kept
[[nodiscard]] StaysChosen how_long_it_stays(const RoomSelection& selection, const rating::Kind& kind,
                                            const rating::Stocks& stocks, const RoomPlaces* places,
                                            const std::optional<rating::Asked>& also = {});

} // namespace venture::terminal
