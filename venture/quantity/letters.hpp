#pragma once
/// Letter by letter through UTF-8. Internal to quantity.

#include <string_view>

#include <utf8proc.h>

namespace venture::quantity {

/// Calls `visit(letter, bytes)` for each letter; bytes that are no UTF-8 come one by one, as letters below 0.
template <class Visit>
void for_each_letter(std::string_view text, const Visit& visit)
{
    while (!text.empty()) {
        utf8proc_int32_t letter = -1;
        const auto* bytes = reinterpret_cast<const utf8proc_uint8_t*>(text.data());
        const utf8proc_ssize_t read = utf8proc_iterate(bytes, static_cast<utf8proc_ssize_t>(text.size()), &letter);
        const std::size_t length = read > 0 ? static_cast<std::size_t>(read) : 1;
        visit(read > 0 ? letter : -1, text.substr(0, length));
        text.remove_prefix(length);
    }
}

} // namespace venture::quantity
