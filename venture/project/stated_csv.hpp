#pragma once
/// What a project states of how a table is written.

#include <array>
#include <optional>

#include <venture/project/csv.hpp>
#include <venture/quantity/choice.hpp>

namespace venture::project {

/// @param input  has the keys separator, decimal_mark, encoding and header_rows
template <class Input>
[[nodiscard]] CsvStated stated_by(const Input& input)
{
    constexpr std::array separators = {',', ';', '\t', '|'};
    constexpr std::array decimal_marks = {'.', ','};
    const auto sign = [](const auto& choice, const auto& signs) {
        const auto which = choice.which();
        return which ? std::optional{signs[static_cast<std::size_t>(*which)]} : std::nullopt;
    };
    return {.separator = sign(input.separator, separators),
            .decimal_mark = sign(input.decimal_mark, decimal_marks),
            .encoding = input.encoding.which(),
            .header_rows = input.header_rows.number()};
}

} // namespace venture::project
