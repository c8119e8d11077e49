#pragma once
/// How new tags are made.

#include <map>
#include <string>
#include <string_view>

#include <venture/input/tags.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/study/tags.hpp>

namespace venture::study {

/// "{prefix}-{storey}-{number}" and what else was typed.
class TagRule {
public:
    TagRule() = default;
    /// @param problems  take a rule without a number, or with words that mean nothing
    TagRule(const input::TagsInput& said, quantity::Problems& problems);
    /// What stands before and after the number of a thing. Where it has no storey the mark before that goes as well.
    /// @param kind_words, kind_prefix  of its kind
    void say_to(Tagged& thing, std::string_view kind_words, std::string_view kind_prefix,
                const std::string& storey) const;

private:
    std::string rule_ = "{prefix}-{storey}-{number}";
    std::map<std::string, std::string, std::less<>> prefixes_{}; ///< by the words of kinds
    int digits_ = 2;
};

} // namespace venture::study
