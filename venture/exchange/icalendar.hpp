#pragma once
/// Days of the events in an iCalendar file (RFC 5545).

#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::exchange {

/// Days that events of a file take in one year, as dates that [[days]] read: "2027-05-14", or "2027-07-01 to
/// 2027-08-31". Whole-day events end on the day before their DTEND; events with times take every day that they touch.
/// Repeated events (RRULE, RDATE, EXDATE) count as often as they fall into the year, cancelled ones do not.
/// @param words  only events with this in their summary, letters of either case; empty: all
/// @param file   name for origins and problems; each date stands at the line of its event
[[nodiscard]] quantity::TextList read_event_days(const std::string& bytes, const std::string& file, int year,
                                                 const std::string& words, quantity::OriginPool& origins,
                                                 quantity::Problems& problems);

} // namespace venture::exchange
