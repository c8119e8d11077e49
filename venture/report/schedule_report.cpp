#include <venture/report/schedule_report.hpp>

#include <algorithm>
#include <set>

#include <fmt/format.h>

#include <venture/report/size_report.hpp>

namespace venture::report {

using study::ScheduleItem;

namespace {

std::string news_in_words(const TagNews& news, const study::Tags& tags)
{
    const auto gone = std::ranges::count_if(tags.issued, &study::IssuedTag::gone);
    std::string out;
    if (news.given > 0)
        out += fmt::format("{} new tag{}{}\n", news.given, news.given == 1 ? "" : "s",
                           news.kept ? ", written to tags.csv: they stay; columns that you add there come along here"
                                     : " for this run only: changes are being tried");
    if (gone > 0)
        out += fmt::format("{} tag{} of things that are no longer there: their numbers are not given again\n", gone,
                           gone == 1 ? "" : "s");
    return out;
}

/// What someone who orders must still look at.
std::string open_points(const std::vector<ScheduleItem>& items)
{
    std::set<std::string> unmet, unplaced;
    for (const ScheduleItem& item : items) {
        if (!item.met) unmet.insert(item.place);
        if (item.kind->in_rows() && item.standing == nullptr) unplaced.insert(item.place);
    }
    std::string out;
    if (!unmet.empty()) out += fmt::format("Does not suffice: {}\n", fmt::join(unmet, ", "));
    if (!unplaced.empty()) out += fmt::format("Not placed: {}\n", fmt::join(unplaced, ", "));
    return out;
}

} // namespace

figure::Document schedule_document(const std::vector<ScheduleItem>& items, const study::Tags& tags,
                                   const study::Sizing& sizing, const TagNews& news, bool grouped)
{
    figure::Document out{"Schedule"};
    if (grouped) out.add(study::order_table(items));
    out.add(study::schedule_table(items, tags));
    if (!grouped) out.add(study::order_table(items));
    out.add("\n" + open_points(items) + news_in_words(news, tags) + invented_text(sizing));
    return out;
}

} // namespace venture::report
