#pragma once
/// A calendar's year, day by hour.

#include <string>
#include <vector>

#include <venture/calendar/calendar.hpp>
#include <venture/draw/canvas.hpp>

namespace venture::draw {

struct CalendarDrawing {
    std::string title{}, subtitle{};
    int year = 0;
    std::vector<int> design_months{};            ///< that cooling is designed for
    std::vector<calendar::Calendar> calendars{}; ///< one or more, above each other
};

struct CalendarDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0; ///< the sheet grows with more than three calendars
};

/// Days run to the right, hours up; how dark an hour is tells its fraction. Beside each its rules, with the days that
/// they decide, and its full-load hours.
[[nodiscard]] std::string draw_calendars(const CalendarDrawing& drawing, const CalendarDrawingOptions& options = {});

} // namespace venture::draw
