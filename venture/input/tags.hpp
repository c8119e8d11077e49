#pragma once
/// How tags of units and plant are made.

#include <vector>

#include <venture/input/given.hpp>
#include <venture/input/services.hpp>

namespace venture::input {

/// What tags of a kind begin with.
struct TagPrefixInput {
    Choice<ProductKind> kind;
    Given<std::string> prefix, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct TagsInput {
    Given<std::string> rule, note;
    Whole digits;
    std::vector<TagPrefixInput> prefixes{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
