#include <venture/project/toml_document.hpp>

#include <algorithm>
#include <string_view>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>

namespace venture::project {

namespace {

using quantity::OriginId;
using quantity::Problem;

/// Looks for what the parser cannot take: letters beyond ASCII outside strings and comments, and keys of absurd depth.
class Scanner {
public:
    struct Finding {
        std::uint32_t line = 0, column = 0;
        std::string message{};
    };
    explicit Scanner(std::string_view text) : text_{text} {}

    std::vector<Finding> run()
    {
        while (at_ < text_.size()) step();
        return std::move(findings_);
    }

private:
    [[nodiscard]] bool here(std::string_view what) const { return text_.substr(at_, what.size()) == what; }

    void step()
    {
        const char c = text_[at_];
        if (c == '\n') return new_line();
        if (!closing_.empty()) return inside_string(c);
        if (c == '#') return skip_comment();
        for (const std::string_view quote : {"\"\"\"", "'''", "\"", "'"})
            if (here(quote)) {
                closing_ = quote;
                return advance(quote.size());
            }
        constexpr int deepest_key = 64;
        if (c == '.' && ++dots_ == deepest_key) report("a key of more than 64 parts");
        if (static_cast<unsigned char>(c) >= 0x80 && !told_) report("a letter beyond ASCII outside quotes");
        advance(1);
    }

    void inside_string(char c)
    {
        if (c == '\\' && closing_.front() == '"') return advance(2);
        if (!here(closing_)) return advance(1);
        const std::size_t length = closing_.size();
        closing_ = {};
        advance(length);
    }

    void skip_comment()
    {
        while (at_ < text_.size() && text_[at_] != '\n') advance(1);
    }

    void new_line()
    {
        ++at_;
        ++line_;
        column_ = 1;
        dots_ = 0;
        told_ = false;
        if (closing_.size() == 1) closing_ = {}; // a string that is not closed ends with its line
    }

    void advance(std::size_t n)
    {
        for (; n > 0 && at_ < text_.size() && text_[at_] != '\n'; --n, ++at_)
            if ((static_cast<unsigned char>(text_[at_]) & 0xC0U) != 0x80U)
                ++column_; // columns count letters, not bytes
    }

    void report(std::string message)
    {
        findings_.push_back({line_, column_, std::move(message)});
        told_ = true;
    }

    std::string_view text_;
    std::size_t at_ = 0;
    std::uint32_t line_ = 1, column_ = 1;
    int dots_ = 0;
    bool told_ = false; ///< one finding a line is enough
    std::string_view closing_{};
    std::vector<Finding> findings_{};
};

/// Text as lines that can be blanked without moving the others.
class Lines {
public:
    explicit Lines(const std::string& text)
    {
        std::size_t start = 0;
        while (start <= text.size()) {
            const auto end = std::min(text.find('\n', start), text.size());
            lines_.push_back(text.substr(start, end - start));
            start = end + 1;
        }
    }
    [[nodiscard]] std::string joined() const { return fmt::format("{}", fmt::join(lines_, "\n")); }

    /// Blanks from a line (from 1) up to the next table header; if that changes nothing, from the header before it.
    /// @returns whether anything changed
    bool blank_from(std::size_t line)
    {
        std::size_t first = std::clamp<std::size_t>(line, 1, lines_.size()) - 1;
        if (blank(first)) return true;
        while (first > 0 && !is_header(first)) --first;
        return blank(first);
    }

private:
    [[nodiscard]] bool is_header(std::size_t i) const
    {
        const auto letter = lines_[i].find_first_not_of(" \t");
        return letter != std::string::npos && lines_[i][letter] == '[';
    }
    bool blank(std::size_t first)
    {
        bool changed = false;
        for (std::size_t i = first; i < lines_.size() && (i == first || !is_header(i)); ++i) {
            changed |= !lines_[i].empty();
            lines_[i].clear();
        }
        return changed;
    }
    std::vector<std::string> lines_{};
};

} // namespace

TomlDocument parse_toml(std::string text, const std::string& file, quantity::OriginPool& origins,
                        std::vector<Problem>& problems)
{
    constexpr int most_mistakes = 100;
    TomlDocument document;
    const auto report = [&](std::uint32_t line, std::uint32_t column, std::string message, std::string hint) {
        const OriginId where = origins.add({quantity::OriginKind::file, file, line, column, {}});
        problems.push_back(
            {quantity::Severity::error, quantity::codes::syntax, where, std::move(message), std::move(hint)});
        document.whole = false;
    };
    if (text.starts_with("\xEF\xBB\xBF")) text.replace(0, 3, "");
    Lines lines{text};
    for (const auto& finding : Scanner{text}.run()) {
        report(finding.line, finding.column, finding.message, "put text into quotes; comments begin with #");
        lines.blank_from(finding.line);
    }
    for (int mistakes = 0; mistakes < most_mistakes; ++mistakes) {
        try {
            document.root = toml::parse(lines.joined(), file);
            return document;
        } catch (const toml::parse_error& error) {
            const auto at = error.source().begin;
            report(at.line, at.column, fmt::format("not TOML: {}", error.description()),
                   "reading goes on at the next table");
            if (!lines.blank_from(at.line)) return document;
        }
    }
    return document;
}

} // namespace venture::project
