#include <venture/terminal/convector.hpp>

namespace venture::terminal {

const rating::Kind convector = {.key = "convector",
                                .words = "convector",
                                .tag = "CNV",
                                .stands = rating::Stands::room,
                                .along = rating::Along::windows,
                                .radiant_share = 0.10,
                                .gives = {rating::Service::heating},
                                .needs = {radiator_needs.begin(), radiator_needs.end()},
                                .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                    return std::make_unique<rating::ShelfOf<RadiatorData, Radiator>>("convector");
                                }};

} // namespace venture::terminal
