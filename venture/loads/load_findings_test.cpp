#include <venture/loads/load_findings.hpp>

#include <gmock/gmock.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::loads {
namespace {

using namespace testing_data;
using testing::HasSubstr;
namespace codes = quantity::codes;

std::vector<quantity::Problem> findings_of(const input::Input& in)
{
    const building::Building b = built(in);
    return load_findings(b, design_loads(b).loads);
}

const quantity::Problem* find(const std::vector<quantity::Problem>& all, std::string_view code)
{
    for (const quantity::Problem& p : all)
        if (p.code == code) return &p;
    return nullptr;
}

input::Input occupied()
{
    input::Input in = one_room();
    in.rooms[0].use.people = 2.0;
    in.rooms[0].use.ventilation_per_person = 0.010;
    return in;
}

TEST(LoadFindings, AreNoneOfAnOrdinaryRoom) { EXPECT_TRUE(findings_of(occupied()).empty()); }

TEST(LoadFindings, TellPeopleInAHotRoom)
{
    input::Input in = occupied();
    in.rooms[0].use.equipment_power = 3000.0;
    in.rooms[0].openings = {window("south", 4.0, 2.0)};
    const auto all = findings_of(in);
    const auto* hot = find(all, codes::too_hot);
    ASSERT_NE(hot, nullptr);
    EXPECT_THAT(hot->message, HasSubstr("is not cooled"));
    in.rooms[0].use.people = 0.0;
    EXPECT_EQ(find(findings_of(in), codes::too_hot), nullptr); // nobody is there
}

TEST(LoadFindings, TellAHumidRoom)
{
    input::Input in = occupied();
    in.rooms[0].use.moisture = 2e-3;
    const auto all = findings_of(in);
    const auto* humid = find(all, codes::too_humid);
    ASSERT_NE(humid, nullptr);
    EXPECT_THAT(humid->message, HasSubstr("people are in"));
    in.rooms[0].use.cooling_setpoint = 25.0;
    in.rooms[0].use.humidity_limit = 0.55;
    EXPECT_EQ(find(findings_of(in), codes::too_humid), nullptr);
}

/// Kilowatts typed as watts.
TEST(LoadFindings, TellATypedLoadFarFromTheComputedOne)
{
    input::Input in = occupied();
    const double computed_W = design_loads(built(in)).loads.rooms[0].heating_W;
    in.rooms[0].heating_load = computed_W / 1000.0;
    const auto all = findings_of(in);
    const auto* off = find(all, codes::load_far_off);
    ASSERT_NE(off, nullptr);
    EXPECT_EQ(off->severity, quantity::Severity::warning);
    in.rooms[0].heating_load = 1.4 * computed_W; // someone rounds up
    EXPECT_EQ(find(findings_of(in), codes::load_far_off), nullptr);
}

/// What a cooled room without a limit is held at: half, while it is cooled, on design days alone.
TEST(AssumedHumidity, MakesALatentLoadWhileARoomIsCooled)
{
    input::Input in = occupied();
    in.rooms[0].use.cooling_setpoint = 25.0;
    in.rooms[0].use.people = 8.0;
    const RoomLoad assumed = design_loads(built(in)).loads.rooms[0];
    EXPECT_GT(assumed.cooling_latent_W, 100.0);
    in.rooms[0].use.humidity_limit = 0.5;
    const RoomLoad typed = design_loads(built(in)).loads.rooms[0];
    EXPECT_NEAR(typed.cooling_latent_W, assumed.cooling_latent_W, 0.02 * typed.cooling_W); // while it is cooled, alike
    for (const LoadDay& day : assumed.cooling_days)
        for (std::size_t h = 0; h < 24; ++h) EXPECT_TRUE(day.sensible_W[h] > 0.0 || day.latent_W[h] == 0.0) << h;
}

/// What cannot be is an error with its place, not a number.
TEST(LoadFindings, TellRoomsThatCannotBe)
{
    input::Input in = one_room();
    in.rooms[0].use.cooling_setpoint = {};
    in.rooms[0].use.equipment_power = 1e6;
    building::Building hot = built(in);
    const RoomLoads loads = design_loads(hot).loads;
    EXPECT_FALSE(loads.rooms[0].can_be());
    const std::vector<quantity::Problem> found = load_findings(hot, loads);
    ASSERT_EQ(found.size(), 1U); // nothing else is said of it
    EXPECT_EQ(found[0].code, quantity::codes::cannot_be);
    EXPECT_EQ(found[0].severity, quantity::Severity::error);
    in.rooms[0].use.cooling_setpoint = 26.0; // operative: the air would have to be colder than any
    in.rooms[0].use.control = "operative";
    EXPECT_NE(find(findings_of(in), codes::cannot_be), nullptr);
    in.rooms[0].use.cooling_setpoint = {};
    in.rooms[0].use.equipment_power = 0.0;
    in.rooms[0].use.moisture = 0.9; // kg/s into a room that leaks a little
    in.rooms[0].use.infiltration = 0.01;
    building::Building wet = built(in);
    const std::vector<quantity::Problem> wetter = load_findings(wet, design_loads(wet).loads);
    ASSERT_EQ(wetter.size(), 1U);
    EXPECT_NE(wetter[0].message.find("kg of water in each kg of its air"), std::string::npos) << wetter[0].message;
}

} // namespace
} // namespace venture::loads
