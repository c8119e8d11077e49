#pragma once
/// Every value that acts, by key path, with where it came from.

#include <string>
#include <variant>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/input/input.hpp>

namespace venture::resolve {

using building::Building;
using input::Input;

/// One value: typed, inherited, by default or computed.
struct EffectiveValue {
    std::string path{};  ///< "room/Boat hall/height", "room/Boat hall/opening/2/width"
    std::string table{}; ///< "room", "room.opening"; of a computed value that stands in no key, "room" as well
    std::string key{};   ///< "height"
    std::variant<double, quantity::QuantityList, quantity::PointList, std::string, quantity::TextList> value{};
    quantity::Kind kind = quantity::Kind::number; ///< of numbers
    quantity::OriginId origin{};
    std::string how{}; ///< of a computed value that stands in no key: from what; then `origin` is the first of these
};

/// All values of a completed input in the order of its tables, notes left out, and what the building computes from
/// them: areas, volumes, U-values.
/// @param building  nothing if it does not stand
[[nodiscard]] std::vector<EffectiveValue> effective_values(const Input& effective, const Building* building);

/// Those that someone asks for: `what` is the beginning of a path ("room/Boat hall", "room/*/people"; * stands for any
/// name), the name of a key ("people"), or a kind of origin ("typed", "default", "inherited", "library", "set",
/// "computed"). Empty asks for all.
[[nodiscard]] std::vector<EffectiveValue> asked_for(std::vector<EffectiveValue> values, std::string_view what,
                                                    const quantity::OriginPool& origins);

} // namespace venture::resolve
