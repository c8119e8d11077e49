#pragma once
/// Files that a page is made from, compiled in. Internal to draw.

#include <string_view>

namespace venture::draw {

[[nodiscard]] std::string_view building_page_html();
[[nodiscard]] std::string_view three_js();
[[nodiscard]] std::string_view orbit_controls_js();

} // namespace venture::draw
