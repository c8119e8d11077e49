#include <venture/project/toml_document.hpp>

#include <algorithm>
#include <optional>
#include <string_view>

#include <fmt/format.h>

#include <venture/project/syntax_words.hpp>
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
    /// Line `number` (from 1) as it stands; empty beyond the end.
    [[nodiscard]] std::string line(std::size_t number) const
    {
        return number >= 1 && number <= lines_.size() ? lines_[number - 1] : std::string{};
    }
    [[nodiscard]] std::string joined() const { return fmt::format("{}", fmt::join(lines_, "\n")); }

    /// Whether a mistake stands right below the one before, or above it, in one table: it may only follow from that.
    [[nodiscard]] bool follows_from_the_last(std::size_t line) const
    {
        return last_mistake_ && line <= *last_mistake_ + 2 && line + 1 >= *last_mistake_ &&
               !(line >= 1 && line <= lines_.size() && is_header(line - 1));
    }
    /// Blanks the line (from 1) of a mistake, with what was opened above it and never closed; a further mistake right
    /// below an earlier one blanks the rest of its table.
    /// @returns whether anything is left to be read otherwise
    bool blank_mistake(std::size_t line)
    {
        const std::size_t at = std::clamp<std::size_t>(line, 1, lines_.size()) - 1;
        const bool follows = follows_from_the_last(line);
        last_mistake_ = at;
        if (follows) return blank_table(at);
        const std::size_t first = opened_above(at);
        bool changed = false;
        for (std::size_t i = first; i <= at; ++i) {
            changed |= !lines_[i].empty();
            lines_[i].clear();
        }
        return changed || blank_table(at);
    }

private:
    [[nodiscard]] bool is_header(std::size_t i) const
    {
        const auto letter = lines_[i].find_first_not_of(" \t");
        return letter != std::string::npos && lines_[i][letter] == '[';
    }
    /// Blanks from a line to the next header; if that changes nothing, from the header before it.
    bool blank_table(std::size_t at)
    {
        if (blank_to_header(at)) return true;
        while (at > 0 && !is_header(at)) --at;
        return blank_to_header(at);
    }
    bool blank_to_header(std::size_t first)
    {
        bool changed = false;
        for (std::size_t i = first; i < lines_.size() && (i == first || !is_header(i)); ++i) {
            changed |= !lines_[i].empty();
            lines_[i].clear();
        }
        return changed;
    }
    /// The line above, in the same table, that opens a list which is still open at a line; the line itself if none
    /// does.
    [[nodiscard]] std::size_t opened_above(std::size_t at) const
    {
        std::size_t first = at;
        for (int open = 0; first > 0 && !is_header(first);) {
            --first;
            if (is_header(first)) break;
            open += brackets_in(lines_[first]);
            if (open > 0) return first;
        }
        return at;
    }
    /// Opened less closed brackets of a line, outside quotes and comments.
    static int brackets_in(const std::string& line)
    {
        int open = 0;
        char quote = 0;
        for (const char c : line) {
            if (quote == 0 && c == '#') break;
            if (c == '"' || c == '\'') quote = quote == 0 ? c : (quote == c ? '\0' : quote);
            if (quote == 0) open += (c == '[' || c == '{') ? 1 : (c == ']' || c == '}') ? -1 : 0;
        }
        return open;
    }
    std::vector<std::string> lines_{};
    std::optional<std::size_t> last_mistake_{};
};

} // namespace

namespace {

/// Bytes that no text holds: a zero or another control character.
std::size_t control_character_in(const std::string& text)
{
    return static_cast<std::size_t>(
        std::ranges::find_if(text,
                             [](unsigned char c) {
                                 return (c < 0x20 && c != '\n' && c != '\r' && c != '\t' && c != '\f') || c == 0x7f;
                             }) -
        text.begin());
}

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

/// Replaces what is no UTF-8 by question marks. @returns where it stood
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

std::uint32_t line_at(const std::string& text, std::size_t byte)
{
    return 1 +
           static_cast<std::uint32_t>(std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(byte), '\n'));
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
    if (const auto at = control_character_in(text); at < text.size()) {
        report(line_at(text, at), 0,
               fmt::format("not a text: the byte 0x{:02x} stands in it", static_cast<unsigned char>(text[at])),
               "a project file is plain text in UTF-8; was another kind of file given?");
        return document;
    }
    if (const auto wrong = replace_wrong_bytes(text); !wrong.empty())
        report(line_at(text, wrong.front()), 0,
               fmt::format("{} letter{} not in UTF-8", wrong.size(), wrong.size() == 1 ? " is" : "s are"),
               "save the file as UTF-8 in your editor");
    Lines lines{text};
    for (const auto& finding : Scanner{text}.run()) {
        report(finding.line, finding.column, finding.message, "put text into quotes; comments begin with #");
        lines.blank_mistake(finding.line);
    }
    for (int mistakes = 0; mistakes < most_mistakes; ++mistakes) {
        try {
            document.root = toml::parse(lines.joined(), file);
            return document;
        } catch (const toml::parse_error& error) {
            const auto at = error.source().begin;
            SyntaxWords words = syntax_words(lines.line(at.line), error.description());
            if (!lines.follows_from_the_last(at.line))
                report(at.line, at.column, std::move(words.message), std::move(words.hint));
            if (!lines.blank_mistake(at.line)) return document;
        }
    }
    return document;
}

} // namespace venture::project
