#pragma once
/// What lies on floors and hangs under ceilings beside their build-ups, and how dark faces are outside. Internal to resolve.

#include <venture/resolve/face_names.hpp>
#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// Build-ups of floors and ceilings with what their rooms have on them, each once.
void add_finishes(Work& work);
/// Outside faces whose colour is said: for all walls or roofs, or for one face.
void set_colours(Work& work, FaceNames& names);

} // namespace venture::resolve
