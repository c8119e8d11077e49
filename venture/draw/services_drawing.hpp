#pragma once
/// Who serves whom, from plants to rooms, with temperatures, flows and demands.

#include <functional>
#include <string>
#include <vector>

#include <venture/draw/canvas.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/services/needs.hpp>

namespace venture::draw {

struct ServicesDrawingOptions {
    Picture picture = Picture::svg;
    quantity::PreferredUnits units{};
    std::string title{};                 ///< of the sheet
    std::vector<std::string> products{}; ///< chosen for each plant: "2 x Cairngrate 60"; empty: nothing is said
    /// When it is largest: "July 15-16 h"; may be empty.
    std::function<std::string(services::Service, const services::Demand&)> when{};
};

/// Plants on the left, circuits, and rooms on the right, those together that hang on the same circuits; as large as it needs to
/// be. Heating is a line, cooling a dashed one.
/// @throws quantity::Error  graphviz is not installed
[[nodiscard]] std::string draw_services(const services::Services& services, const services::Needs& needs,
                                        const ServicesDrawingOptions& options);

} // namespace venture::draw
