#include <venture/quantity/compound.hpp>

#include <array>
#include <cmath>

#include <venture/quantity/names.hpp>

namespace venture::quantity {

namespace {

constexpr std::array<std::string_view, 4> feet = {"feet", "foot", "ft", "'"};
constexpr std::array<std::string_view, 4> inches = {"inches", "inch", "in", "\""};

/// Takes one of some words off the front of a text. @return whether one stood there
template <std::size_t n>
bool take(std::string_view& text, const std::array<std::string_view, n>& words)
{
    for (const std::string_view word : words)
        if (text.starts_with(word)) {
            text = trimmed(text.substr(word.size()));
            return true;
        }
    return false;
}

bool is_digit(char c) { return c >= '0' && c <= '9'; }

/// Takes "1/2" off the front of a text; 0 if none stands there.
double take_fraction(std::string_view& text)
{
    const std::size_t slash = text.find('/');
    if (slash == 0 || slash == std::string_view::npos) return 0.0;
    std::size_t end = slash + 1;
    double above = 0.0, below = 0.0;
    for (std::size_t i = 0; i < slash; ++i) {
        if (!is_digit(text[i])) return 0.0;
        above = 10.0 * above + (text[i] - '0');
    }
    for (; end < text.size() && is_digit(text[end]); ++end) below = 10.0 * below + (text[end] - '0');
    if (below <= 0.0) return 0.0;
    text = trimmed(text.substr(end));
    return above / below;
}

constexpr double foot_m = 0.3048, inch_m = 0.0254;

/// "6", "6 1/2" or "1/2" and a word for inches, to the end.
std::optional<double> inches_m(std::string_view text)
{
    if (text.empty() || !is_digit(text.front())) return std::nullopt;
    double inches_alone = take_fraction(text);
    if (inches_alone == 0.0) {
        const auto whole = leading_number(text);
        if (!whole) return std::nullopt;
        text = whole->rest;
        if (text.starts_with('-')) text = trimmed(text.substr(1)); // 3-1/2"
        inches_alone = whole->value + take_fraction(text);
    }
    if (!take(text, inches) || !text.empty()) return std::nullopt;
    return inches_alone * inch_m;
}

std::optional<double> feet_and_inches(std::string_view text)
{
    text = trimmed(text);
    if (text.find('/') != std::string_view::npos)
        if (const auto alone = inches_m(text)) return alone;
    const auto whole = leading_number(text);
    if (!whole) return std::nullopt;
    std::string_view rest = whole->rest;
    if (!take(rest, feet)) return std::nullopt;
    if (rest.starts_with('-')) rest = trimmed(rest.substr(1)); // 4'-6"
    const auto beside = inches_m(rest);
    if (!beside || *beside >= foot_m) return std::nullopt;
    return whole->value * foot_m + std::copysign(*beside, whole->value);
}

std::optional<double> r_value(std::string_view text)
{
    constexpr double of_inch_pound = 0.3048 * 0.3048 / 1.8 / 0.29307107017; // h.ft2.F/Btu in m2K/W
    text = trimmed(text);
    double factor = of_inch_pound;
    if (text.starts_with("RSI")) {
        factor = 1.0;
        text.remove_prefix(3);
    } else if (text.starts_with('R')) {
        text.remove_prefix(1);
    } else {
        return std::nullopt;
    }
    text = trimmed(text);
    if (text.starts_with('-')) text = trimmed(text.substr(1));
    if (text.empty() || !is_digit(text.front())) return std::nullopt;
    const auto number = leading_number(text);
    return number && number->rest.empty() ? std::optional{number->value * factor} : std::nullopt;
}

} // namespace

std::optional<double> compound_quantity(std::string_view text, Kind kind)
{
    if (kind == Kind::length) return feet_and_inches(text);
    if (kind == Kind::resistance) return r_value(text);
    return std::nullopt;
}

std::string compound_pattern(Kind kind)
{
    const std::string number = R"([0-9]+\.?[0-9]*([eE][+-]?[0-9]+)?)", fraction = R"([0-9]+/[0-9]+)",
                      word = R"(\s*(inches|inch|in|"))";
    if (kind == Kind::length)
        return R"(([+-]?([0-9]+\.?[0-9]*|\.[0-9]+)([eE][+-]?[0-9]+)?\s*(feet|foot|ft|')\s*-?\s*(()" + number +
               R"()?\s*-?\s*)" + fraction + "|" + number + ")" + word + "|(" + number + R"(\s*-?\s*)?)" + fraction +
               word + ")";
    if (kind == Kind::resistance) return R"(R(SI)?\s*-?\s*)" + number;
    return {};
}

} // namespace venture::quantity
