#include <venture/building/calendars_in_use.hpp>

namespace venture::building {

std::set<std::size_t> calendars_in_use(const Building& b)
{
    std::set<std::size_t> used;
    for (const Room& room : b.rooms) {
        for (const Gain& gain : room.use.gains) used.insert(gain.profile);
        for (const auto* setback : {&room.use.heating_setback, &room.use.cooling_setback})
            if (*setback) used.insert((*setback)->profile);
        if (room.outdoor_air_by_plan_m3_per_s() > 0.0) used.insert(room.use.ventilation_profile);
    }
    for (const TransferAir& air : b.transfer_air) used.insert(air.profile);
    for (const NamedShade& shade : b.shades)
        if (shade.use == fabric::ShadeUse::by_profile) used.insert(shade.profile);
    return used;
}

} // namespace venture::building
