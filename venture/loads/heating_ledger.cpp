#include <venture/loads/heating_ledger.hpp>

#include <venture/loads/paper_sum.hpp>

namespace venture::loads {

quantity::Ledger ledger_of_heating(const building::Building& b, std::size_t room, const RoomLoads& loads)
{
    quantity::Ledger out;
    if (!b.rooms[room].use.heating_setpoint_C) return out;
    const auto floating_C = [&](std::size_t other) {
        for (const RoomLoad& load : loads.rooms)
            if (load.room == b.rooms[other].name) return load.winter_air_C;
        return b.site.winter.dry_bulb_C;
    };
    (void)detail::paper_sum(b, room, floating_C, &out);
    return out;
}

} // namespace venture::loads
