#pragma once
/// What a peak of load or of warmth is made of: paths ranked as bars, and the day hour by hour as a stack.

#include <array>
#include <optional>
#include <string>
#include <vector>

#include <venture/draw/canvas.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

/// One path in the hour of the peak; negative: it lessens the whole.
struct PartBar {
    std::string name{};
    double part = 0.0;
    std::optional<double> comes_in{}; ///< before any of it is stored; of loads
};
/// Some paths together, hour by hour.
struct PartStack {
    std::string name{};
    std::array<double, 24> part{};
};

struct PartsDrawing {
    std::string title{}, subtitle{};
    std::vector<PartBar> bars{};     ///< the largest first
    std::vector<PartStack> stacks{}; ///< up to six
    std::array<double, 24> whole{};  ///< what they add up to
    const char* quantity = "power";  ///< W; or temperature_difference, K
    std::size_t hour = 0;            ///< of the bars: the peak
    bool steady = false;             ///< all hours are alike: none is marked as the peak
    int first_clock_hour = 0;        ///< of the hour 0
};

struct PartsDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0;
    quantity::PreferredUnits units{};
};

/// Parts are told apart by hatch as well as by shade; what lessens the load lies left of, or below, the line.
[[nodiscard]] std::string draw_parts(const PartsDrawing& drawing, const PartsDrawingOptions& options = {});

} // namespace venture::draw
