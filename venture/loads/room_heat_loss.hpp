#pragma once
/// Steady heat loss of one room by a standard's sums, as on paper.

#include <string>
#include <variant>
#include <vector>

namespace venture::loads {

/// What an element of the room's envelope faces.
struct ToOutdoors {
    double thermal_bridges_W_per_m2K = 0.0; ///< added to its U-value
};
struct ToUnheated {
    double reduction_factor = 1.0; ///< 0 as warm as the room, 1 as cold as outdoors
};
struct ToHeated {
    double temperature_C = 20.0; ///< of the neighbour; warmer than the room gives a gain
    bool of_building = false;    ///< a room of the same building; else of a neighbour's, which is no less lost
};
struct ToGround {
    double ground_water_factor = 1.0; ///< 1, or 1.15 with ground water less than a metre below
};

inline constexpr double air_heat_Wh_per_m3K = 0.34; ///< EN 12831-1:2017, 6.3.3

struct LossElement {
    std::string name{};
    double area_m2 = 0.0;
    double u_W_per_m2K = 0.0; ///< towards the ground the equivalent one, ISO 13370 within EN 12831-1, annex E
    std::variant<ToOutdoors, ToUnheated, ToHeated, ToGround> to{};
};

/// Air by windows and leaks: the larger of both.
struct NaturalAir {
    double least_changes_per_h = 0.5;
    double infiltration_m3_per_h = 0.0;
};
/// Air by fans, with heat recovery; what is extracted beyond what comes in comes from outdoors.
struct BalancedAir {
    double infiltration_m3_per_h = 0.0, supply_m3_per_h = 0.0, extract_m3_per_h = 0.0;
    double recovery_efficiency = 0.0; ///< of the temperature, 0..1
    double extract_C = 20.0;
    struct Transfer {
        double m3_per_h = 0.0, from_C = 20.0;
    };
    std::vector<Transfer> transfer_in{}; ///< from other rooms
    double transfer_out_m3_per_h = 0.0;
    /// What no supply and no other room replaces.
    [[nodiscard]] double from_outdoors_by_balance_m3_per_h() const;
};

struct RoomOnPaper {
    double inside_C = 20.0, outside_C = -10.0, yearly_mean_C = 10.0;
    double floor_area_m2 = 0.0, volume_m3 = 0.0;
    std::vector<LossElement> elements{};
    std::variant<NaturalAir, BalancedAir> air{};
    double heating_up_W_per_m2 = 0.0; ///< after setback
};

struct ElementLoss {
    double h_W_per_K = 0.0; ///< for the difference to outdoors
    double loss_W = 0.0;    ///< negative: a gain
};

struct RoomHeatLoss {
    std::vector<ElementLoss> elements{}; ///< in the order of the room's
    double transmission_W = 0.0, ventilation_W = 0.0, heating_up_W = 0.0;
    double outdoor_air_m3_per_h = 0.0; ///< that is warmed by the room or before it
    double transfer_air_W = 0.0;       ///< of `ventilation_W`: by air from other rooms
    [[nodiscard]] double total_W() const { return transmission_W + ventilation_W + heating_up_W; }
};

/// Sums of the room by room method: 0.34 Wh/m3K for air; the ground 1.45 times its factor towards the yearly mean.
/// Source    EN 12831-1:2017, 6.3 (shape of the method; departing in that no margin or high-room correction is added)
/// @throws   quantity::RangeError for areas, flows or factors that are none, or a room not warmer than outdoors
[[nodiscard]] RoomHeatLoss room_heat_loss(const RoomOnPaper& room);

} // namespace venture::loads
