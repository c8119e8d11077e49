#pragma once
/// Stable codes of everything that Venture may say of an input. Each has an entry in docs/diagnostics.md.

#include <string_view>

namespace venture::quantity::codes {

// reading
inline constexpr std::string_view file = "V101";        ///< a file or folder that cannot be read
inline constexpr std::string_view syntax = "V102";      ///< text that is no TOML or no CSV
inline constexpr std::string_view format = "V103";      ///< `format` missing or not known
inline constexpr std::string_view unknown_key = "V104"; ///< a key or table that nobody reads
inline constexpr std::string_view wrong_type = "V105";  ///< text where a number should be, and so on
inline constexpr std::string_view quantity = "V106";    ///< not a quantity of the kind asked for
inline constexpr std::string_view bounds = "V107";      ///< a number outside its bounds
inline constexpr std::string_view choice = "V108";      ///< not one of the allowed words
inline constexpr std::string_view overlay = "V109";     ///< `--set` names nothing
inline constexpr std::string_view include = "V110";     ///< an include or a path that cannot be followed
inline constexpr std::string_view mark = "V111";        ///< an acceptance that is not one
inline constexpr std::string_view typed_units =
    "V112"; ///< a file whose bare numbers are in other units than the plain ones
// meaning
inline constexpr std::string_view missing = "V201";       ///< a key that must be there
inline constexpr std::string_view unknown_name = "V202";  ///< a name that nothing bears
inline constexpr std::string_view twice = "V203";         ///< a name borne twice
inline constexpr std::string_view contradiction = "V204"; ///< values that exclude each other
inline constexpr std::string_view physics = "V205";       ///< outside the physics or a method's range
inline constexpr std::string_view hours = "V206";         ///< not a range of hours
inline constexpr std::string_view layer = "V207";         ///< not a layer
inline constexpr std::string_view date = "V208";          ///< not a day of a year
inline constexpr std::string_view days = "V209";          ///< not days of a year, or no rule of a calendar
// shape
inline constexpr std::string_view outline = "V301";   ///< a room without a proper outline
inline constexpr std::string_view overlap = "V302";   ///< two rooms in one place
inline constexpr std::string_view no_face = "V303";   ///< a face that the room does not have
inline constexpr std::string_view opening = "V304";   ///< an opening that does not fit
inline constexpr std::string_view near_miss = "V305"; ///< rooms that nearly touch
inline constexpr std::string_view walk = "V306";      ///< a walk that is none, or does not close
inline constexpr std::string_view placing = "V307";   ///< a place against another room that is none
inline constexpr std::string_view mended = "V308";    ///< walls or corners moved into line
inline constexpr std::string_view unstated = "V309";  ///< a face whose neighbour is neither found nor said
inline constexpr std::string_view slope = "V310";     ///< a sloping ceiling that is none
inline constexpr std::string_view repeat = "V311";    ///< a repetition of rooms that are not there
inline constexpr std::string_view solid = "V312";     ///< faces that do not enclose their room
// findings: the input is usable, but look again
inline constexpr std::string_view unserved = "V401";        ///< a load that nobody serves
inline constexpr std::string_view no_outdoor_air = "V402";  ///< people without outdoor air
inline constexpr std::string_view humidity_capped = "V403"; ///< design night more than saturated
inline constexpr std::string_view not_met = "V404";         ///< no product suffices, or a kept one no longer does
inline constexpr std::string_view air_balance = "V405";     ///< a room that passes on more air than comes in
inline constexpr std::string_view unused = "V406";          ///< something declared that nothing uses
inline constexpr std::string_view typed_load = "V407";      ///< a load that was typed, not computed
inline constexpr std::string_view assumed = "V408";         ///< something assumed that the input does not say
inline constexpr std::string_view overruled = "V409";       ///< a library's record that the project has its own for
inline constexpr std::string_view table_read_as = "V410";   ///< how a table was read, where that was detected
inline constexpr std::string_view moved_on = "V411";        ///< an acceptance whose finding is gone or has changed
inline constexpr std::string_view derived = "V412";         ///< design conditions derived from a weather year
inline constexpr std::string_view moved_height = "V413";    ///< design conditions moved to another height
inline constexpr std::string_view other_region = "V414";    ///< a room type of another region
inline constexpr std::string_view other_purpose = "V415";   ///< hours of one purpose in a room of another
inline constexpr std::string_view people_expected = "V416"; ///< more or fewer people than expected
inline constexpr std::string_view idle_rule = "V417";       ///< days or a rule without a day, days without a rule
inline constexpr std::string_view never_opens = "V418";     ///< hours that never come
inline constexpr std::string_view uneven_hours = "V419";    ///< rooms of one type with hours of their own
inline constexpr std::string_view glass_share = "V420";     ///< walls that are nearly all glass
inline constexpr std::string_view unusual_u = "V421";       ///< a U-value that few walls have
inline constexpr std::string_view unusual_gains = "V422";   ///< gains for the floor area that few rooms have
inline constexpr std::string_view unusual_air = "V423";     ///< air changes that few rooms have, or none at all
inline constexpr std::string_view left_out = "V424";        ///< a room left out, or beside one
inline constexpr std::string_view name_and_use = "V425";    ///< a name that its use contradicts
inline constexpr std::string_view turned_round = "V426";    ///< a build-up that may be the wrong way round
inline constexpr std::string_view other_phase = "V427";     ///< rooms that do not stand in this phase
inline constexpr std::string_view heat_out = "V428";        ///< heat into voids that are no rooms
inline constexpr std::string_view left_cold = "V429";       ///< people in a room that is neither heated nor cooled
inline constexpr std::string_view either_way = "V430";      ///< a wall between rooms that may face either way
inline constexpr std::string_view under_zero = "V431";    ///< rooms below zero, and nobody said how high the ground is
inline constexpr std::string_view too_hot = "V432";       ///< people in a room that gets too hot
inline constexpr std::string_view too_humid = "V433";     ///< a room too humid
inline constexpr std::string_view load_far_off = "V434";  ///< a typed load far from the computed one
inline constexpr std::string_view sliding = "V435";       ///< a set-point that slides with the shares of a profile
inline constexpr std::string_view odd_place = "V436";     ///< a place on earth that can hardly be meant
inline constexpr std::string_view odd_season = "V437";    ///< summer in winter
inline constexpr std::string_view odd_thickness = "V438"; ///< a layer as thick as its material hardly comes
inline constexpr std::string_view air_for_heat = "V439";  ///< less air than the gains of a room ask for
inline constexpr std::string_view odd_size = "V440";      ///< a room as large or as small as rooms hardly are
inline constexpr std::string_view large_bridges = "V441"; ///< thermal bridges that lose more than all walls
inline constexpr std::string_view month_beside = "V443"; ///< a peak in a month beside one that has no design conditions
inline constexpr std::string_view served_twice = "V444"; ///< a line and a room's own word say two circuits
inline constexpr std::string_view both_at_once = "V445"; ///< heating and cooling at once in the same pipes
inline constexpr std::string_view no_place = "V446";     ///< a kept unit is too high or long for where it would stand
inline constexpr std::string_view too_loud = "V447";     ///< kept units are louder together than is asked for
inline constexpr std::string_view too_warm = "V448";     ///< a kept unit can be touched warmer than is allowed
inline constexpr std::string_view many_units = "V449";   ///< many units in a row: another kind may serve better
inline constexpr std::string_view stays_dry = "V450";    ///< a coil takes no moisture where nobody limits it
inline constexpr std::string_view odd_valve = "V451";    ///< a valve that cannot be set for its unit, or whistles
inline constexpr std::string_view primary_air = "V452";  ///< outdoor air counted twice, or through what lets none in
inline constexpr std::string_view wet_face =
    "V453"; ///< a humidified room whose windows or walls get wet in winter design
inline constexpr std::string_view supply_short = "V454"; ///< an air supply that gives a room less than it asks for
inline constexpr std::string_view cannot_be = "V442";    ///< rooms at temperatures or humidities that cannot be
// weather
inline constexpr std::string_view weather_records = "V501"; ///< records that make no year
inline constexpr std::string_view weather_value = "V502";   ///< a reading that cannot be
inline constexpr std::string_view weather_gap = "V503";     ///< a gap too long to be filled
inline constexpr std::string_view sun_and_clock = "V504";   ///< the measured sun and the clock disagree
inline constexpr std::string_view weather_odd = "V505";     ///< a reading that can hardly be
inline constexpr std::string_view weather_filled = "V506";  ///< what was filled in or assumed of weather
inline constexpr std::string_view synthetic = "V507";       ///< weather that is made up

/// What must have been looked at before a finding's absence means anything.
enum class RaisedBy { reading, weather, site, building, services, loads, sizes };
[[nodiscard]] constexpr RaisedBy raised_by(std::string_view code)
{
    if (code < missing) return RaisedBy::reading;
    if (code >= weather_records || code == derived) return RaisedBy::weather;
    if (code == moved_height || code == odd_place || code == odd_season) return RaisedBy::site;
    if (code == unserved || code == assumed || code == served_twice) return RaisedBy::services;
    if (code == humidity_capped || code == typed_load || code == too_hot || code == too_humid || code == load_far_off ||
        code == cannot_be || code == supply_short)
        return RaisedBy::loads;
    for (const std::string_view of_sizes : {not_met, both_at_once, no_place, too_loud, too_warm, many_units, stays_dry})
        if (code == of_sizes) return RaisedBy::sizes;
    return RaisedBy::building;
}

} // namespace venture::quantity::codes
