#include <venture/cli/calendar_pieces.hpp>

#include <algorithm>

namespace venture::cli {

using building::Building;
using calendar::Calendar;

const Calendar* find_calendar(const Building& b, const std::string& name)
{
    const auto at = std::ranges::find(b.calendars, name, &Calendar::name);
    return at == b.calendars.end() ? nullptr : &*at;
}

std::vector<std::string> calendar_names(const Building& b)
{
    std::vector<std::string> out;
    for (const Calendar& c : b.calendars) out.push_back(c.name);
    return out;
}

} // namespace venture::cli
