/// Any bytes as an iCalendar file: days or problems, never a crash; every date reads as days.

#include <cstdint>
#include <string>

#include <venture/calendar/days.hpp>
#include <venture/exchange/icalendar.hpp>
#include <venture/quantity/error.hpp>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    using namespace venture;
    const std::string bytes(data, data + size);
    quantity::OriginPool origins;
    quantity::Problems problems;
    constexpr int year = 2027;
    for (const auto& date : exchange::read_event_days(bytes, "x.ics", year, {}, origins, problems))
        VENTURE_ASSERT(std::holds_alternative<calendar::YearDays>(calendar::parse_days(date.text, {.year = year})));
    return 0;
}
