#pragma once
/// Files that a page is made from, compiled in. Internal to report.

#include <string_view>

namespace venture::report::detail {

[[nodiscard]] std::string_view building_page_html();
[[nodiscard]] std::string_view three_js();
[[nodiscard]] std::string_view orbit_controls_js();

} // namespace venture::report::detail
