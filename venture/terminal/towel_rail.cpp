#include <venture/terminal/towel_rail.hpp>

namespace venture::terminal {

const rating::Kind towel_rail = {.key = "towel_rail",
                                 .words = "towel rail",
                                 .tag = "TWR",
                                 .stands = rating::Stands::room,
                                 .along = rating::Along::walls,
                                 .radiant_share = 0.35,
                                 .gives = {rating::Service::heating},
                                 .needs = {radiator_needs.begin(), radiator_needs.end()},
                                 .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                     return std::make_unique<rating::ShelfOf<RadiatorData, Radiator>>("towel_rail");
                                 }};

} // namespace venture::terminal
