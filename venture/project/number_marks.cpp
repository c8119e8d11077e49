#include <venture/project/number_marks.hpp>

namespace venture::project {

namespace {

bool is_digit(char c) { return c >= '0' && c <= '9'; }

/// How many digits stand from a place on.
std::size_t digits_at(std::string_view text, std::size_t from)
{
    std::size_t n = 0;
    while (from + n < text.size() && is_digit(text[from + n])) ++n;
    return n;
}

} // namespace

/// Written by hand because a weather file asks a million times.
std::optional<MarkedNumber> marked_number(std::string_view text)
{
    std::size_t at = !text.empty() && (text[0] == '+' || text[0] == '-') ? 1 : 0;
    const std::size_t first = at;
    while (at < text.size() && is_digit(text[at])) ++at;
    if (at == first || at == text.size() || (text[at] != '.' && text[at] != ',')) return std::nullopt;
    MarkedNumber out{.mark_at = at++};
    while (at < text.size() && is_digit(text[at])) ++at;
    out.digits_behind = at - out.mark_at - 1;
    if (out.digits_behind == 0) return std::nullopt;
    while (at < text.size() && (text[at] == ' ' || text[at] == '\t')) ++at;
    if (at < text.size() && (text[at] == '.' || text[at] == ',' || is_digit(text[at]))) return std::nullopt;
    return out;
}

bool has_thousands_marks(std::string_view text)
{
    const auto is_unit = [&](std::size_t from) {
        return from == text.size() || std::string_view{"0123456789.,"}.find(text[from]) == std::string_view::npos;
    };
    std::size_t at = !text.empty() && (text[0] == '+' || text[0] == '-') ? 1 : 0;
    const std::size_t leading = digits_at(text, at);
    if (leading < 1 || leading > 3) return false;
    at += leading;
    bool grouped = false;
    while (at < text.size() && std::string_view{".,' "}.find(text[at]) != std::string_view::npos) {
        const std::size_t digits = digits_at(text, at + 1);
        const bool decimal = grouped && digits > 0 && (text[at] == '.' || text[at] == ',');
        if (decimal && is_unit(at + 1 + digits)) return true;
        if (digits != 3) break;
        grouped = true;
        at += 4;
    }
    return grouped && is_unit(at);
}

} // namespace venture::project
