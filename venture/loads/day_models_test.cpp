/// What is kept of design days moves no figure of what is asked of them afterwards.

#include <algorithm>

#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <random_building.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/design_hours.hpp>
#include <venture/loads/room_parts.hpp>

namespace venture::loads {
namespace {

using testing_data::built;

TEST(DayModels, GiveTheSamePartsAsFoundAnew)
{
    for (unsigned seed = 1; seed <= 6; ++seed) {
        const building::Building b = built(testing_data::RandomBuilding{seed}.make());
        const DesignLoads design = design_loads(b);
        for (std::size_t r = 0; r < b.rooms.size(); ++r) {
            const RoomLoad& load = design.loads.rooms[r];
            const auto anew = parts_of_cooling(b, r, load),
                       known = parts_of_cooling(b, r, load, {.known = design.models});
            ASSERT_EQ(anew.has_value(), known.has_value());
            if (!anew) continue;
            ASSERT_EQ(anew->parts.paths.size(), known->parts.paths.size());
            EXPECT_EQ(anew->hour, known->hour);
            const double most = *std::ranges::max_element(anew->parts.cooling_W);
            for (std::size_t p = 0; p < anew->parts.paths.size(); ++p)
                for (std::size_t h = 0; h < 24; ++h)
                    EXPECT_NEAR(known->parts.paths[p].cooling_W[h], anew->parts.paths[p].cooling_W[h], 1e-5 * most)
                        << "seed " << seed << ", " << load.room << ", " << anew->parts.paths[p].through;
        }
    }
}

TEST(DayModels, GiveTheSameHours)
{
    const building::Building b = built(testing_data::RandomBuilding{3}.make());
    const DesignLoads design = design_loads(b);
    for (const climate::DesignDay& day : climate::cooling_design_days(b.site)) {
        const auto anew = design_hours(b, day), known = design_hours(b, day, {.known = design.models});
        ASSERT_EQ(anew.size(), known.size());
        for (std::size_t i = 0; i < anew.size(); ++i) {
            EXPECT_EQ(known[i].of, anew[i].of);
            EXPECT_NEAR(known[i].sensible_W, anew[i].sensible_W, 0.01);
        }
    }
}

TEST(DayModels, BelongToOneBuildingAndStep)
{
    const building::Building b = built(testing_data::one_room());
    const DesignLoads design = design_loads(b);
    ASSERT_TRUE(design.models);
    EXPECT_EQ(models_of(b, {.known = design.models}), design.models);
    EXPECT_NE(models_of(b, {.step_s = 1200.0, .known = design.models}), design.models);
    building::Building other = b;
    other.fingerprint += 1;
    EXPECT_NE(models_of(other, {.known = design.models}), design.models);
    other.fingerprint = 0; // made by hand: what it follows from is not known
    EXPECT_FALSE(DayModels(other, 600.0).is_of(other, 600.0));
}

TEST(DayModels, KnowTheDaysThatWereRun)
{
    const building::Building b = built(testing_data::one_room());
    const DesignLoads design = design_loads(b);
    const climate::DesignDay winter = climate::winter_design_day(b.site);
    ASSERT_NE(design.models->begin_of(winter), nullptr);
    climate::DesignDay unknown = winter;
    unknown.name = "of another site";
    EXPECT_EQ(design.models->begin_of(unknown), nullptr);
    // Begun where the day was found to begin, it is periodic at once.
    const Compiled compiled = design.models->compile(b, winter);
    EXPECT_LE(run_periodic_day(compiled.model, {.near = design.models->begin_of(winter)}).days, 2);
}

} // namespace
} // namespace venture::loads
