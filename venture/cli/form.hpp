#pragma once
/// Forms that results are given in.

#include <filesystem>
#include <string>
#include <vector>

namespace venture::cli {

enum class Form { text, json, csv, html, xlsx };

/// Their words, in the order above: "text", "json", ...
[[nodiscard]] const std::vector<std::string>& forms();
/// What was asked for: by word, else by the file's ending, else text.
/// @throws Misuse where the two say different things, or the ending says nothing
[[nodiscard]] Form form_of(const std::string& word, const std::filesystem::path& output);

} // namespace venture::cli
