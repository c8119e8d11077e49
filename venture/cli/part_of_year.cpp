#include <venture/cli/part_of_year.hpp>

#include <fmt/format.h>

#include <venture/cli/printing.hpp>
#include <venture/climate/date.hpp>

namespace venture::cli {

namespace {

/// The day that a year begins with; nothing, and told, if there is none.
std::optional<int> first_day(const std::string& from, bool leap)
{
    if (from.empty()) return 1;
    const auto read = climate::read_month_day(from);
    if (const auto* date = std::get_if<climate::MonthDay>(&read)) {
        if (*date != climate::MonthDay{2, 29} || leap) return climate::day_of_year(*date, leap);
        print_error("the weather year has no 29 February\n");
    } else {
        print_error(
            fmt::format("--from '{}' is no day: {}; write \"1 May\"\n", from, std::get<climate::NoDate>(read).reason));
    }
    return std::nullopt;
}

} // namespace

bool has_building_and_weather(const Job& job)
{
    if (job.failed()) return false;
    if (!job.building()) {
        print_error("this needs a building; a table of typed loads has none\n");
        return false;
    }
    if (job.weather()) return true;
    print_error("this needs the project's weather: a [weather] table with a file, or form = \"synthetic\" and twelve "
                "[[monthly_mean]]; `venture climate PROJECT` tells more\n");
    return false;
}

std::optional<loads::BuildingYearOptions> part_of_year(const CommonOptions& o, const YearOptions& y, const Job& job)
{
    const auto first = first_day(y.from, job.weather()->leap);
    if (!first) return std::nullopt;
    const int left = job.weather()->days() - *first + 1;
    if (y.days > left) {
        print_error(fmt::format("--days {}: from that day on the weather year has {} days\n", y.days, left));
        return std::nullopt;
    }
    return loads::BuildingYearOptions{.step_s = 60.0 * o.step_min,
                                      .first_day = *first,
                                      .days = y.days,
                                      .run_in_days = y.run_in_days,
                                      .series = y.series};
}

} // namespace venture::cli
