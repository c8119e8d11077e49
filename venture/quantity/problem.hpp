#pragma once
/// What is wrong with an input, in words that let its author mend it. Collected, never thrown.

#include <string>
#include <string_view>
#include <vector>

#include <venture/quantity/origin.hpp>

namespace venture::quantity {

enum class Severity { error, warning, note };

[[nodiscard]] constexpr std::string_view name_of(Severity severity)
{
    return severity == Severity::error ? "error" : severity == Severity::warning ? "warning" : "note";
}

struct Problem {
    Severity severity = Severity::error;
    std::string_view code{}; ///< stable, listed in docs/diagnostics.md; refers to a literal
    OriginId where{};        ///< place in the input
    std::string message{};   ///< what was found, and what was expected
    std::string hint{};      ///< what to do next; may be empty
    std::string cause{};     ///< problems of one code and one cause are the same mistake; the message if empty
    std::string subject{};   ///< of a finding: what it is about, as a key path: "room/Boat hall"
    std::string inputs{};    ///< of a finding: the values it follows from, in words; the message if empty
};

[[nodiscard]] inline bool has_error(const std::vector<Problem>& problems)
{
    for (const Problem& p : problems)
        if (p.severity == Severity::error) return true;
    return false;
}

} // namespace venture::quantity
