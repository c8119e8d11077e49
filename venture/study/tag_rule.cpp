#include <venture/study/tag_rule.hpp>

#include <array>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>

namespace venture::study {

namespace {

constexpr std::array<std::string_view, 4> known = {"{prefix}", "{storey}", "{place}", "{number}"};
constexpr std::string_view number_word = known[3];

/// The rule without what it knows: what is left must hold no brace.
std::string left_of(std::string rule)
{
    for (const std::string_view word : known)
        for (std::size_t at = rule.find(word); at != std::string::npos; at = rule.find(word))
            rule.erase(at, word.size());
    return rule;
}

/// @param with_mark  takes away one mark before it, too: "-" of "RAD-"
void put(std::string& into, std::string_view word, std::string_view by, bool with_mark)
{
    for (std::size_t at = into.find(word); at != std::string::npos; at = into.find(word, at + by.size())) {
        const bool marked =
            with_mark && at > 0 && std::string_view{"-_. /"}.find(into[at - 1]) != std::string_view::npos;
        const std::size_t from = marked ? at - 1 : at;
        into.replace(from, at - from + word.size(), by);
        at = from;
    }
}

} // namespace

TagRule::TagRule(const input::TagsInput& said, quantity::Problems& problems) : digits_{said.digits.number().value_or(2)}
{
    for (const input::TagPrefixInput& p : said.prefixes)
        if (p.kind && p.prefix) prefixes_[*p.kind] = *p.prefix;
    if (!said.rule) return;
    const std::size_t first = (*said.rule).find(number_word);
    const bool once = first != std::string::npos && (*said.rule).find(number_word, first + 1) == std::string::npos;
    if (once && left_of(*said.rule).find_first_of("{}") == std::string::npos) {
        rule_ = *said.rule;
        return;
    }
    problems.add(
        {.severity = quantity::Severity::error,
         .code = quantity::codes::choice,
         .where = said.rule.origin,
         .message = fmt::format("no tags can be made by the rule '{}'", *said.rule),
         .hint = "it holds {number} once, and {prefix}, {storey} and {place} as you like: \"{prefix}-{number}\""});
}

void TagRule::say_to(Tagged& thing, std::string_view kind_words, std::string_view kind_prefix,
                     const std::string& storey) const
{
    const auto own = prefixes_.find(kind_words);
    const std::size_t at = rule_.find(number_word);
    thing.before = rule_.substr(0, at);
    thing.after = rule_.substr(at + number_word.size());
    for (std::string* part : {&thing.before, &thing.after}) {
        put(*part, "{storey}", storey, storey.empty());
        put(*part, "{prefix}", own != prefixes_.end() ? std::string_view{own->second} : kind_prefix, false);
        put(*part, "{place}", thing.place, false);
    }
    thing.digits = digits_;
}

} // namespace venture::study
