#include <venture/project/syntax_words.hpp>

#include <algorithm>
#include <cctype>
#include <optional>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>

namespace venture::project {

namespace {

using quantity::trimmed;

bool contains(std::string_view text, std::string_view part) { return text.find(part) != std::string_view::npos; }
bool is_letter(char c) { return std::isalpha(static_cast<unsigned char>(c)) != 0; }
bool is_digit(char c) { return std::isdigit(static_cast<unsigned char>(c)) != 0; }

/// What stands between the first pair of quotes.
std::string_view quoted_in(std::string_view text)
{
    const auto first = text.find('\'');
    if (first == std::string_view::npos) return {};
    return text.substr(first + 1, text.find('\'', first + 1) - first - 1);
}

/// Without a comment at its end; good enough for a line that cannot be parsed.
std::string_view without_comment(std::string_view line)
{
    char quote = 0;
    for (std::size_t i = 0; i < line.size(); ++i) {
        if (quote == 0 && line[i] == '#') return line.substr(0, i);
        if (line[i] == '"' || line[i] == '\'') quote = quote == 0 ? line[i] : (quote == line[i] ? '\0' : quote);
    }
    return line;
}

std::optional<SyntaxWords> header_words(std::string_view line)
{
    if (!line.starts_with('[')) return std::nullopt;
    const bool many = line.starts_with("[[");
    std::string name{trimmed(line.substr(many ? 2 : 1))};
    name = name.substr(0, name.find(']'));
    const bool plain = !name.empty() && std::ranges::all_of(name, [](char c) {
        return is_letter(c) || is_digit(c) || c == '_' || c == '-' || c == '.';
    });
    return SyntaxWords{fmt::format("'{}' is no proper table header", line.substr(0, 60)),
                       plain ? fmt::format("write {}{}{} alone on its line", many ? "[[" : "[", name, many ? "]]" : "]")
                             : std::string{"a header is a name in brackets: [site], or [[room]] for one of many"}};
}

/// What is wrong behind `key =`.
std::optional<SyntaxWords> value_words(std::string_view key, std::string_view value)
{
    const std::string shown{value.substr(0, 60)};
    if (value.empty())
        return SyntaxWords{fmt::format("no value behind '{} ='", key), "give a value, or remove the line"};
    if (value.starts_with('=')) return SyntaxWords{"two signs of equality", "write one: key = value"};
    if (value.starts_with('"') || value.starts_with('\''))
        return SyntaxWords{
            fmt::format("the text {} is not closed, or more stands behind it", shown),
            fmt::format("texts end with the quote they begin with ({}), on the same line", value.front())};
    if (value.starts_with('['))
        return SyntaxWords{fmt::format("the list {} is not closed, or a comma or quote is missing in it", shown),
                           "write [a, b, c], texts in quotes"};
    if (value.starts_with('{'))
        return SyntaxWords{fmt::format("{} is no proper table in braces", shown), "write { key = value, key = value }"};
    const bool number = is_digit(value.front()) || value.front() == '-' || value.front() == '+' || value.front() == '.';
    if (number && contains(value, ","))
        return SyntaxWords{fmt::format("'{}' is no number", shown),
                           "write decimals with a point, without thousands marks"};
    if (number && std::ranges::any_of(value, [](char c) { return is_letter(c) || c == '%' || c == '/'; }))
        return SyntaxWords{fmt::format("'{}' has a unit outside quotes", shown),
                           fmt::format("write {} = \"{}\"", key, shown)};
    if (number) return SyntaxWords{fmt::format("'{}' is no number", shown), "write it plainly: 12 or 3.5"};
    if (is_letter(value.front()))
        return SyntaxWords{fmt::format("'{}' is a text without quotes", shown),
                           fmt::format("write {} = \"{}\"", key, shown)};
    return std::nullopt;
}

std::optional<SyntaxWords> line_words(std::string_view line)
{
    const auto equals = line.find('=');
    if (equals == std::string_view::npos) {
        const auto colon = line.find(':');
        if (colon != std::string_view::npos)
            return SyntaxWords{"a colon where '=' belongs", fmt::format("write {} = {}", trimmed(line.substr(0, colon)),
                                                                        trimmed(line.substr(colon + 1)).substr(0, 60))};
        return SyntaxWords{fmt::format("'{}' is no key with a value", line.substr(0, 60)),
                           "write key = value; comments begin with #"};
    }
    const std::string_view key = trimmed(line.substr(0, equals));
    if (key.empty()) return SyntaxWords{"a value without a key", "write key = value"};
    if (contains(key, " ") && !key.starts_with('"') && !key.starts_with('\''))
        return SyntaxWords{fmt::format("the key '{}' has a blank in it", key.substr(0, 60)),
                           "keys are one word: letters, digits and underscores"};
    return value_words(key, trimmed(line.substr(equals + 1)));
}

SyntaxWords twice_words(std::string_view line, std::string_view description)
{
    const std::string name{quoted_in(description)};
    if (!line.starts_with('[')) return {fmt::format("'{}' stands twice in its table", name), "keep one of the two"};
    if (line.starts_with("[[") || contains(description, "array"))
        return {fmt::format("'{0}' stands as [{0}] and as [[{0}]]", name), fmt::format("write [[{}]] over each", name)};
    return {fmt::format("[{}] stands twice", name), "put the keys of both under one header"};
}

} // namespace

SyntaxWords quoting_words(std::string_view raw_line)
{
    const std::string_view line = trimmed(without_comment(raw_line));
    const auto equals = line.find('=');
    if (line.starts_with('[') || equals == std::string_view::npos)
        return {{}, "names of tables and keys are of plain letters (a to z); comments begin with #"};
    const std::string_view key = trimmed(line.substr(0, equals)), value = trimmed(line.substr(equals + 1));
    const bool plain_key =
        std::ranges::all_of(key, [](char c) { return is_letter(c) || is_digit(c) || c == '_' || c == '-'; });
    if (!plain_key) return {{}, "keys are of plain letters (a to z)"};
    if (contains(value, "\"") || contains(value, "'") || value.starts_with('['))
        return {{}, "put texts into quotes; comments begin with #"};
    return {{}, fmt::format("write {} = \"{}\"", key, value.substr(0, 60))};
}

SyntaxWords unclosed_words(std::string_view raw_line)
{
    const std::string_view line = trimmed(without_comment(raw_line));
    return {fmt::format("'{}' opens a list that is not closed", line.substr(0, 60)), "close it with ]"};
}

SyntaxWords syntax_words(std::string_view raw_line, std::string_view description)
{
    const std::string_view line = trimmed(without_comment(raw_line));
    if (contains(description, "redefine")) return twice_words(line, description);
    if (contains(description, "nested"))
        return {"lists or tables nested deeper than this notation allows (256)", "a project needs no more than three"};
    if (contains(description, "escape sequence"))
        return {"a backslash in a text in double quotes begins a special letter",
                "write the text in single quotes ('C:\\rooms'), or every backslash twice"};
    if (auto words = header_words(line)) return *words;
    if (line.empty() || contains(description, "end-of-file"))
        return {"something that was opened before here is not closed", "look for a missing ], } or quote above"};
    if (auto words = line_words(line)) return *words;
    return {fmt::format("not TOML: {}", description), "see the notation in docs/project_file.md"};
}

} // namespace venture::project
