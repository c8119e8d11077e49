#pragma once
/// The words of the passes: what is given, what it becomes, and the shapes of both. Internal to resolve.

#include <venture/building/building.hpp>
#include <venture/input/input.hpp>
#include <venture/quantity/problem.hpp>
#include <venture/quantity/record.hpp>

namespace venture::resolve {

using namespace building; // NOLINT(google-build-using-namespace): what the passes are about, on every line
using namespace input;    // NOLINT(google-build-using-namespace): the same
using namespace plan;     // NOLINT(google-build-using-namespace): the same

using quantity::ConstRecord;
using quantity::ConstRecords;
using quantity::Key;
using quantity::KeySpec;
using quantity::label_of;
using quantity::Nested;
using quantity::Record;
using quantity::spec_of;

} // namespace venture::resolve
