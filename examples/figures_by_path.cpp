// Figures asked for by path: whatever the program can tell, by one name.
#include <cstdio>

#include <venture/exchange/open_project.hpp>
#include <venture/figure/shown.hpp>

int main(int argc, char** argv)
{
    using namespace venture;
    const auto [files, house] = exchange::open_project(argc > 1 ? argv[1] : "house");
    for (const char* pattern : {"building_load/all rooms/heating", "building_load/*/heating_per_area",
                                "room/*/glass_share", "unit/*/chosen", "surface/Kitchen, floor to ground/u"})
        for (const figure::Figure& f : house.figures(pattern))
            std::printf("%-48s %s\n", f.path.c_str(),
                        figure::shown_with_unit(f.value, f.column, house.units()).c_str());
}
