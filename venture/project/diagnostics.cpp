#include <venture/project/diagnostics.hpp>

#include <algorithm>
#include <tuple>

#include <fmt/format.h>

namespace venture::project {

using quantity::Origin;
using quantity::OriginId;
using quantity::OriginKind;
using quantity::OriginPool;
using quantity::Problem;

namespace {

/// The place in a file that an origin goes back to, if any.
const Origin& place_behind(const OriginPool& origins, OriginId id)
{
    const Origin& o = origins.at(id);
    return o.kind == OriginKind::room_type ? place_behind(origins, o.parent) : o;
}

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
    return line;
}

bool is_printable(const std::string& line)
{
    return std::ranges::none_of(line, [](unsigned char c) { return c < 0x20 || c >= 0x7f; });
}

} // namespace

std::vector<Problem> in_reading_order(std::vector<Problem> problems, const OriginPool& origins)
{
    std::ranges::stable_sort(problems, {}, [&](const Problem& p) {
        const Origin& o = place_behind(origins, p.where);
        return std::tuple{p.severity, o.text, o.line, o.column};
    });
    return problems;
}

std::string in_words(const Problem& problem, const OriginPool& origins, const Sources& sources)
{
    const Origin& place = place_behind(origins, problem.where);
    std::string out;
    if (place.kind != OriginKind::unknown) out = origins.describe(problem.where) + ": ";
    out += fmt::format("{} {}: {}\n", name_of(problem.severity), problem.code, problem.message);
    const auto source = sources.find(place.text);
    if (place.kind == OriginKind::file && source != sources.end() && place.line > 0) {
        constexpr std::size_t widest = 110;
        const std::string line = line_of(source->second, place.line);
        if (!line.empty() && line.size() <= widest && is_printable(line)) {
            out += fmt::format("    {}\n", line);
            if (place.column > 0 && place.column <= line.size() + 1)
                out += fmt::format("    {:>{}}\n", '^', place.column);
        }
    }
    if (!problem.hint.empty()) out += fmt::format("    {}\n", problem.hint);
    return out;
}

} // namespace venture::project
