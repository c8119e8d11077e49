#include <venture/building/room_sums.hpp>

namespace venture::building {

RoomSums& RoomSums::operator+=(const RoomSums& other)
{
    constexpr double RoomSums::*all[] = {
        &RoomSums::floor_m2,  &RoomSums::volume_m3,      &RoomSums::wall_gross_m2,       &RoomSums::wall_net_m2,
        &RoomSums::glass_m2,  &RoomSums::roof_gross_m2,  &RoomSums::glass_in_walls_m2,   &RoomSums::roof_net_m2,
        &RoomSums::ground_m2, &RoomSums::outdoors_m2,    &RoomSums::heat_loss_W_per_K,   &RoomSums::people,
        &RoomSums::gains_W,   &RoomSums::leaks_m3_per_s, &RoomSums::outdoor_air_m3_per_s};
    for (const auto part : all) this->*part += other.*part;
    return *this;
}

std::vector<RoomSums> sums_of_rooms(const Building& b)
{
    std::vector<RoomSums> sums;
    for (const Room& room : b.rooms) {
        RoomSums& e =
            sums.emplace_back(RoomSums{.floor_m2 = room.floor_area_m2,
                                       .volume_m3 = room.volume_m3,
                                       .people = room.use.people.value,
                                       .outdoor_air_m3_per_s = room.outdoor_air_by_plan_m3_per_s(),
                                       .leaks_m3_per_s = room.use.infiltration_per_h.value * room.volume_m3 / 3600.0});
        for (const Gain& gain : room.use.gains) e.gains_W += gain.sensible_W();
    }
    for (const Surface& s : b.surfaces) {
        RoomSums& e = sums[s.room];
        if (s.beyond.kind == Neighbour::Kind::ground) e.ground_m2 += s.gross_m2;
        if (s.beyond.kind != Neighbour::Kind::outdoors) continue;
        const bool roof = s.attitude == Attitude::ceiling;
        (roof ? e.roof_gross_m2 : e.wall_gross_m2) += s.gross_m2;
        (roof ? e.roof_net_m2 : e.wall_net_m2) += s.net_m2();
        e.outdoors_m2 += s.gross_m2;
        e.heat_loss_W_per_K += s.net_m2() * u_value(b, s);
        for (const Opening& o : s.openings) {
            if (o.kind == Opening::Kind::window) {
                e.glass_m2 += o.area_m2();
                e.glass_in_walls_m2 += roof ? 0.0 : o.area_m2();
            }
            e.heat_loss_W_per_K += o.area_m2() * u_value(b, s, o);
        }
    }
    for (const ThermalBridge& bridge : b.thermal_bridges)
        sums[bridge.room].heat_loss_W_per_K += bridge.heat_loss_W_per_K;
    return sums;
}

} // namespace venture::building
