// Chooses radiators for loads that stand in a table: no building, no solver.
#include <cstdio>
#include <fstream>

#include <venture/exchange/open_project.hpp>

int main()
{
    using namespace venture;
    const char* table = "loads_of_a_lodge.csv";
    std::ofstream{table} << "room,heating [kW],sensible cooling,floor area [m2]\n"
                            "Porch,0.62,0,6\nHearth room,2.9,0,38\nLoft,1.45,0,22\n";
    const auto [files, lodge] = exchange::open_project(table);
    for (const study::UnitRow& row : study::unit_rows(lodge.sizing())) {
        const rating::Rated& chosen = *row.selection->choice.chosen;
        std::printf("%-12s %5.0f W  %s, %s\n", row.sizing->loads.rooms[row.selection->room].room.c_str(),
                    row.selection->duty.W, chosen.called().c_str(), chosen.in_words().c_str());
    }
    for (const std::string& condition : lodge.assumed()) std::printf("assumed: %s\n", condition.c_str());
}
