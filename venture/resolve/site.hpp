#pragma once
/// The site and its design conditions. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// The site, its method and its design conditions, moved to its height.
void add_site(Work& work);

} // namespace venture::resolve
