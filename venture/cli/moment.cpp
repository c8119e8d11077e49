#include <venture/cli/moment.hpp>

#include <cmath>
#include <regex>

#include <fmt/format.h>

#include <venture/cli/printing.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli {

std::optional<climate::DesignDay> design_day_called(const building::Building& b, const std::string& day)
{
    if (auto called = climate::design_day_called(b.site, day)) return called;
    std::vector<std::string> there = {"winter"};
    for (const climate::DesignDay& one : climate::cooling_design_days(b.site)) there.push_back(one.name);
    print_error(fmt::format("no design day is called '{}'; there are: {}\n", day, quantity::listed(there, 40)));
    return std::nullopt;
}

std::string worst_day(const Job& job, const std::string& room)
{
    const loads::RoomLoads& all = job.design().loads;
    std::vector<std::size_t> rooms;
    for (std::size_t r = 0; r < all.rooms.size(); ++r)
        if (all.rooms[r].cooled && (room.empty() || all.rooms[r].room == room)) rooms.push_back(r);
    const std::string day = rooms.empty()  ? std::string{}
                            : room.empty() ? loads::coincident_cooling(all, rooms).when.day
                                           : all.rooms[rooms.front()].cooling_when.day;
    return day.empty() ? "winter" : day;
}

std::optional<Moment> moment_called(const building::Building& b, const std::string& typed)
{
    static const std::regex form{R"(\s*(.*\S)\s+(\d{1,2})(:00)?(\s*-\s*\d{1,2}(:00)?)?(\s*h)?\s*)"};
    std::smatch found;
    constexpr int hours = 24;
    if (!std::regex_match(typed, found, form) || std::stoi(found[2]) >= hours) {
        print_error(fmt::format("'{}' is no hour of a design day; expected a day and the clock hour that it begins "
                                "with, 0 to 23, as in \"July 15 h\" or \"winter 7 h\"\n",
                                typed));
        return std::nullopt;
    }
    auto day = design_day_called(b, found[1]);
    if (!day) return std::nullopt;
    const int ahead = static_cast<int>(std::floor(day->clock_ahead_h));
    return Moment{std::move(*day), static_cast<std::size_t>((std::stoi(found[2]) - ahead + 2 * hours) % hours)};
}

} // namespace venture::cli
