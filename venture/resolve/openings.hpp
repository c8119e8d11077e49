#pragma once
/// Windows and doors: what they are, and which surface they stand in. Internal to resolve.

#include <venture/resolve/face_names.hpp>
#include <venture/resolve/work.hpp>

namespace venture::resolve {

void add_openings(Work& work, FaceNames& names);

} // namespace venture::resolve
