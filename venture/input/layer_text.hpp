#pragma once
/// Layers as they are written: "140 mm mineral wool between 45 mm softwood every 600 mm".

#include <optional>
#include <string>
#include <string_view>
#include <variant>

#include <venture/fabric/stated_buildup.hpp>

namespace venture::input {

/// The words of a layer, its materials by name.
struct LayerWords {
    std::string name{};                  ///< of the material; of a gap or resistance whatever it is called
    double thickness_m = 0.0;            ///< of a slab or gap; the greatest of one that tapers
    std::optional<double> tapers_to_m{}; ///< the least: "20 to 140 mm"
    double resistance_m2K_per_W = 0.0;   ///< of a resistance
    bool is_resistance = false;
    std::optional<fabric::StatedGap> gap{};
    std::string bridge{}; ///< material of what bridges it; empty if nothing does
    double bridge_share = 0.0;
};

/// What is wrong with a text that is no layer.
struct LayerProblem {
    std::string message{}, hint{};
};

[[nodiscard]] std::variant<LayerWords, LayerProblem> parse_layer(std::string_view text);

/// A thickness before a name, as in "16 mm argon"; nothing if the text does not begin with one.
struct ThicknessAndName {
    double thickness_m = 0.0;
    std::string name{};
};
[[nodiscard]] std::optional<ThicknessAndName> thickness_and_name(std::string_view text);

} // namespace venture::input
