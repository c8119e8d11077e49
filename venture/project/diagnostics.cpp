#include <venture/project/diagnostics.hpp>

#include <algorithm>
#include <map>
#include <tuple>

#include <fmt/format.h>

#include <venture/project/utf8.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::project {

using quantity::Origin;
using quantity::OriginId;
using quantity::OriginKind;
using quantity::OriginPool;
using quantity::Problem;

namespace {

/// Line `number` of a text (from 1), without its end.
std::string line_of(const std::string& text, std::uint32_t number)
{
    std::size_t start = 0;
    for (std::uint32_t i = 1; i < number; ++i) {
        start = text.find('\n', start);
        if (start == std::string::npos) return {};
        ++start;
    }
    std::string line = text.substr(start, text.find('\n', start) - start);
    std::ranges::replace(line, '\t', ' ');
    std::erase(line, '\r');
    return printable(line);
}

/// The `from`th to before the `to`th letter of a text.
std::string letters(const std::string& text, std::size_t from, std::size_t to)
{
    std::string out;
    std::size_t n = 0;
    for (const char c : text) {
        const bool begins = (static_cast<unsigned char>(c) & 0xC0U) != 0x80U;
        if (begins) ++n;
        if (n > from && n <= to) out += c;
    }
    return out;
}

/// A line with a caret below a column (from 1); a long one is cut to what stands around it.
std::string with_caret(const std::string& line, std::size_t column, std::size_t page)
{
    constexpr std::size_t longest = 100, marks = 10; // the indent, and dots at both ends
    const std::size_t widest = std::min(longest, std::max<std::size_t>(page, 3 * marks) - marks),
                      before = widest * 3 / 5;
    const std::size_t width = quantity::display_width(line);
    if (column == 0 || column > width + 1) return width > widest ? std::string{} : fmt::format("    {}\n", line);
    const std::size_t from = width > widest && column > before ? column - before : 0;
    const std::string dots = from > 0 ? "..." : "";
    const std::string shown = dots + letters(line, from, from + widest) + (width > from + widest ? "..." : "");
    return fmt::format("    {}\n    {:>{}}\n", shown, '^', column - from + dots.size());
}

std::string severity_word(quantity::Severity severity, Colour colour)
{
    const std::string word{name_of(severity)};
    if (colour == Colour::none) return word;
    const int code = severity == quantity::Severity::error ? 31 : severity == quantity::Severity::warning ? 33 : 36;
    return fmt::format("\x1b[1;{}m{}\x1b[0m", code, word);
}

/// The place to go to, and by what way it led here: "project.toml:12:3 (room type 'office')".
std::string place_in_words(OriginId where, const OriginPool& origins)
{
    const Origin direct = origins.at(where);
    const Origin place = origins.place_behind(where);
    if (place.kind != OriginKind::file) return origins.describe(where);
    return direct.kind == OriginKind::inherited ? fmt::format("{} ({})", place_in_file(place), direct.text)
                                                : place_in_file(place);
}

std::string other_places(const ProblemGroup& group, const OriginPool& origins)
{
    constexpr std::size_t most = 8;
    std::string out;
    for (std::size_t i = 1; i < group.problems.size() && i <= most; ++i)
        out += (i > 1 ? ", " : "") + place_in_words(group.problems[i].where, origins);
    if (group.problems.size() > most + 1) out += fmt::format(" and {} more", group.problems.size() - most - 1);
    const std::size_t more = group.problems.size() - 1;
    return fmt::format("the same {} more: {}", more == 1 ? "once" : fmt::format("{} times", more), out);
}

} // namespace

std::string printable(std::string_view text) { return quantity::harmless(text, true); }

namespace {

/// Whether a message is of how something is written, and so may have words of the file.
bool quotes_a_file(const Problem& problem)
{
    return problem.code < quantity::codes::missing || problem.code == quantity::codes::unknown_name;
}

/// What a message quotes of a file goes, and hints, which are made of it.
void keep_to_itself(Problem& problem)
{
    std::string out;
    bool quoted = false;
    for (const char c : problem.message) {
        if (c == '\'') {
            if (!quoted) out += "'...'";
            quoted = !quoted;
        } else if (!quoted) {
            out += c;
        }
    }
    problem.message = std::move(out);
    problem.hint = "a link leads out of the project's folder: what stands there is not shown";
}

} // namespace

std::vector<ProblemGroup> grouped(std::vector<Problem> problems, const OriginPool& origins, const Sources& sources)
{
    std::ranges::stable_sort(problems, {}, [&](const Problem& p) {
        const Origin o = origins.place_behind(p.where);
        return std::tuple{p.severity, sources.index(o.text), o.line, o.column};
    });
    std::vector<ProblemGroup> groups;
    std::map<std::tuple<quantity::Severity, std::string_view, std::string>, std::size_t> known;
    for (Problem& p : problems) {
        if (quotes_a_file(p))
            if (const SourceFile* source = sources.find(origins.place_behind(p.where).text);
                source != nullptr && source->linked_out)
                keep_to_itself(p);
        const auto [at, is_new] =
            known.try_emplace({p.severity, p.code, p.cause.empty() ? p.message : p.cause}, groups.size());
        if (is_new) groups.emplace_back();
        groups[at->second].problems.push_back(std::move(p));
    }
    return groups;
}

namespace {

/// A line that may be longer than the page, its further lines indented.
std::string on_page(std::string_view first_indent, const std::string& text, std::size_t width)
{
    constexpr std::string_view indent = "    ";
    std::string out;
    std::size_t lines = 0;
    for (std::size_t at = 0; at <= text.size();) {
        const std::size_t end = std::min(text.find('\n', at), text.size());
        for (const std::string& line :
             quantity::wrapped(std::string_view{text}.substr(at, end - at),
                               std::max<std::size_t>(width, 20 + indent.size()) - indent.size()))
            out += fmt::format("{}{}\n", lines++ == 0 ? first_indent : indent, line);
        at = end + 1;
    }
    return out;
}

} // namespace

std::string in_words(const ProblemGroup& group, const OriginPool& origins, const Sources& sources, const Shown& how)
{
    const Problem& problem = group.problems.front();
    const Origin place = origins.place_behind(problem.where);
    const std::string where =
        place.kind == OriginKind::unknown ? std::string{} : printable(place_in_words(problem.where, origins)) + ": ";
    const std::string_view severity = name_of(problem.severity);
    std::string out =
        on_page("", fmt::format("{}{} {}: {}", where, severity, problem.code, printable(problem.message)), how.width);
    if (how.colour == Colour::terminal && out.compare(where.size(), severity.size(), severity) == 0)
        out.replace(where.size(), severity.size(), severity_word(problem.severity, how.colour));
    const SourceFile* source = sources.find(place.text);
    if (place.kind == OriginKind::file && source != nullptr && !source->linked_out && place.line > 0)
        if (const std::string line = line_of(source->text, place.line); !line.empty())
            out += with_caret(line, place.column, how.width);
    if (!problem.hint.empty()) out += on_page("    ", printable(problem.hint), how.width);
    const bool of_size = problem.code == quantity::codes::bounds || problem.code >= quantity::codes::outline;
    if (!place.unit.empty() && of_size)
        out += on_page("    ", fmt::format("read in {}: the number has no unit, and [units] typed says so", place.unit),
                       how.width);
    if (group.problems.size() > 1) out += on_page("    ", printable(other_places(group, origins)), how.width);
    return out;
}

} // namespace venture::project
