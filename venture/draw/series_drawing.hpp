#pragma once
/// Hours of a year: as carpets, sorted, against the air outdoors, by month and hour of the day.

#include <array>
#include <string>
#include <string_view>
#include <vector>

#include <venture/draw/canvas.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::draw {

enum class SeriesForm : std::uint8_t { carpet, duration, outdoors, profile };
inline constexpr std::array<std::string_view, 4> series_form_words = {"carpet", "duration", "outdoors", "profile"};

struct DrawnSeries {
    std::string name{};
    std::vector<double> hours{}; ///< means, SI
};

struct SeriesDrawing {
    std::string title{}, subtitle{};
    std::string quantity{}; ///< of all of them: key of quantity::printed_quantities(); empty: drawn as they are
    std::string unit{};     ///< of those that are drawn as they are
    std::string scale{};    ///< what they are: "operative temperature"
    bool synthetic = false; ///< its weather was made up: said in the picture
    bool leap = false;
    int first_day = 1; ///< of the year, of the first hour
    SeriesForm form = SeriesForm::carpet;
    std::vector<DrawnSeries> series{}; ///< 1 to most(), of the same hours
    /// Carpets lie one below the other; curves are told apart.
    [[nodiscard]] std::size_t most() const { return form == SeriesForm::carpet ? 6 : 4; }
    std::vector<double> outdoor_C{}; ///< of the same hours; read for SeriesForm::outdoors alone
};

struct SeriesDrawingOptions {
    Picture picture = Picture::svg;
    double width = 1280.0, height = 800.0;
    quantity::PreferredUnits units{};
};

[[nodiscard]] std::string draw_series(const SeriesDrawing& drawing, const SeriesDrawingOptions& options = {});

} // namespace venture::draw
