#pragma once
/// What a command tells people: sentences and tables, laid out once it is known how much room there is.

#include <string>
#include <variant>
#include <vector>

#include <venture/report/text_table.hpp>

namespace venture::report {

class Text {
public:
    Text() = default;
    /// Lines, each ended; those that are too long are parted, and go on below the words behind their label.
    Text(std::string lines) // NOLINT(google-explicit-constructor): is read as one
    {
        if (!lines.empty()) blocks_.emplace_back(std::move(lines));
    }
    Text(const char* lines) : Text{std::string{lines}} {} // NOLINT(google-explicit-constructor)
    Text(TextTable table) : blocks_{std::move(table)} {}  // NOLINT(google-explicit-constructor)

    Text& operator+=(Text more);
    friend Text operator+(Text a, Text b)
    {
        a += std::move(b);
        return a;
    }
    [[nodiscard]] bool empty() const { return blocks_.empty(); }
    [[nodiscard]] std::string laid_out(std::size_t width = any_width) const;

private:
    std::vector<std::variant<std::string, TextTable>> blocks_{};
};

} // namespace venture::report
