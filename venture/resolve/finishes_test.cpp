/// Carpets, suspended ceilings, colours; rooms that are left out or stand in one phase only; typed loads.

#include <gmock/gmock.h>

#include <building_questions.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using testing::HasSubstr;
namespace codes = quantity::codes;

Input two_storeys()
{
    Input in = with_rooms({room("Below", 0, 0, 5, 4), room("Above", 0, 0, 5, 4, "upper")});
    in.build_ups.push_back(build_up("carpet", {"0.1 m2K/W carpet"}));
    in.build_ups.push_back(build_up("suspended ceiling", {"0.2 m2K/W void", "15 mm wool"}));
    return in;
}

const Surface& floor_of(const Building& b, std::string_view room)
{
    for (const Surface& s : b.surfaces)
        if (b.rooms[s.room].name == room && s.attitude == Attitude::floor) return s;
    throw std::runtime_error{"no floor"};
}

TEST(Finishes, LieOnTheSideOfTheRoomThatHasThem)
{
    Input in = two_storeys();
    const Building bare = built(in);
    in.rooms[1].use.floor_finish = "carpet";
    in.rooms[0].use.ceiling_finish = "suspended ceiling";
    const Building b = built(in);
    const auto resistance = [](const Building& of) {
        return fabric::resistance(of.build_ups[floor_of(of, "Above").build_up].layers);
    };
    EXPECT_NEAR(resistance(b) - resistance(bare), 0.1 + 0.2 + 0.015 / 0.04, 1e-12);
    const auto& layers = b.build_ups[floor_of(b, "Above").build_up].layers.layers; // from below to above
    EXPECT_EQ(layers.front().material.name, "wool");
    EXPECT_EQ(layers[1].material.name, "void");
    EXPECT_EQ(layers.back().material.name, "carpet");
    EXPECT_NEAR(resistance(bare), fabric::resistance(b.build_ups[1].layers), 1e-12);
    EXPECT_EQ(b.build_ups[floor_of(b, "Below").build_up].layers.name, "slab"); // nothing was said of its floor
}

TEST(Finishes, MustBeLayersThatAreThere)
{
    Input in = two_storeys();
    in.rooms[0].use.floor_finish = "capret";
    EXPECT_THAT(told(in, codes::unknown_name), HasSubstr("no build-up is called 'capret'"));
    BuildupInput typed;
    typed.name = "mat";
    typed.u_value = 2.0;
    in.build_ups.push_back(typed);
    in.rooms[0].use.floor_finish = "mat";
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("known by its U-value"));
}

TEST(Colours, OfFacesGoBeforeThoseOfTheBuilding)
{
    Input in = one_room();
    in.fabric.wall_colour = "dark";
    in.fabric.roof_colour = "light";
    FaceInput south;
    south.on = "south";
    south.absorptance = 0.15;
    in.rooms[0].faces = {south};
    const Building b = built(in);
    EXPECT_DOUBLE_EQ(surface_called(b, "north wall to outdoors").absorptance.value(), 0.8);
    EXPECT_DOUBLE_EQ(surface_called(b, "south wall to outdoors").absorptance.value(), 0.15);
    EXPECT_DOUBLE_EQ(surface_called(b, "roof to outdoors").absorptance.value(), 0.4);
    EXPECT_FALSE(surface_called(b, "floor to ground").absorptance);
    in.rooms[0].faces[0].colour = "medium";
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("a colour and an absorptance"));
}

TEST(LeftOut, RoomsStandAndAreNothingElse)
{
    Input in = with_rooms({room("Kept", 0, 0, 5, 4), room("Shop", 5, 0, 5, 4)});
    in.rooms[1].use.people = 10.0;
    in.rooms[1].use.lighting = 10.0;
    in.rooms[1].leave_out = "yes";
    const Building b = built(in);
    EXPECT_TRUE(b.rooms[1].left_out);
    EXPECT_FALSE(b.rooms[1].use.heating_setpoint_C);
    EXPECT_TRUE(b.rooms[1].use.gains.empty());
    EXPECT_GT(area_of(b, "Kept", "east wall", "Shop"), 0.0);
    EXPECT_THAT(told(in, codes::left_out), HasSubstr("room 'Shop' is left out"));
}

TEST(Phases, HaveTheRoomsThatStandInThem)
{
    Input in = with_rooms({room("Old", 0, 0, 5, 4), room("Shed", 5, 0, 5, 4), room("Wing", 0, 4, 5, 4)});
    in.rooms[1].status = "to be removed";
    in.rooms[2].status = "new";
    const Building planned = built(in);
    ASSERT_EQ(planned.rooms.size(), 2u);
    EXPECT_EQ(planned.rooms[1].name, "Wing");
    EXPECT_GT(area_of(planned, "Old", "east wall", "outdoors"), 0.0);
    EXPECT_THAT(told(in, codes::other_phase), HasSubstr("1 room is not there in the phase 'planned': Shed"));
    in.project.phase = "existing";
    const Building existing = built(in);
    ASSERT_EQ(existing.rooms.size(), 2u);
    EXPECT_EQ(existing.rooms[1].name, "Shed");
    EXPECT_GT(area_of(existing, "Old", "north wall", "outdoors"), 0.0);
}

TEST(TypedLoads, StandWithTheRoomAndAreTold)
{
    Input in = one_room();
    in.rooms[0].heating_load = 2400.0;
    in.rooms[0].load_reason = "agreed with the client";
    EXPECT_DOUBLE_EQ(built(in).rooms[0].heating_load_W->value, 2400.0);
    EXPECT_THAT(told(in, codes::typed_load), HasSubstr("agreed with the client"));
    in.rooms[0].latent_load = 100.0;
    EXPECT_THAT(told(in, codes::contradiction), HasSubstr("latent_load without a sensible_load"));
}

} // namespace
} // namespace venture::resolve
