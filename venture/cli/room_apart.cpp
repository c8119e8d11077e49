#include <venture/cli/room_apart.hpp>

#include <algorithm>

#include <venture/report/room_report.hpp>

namespace venture::cli {

figure::Document room_taken_apart(const Job& job, const std::string& room, double step_s, bool by_source)
{
    const auto found = std::ranges::find(job.design().loads.rooms, room, &loads::RoomLoad::room);
    report::RoomCauses causes;
    if (const auto index = job.building()->find_room(room)) {
        const loads::DesignOptions options{.step_s = step_s};
        const building::Building& b = *job.building();
        causes.heating_parts = parts_of_heating(b, *index, *found, options);
        causes.cooling_parts = parts_of_cooling(b, *index, *found, options);
        causes.warmth_parts = parts_of_warmth(b, *index, *found, options);
        if (by_source) {
            causes.heating = causes_of_heating(b, *index, *found, options);
            causes.cooling = causes_of_cooling(b, *index, *found, options);
        }
    }
    return report::room_document(*found, causes, job.origins(), job.units());
}

} // namespace venture::cli
