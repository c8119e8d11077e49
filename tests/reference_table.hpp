#pragma once
/// Tables of independently computed answers (tests/reference/tables), for parametrised tests.

#include <filesystem>
#include <fstream>
#include <string>

#include <nlohmann/json.hpp>

namespace venture::reference {

/// The table of a name, or an empty object if it is not there (a test of the count then fails).
inline nlohmann::json table(const std::string& name)
{
    std::ifstream in{std::filesystem::path{VENTURE_SOURCE_DIR} / "tests" / "reference" / "tables" / (name + ".json")};
    return nlohmann::json::parse(in, nullptr, false);
}

} // namespace venture::reference
