#pragma once
/// One room's loads taken apart, for whichever command asks.

#include <string>

#include <venture/cli/job.hpp>
#include <venture/figure/document.hpp>

namespace venture::cli {

/// @param room  that has loads   @param by_source  also by what acts anywhere in the building
[[nodiscard]] figure::Document room_taken_apart(const Job& job, const std::string& room, double step_s,
                                                bool by_source = false);

} // namespace venture::cli
