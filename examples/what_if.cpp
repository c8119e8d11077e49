// One change compared: what a colder winter does to a house, figure by figure.
#include <cstdio>

#include <venture/exchange/open_project.hpp>
#include <venture/figure/shown.hpp>

int main(int argc, char** argv)
{
    using namespace venture;
    const auto [files, house] = exchange::open_project(argc > 1 ? argv[1] : "house");
    const study::Case colder = house.with({"site/winter_dry_bulb=-9 degC"});
    const auto before = house.figures("room_load/*/heating"), after = colder.figures("room_load/*/heating");
    for (std::size_t i = 0; i < before.size(); ++i)
        std::printf("%-36s %6s -> %s\n", before[i].path.c_str(),
                    figure::shown(before[i].value, before[i].column, house.units()).c_str(),
                    figure::shown_with_unit(after[i].value, after[i].column, house.units()).c_str());
    const study::Case with_margin = house.with({"plant/boiler/margin=15 %"}); // its loads are the same: shared
    for (const figure::Figure& f : with_margin.figures("plant/boiler/needs"))
        std::printf("%-36s %s\n", f.path.c_str(), figure::shown_with_unit(f.value, f.column, house.units()).c_str());
}
