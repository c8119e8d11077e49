#pragma once
/// Outdoor air that nobody asked for: through cracks, vents, flues, chimneys and doors. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

void add_leakage(Work& work);

} // namespace venture::resolve
