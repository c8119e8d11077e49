#include <venture/loads/load_findings.hpp>

#include <set>

#include <fmt/format.h>

#include <venture/loads/building_year.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::loads {

namespace codes = quantity::codes;
using quantity::Problem;
using quantity::Severity;

namespace {

/// Of the coldest and the warmest, what is farther from a usual room.
double farther_off(double coldest_C, double warmest_C)
{
    constexpr double usual_C = 20.0;
    return usual_C - coldest_C > warmest_C - usual_C ? coldest_C : warmest_C;
}

/// @param state  in which the room cannot be
Problem impossible(const building::Room& room, const std::string& state)
{
    return {.severity = Severity::error,
            .code = codes::cannot_be,
            .where = room.origin,
            .message = fmt::format("room '{}' would stand {}, which cannot be", room.name, state),
            .hint = "its gains are more than its walls and its air carry off: check their units (W or kW), its air and "
                    "its faces",
            .subject = "room/" + room.name};
}

/// Above this no one works, and no one should be said to.
constexpr double too_hot_C = 40.0;
/// Above this walls and what stands in the room take up water: EN 16798-1 ends its widest class there.
constexpr double too_humid = 0.7;
/// A typed load so many times larger or smaller than the computed one is a slip of the unit, or needs a reason.
constexpr double far_off = 3.0;

class Findings {
public:
    Findings(const building::Building& b, const quantity::PreferredUnits& units) : b_{b}, units_{units} {}

    void look_at(const RoomLoad& load)
    {
        const auto index = b_.find_room(load.room);
        if (!index || load.typed) return;
        const building::Room& room = b_.rooms[*index];
        if (room.left_out) return;
        if (!load.can_be()) return tell_impossible(room, load);
        look_at_heat(room, load);
        look_at_humidity(room, load);
        if (room.heating_load_W)
            look_at_typed(room, "heating", load.heating_overruled, load.heating_W, *room.heating_load_W);
        if (room.sensible_load_W)
            look_at_typed(room, "cooling", load.cooling_overruled, load.cooling_W, *room.sensible_load_W);
    }

    [[nodiscard]] std::vector<Problem> finish() { return std::move(found_); }

private:
    Problem& add(std::string_view code, const building::Room& room, quantity::OriginId where, std::string message,
                 std::string hint)
    {
        return found_.emplace_back(Problem{.severity = Severity::warning,
                                           .code = code,
                                           .where = where,
                                           .message = std::move(message),
                                           .hint = std::move(hint),
                                           .subject = "room/" + room.name});
    }

    void tell_impossible(const building::Room& room, const RoomLoad& load)
    {
        RoomLoad dry = load;
        dry.wettest_kg_per_kg = 0.0;
        found_.push_back(impossible(
            room, !dry.can_be()
                      ? fmt::format("at {} on a design day",
                                    units_.text(farther_off(load.lowest_air_C, load.highest_air_C), "temperature"))
                      : fmt::format("with {:.3g} kg of water in each kg of its air", load.wettest_kg_per_kg)));
    }

    void look_at_heat(const building::Room& room, const RoomLoad& load)
    {
        if (room.use.people.value <= 0.0 || load.cooled || load.highest_air_C <= too_hot_C) return;
        add(codes::too_hot, room, room.origin,
            fmt::format("room '{}' holds people, is not cooled, and would reach {} on a cooling design day", room.name,
                        units_.text(load.highest_air_C, "temperature")),
            "cool it, shade it, or give it more outdoor air; or mend its gains")
            .inputs = fmt::format("{:.0f}", load.highest_air_C);
    }

    void look_at_humidity(const building::Room& room, const RoomLoad& load)
    {
        if (load.most_humid <= too_humid) return;
        add(codes::too_humid, room, room.origin,
            fmt::format("room '{}' stands at {:.0f} % relative humidity on a cooling design day ({}), while {}",
                        room.name, 100.0 * load.most_humid, load.most_humid_day,
                        load.cooled ? "it is cooled" : "people are in"),
            load.cooled ? "give it a humidity_limit that its use asks for, or less moisture"
                        : "give it more outdoor air or less moisture, or cool it")
            .inputs = fmt::format("{:.0f}", 100.0 * load.most_humid);
    }

