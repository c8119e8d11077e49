#include <venture/air/room_need.hpp>

#include <venture/quantity/error.hpp>

namespace venture::air {

double RoomNeed::supply_m3_per_s(double present) const
{
    quantity::check_range("outdoor air of a room", "effectiveness", effectiveness, {0.1, 2.0}, "");
    quantity::check_range("outdoor air of a room", "people present", present, {0.0, 1.0}, "");
    const double flow = breathing_zone_m3_per_s(present);
    quantity::check_range("outdoor air of a room", "flow", flow, {0.0, 1e6}, "m3/s");
    return flow / effectiveness;
}

} // namespace venture::air
