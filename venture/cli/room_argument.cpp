#include <venture/cli/room_argument.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/cli/printing.hpp>
#include <venture/quantity/unknown_name.hpp>

namespace venture::cli {

std::optional<std::string> room_called(const Job& job, const std::string& typed)
{
    std::vector<std::string> names;
    if (job.building())
        for (const building::Room& room : job.building()->rooms) names.push_back(room.name);
    else
        for (const loads::RoomLoad& load : job.design().loads.rooms) names.push_back(load.room);
    constexpr std::string_view table = "room/";
    const std::string behind = typed.starts_with(table) ? typed.substr(table.size()) : typed;
    for (const std::string& name : {typed, behind})
        if (std::ranges::find(names, name) != names.end()) return name;
    const quantity::Problem unknown = quantity::unknown_name("room", behind, {}, names);
    print_error(fmt::format("{}; {}\n", unknown.message, unknown.hint));
    return std::nullopt;
}

} // namespace venture::cli
