#include <venture/loads/check_figures.hpp>

#include <venture/air/moist_air.hpp>
#include <venture/air/room_density.hpp>

namespace venture::loads {

namespace {

/// Square feet for each ton of refrigeration, as W/m2.
constexpr double per_area(double ft2_per_ton)
{
    constexpr double ton_W = 12000.0 * 0.29307107017, ft2_m2 = 0.3048 * 0.3048;
    return ton_W / (ft2_per_ton * ft2_m2);
}

constexpr UsualCooling usual(std::string_view use, double most_ft2, double middle_ft2, double least_ft2)
{
    return {use, per_area(most_ft2), per_area(middle_ft2), per_area(least_ft2)};
}

} // namespace

const std::vector<UsualCooling>& usual_cooling()
{
    static const std::vector<UsualCooling> all = {
        usual("dwellings", 700, 550, 400),
        usual("flats, high", 450, 400, 350),
        usual("offices", 360, 280, 190),
        usual("schools, universities", 240, 185, 150),
        usual("hotels", 350, 300, 220),
        usual("wards", 275, 220, 165),
        usual("museums, libraries", 340, 280, 200),
        usual("halls, theatres", 400, 250, 90),
        usual("restaurants", 150, 120, 100),
        usual("light manufacturing", 200, 150, 100),
    };
    return all;
}

const figure::TableOf<UsualCooling>& usual_cooling_columns()
{
    using figure::Cell;
    using U = UsualCooling;
    static const figure::TableOf<U> all = {
        {"usual_cooling", "Usual cooling",
         "Cooling that is usual for a use, for its floor, as check figures of the trade have it (ASHRAE Pocket "
         "Guide)."},
        {
            {{"use", "Usual for", "", "the use", 0}, [](const U& u) -> Cell { return std::string{u.use}; }},
            {{"least", "least", "power_per_area", "of many buildings", 2},
             [](const U& u) -> Cell { return u.least_W_per_m2; }},
            {{"middle", "middle", "power_per_area", "of many buildings"},
             [](const U& u) -> Cell { return u.middle_W_per_m2; }},
            {{"most", "most", "power_per_area", "of many buildings", 2},
             [](const U& u) -> Cell { return u.most_W_per_m2; }},
            {{"area_per_capacity", "floor per\ncooling", "area_per_power", "the middle, turned round"},
             [](const U& u) -> Cell { return 1.0 / u.middle_W_per_m2; }},
        }};
    return all;
}

std::vector<ProportionRow> proportions(const RoomLoads& loads, double supply_K)
{
    const double heat_J_per_m3K = air::room_density_kg_per_m3(quantity::Pressure::pascal(loads.pressure_Pa)) *
                                  air::specific_heat_of_dry_air_J_per_kgK;
    std::vector<ProportionRow> out;
    for (const GroupLoad& group : group_loads(loads))
        if (group.cooled_m2 > 0.0 && group.cooling.total_W > 0.0)
            out.push_back(
                {group.of,
                 {group.cooled_m2, group.cooling.total_W, group.cooling.sensible_W / (heat_J_per_m3K * supply_K)},
                 supply_K});
    return out;
}

const figure::TableOf<ProportionRow>& proportion_columns()
{
    using figure::Cell;
    using P = ProportionRow;
    static const figure::TableOf<P> all = {
        {"proportion", "Cooling for floor and air",
         "Rooms together: the cooling of their largest hour for the floor that is cooled, and the air that would carry "
         "its sensible part."},
        {
            {{"of", "Cooled", "", "all rooms, or a storey", 0}, [](const P& p) -> Cell { return p.of; }},
            {{"area", "floor", "area", "that is cooled"}, [](const P& p) -> Cell { return p.is.area_m2; }},
            {{"cooling", "cooling", "total_power", "in the largest hour of their sum"},
             [](const P& p) -> Cell { return p.is.capacity_W; }},
            {{"cooling_per_area", "for the floor", "power_per_area", "cooling over floor"},
             [](const P& p) -> Cell { return p.is.capacity_per_area_W_per_m2(); }},
            {{"area_per_capacity", "floor per\ncooling", "area_per_power", "floor over cooling"},
             [](const P& p) -> Cell { return p.is.area_per_capacity_m2_per_W(); }},
            {{"supply_difference", "air cooler by", "temperature_difference", "than the rooms", 3},
             [](const P& p) -> Cell { return p.supply_K; }},
            {{"air_per_area", "air for\nthe floor", "air_flow_per_area", "supply air over floor", 2},
             [](const P& p) -> Cell { return p.is.air_per_area_m3_per_s_m2(); }},
            {{"air_per_capacity", "air for\nthe cooling", "air_flow_per_power", "supply air over cooling", 2},
             [](const P& p) -> Cell { return p.is.air_per_capacity_m3_per_s_W(); }},
        }};
    return all;
}

} // namespace venture::loads
