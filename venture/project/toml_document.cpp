#include <venture/project/toml_document.hpp>

#include <algorithm>
#include <optional>
#include <string_view>

#include <fmt/format.h>

#include <venture/project/syntax_words.hpp>
#include <venture/project/utf8.hpp>
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

    /// Whether a mistake only follows from the one before: it stands at the same line or above, or continues that line.
    [[nodiscard]] bool follows_from_the_last(std::size_t line) const
    {
        const std::size_t at = index_of(line);
        if (!last_mistake_) return false;
        const bool continues = at == *last_mistake_ + 1 && !is_header(at) && lines_[at].find('=') == std::string::npos;
        return at <= *last_mistake_ || continues;
    }
    /// The line (from 1), above one at which the parser stopped and in the same table, whose list is still open there.
    [[nodiscard]] std::optional<std::size_t> opened_above(std::size_t line) const
    {
        int open = 0;
        for (std::size_t i = index_of(line); i > 0;) {
            --i;
            if (is_header(i)) return std::nullopt;
            open += brackets_in(lines_[i]);
            if (open > 0) return i + 1;
        }
        return std::nullopt;
    }
    /// Blanks what a mistake makes unreadable: its line; a whole table if its header is broken; a list that is not
    /// closed.
    /// @returns whether anything is left to be read otherwise
    bool blank_mistake(std::size_t line)
    {
        const std::size_t at = index_of(line);
        const bool again = last_mistake_ && at <= *last_mistake_;
        last_mistake_ = at;
        if (again || is_header(at)) return blank_table(at);
        return blank(at, at) || blank_table(at);
    }
    /// Blanks from a line that opens a list to before the one at which the parser stopped.
    bool blank_list(std::size_t opened, std::size_t line)
    {
        last_mistake_ = index_of(opened);
        return blank(index_of(opened), index_of(line) - 1);
    }

private:
    [[nodiscard]] bool is_header(std::size_t i) const
    {
        const auto letter = lines_[i].find_first_not_of(" \t");
        return letter != std::string::npos && lines_[i][letter] == '[';
    }
    [[nodiscard]] std::size_t index_of(std::size_t line) const
    {
        return std::clamp<std::size_t>(line, 1, lines_.size()) - 1;
    }
    /// Blanks from a line to the next header; if that changes nothing, from the header before it.
    bool blank_table(std::size_t at)
    {
        if (blank(at, end_of_table(at))) return true;
        while (at > 0 && !is_header(at)) --at;
        return blank(at, end_of_table(at));
    }
    [[nodiscard]] std::size_t end_of_table(std::size_t at) const
    {
        std::size_t last = at;
        while (last + 1 < lines_.size() && !is_header(last + 1)) ++last;
        return last;
    }
    bool blank(std::size_t first, std::size_t last)
    {
        bool changed = false;
        for (std::size_t i = first; i <= last; ++i) {
            changed |= !lines_[i].empty();
            lines_[i].clear();
        }
        return changed;
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

std::uint32_t line_at(const std::string& text, std::size_t byte)
{
    return 1 +
           static_cast<std::uint32_t>(std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(byte), '\n'));
}

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
    if (text.starts_with("\xFF\xFE") || text.starts_with("\xFE\xFF")) {
        report(1, 0, "the file is in UTF-16", "save it as UTF-8 in your editor");
        return document;
    }
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
        SyntaxWords words = quoting_words(lines.line(finding.line));
        report(finding.line, finding.column, finding.message, std::move(words.hint));
        lines.blank_mistake(finding.line);
    }
    for (int mistakes = 0; mistakes < most_mistakes; ++mistakes) {
        try {
            document.root = toml::parse(lines.joined(), file);
            return document;
        } catch (const toml::parse_error& error) {
            const auto at = error.source().begin;
            if (const auto opened = lines.opened_above(at.line)) {
                SyntaxWords words = unclosed_words(lines.line(*opened));
                report(static_cast<std::uint32_t>(*opened), 1, std::move(words.message), std::move(words.hint));
                if (lines.blank_list(*opened, at.line)) continue;
            }
            SyntaxWords words = syntax_words(lines.line(at.line), error.description());
            if (!lines.follows_from_the_last(at.line))
                report(at.line, at.column, std::move(words.message), std::move(words.hint));
            if (!lines.blank_mistake(at.line)) return document;
        }
    }
    return document;
}

} // namespace venture::project
