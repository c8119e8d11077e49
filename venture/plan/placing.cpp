#include <venture/plan/placing.hpp>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>

namespace venture::plan {

using quantity::lower_case;
using quantity::trimmed;

namespace {

bool is_upright(PlanSide side) { return side == PlanSide::north || side == PlanSide::south; }

/// "east of Store", "over Store".
std::optional<Placing> read_start(std::string_view text)
{
    Placing out;
    const std::string_view word = take_word(text);
    const std::string lower = lower_case(word);
    if (lower != "over" && lower != "under") {
        out.side = plan_side(lower);
        if (!out.side || lower_case(take_word(text)) != "of") return std::nullopt;
    }
    out.room = std::string{trimmed(text)};
    if (out.room.empty()) return std::nullopt;
    out.in_line = !out.side || !is_upright(*out.side) ? PlanSide::south : PlanSide::west;
    return out;
}

/// "south walls in line", "middles in line". @return what is wrong, if anything is
std::optional<std::string> read_in_line(const std::string& clause, Placing& out)
{
    const std::string which = clause.substr(0, clause.find(' '));
    if (which == "middles") {
        out.in_line.reset();
        return std::nullopt;
    }
    const auto side = plan_side(which);
    if (!side || clause != which + " walls in line") return "whose walls? \"south walls in line\", say";
    if (out.side && is_upright(*out.side) == is_upright(*side))
        return fmt::format("walls in line cannot be those on the {} and {} of it", word_of(*side), word_of(*out.side));
    out.in_line = side;
    return std::nullopt;
}

/// "1.2 m further north".
bool read_further(const std::string& clause, std::size_t word, Placing& out)
{
    const auto length = length_m(clause.substr(0, word));
    const auto side = plan_side(trimmed(std::string_view{clause}.substr(word + std::string_view{"further"}.size())));
    if (!length || !side) return false;
    out.further_m.x_m += *length * one_metre(*side).x_m;
    out.further_m.y_m += *length * one_metre(*side).y_m;
    return true;
}

std::optional<std::string> read_clause(std::string_view text, Placing& out)
{
    const std::string clause = lower_case(trimmed(text));
    if (clause.ends_with("in line")) return read_in_line(clause, out);
    if (const auto word = clause.find("further"); word != std::string::npos)
        return read_further(clause, word, out) ? std::nullopt
                                               : std::optional<std::string>{"how far, and where to? \"1.2 m further "
                                                                            "north\", say"};
    if (clause.ends_with(" apart")) {
        const auto length = length_m(clause.substr(0, clause.size() - std::string_view{" apart"}.size()));
        if (!length || !out.side) return "\"0.3 m apart\" goes with a side";
        out.apart_m = *length;
        return std::nullopt;
    }
    return "it is none of \"south walls in line\", \"middles in line\", \"0.3 m apart\", \"1.2 m further north\"";
}

} // namespace

std::variant<Placing, PlacingProblem> read_placing(std::string_view text)
{
    const auto comma = text.find(',');
    auto placing = read_start(text.substr(0, comma));
    if (!placing)
        return PlacingProblem{fmt::format("'{}' is no place", std::string{trimmed(text.substr(0, comma))}),
                              "write \"east of\", \"north of\", \"west of\", \"south of\", \"over\" or \"under\" and a "
                              "room: \"east of Store, south walls in line\""};
    while (text.find(',') != std::string_view::npos) {
        text.remove_prefix(text.find(',') + 1);
        const std::string_view clause = text.substr(0, text.find(','));
        if (auto wrong = read_clause(clause, *placing))
            return PlacingProblem{fmt::format("'{}': {}", std::string{trimmed(clause)}, *wrong),
                                  "as in \"east of Store, south walls in line, 1.2 m further north\""};
    }
    return *placing;
}

} // namespace venture::plan
