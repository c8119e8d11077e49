#pragma once
/// Records of a project as a CSV table that reads as the same records.

#include <string>
#include <string_view>
#include <vector>

#include <venture/input/input.hpp>

namespace venture::project {

struct WrittenTable {
    std::string csv{};               ///< empty: there is no such table
    std::size_t lines = 0;           ///< beside the heading
    std::vector<std::string> left{}; ///< what no column can hold, in words: "faces of 2 rooms"
};

/// A table that TOML lists, or one of what rooms have ("opening", with whose it is in the column "room"): every value that
/// somebody typed, in plain units that its heading states, columns that nobody uses left out.
/// @param input  as read; values by default or from a type are not written
[[nodiscard]] WrittenTable write_table(const input::Input& input, std::string_view table);

/// Tables that can be written.
[[nodiscard]] std::vector<std::string> writable_tables();

} // namespace venture::project
