#include <venture/loads/heating_by_hand.hpp>

#include <algorithm>

namespace venture::loads {

HeatingByHand heating_by_hand(const RoomLoads& loads)
{
    HeatingByHand out;
    for (std::size_t r = 0; r < loads.rooms.size(); ++r) {
        const RoomLoad& room = loads.rooms[r];
        if (!room.heated || room.typed) continue;
        out.rooms.push_back(r);
        out.building_W += room.paper_W();
        out.heating_up_W += room.heating_up_W;
        for (const PaperTerm& term : room.paper) {
            // What a colder room takes; the same stands in that room's own sum with the other sign.
            if (term.kind == PaperTerm::Kind::between_heated_rooms) out.between_rooms_W -= std::min(term.loss_W, 0.0);
            if (term.kind == PaperTerm::Kind::infiltration) out.infiltration_W += term.loss_W;
        }
    }
    out.balance_W = heating_together_W(loads, out.rooms);
    return out;
}

} // namespace venture::loads
