#pragma once
/// What a dwelling says as a whole - who lives there, appliances, plants - over its rooms. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

void spread_dwelling(Work& work);

} // namespace venture::resolve
