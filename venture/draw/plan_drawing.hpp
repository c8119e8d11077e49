#pragma once
/// The plan, storey by storey, to one scale.

#include <optional>
#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/draw/canvas.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/quantity/key.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

/// What can stand in a room.
enum class PlanLabel { name, area, volume, height, temperature, heating, cooling, air };
/// What a room's colour tells: how it is conditioned, its room type, or a result in five steps.
enum class PlanFill { service, type, heating, cooling, air };

/// Something to look at, where it is.
struct PlanMark {
    std::string room{}; ///< by name; empty: of no room, and only listed
    std::string says{};
};

/// A picture of a paper plan under the drawing: two of its points are known on the plan.
struct PaperPlan {
    std::string png{};         ///< its bytes
    Spot seen[2]{};            ///< in the picture, px from its upper left corner
    quantity::Point lies[2]{}; ///< on the plan, m
};

/// An older version of the same building, to tell what moved.
struct OlderPlan {
    const building::Building* building = nullptr; ///< nothing: none
    const loads::RoomLoads* loads = nullptr;
};

/// A figure of every room that colours tell in five steps, instead of a PlanFill.
struct PlanFigure {
    std::vector<double> values{}; ///< SI, by room; 0: none
    std::string quantity{};       ///< of quantity::printed_quantities()
    std::string words{};          ///< what it is, for the legend
};

/// A unit that stands along a wall.
struct PlanUnit {
    std::size_t surface = 0;               ///< of the building
    std::size_t room = 0;                  ///< that it stands in
    double middle_m = 0.0, length_m = 0.0; ///< along the surface
    double depth_m = 0.1;                  ///< into the room
    std::string tag{};
};

struct PlanOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< of the sheet, px
    quantity::PreferredUnits units{};
    std::vector<PlanLabel> labels = {PlanLabel::name, PlanLabel::area, PlanLabel::heating, PlanLabel::cooling};
    std::vector<std::vector<std::string>> more_lines{}; ///< by room, below its labels; empty: none
    PlanFill fill = PlanFill::service;
    std::optional<PlanFigure> figure{};
    std::optional<std::size_t> storey{}; ///< only this one; nothing: all
    std::vector<PlanMark> marks{};
    std::vector<PlanUnit> units_placed{};
    std::optional<PaperPlan> paper{};
    OlderPlan older{};
};

/// Rooms with what is asked for; walls told apart by weight and dash; openings, obstructions, findings where they are, what
/// moved since an older version, north arrow, scale bar, legend, totals. No label stands over another: what does not fit
/// into a room is left out from its end, and a name that does not fit is a number with a key beside the plan.
/// @throws quantity::Error if the picture of a paper plan cannot be read or its two points are one
[[nodiscard]] std::string draw_plan(const building::Building& building, const loads::RoomLoads& loads,
                                    const PlanOptions& options = {});

} // namespace venture::draw
