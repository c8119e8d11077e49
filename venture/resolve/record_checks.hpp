#pragma once
/// Every key by itself: bounds, what must be there, and names that are borne twice. Internal to resolve.

#include <venture/resolve/work.hpp>

namespace venture::resolve {

enum class Of { all, site, fabric };
/// Whether a table of the project is looked at, for all of it or a part.
[[nodiscard]] bool takes_in(Of what, const Nested& table);

/// Bounds and requirements of all tables, or of those of one kind.
void check_records(Work& work, Of what);
/// Tells of two records of a table that are called the same.
void check_names(Work& work);

} // namespace venture::resolve
