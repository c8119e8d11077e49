#pragma once
/// All tables and keys of a project as plain data, for whoever explains, lists or publishes them.

#include <string>
#include <vector>

#include <venture/quantity/key.hpp>

namespace venture::building {

enum class ValueShape { number, text, texts, numbers, points };

struct KeyEntry {
    const quantity::KeySpec* spec = nullptr; ///< lives as long as the program
    ValueShape shape = ValueShape::text;
};

struct KeyTable {
    std::string name{};             ///< "room", "room.opening"
    bool many = false;              ///< a list of tables
    bool in_library = false;        ///< a library may hold it
    std::vector<KeyEntry> keys{};   ///< in the order of their declaration
    std::vector<KeyTable> nested{}; ///< tables inside it
};

/// The tables of a project in the order of its keys page.
[[nodiscard]] const std::vector<KeyTable>& key_tables();

} // namespace venture::building
