#pragma once
/// States of moist air on a psychrometric chart: numbered, with a table of them beside it.

#include <functional>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include <venture/air/point.hpp>
#include <venture/draw/canvas.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

struct AirState {
    std::string name{}; ///< "outdoor air"
    air::Point at{};
    std::optional<double> m3_per_s{}; ///< how much of it there is
};

/// What a room is held to: between two temperatures, and at each of them between two humidity ratios.
struct HeldAir {
    double coldest_C = 20.0, warmest_C = 26.0;
    std::function<double(double air_C)> driest{}, wettest{};
    bool operative = false; ///< temperatures are operative ones, so that air may be outside of them
};

struct AirDrawing {
    std::string title{}, subtitle{};
    bool synthetic = false; ///< its weather was made up: said in the picture
    quantity::Pressure pressure = quantity::Pressure::pascal(101325.0);
    std::vector<AirState> states{};
    std::vector<std::pair<std::size_t, std::size_t>> ways{}; ///< from which of them air goes to which
    std::optional<HeldAir> held{};
    /// Hours of a year, as many of one as of the other; may be empty.
    std::vector<air::Point> outdoor_hours{}, room_hours{};
};

struct AirDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0;
    quantity::PreferredUnits units{};
};

/// Lines of relative humidity and of enthalpy; hours as fields that are darker the more hours there are in them, those of the
/// room hatched.
[[nodiscard]] std::string draw_air(const AirDrawing& drawing, const AirDrawingOptions& options = {});

} // namespace venture::draw
