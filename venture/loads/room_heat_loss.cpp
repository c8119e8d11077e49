#include <venture/loads/room_heat_loss.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::loads {

using quantity::check_range;

namespace {

constexpr double ground_factor = 1.45;

/// Loss of an element of 1 W/K.
struct DriveOf {
    const RoomOnPaper& room;
    double operator()(const ToOutdoors&) const { return room.inside_C - room.outside_C; }
    double operator()(const ToUnheated& to) const
    {
        check_range("room_heat_loss", "reduction factor", to.reduction_factor, {0.0, 1.0}, "");
        return to.reduction_factor * (room.inside_C - room.outside_C);
    }
    double operator()(const ToHeated& to) const { return room.inside_C - to.temperature_C; }
    double operator()(const ToGround& to) const
    {
        check_range("room_heat_loss", "ground water factor", to.ground_water_factor, {1.0, 1.5}, "");
        return ground_factor * to.ground_water_factor * (room.inside_C - room.yearly_mean_C);
    }
};

struct AirLoss {
    double watts = 0.0, outdoor_m3_per_h = 0.0, transfer_W = 0.0;
};

AirLoss loss_of(const NaturalAir& air, const RoomOnPaper& room)
{
    check_range("room_heat_loss", "air changes", air.least_changes_per_h, {0.0, 100.0}, "1/h");
    check_range("room_heat_loss", "infiltration", air.infiltration_m3_per_h, {0.0, 1e6}, "m3/h");
    const double flow = std::max(air.least_changes_per_h * room.volume_m3, air.infiltration_m3_per_h);
    return {air_heat_Wh_per_m3K * flow * (room.inside_C - room.outside_C), flow};
}

AirLoss loss_of(const BalancedAir& air, const RoomOnPaper& room)
{
    for (const double flow :
         {air.infiltration_m3_per_h, air.supply_m3_per_h, air.extract_m3_per_h, air.transfer_out_m3_per_h})
        check_range("room_heat_loss", "air flow", flow, {0.0, 1e6}, "m3/h");
    check_range("room_heat_loss", "efficiency of heat recovery", air.recovery_efficiency, {0.0, 1.0}, "");
    const double supply_C = room.outside_C + air.recovery_efficiency * (air.extract_C - room.outside_C);
    const double from_outdoors = air.infiltration_m3_per_h + air.from_outdoors_by_balance_m3_per_h();
    double transfer_W = 0.0;
    for (const BalancedAir::Transfer& t : air.transfer_in) {
        check_range("room_heat_loss", "air flow", t.m3_per_h, {0.0, 1e6}, "m3/h");
        transfer_W += air_heat_Wh_per_m3K * t.m3_per_h * (room.inside_C - t.from_C);
    }
    return {air_heat_Wh_per_m3K * (from_outdoors * (room.inside_C - room.outside_C) +
                                   air.supply_m3_per_h * (room.inside_C - supply_C)) +
                transfer_W,
            from_outdoors + air.supply_m3_per_h, transfer_W};
}

} // namespace

double BalancedAir::from_outdoors_by_balance_m3_per_h() const
{
    double in = supply_m3_per_h;
    for (const Transfer& t : transfer_in) in += t.m3_per_h;
    return std::max(0.0, extract_m3_per_h + transfer_out_m3_per_h - in);
}

RoomHeatLoss room_heat_loss(const RoomOnPaper& room)
{
    constexpr const char* where = "room_heat_loss";
    check_range(where, "inside less outside temperature", room.inside_C - room.outside_C, {0.1, 150.0}, "K");
    check_range(where, "floor area", room.floor_area_m2, {0.0, 1e6}, "m2");
    check_range(where, "volume", room.volume_m3, {0.0, 1e7}, "m3");
    check_range(where, "heating-up", room.heating_up_W_per_m2, {0.0, 1e3}, "W/m2");
    RoomHeatLoss out;
    for (const LossElement& e : room.elements) {
        check_range("element '" + e.name + "'", "area", e.area_m2, {0.0, 1e6}, "m2");
        check_range("element '" + e.name + "'", "U-value", e.u_W_per_m2K, {0.0, 10.0}, "W/m2K");
        const auto* outdoors = std::get_if<ToOutdoors>(&e.to);
        const double u = e.u_W_per_m2K + (outdoors != nullptr ? outdoors->thermal_bridges_W_per_m2K : 0.0);
        const double loss = e.area_m2 * u * std::visit(DriveOf{room}, e.to);
        out.elements.push_back({loss / (room.inside_C - room.outside_C), loss});
        out.transmission_W += loss;
    }
    const AirLoss air = std::visit([&](const auto& kind) { return loss_of(kind, room); }, room.air);
    out.ventilation_W = air.watts;
    out.outdoor_air_m3_per_h = air.outdoor_m3_per_h;
    out.transfer_air_W = air.transfer_W;
    out.heating_up_W = room.heating_up_W_per_m2 * room.floor_area_m2;
    return out;
}

} // namespace venture::loads
