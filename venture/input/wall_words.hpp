#pragma once
/// A wall in words of the trade, completed to layers.

#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include <venture/input/layer_text.hpp>

namespace venture::input {

/// Layers as layer_text.hpp reads them, outside to inside, and what was assumed to get there.
struct WallInWords {
    std::vector<std::string> layers{}, assumed{};
};

/// Phrases between commas, outside to inside: claddings, leaves, a cavity, a frame with its studs, what fills them,
/// boards and plaster; a thickness before or behind any of them; a phrase that is a layer itself stands as it is.
[[nodiscard]] std::variant<WallInWords, LayerProblem> wall_in_words(std::string_view text);

} // namespace venture::input
