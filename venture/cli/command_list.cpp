/// The list of commands.

#include <venture/cli/command.hpp>

#include <venture/quantity/error.hpp>

namespace venture::cli {

extern const Command demo_command;
extern const Command new_command;
extern const Command check_command;
extern const Command climate_command;
extern const Command climate_derive_command;
extern const Command explain_command;
extern const Command library_command;
extern const Command loads_command;
extern const Command year_command;
extern const Command series_command;
extern const Command size_command;
extern const Command schedule_command;
extern const Command watch_command;
extern const Command draw_plan_command;
extern const Command draw_building_command;
extern const Command draw_services_command;
extern const Command draw_wall_command;
extern const Command draw_glass_command;
extern const Command draw_day_command;
extern const Command draw_hours_command;
extern const Command draw_parts_command;
extern const Command draw_year_command;
extern const Command draw_air_command;
extern const Command draw_series_command;
extern const Command draw_climate_command;
extern const Command climate_make_command;
extern const Command export_command;
extern const Command pack_command;
extern const Command schema_command;
extern const Command completion_command;

std::string_view heading_of(Group group)
{
    switch (group) {
    case Group::begin:
        return "To begin";
    case Group::understand:
        return "To see what is there";
    case Group::compute:
        return "To compute and choose";
    case Group::draw:
        return "To draw";
    case Group::exchange:
        return "To take along";
    }
    VENTURE_UNREACHABLE("a group that is none");
}

std::span<const Command* const> commands()
{
    static const Command* const all[] = {
        &demo_command,          &new_command,       &check_command,      &climate_command,     &climate_derive_command,
        &explain_command,       &library_command,   &loads_command,      &year_command,        &series_command,
        &size_command,          &schedule_command,  &watch_command,      &draw_plan_command,   &draw_building_command,
        &draw_services_command, &draw_wall_command, &draw_glass_command, &draw_day_command,    &draw_hours_command,
        &draw_parts_command,    &draw_year_command, &draw_air_command,   &draw_series_command, &draw_climate_command,
        &climate_make_command,  &export_command,    &pack_command,       &schema_command,      &completion_command,
    };
    return all;
}

} // namespace venture::cli
