#include <venture/project/toml_document.hpp>

#include <algorithm>
#include <string_view>

#include <fmt/format.h>

#include <venture/project/syntax_words.hpp>
#include <venture/project/toml_lines.hpp>
#include <venture/project/toml_scanner.hpp>
#include <venture/project/utf8.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::project {

namespace {

using quantity::OriginId;
using quantity::Problem;
using quantity::Problems;

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

/// Reads as much of a text as can be read, and tells the rest.
class Reading {
public:
    Reading(const std::string& text, const std::string& file, quantity::OriginPool& origins, Problems& problems)
        : lines_{text},
          file_{file},
          origins_{origins},
          problems_{problems}
    {
    }

    TomlDocument run()
    {
        constexpr int most_mistakes = 100;
        for (int mistakes = 0; mistakes < most_mistakes; ++mistakes) {
            const std::string text = lines_.joined();
            if (refuse_what_is_scanned(text)) continue;
            try {
                document_.root = toml::parse(text, file_);
                break;
            } catch (const toml::parse_error& error) {
                if (!take_out(error)) break;
            }
        }
        return std::move(document_);
    }

    void report(std::size_t line, std::size_t column, std::string message, std::string hint)
    {
        document_.whole = false;
        const OriginId where = origins_.add({quantity::OriginKind::file,
                                             file_,
                                             static_cast<std::uint32_t>(line),
                                             static_cast<std::uint32_t>(column),
                                             {}});
        problems_.add({quantity::Severity::error, quantity::codes::syntax, where, std::move(message), std::move(hint)});
    }

private:
    /// @returns whether something had to be taken out, so that the text must be looked at again
    bool refuse_what_is_scanned(const std::string& text)
    {
        const auto findings = scan_toml(text);
        for (const ScanFinding& f : findings) {
            SyntaxWords words =
                f.message.empty() ? syntax_words(lines_.line(f.line), {}) : quoting_words(lines_.line(f.line));
            if (!scanned_)
                report(f.line, f.column, f.message.empty() ? std::move(words.message) : f.message,
                       std::move(words.hint));
            lines_.blank_lines(f.line, f.line); // what comes up later only shows because something was taken out
        }
        scanned_ = true;
        return !findings.empty();
    }

    /// Tells a mistake of the notation and takes it out. @returns whether anything else is left to be read
    bool take_out(const toml::parse_error& error)
    {
        const auto at = error.source().begin;
        if (const auto list = lines_.list_around(at.line)) {
            if (!list->closed) {
                SyntaxWords words = unclosed_words(lines_.line(list->opened));
                report(list->opened, 1, std::move(words.message), std::move(words.hint));
                if (lines_.blank_lines(list->opened, std::max<std::size_t>(at.line - 1, list->opened))) return true;
            } else {
                report(at.line, at.column, "a mistake inside a list", "write [a, b, c], with texts in quotes");
                if (lines_.blank_lines(list->opened, *list->closed)) return true;
            }
        }
        if (!lines_.follows_from_the_last(at.line)) {
            SyntaxWords words = syntax_words(lines_.line(at.line), error.description());
            report(at.line, at.column, std::move(words.message), std::move(words.hint));
        }
        return lines_.blank_mistake(at.line);
    }

    TomlLines lines_;
    const std::string& file_;
    quantity::OriginPool& origins_;
    Problems& problems_;
    TomlDocument document_{};
    bool scanned_ = false;
};

} // namespace

TomlDocument parse_toml(std::string text, const std::string& file, quantity::OriginPool& origins, Problems& problems)
{
    if (text.starts_with("\xEF\xBB\xBF")) text.replace(0, 3, "");
    const bool utf16 = text.starts_with("\xFF\xFE") || text.starts_with("\xFE\xFF");
    const auto control = control_character_in(text);
    const auto wrong = utf16 || control < text.size() ? std::vector<std::size_t>{} : replace_wrong_bytes(text);
    Reading reading{utf16 || control < text.size() ? std::string{} : text, file, origins, problems};
    if (utf16)
        reading.report(1, 0, "the file is in UTF-16", "save it as UTF-8 in your editor");
    else if (control < text.size())
        reading.report(
            line_at(text, control), 0,
            fmt::format("not a text: the byte 0x{:02x} stands in it", static_cast<unsigned char>(text[control])),
            "a project file is plain text in UTF-8; was another kind of file given?");
    else if (!wrong.empty())
        reading.report(line_at(text, wrong.front()), 0,
                       fmt::format("{} letter{} not in UTF-8", wrong.size(), wrong.size() == 1 ? " is" : "s are"),
                       "save the file as UTF-8 in your editor");
    return reading.run();
}

} // namespace venture::project
