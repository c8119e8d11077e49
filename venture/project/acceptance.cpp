#include <venture/project/acceptance.hpp>

#include <algorithm>
#include <optional>

#include <fmt/format.h>

#include <venture/project/sources.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::project {

using input::AcceptedInput;
using quantity::Problem;
using quantity::Severity;
namespace codes = quantity::codes;

namespace {

constexpr std::size_t hash_letters = 8;

struct Mark {
    std::string code{}, subject{}, hash{};
};

std::string subject_of(const Problem& p) { return p.subject.empty() ? "project" : p.subject; }

Mark parts_of_mark(const Problem& p)
{
    const std::string subject = subject_of(p);
    const std::string all = fmt::format("{}\n{}\n{}", p.code, subject, p.inputs.empty() ? p.message : p.inputs);
    return {std::string{p.code}, subject, fingerprint(all).substr(0, hash_letters)};
}

std::optional<Mark> parse_mark(std::string_view text)
{
    text = quantity::trimmed(text);
    const auto first = text.find(' '), last = text.rfind(' ');
    if (first == std::string_view::npos || first == last || !text.starts_with('V')) return std::nullopt;
    Mark mark{std::string{text.substr(0, first)}, std::string{quantity::trimmed(text.substr(first, last - first))},
              std::string{text.substr(last + 1)}};
    const bool hexadecimal = mark.hash.find_first_not_of("0123456789abcdef") == std::string::npos;
    if (mark.hash.size() != hash_letters || !hexadecimal) return std::nullopt;
    return mark;
}

class Parting {
public:
    Parting(std::vector<Problem> problems, const std::function<bool(std::string_view)>& could_raise)
        : could_raise_{could_raise}
    {
        out_.open = std::move(problems);
    }

    void apply(const AcceptedInput& a)
    {
        if (!a.finding || !a.reason || !a.by) return; // said already: a missing key
        const auto mark = parse_mark(*a.finding);
        if (!mark) return; // said already: a wrong mark
        const auto about = std::ranges::find_if(out_.open, [&](const Problem& p) {
            return p.severity != Severity::error && p.code == mark->code && subject_of(p) == mark->subject;
        });
        if (about == out_.open.end()) return nothing_there(a, *mark);
        if (parts_of_mark(*about).hash == mark->hash) {
            out_.accepted.push_back({std::move(*about), *a.reason, *a.by, a.finding.origin});
            out_.open.erase(about);
            return;
        }
        say(a,
            fmt::format("{} accepted this for other values ({}): {} is open again", *a.by, *a.reason, about->message),
            fmt::format("look again, then write finding = \"{}\"", mark_of(*about)));
    }

    Findings finish()
    {
        std::ranges::move(more_, std::back_inserter(out_.open));
        return std::move(out_);
    }

private:
    void nothing_there(const AcceptedInput& a, const Mark& mark)
    {
        if (!could_raise_(mark.code)) return;
        say(a, fmt::format("nothing is found any more that '{}' accepts", *a.finding), "take the acceptance out");
    }

    void say(const AcceptedInput& a, std::string message, std::string hint)
    {
        more_.push_back({Severity::note, codes::moved_on, a.finding.origin, std::move(message), std::move(hint)});
    }

    const std::function<bool(std::string_view)>& could_raise_;
    Findings out_{};
    std::vector<Problem> more_{};
};

} // namespace

std::string mark_of(const Problem& finding)
{
    const Mark mark = parts_of_mark(finding);
    return fmt::format("{} {} {}", mark.code, mark.subject, mark.hash);
}

std::vector<Problem> wrong_marks(const std::vector<AcceptedInput>& acceptances)
{
    std::vector<Problem> out;
    for (const AcceptedInput& a : acceptances)
        if (a.finding && !parse_mark(*a.finding))
            out.push_back({.code = codes::mark,
                           .where = a.finding.origin,
                           .message = fmt::format("'{}' is no mark of a finding", *a.finding),
                           .hint = "`venture check` prints the mark of each finding, such as \"V402 room/Boat hall "
                                   "3f9a21c0\""});
    return out;
}

Findings part_accepted(std::vector<Problem> problems, const std::vector<AcceptedInput>& acceptances,
                       const std::function<bool(std::string_view)>& could_raise)
{
    Parting parting{std::move(problems), could_raise};
    for (const AcceptedInput& a : acceptances) parting.apply(a);
    return parting.finish();
}

} // namespace venture::project
