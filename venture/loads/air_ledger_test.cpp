/// What is written of the air that comes into a room in an hour, against the run.

#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <random_building.hpp>
#include <reckon.hpp>
#include <venture/loads/room_hour.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

/// Each line again from what it prints; and all lines together as the run has them.
void expect_as_in_the_run(const input::Input& in, const std::vector<std::size_t>& hours)
{
    const building::Building b = built(in);
    const climate::DesignDay days[] = {climate::winter_design_day(b.site),
                                       climate::cooling_design_day(b.site, b.site.months.front())};
    const double share = b.method.flows_as_outdoors ? 1e-2 : 1e-6;
    for (const climate::DesignDay& day : days)
        for (std::size_t r = 0; r < b.rooms.size(); ++r)
            for (const std::size_t hour : hours) {
                quantity::Ledger ledger;
                const RoomHour is = room_in_hour(b, r, day, hour, {}, &ledger);
                testing_data::expect_reckoned(ledger);
                double infiltration_W = 0.0, ventilation_W = 0.0, transfer_W = 0.0, bridges_W = 0.0, people_W = 0.0;
                for (const quantity::LedgerLine& line : ledger) {
                    if (line.symbol == "Q_now") people_W += line.value;
                    if (line.symbol != "Q") continue;
                    (line.of == "infiltration"      ? infiltration_W
                     : line.of == "ventilation"     ? ventilation_W
                     : line.of == "thermal bridges" ? bridges_W
                                                    : transfer_W) += line.value;
                }
                const auto near = [&](double written_W, double run_W) {
                    EXPECT_NEAR(written_W, run_W, share * std::max(10.0, std::abs(run_W)))
                        << b.rooms[r].name << ", " << day.name << ", " << hour;
                };
                near(infiltration_W, is.balance.infiltration_W);
                near(ventilation_W, is.balance.ventilation_W);
                near(transfer_W, is.balance.transfer_air_W);
                near(bridges_W, is.balance.thermal_bridges_W);
                for (const LoadPath& path : is.parts.parts.paths)
                    if (path.kind == PathKind::people && people_W > 0.0) near(people_W, (*path.gain_W)[hour]);
            }
}

TEST(AirLedger, IsWhatTheRunHas)
{
    input::Input in =
        testing_data::with_rooms({testing_data::room("A", 0, 0, 5, 4), testing_data::room("B", 5, 0, 5, 4)});
    in.rooms[0].use.heating_setpoint = 20.0;
    in.rooms[0].use.ventilation_rate = 2.0;
    in.rooms[1].use.people = 3.0;
    in.rooms[1].use.ventilation_per_person = 0.007;
    expect_as_in_the_run(in, {0, 14});
}

TEST(AirLedger, IsWhatTheRunHasOfRandomBuildings)
{
    for (unsigned seed = 1; seed <= 3; ++seed) expect_as_in_the_run(testing_data::RandomBuilding{seed}.make(), {15});
}

} // namespace
} // namespace venture::loads
