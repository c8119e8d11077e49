#pragma once
/// Names that keys give of records of other tables. Internal to resolve.

#include <venture/resolve/record_checks.hpp>
#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Tells every name that no record bears, whatever part of the building it is asked for by; names among other words (layers
/// of a build-up, rules of a calendar) are told by the pass that reads these.
void check_references(Work& work, Of what);

} // namespace venture::resolve