    void look_at_typed(const building::Room& room, const char* what, const std::optional<Overruled>& computed,
                       double typed_W, const quantity::Sourced<double>& typed)
    {
        if (!computed || computed->computed_W <= 0.0) return;
        const double ratio = typed_W / computed->computed_W;
        if (ratio < far_off && ratio > 1.0 / far_off) return;
        add(codes::load_far_off, room, typed.origin,
            fmt::format("{} of '{}' is typed as {}; by its shape and use it would be {}", what, room.name,
                        units_.text(typed_W, quantity::Kind::power, 3),
                        units_.text(computed->computed_W, quantity::Kind::power, 3)),
            "check the unit: W or kW; or say in load_reason why")
            .inputs = fmt::format("{:.0f} {:.0f}", typed_W, computed->computed_W);
    }

    const building::Building& b_;
    const quantity::PreferredUnits& units_;
    std::vector<Problem> found_{};
};

/// Sun through glass outdoors, of the floor: from here on another month may be worse than the hottest.
constexpr double much_glass = 0.1;

double glass_share(const building::Building& b, std::size_t room)
{
    double glass_m2 = 0.0;
    for (const building::Surface& s : b.surfaces)
        if (s.room == room && s.beyond.kind == building::Neighbour::Kind::outdoors)
            for (const building::Opening& o : s.openings)
                glass_m2 += o.kind == building::Opening::Kind::window ? o.area_m2() : 0.0;
    return b.rooms[room].floor_area_m2 > 0.0 ? glass_m2 / b.rooms[room].floor_area_m2 : 0.0;
}

/// Rooms with much glass whose largest cooling falls into a month beside one that nothing is known of.
std::optional<Problem> months_missing(const building::Building& b, const RoomLoads& loads)
{
    const auto given = [&](int month) {
        return std::ranges::find(b.site.months, (month + 11) % 12 + 1, &climate::CoolingMonth::month) !=
               b.site.months.end();
    };
    std::vector<std::string> rooms;
    std::set<int> beside;
    quantity::OriginId where{};
    for (const RoomLoad& load : loads.rooms) {
        const auto index = b.find_room(load.room);
        const int month = load.cooling_when.month;
        if (!index || load.typed || !load.cooled || month == 0 || glass_share(b, *index) < much_glass) continue;
        std::set<int> open;
        for (const int other : {month - 1, month + 1})
            if (!given(other)) open.insert((other + 11) % 12 + 1);
        if (open.empty()) continue;
        if (rooms.empty()) where = b.rooms[*index].origin;
        rooms.push_back(load.room);
        beside.merge(open);
    }
    if (rooms.empty()) return std::nullopt;
    std::vector<std::string> months;
    for (const int month : beside) months.push_back(climate::month_name(month));
    return Problem{.severity = Severity::note,
                   .code = codes::month_beside,
                   .where = where,
                   .message = fmt::format("cooling of {} is largest beside a month without design conditions ({})",
                                          quantity::listed(rooms, 6), quantity::listed(months, 12)),
                   .hint = "with much glass a month of lower sun may ask for more: give it its [[site.month]]",
                   .subject = "site"};
}

} // namespace

std::vector<Problem> load_findings(const building::Building& building, const RoomLoads& loads,
                                   const quantity::PreferredUnits& units)
{
    Findings findings{building, units};
    for (const RoomLoad& load : loads.rooms) findings.look_at(load);
    std::vector<Problem> found = findings.finish();
    if (auto missing = months_missing(building, loads)) found.push_back(std::move(*missing));
    return found;
}

std::vector<Problem> year_findings(const building::Building& building, const BuildingYear& year,
                                   const quantity::PreferredUnits& units)
{
    std::vector<Problem> found;
    for (std::size_t r = 0; r < building.rooms.size(); ++r) {
        const balance::ZoneRun& run = year.rooms[r].run;
        const bool was_there = run.coldest_C <= run.warmest_C; // for an hour at least
        if (!was_there || is_a_room_at(run.coldest_C, run.warmest_C)) continue;
        found.push_back(impossible(
            building.rooms[r],
            fmt::format("at {} in the year", units.text(farther_off(run.coldest_C, run.warmest_C), "temperature"))));
    }
    return found;
}

} // namespace venture::loads
