#include <venture/quantity/shown_text.hpp>

#include <fmt/format.h>

#include <venture/quantity/letters.hpp>
#include <venture/quantity/names.hpp>

namespace venture::quantity {

namespace {

/// Marks and overrides of direction (Unicode, standard annex 9), and ends of lines that are none to a terminal.
bool turns_letters(utf8proc_int32_t letter)
{
    return letter == 0x061C || letter == 0x200E || letter == 0x200F || (letter >= 0x2028 && letter <= 0x202E) ||
           (letter >= 0x2066 && letter <= 0x2069);
}

/// UTF-8 of a letter.
std::string bytes_of(utf8proc_int32_t letter)
{
    utf8proc_uint8_t bytes[4] = {};
    const utf8proc_ssize_t length = utf8proc_encode_char(letter, bytes);
    return {reinterpret_cast<const char*>(bytes), static_cast<std::size_t>(length)};
}

} // namespace

std::string harmless(std::string_view text, bool keep_lines)
{
    constexpr utf8proc_int32_t pictures = 0x2400, of_delete = 0x2421, space = 0x20, del = 0x7F, last_control = 0x9F;
    std::string out;
    out.reserve(text.size());
    for_each_letter(text, [&](utf8proc_int32_t letter, std::string_view bytes) {
        if (letter < 0)
            out += fmt::format("<{:02X}>", static_cast<unsigned char>(bytes.front()));
        else if (letter == '\n' && keep_lines)
            out += '\n';
        else if (letter < space)
            out += bytes_of(pictures + letter);
        else if (letter == del)
            out += bytes_of(of_delete);
        else if ((letter > del && letter <= last_control) || turns_letters(letter))
            out += fmt::format("<U+{:04X}>", static_cast<unsigned>(letter));
        else
            out += bytes;
    });
    return out;
}

namespace {

/// Parts a word that is longer than a line.
void part(std::string_view word, std::size_t width, std::vector<std::string>& lines)
{
    std::size_t taken = 0;
    for_each_letter(word, [&](utf8proc_int32_t, std::string_view bytes) {
        const std::size_t wide = display_width(bytes);
        if (taken + wide > width) {
            lines.emplace_back();
            taken = 0;
        }
        lines.back() += bytes;
        taken += wide;
    });
}

} // namespace

std::vector<std::string> wrapped(std::string_view text, std::size_t width)
{
    if (display_width(text) <= width) return {std::string{text}};
    std::vector<std::string> lines(1);
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t end = std::min(text.find(' ', at), text.size());
        const std::string_view word = text.substr(at, end - at);
        const std::size_t there = display_width(lines.back()), wide = display_width(word);
        if (there > 0 && there + 1 + wide > width)
            lines.emplace_back();
        else if (there > 0 || at > 0)
            lines.back() += lines.back().empty() ? "" : " ";
        if (wide > width)
            part(word, width, lines);
        else
            lines.back() += word;
        at = end + 1;
    }
    return lines;
}

} // namespace venture::quantity
