// DEMONSTRATES  a building without heating or cooling through the hottest week of a weather year, printed and drawn
// SIMPLER       one_room.cpp

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <fstream>
#include <string>

#include <venture/climate/synthetic_year.hpp>
#include <venture/draw/hours_drawing.hpp>
#include <venture/loads/building_year.hpp>
#include <venture/resolve/resolve.hpp>

using namespace venture;

namespace {

climate::WeatherYear made_up_year()
{
    climate::SyntheticRequest request{.name = "Nowhere", .place = {47.0, 8.0, 1.0, 400.0}};
    for (std::size_t m = 0; m < 12; ++m) {
        const double from_january = (static_cast<double>(m) - 0.3) * 0.5236;
        request.months[m] = {10.0 - 9.5 * std::cos(from_january), 9.0, 0.7,
                             (10.5 - 7.5 * std::cos(from_january + 0.35)) * 1e6, 2.5};
    }
    return climate::synthetic_year(request);
}

input::Input attic()
{
    input::Input in;
    in.project.name = "Attic studio";
    in.site.latitude = 47.0;
    in.site.longitude = 8.0;
    in.site.time_zone = 1.0;
    in.site.winter_dry_bulb = -9.0;
    in.site.winter_ground = 8.0;
    in.materials.resize(2);
    in.materials[0].name = "timber";
    in.materials[0].conductivity = 0.13;
    in.materials[0].density = 500.0;
    in.materials[0].specific_heat = 1600.0;
    in.materials[1].name = "wool";
    in.materials[1].conductivity = 0.036;
    in.materials[1].density = 30.0;
    in.materials[1].specific_heat = 1030.0;
    in.build_ups.resize(1);
    in.build_ups[0].name = "timber frame";
    in.build_ups[0].layers = quantity::TextList{{"20 mm timber"}, {"160 mm wool"}, {"15 mm timber"}};
    in.fabric.outside_wall = in.fabric.roof = in.fabric.ground_floor = in.build_ups[0].name;
    in.glazings.resize(1);
    in.glazings[0].name = "glass";
    in.glazings[0].u_value = 1.3;
    in.glazings[0].g_value = 0.55;
    in.storeys.resize(1);
    in.storeys[0].name = "attic";
    in.storeys[0].level = 0.0;
    in.storeys[0].height = 2.6;
    in.rooms.resize(1);
    in.rooms[0].name = "Studio";
    in.rooms[0].storey = "attic";
    in.rooms[0].at = quantity::QuantityList{0.0, 0.0};
    in.rooms[0].size = quantity::QuantityList{6.0, 5.0};
    in.rooms[0].openings.resize(1);
    in.rooms[0].openings[0].in = "south";
    in.rooms[0].openings[0].glazing = "glass";
    in.rooms[0].openings[0].width = 3.0;
    in.rooms[0].openings[0].height = 1.4;
    return in;
}

} // namespace

/// With a file's name, the week is drawn into it as SVG.
int main(int argc, char** argv)
{
    const resolve::Resolved resolved = resolve::resolve(attic());
    if (!resolved.building) return 1;
    const climate::WeatherYear year = made_up_year();
    const auto hottest = climate::extreme_week(year, resolved.building->site, climate::Extreme::hottest);
    const loads::BuildingYear week = loads::run_year(
        *resolved.building, year,
        {.first_day = hottest.first_day, .days = 7, .series = {"outdoor temperature", "operative temperature"}});
    draw::HoursDrawing drawing{.title = "Attic studio", .subtitle = "The hottest week", .synthetic = week.synthetic};
    std::printf("day          outdoors           studio\n");
    for (std::size_t d = 0; d < 7; ++d) {
        const auto range = [&](const balance::Series& s) {
            const auto from = s.values.begin() + static_cast<std::ptrdiff_t>(24 * d);
            return std::minmax_element(from, from + 24);
        };
        const auto [out_low, out_high] = range(week.series[0]);
        const auto [in_low, in_high] = range(week.series[1]);
        drawing.days.push_back(climate::in_words(climate::month_day(week.first_day + static_cast<int>(d))));
        std::printf("%-10s  %4.1f to %4.1f degC  %4.1f to %4.1f degC\n", drawing.days.back().c_str(), *out_low,
                    *out_high, *in_low, *in_high);
    }
    drawing.temperatures_C = {{"outdoors", week.series[0].values}, {"studio", week.series[1].values}};
    if (argc > 1) std::ofstream{argv[1]} << draw_hours(drawing);
    return 0;
}
