#pragma once
/// What a project states of how a table is written.

#include <initializer_list>
#include <optional>
#include <string_view>
#include <utility>

#include <venture/project/csv.hpp>
#include <venture/quantity/origin.hpp>

namespace venture::project {

namespace detail {

inline std::optional<char> sign(const quantity::Given<std::string>& word,
                                std::initializer_list<std::pair<std::string_view, char>> signs)
{
    if (!word) return std::nullopt;
    for (const auto& [name, c] : signs)
        if (*word == name) return c;
    return std::nullopt;
}

} // namespace detail

/// @param input  has the keys separator, decimal_mark, encoding and header_rows
template <class Input>
[[nodiscard]] CsvStated stated_by(const Input& input)
{
    return {.separator =
                detail::sign(input.separator, {{"comma", ','}, {"semicolon", ';'}, {"tab", '\t'}, {"bar", '|'}}),
            .decimal_mark = detail::sign(input.decimal_mark, {{"point", '.'}, {"comma", ','}}),
            .encoding = input.encoding.value,
            .header_rows = input.header_rows ? std::optional{static_cast<int>(*input.header_rows)} : std::nullopt};
}

} // namespace venture::project
