#include <venture/project/utf8.hpp>

#include <algorithm>

namespace venture::project {

namespace {

/// Length of the UTF-8 letter at `at`; 0 if it is none.
std::size_t letter_length(const std::string& text, std::size_t at)
{
    const auto lead = static_cast<unsigned char>(text[at]);
    const std::size_t length = lead < 0x80   ? 1
                               : lead < 0xC2 ? 0
                               : lead < 0xE0 ? 2
                               : lead < 0xF0 ? 3
                               : lead < 0xF5 ? 4
                                             : 0;
    if (length == 0 || at + length > text.size()) return 0;
    for (std::size_t i = 1; i < length; ++i)
        if ((static_cast<unsigned char>(text[at + i]) & 0xC0U) != 0x80U) return 0;
    const auto second = length > 1 ? static_cast<unsigned char>(text[at + 1]) : 0x80U;
    const bool overlong = (lead == 0xE0 && second < 0xA0) || (lead == 0xF0 && second < 0x90);
    const bool beyond = (lead == 0xED && second > 0x9F) || (lead == 0xF4 && second > 0x8F);
    return overlong || beyond ? 0 : length;
}

} // namespace

bool is_utf8(const std::string& text)
{
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t length = letter_length(text, at);
        if (length == 0) return false;
        at += length;
    }
    return true;
}

std::vector<std::size_t> replace_wrong_bytes(std::string& text)
{
    std::vector<std::size_t> found;
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t length = letter_length(text, at);
        if (length == 0) {
            found.push_back(at);
            text[at] = '?';
        }
        at += std::max<std::size_t>(length, 1);
    }
    return found;
}

} // namespace venture::project
