#pragma once
/// What is to be ordered: every unit and every piece of plant, one by one.

#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/figure/table.hpp>
#include <venture/study/sizing.hpp>
#include <venture/study/tags.hpp>
#include <venture/terminal/valve.hpp>

namespace venture::study {

/// A valve at a unit, on one circuit.
struct ItemValve {
    const terminal::Valve* valve = nullptr;
    std::string circuit{};
    double difference_Pa = 0.0; ///< that the circuit leaves for both
    terminal::ValveSetting set{};
};

/// One thing. What nobody says is not a number.
struct ScheduleItem {
    const rating::Kind* kind = nullptr;
    std::string tag{}, place{}, storey{}, where{};
    const rating::Product* product = nullptr; ///< null: nothing suffices, or the kept one is not known
    bool kept = false, met = false;
    rating::PerService<double> needs_W{}, gives_W{}; ///< its share of what the room needs; 0: not for that
    std::string circuit{};                           ///< or both, parted by a comma
    double supply_C = rating::unknown;
    double water_kg_per_s = rating::unknown, return_C = rating::unknown; ///< throttled to its share where it can be
    double pressure_drop_Pa = rating::unknown, electric_W = rating::unknown;
    double sound_power_dB = rating::unknown, room_sound_dB = rating::unknown; ///< of all in the room together
    double surface_C = rating::unknown;
    std::vector<ItemValve> valves{};
    const terminal::Standing* standing = nullptr; ///< null: not placed
};

/// Units in the order of their rooms, then plants.
/// @param building  null: there is none, and storeys are those of the table of loads
[[nodiscard]] std::vector<ScheduleItem> schedule_items(const Sizing& sizing, const building::Building* building);

/// Gives them their tags.
void give_tags(std::vector<ScheduleItem>& items, Tags& tags, const building::Building* building, const TagRule& rule);

/// A line a thing, with the columns that someone keeps beside the tags; totals below.
[[nodiscard]] figure::Table schedule_table(const std::vector<ScheduleItem>& items, const Tags& tags);
/// A line a product, with how many of it and where.
[[nodiscard]] figure::Table order_table(const std::vector<ScheduleItem>& items);
/// How both are declared, without own columns.
[[nodiscard]] std::vector<figure::Declaration> schedule_declarations();

} // namespace venture::study
