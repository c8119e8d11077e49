#include <venture/figure/cell.hpp>

#include <fmt/format.h>

namespace venture::figure {

std::string in_words(const When& when)
{
    if (when.day.empty()) return "not known";
    if (when.clock_hour < 0) return when.day;
    return fmt::format("{} {:02}-{:02} h", when.day, when.clock_hour, when.clock_hour + 1);
}

} // namespace venture::figure
