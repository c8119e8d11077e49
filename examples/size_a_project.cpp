// Opens a project folder and sizes it: what each room gets, and what the plant must do.
#include <cstdio>

#include <venture/exchange/open_project.hpp>

int main(int argc, char** argv)
{
    using namespace venture;
    const auto [files, house] = exchange::open_project(argc > 1 ? argv[1] : "house");
    const study::Sizing& sizing = house.sizing(); // reads, resolves, computes and chooses, each once
    for (const quantity::Problem& problem : house.problems())
        if (problem.severity == quantity::Severity::error) std::printf("error: %s\n", problem.message.c_str());
    if (house.failed()) return 2;
    for (const terminal::RoomSelection& unit : sizing.units)
        std::printf("%-16s %5.0f W  %s\n", sizing.loads.rooms[unit.room].room.c_str(), unit.duty.W,
                    unit.choice.chosen ? unit.choice.chosen->called().c_str() : "nothing suffices");
    for (const plant::PlantSelection& plant : sizing.plants)
        std::printf("%-16s %5.0f W  %s\n", sizing.services.plants[plant.plant].name.c_str(), plant.duty.W,
                    plant.choice.chosen ? plant.choice.chosen->called().c_str() : "nothing suffices");
    return sizing.met() ? 0 : 1;
}
