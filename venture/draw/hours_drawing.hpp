#pragma once
/// Temperatures and loads over some days, hour by hour.

#include <string>
#include <vector>

#include <venture/draw/canvas.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

/// One line of the picture: means over the hours, SI.
struct HourCurve {
    std::string name{};
    std::vector<double> values{};
};

struct HoursDrawing {
    std::string title{}, subtitle{};
    bool synthetic = false;                  ///< its weather was made up: said in the picture
    std::vector<std::string> days{};         ///< names of the days, for every 24 hours
    std::vector<HourCurve> temperatures_C{}; ///< up to four
    std::vector<HourCurve> loads_W{};        ///< up to three; none: temperatures take the whole sheet
};

struct HoursDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0;
    quantity::PreferredUnits units{};
};

/// Curves are told apart by dash and width as well as by colour, and named at their ends.
[[nodiscard]] std::string draw_hours(const HoursDrawing& drawing, const HoursDrawingOptions& options = {});

} // namespace venture::draw
