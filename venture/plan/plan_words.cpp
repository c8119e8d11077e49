#include <venture/plan/plan_words.hpp>

#include <array>

#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>

namespace venture::plan {

using quantity::trimmed;

namespace {

constexpr std::array<std::string_view, 4> side_words = {"east", "north", "west", "south"};

} // namespace

std::optional<PlanSide> plan_side(std::string_view word)
{
    const std::string wanted = quantity::lower_case(word);
    for (std::size_t i = 0; i < side_words.size(); ++i)
        if (wanted == side_words[i]) return static_cast<PlanSide>(i);
    return std::nullopt;
}

std::string_view word_of(PlanSide side) { return side_words[static_cast<std::size_t>(side)]; }

quantity::Point one_metre(PlanSide side)
{
    constexpr std::array<quantity::Point, 4> ways = {{{1.0, 0.0}, {0.0, 1.0}, {-1.0, 0.0}, {0.0, -1.0}}};
    return ways[static_cast<std::size_t>(side)];
}

double heading_deg(PlanSide side) { return 90.0 * static_cast<double>(side); }

std::string_view take_word(std::string_view& text)
{
    text = trimmed(text);
    const std::string_view word = text.substr(0, text.find(' '));
    text.remove_prefix(word.size());
    return word;
}

std::optional<double> take_angle_deg(std::string_view& text)
{
    const auto typed = quantity::leading_number(trimmed(text));
    if (!typed) return std::nullopt;
    std::string_view rest = typed->rest;
    const std::string_view unit = take_word(rest);
    if (unit != "deg" && unit != "degrees") return std::nullopt;
    text = rest;
    return typed->value;
}

std::optional<double> length_m(std::string_view text)
{
    const auto typed = quantity::leading_number(trimmed(text));
    if (!typed) return std::nullopt;
    const std::string_view unit = trimmed(typed->rest);
    const auto si = quantity::to_si(typed->value, unit.empty() ? "m" : unit, quantity::Kind::length);
    const double* metres = std::get_if<double>(&si);
    if (metres == nullptr || !(*metres >= 0.0) || *metres > 1e4) return std::nullopt;
    return *metres;
}

} // namespace venture::plan
