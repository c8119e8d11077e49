#include <venture/quantity/spreadsheet_cell.hpp>

#include <algorithm>

#include <venture/quantity/units.hpp>

namespace venture::quantity {

namespace {

/// "-4", "+2.5 K", "-12 %": a number with a plain unit, which does nothing.
bool is_plain_number(std::string_view text)
{
    const auto number = leading_number(text);
    return number && std::ranges::all_of(number->rest, [](char c) {
               return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || c == ' ' ||
                      c == '%' || c == '.' || c == '/';
           });
}

bool would_run(std::string_view text)
{
    using namespace std::string_view_literals;
    constexpr std::string_view beginnings[] = {"="sv,  "+"sv,      "-"sv,      "@"sv,      "\t"sv,    "\r"sv,
                                               "\n"sv, "\uff1d"sv, "\uff0b"sv, "\uff0d"sv, "\uff20"sv};
    const bool begins = std::ranges::any_of(beginnings, [&](std::string_view b) { return text.starts_with(b); });
    return begins && !is_plain_number(text);
}

/// Also what would be taken for a guarded text.
bool needs_guard(std::string_view text)
{
    while (text.starts_with('\'')) text.remove_prefix(1);
    return would_run(text);
}

} // namespace

std::string guarded(std::string_view text) { return needs_guard(text) ? "'" + std::string{text} : std::string{text}; }

std::string_view unguarded(std::string_view text)
{
    return text.starts_with('\'') && needs_guard(text) ? text.substr(1) : text;
}

} // namespace venture::quantity
