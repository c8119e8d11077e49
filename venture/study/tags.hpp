#pragma once
/// Tags of units and plant: issued once, kept for ever, whatever moves round them.

#include <string>
#include <vector>

namespace venture::study {

/// What a tag is for: the n-th thing of a kind in a place stays the n-th, whatever product it is.
struct Tagged {
    std::string kind{};            ///< "radiator"
    std::string place{};           ///< room or plant
    std::string where{};           ///< in it: "window in south wall"; empty: nobody says
    std::string before{}, after{}; ///< the number of a new tag: "RAD-0-"
    int digits = 2;
};

/// A line of the project's list of tags.
struct IssuedTag {
    std::string tag{}, kind{}, place{}, where{};
    bool gone = false;              ///< there is no such thing any more: the number is not given again
    std::vector<std::string> own{}; ///< what someone keeps beside it, column by column
};

struct Tags {
    std::vector<std::string> own_columns{};
    std::vector<IssuedTag> issued{}; ///< in the order in which they were
    /// Tags of things, one each; new ones get the next number between what is the same and are added at the end. What is no longer
    /// there is marked as gone; what has come back has its tag again.
    [[nodiscard]] std::vector<std::string> give_to(const std::vector<Tagged>& things);
    [[nodiscard]] const IssuedTag* find(const std::string& tag) const;
};

} // namespace venture::study
