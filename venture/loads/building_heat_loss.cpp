#include <venture/loads/building_heat_loss.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::loads {

using quantity::check_range;

double leakage_m3_per_h(double volume_m3, double changes_at_50_Pa, double shielding, double height)
{
    check_range("leakage", "volume", volume_m3, {0.0, 1e7}, "m3");
    check_range("leakage", "air changes at 50 Pa", changes_at_50_Pa, {0.0, 100.0}, "1/h");
    check_range("leakage", "shielding", shielding, {0.0, 1.0}, "");
    check_range("leakage", "correction for height", height, {0.0, 5.0}, "");
    return 2.0 * volume_m3 * changes_at_50_Pa * shielding * height;
}

double reduction_factor(double to_heated_W_per_K, double to_outdoors_W_per_K)
{
    check_range("reduction factor", "to heated rooms", to_heated_W_per_K, {0.0, 1e9}, "W/K");
    check_range("reduction factor", "to outdoors", to_outdoors_W_per_K, {0.0, 1e9}, "W/K");
    check_range("reduction factor", "both conductances", to_heated_W_per_K + to_outdoors_W_per_K, {1e-9, 1e10}, "W/K");
    return to_outdoors_W_per_K / (to_heated_W_per_K + to_outdoors_W_per_K);
}

namespace {

struct ToWhom {
    LossTo operator()(const ToOutdoors&) const { return LossTo::outdoors; }
    LossTo operator()(const ToUnheated&) const { return LossTo::unheated; }
    LossTo operator()(const ToGround&) const { return LossTo::ground; }
    LossTo operator()(const ToHeated& to) const { return to.of_building ? LossTo::rooms : LossTo::neighbours; }
};

void add(LossTo to, double loss_W, BuildingHeatLoss& out)
{
    switch (to) {
    case LossTo::outdoors:
        out.to_outdoors_W += loss_W;
        break;
    case LossTo::unheated:
        out.to_unheated_W += loss_W;
        break;
    case LossTo::ground:
        out.to_ground_W += loss_W;
        break;
    case LossTo::neighbours:
        out.to_neighbours_W += loss_W;
        break;
    case LossTo::rooms:
        out.exchange_between_rooms_W += loss_W;
        return;
    }
    out.transmission_W += loss_W;
}

} // namespace

LossTo loss_to(const LossElement& element) { return std::visit(ToWhom{}, element.to); }

BuildingHeatLoss building_heat_loss(const BuildingOnPaper& building)
{
    check_range("building_heat_loss", "share of leakage", building.leakage_share, {0.0, 1.0}, "");
    BuildingHeatLoss out;
    double least_W = 0.0, leakage_W = 0.0, leakage_flow = 0.0, by_fans_W = 0.0; // natural: of rooms without fans
    for (const RoomOnPaper& room : building.rooms) {
        const RoomHeatLoss& loss = out.rooms.emplace_back(room_heat_loss(room));
        out.sum_of_rooms_W += loss.total_W();
        out.heating_up_W += loss.heating_up_W;
        for (std::size_t i = 0; i < room.elements.size(); ++i)
            add(loss_to(room.elements[i]), loss.elements[i].loss_W, out);
        const double per_m3_h = air_heat_Wh_per_m3K * (room.inside_C - room.outside_C);
        if (const auto* natural = std::get_if<NaturalAir>(&room.air)) {
            const double least = natural->least_changes_per_h * room.volume_m3,
                         leaks = building.leakage_share * natural->infiltration_m3_per_h;
            out.least_air_m3_per_h += least;
            leakage_flow += leaks;
            least_W += least * per_m3_h;
            leakage_W += leaks * per_m3_h;
        } else {
            const double leaks = std::get<BalancedAir>(room.air).infiltration_m3_per_h;
            out.leakage_m3_per_h += building.leakage_share * leaks;
            by_fans_W += loss.ventilation_W - loss.transfer_air_W - (1.0 - building.leakage_share) * leaks * per_m3_h;
        }
    }
    out.leakage_m3_per_h += leakage_flow;
    out.leakage_governs = leakage_flow > out.least_air_m3_per_h;
    out.ventilation_W = by_fans_W + (out.leakage_governs ? leakage_W : least_W);
    return out;
}

} // namespace venture::loads
