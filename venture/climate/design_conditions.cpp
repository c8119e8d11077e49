#include <venture/climate/design_conditions.hpp>

namespace venture::climate {

double clock_ahead_h(const Site& site, MonthDay date)
{
    const auto& s = site.summer_time;
    return s && is_between(date, s->first, s->last) ? s->ahead_h : 0.0;
}

} // namespace venture::climate
