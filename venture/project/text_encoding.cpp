#include <venture/project/text_encoding.hpp>

#include <memory>

#include <iconv.h>

#include <venture/project/utf8.hpp>

namespace venture::project {

namespace {

/// Converts with the C library's iconv, which knows the tables.
std::optional<std::string> converted(const std::string& bytes, const char* from)
{
    constexpr auto failed = static_cast<std::size_t>(-1);
    const iconv_t opened = iconv_open("UTF-8", from);
    if (opened == reinterpret_cast<iconv_t>(-1)) return std::nullopt;
    const std::unique_ptr<void, int (*)(void*)> closer{opened, iconv_close};
    std::string in = bytes, out(bytes.size() * 4 + 4, '\0');
    char *read = in.data(), *write = out.data();
    std::size_t left_to_read = in.size(), left_to_write = out.size();
    if (iconv(opened, &read, &left_to_read, &write, &left_to_write) == failed) return std::nullopt;
    out.resize(out.size() - left_to_write);
    return out;
}

bool has_utf16_mark(const std::string& bytes) { return bytes.starts_with("\xFF\xFE") || bytes.starts_with("\xFE\xFF"); }

} // namespace

using input::Encoding;

Encoding detect_encoding(const std::string& bytes)
{
    if (has_utf16_mark(bytes)) return Encoding::utf_16;
    return is_utf8(bytes) ? Encoding::utf_8 : Encoding::windows_1252;
}

std::optional<std::string> to_utf8(const std::string& bytes, Encoding encoding)
{
    if (encoding == Encoding::utf_8) {
        if (!is_utf8(bytes)) return std::nullopt;
        return bytes.starts_with("\xEF\xBB\xBF") ? bytes.substr(3) : bytes;
    }
    return converted(bytes, encoding == Encoding::utf_16 ? "UTF-16" : "CP1252");
}

} // namespace venture::project
