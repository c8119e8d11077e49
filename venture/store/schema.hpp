#pragma once
/// Tables of a file of kept runs. Internal to store.

#include <string>

namespace venture::store {

/// "Vent" in letters: what tells such a file from other databases.
inline constexpr int application_id = 0x56656e74;

/// What makes all tables in an empty file.
[[nodiscard]] std::string schema();

} // namespace venture::store
