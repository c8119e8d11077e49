#pragma once
/// The plan, storey by storey, to one scale.

#include <optional>
#include <string>

#include <venture/building/building.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/report/canvas.hpp>

namespace venture::report {

struct PlanOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< of the sheet, px
    quantity::PreferredUnits units{};
};

/// Rooms with name, area and loads; walls told apart by weight and dash; openings, north arrow, scale bar, legend.
[[nodiscard]] std::string draw_plan(const building::Building& building, const loads::RoomLoads& loads,
                                    const PlanOptions& options = {});

} // namespace venture::report
