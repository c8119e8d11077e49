#include <venture/calendar/profile.hpp>

#include <cmath>
#include <numeric>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>

namespace venture::calendar {

double Profile::full_load_hours() const { return std::accumulate(fraction.begin(), fraction.end(), 0.0); }

Profile constant_profile(std::string name, double fraction)
{
    Profile profile{std::move(name), {}};
    profile.fraction.fill(fraction);
    return profile;
}

namespace {

bool is_whole_hour(double h, double lowest, double highest)
{
    return h >= lowest && h <= highest && h == std::floor(h);
}

} // namespace

std::variant<std::vector<HourRange>, std::string> parse_hour_range(std::string_view text)
{
    const std::string expected = "hours as in \"08-12 50 %\", from 0 to 24 by the clock of 24 hours, then a fraction";
    const auto wrong = [&] {
        return fmt::format("'{}' is no range of hours; expected {}", text.substr(0, 60), expected);
    };
    const auto dash = text.find('-');
    if (dash == std::string_view::npos) return wrong();
    const auto from = quantity::leading_number(text.substr(0, dash));
    const auto to = quantity::leading_number(text.substr(dash + 1));
    if (!from || !from->rest.empty() || !to) return wrong();
    if (!is_whole_hour(from->value, 0, 23) || !is_whole_hour(to->value, 0, 24) || from->value == to->value)
        return wrong();
    double fraction = 1.0;
    if (!to->rest.empty()) {
        const auto parsed = quantity::parse_quantity(to->rest, quantity::Kind::fraction);
        if (!std::holds_alternative<double>(parsed)) return wrong();
        fraction = std::get<double>(parsed);
    }
    if (!(fraction >= 0.0 && fraction <= 1.0)) return wrong();
    const int first = static_cast<int>(from->value), last = static_cast<int>(to->value);
    if (first < last) return std::vector{HourRange{first, last, fraction}};
    std::vector over_midnight{HourRange{first, 24, fraction}};
    if (last > 0) over_midnight.push_back({0, last, fraction});
    return over_midnight;
}

} // namespace venture::calendar
