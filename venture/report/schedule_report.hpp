#pragma once
/// What is to be ordered, in words and tables.

#include <venture/figure/document.hpp>
#include <venture/study/schedule.hpp>

namespace venture::report {

/// What became of the project's list of tags.
struct TagNews {
    std::size_t given = 0; ///< new ones
    bool kept = true;      ///< false: for this run only
};

[[nodiscard]] figure::Document schedule_document(const std::vector<study::ScheduleItem>& items, const study::Tags& tags,
                                                 const study::Sizing& sizing, const TagNews& news, bool grouped);

} // namespace venture::report
