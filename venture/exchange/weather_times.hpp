#pragma once
/// Times that records bear. Internal to exchange.

#include <optional>
#include <string>
#include <string_view>
#include <variant>

#include <venture/climate/date.hpp>
#include <venture/input/weather.hpp>

namespace venture::exchange::detail {

using input::DateOrder;

/// A time of any year: minutes from the beginning of its day, which may be 1440 (24:00).
struct RecordTime {
    climate::MonthDay date{};
    int minute_of_day = 0;
};

/// Why a text is no date or time.
struct NoTime {
    std::string reason{};
};

/// "2019-01-31", "31.1.2019", "1/31/2019": three numbers in an order, parted by - . or /.
[[nodiscard]] std::variant<climate::MonthDay, NoTime> read_date(std::string_view text, DateOrder order);

/// "7", "07:30", "24:00", "7:30:00": minutes from midnight.
[[nodiscard]] std::variant<int, NoTime> read_clock(std::string_view text);

/// A date and a clock parted by a blank or T; the clock may be missing (0:00), a time zone Z or +01:00 is refused.
[[nodiscard]] std::variant<RecordTime, NoTime> read_date_and_clock(std::string_view text, DateOrder order);

} // namespace venture::exchange::detail
