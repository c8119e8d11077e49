#include <venture/report/changes.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>

namespace venture::report {
namespace {

using testing::HasSubstr;
using testing::Not;

const Figures before = {{"Hall, heating", 4000.0, "power", {}},
                        {"Hall, unit", 0.0, {}, "Model 20"},
                        {"Store, heating", 500.0, "power", {}}};

TEST(Moved, ListsWhatShowsOtherwiseWithFromToAndBy)
{
    const std::string text = moved_text(before, {{"Hall, heating", 4200.0, "power", {}},
                                                 {"Hall, unit", 0.0, {}, "Model 22"},
                                                 {"Store, heating", 500.2, "power", {}}})
                                 .laid_out();
    EXPECT_THAT(text, HasSubstr("4000 W"));
    EXPECT_THAT(text, HasSubstr("4200 W"));
    EXPECT_THAT(text, HasSubstr("+5.0 %"));
    EXPECT_THAT(text, HasSubstr("Model 22"));
    EXPECT_THAT(text, Not(HasSubstr("Store"))); // 500 W before and after
}

TEST(Moved, ListsWhatIsNewAndWhatIsGone)
{
    const std::string text =
        moved_text(before, {before[0], before[1], {"Attic, heating", 90.0, "power", {}}}).laid_out();
    EXPECT_THAT(text, HasSubstr("(new)"));
    EXPECT_THAT(text, HasSubstr("(gone)"));
}

TEST(Moved, IsEmptyIfNothingDid) { EXPECT_TRUE(moved_text(before, before).empty()); }

TEST(Figures, OfABuildingAndItsLoadsMoveWithIt)
{
    input::Input in = testing_data::one_room();
    const building::Building first = testing_data::built(in);
    in.rooms[0].height = 3.5;
    const building::Building second = testing_data::built(in);
    EXPECT_THAT(moved_text(figures_of(first), figures_of(second)).laid_out(), HasSubstr("volume"));
    const auto cold = loads::design_loads(first).loads, colder = loads::design_loads(second).loads;
    EXPECT_THAT(moved_text(figures_of(cold), figures_of(colder)).laid_out(), HasSubstr("heating"));
    EXPECT_TRUE(moved_text(figures_of(cold), figures_of(cold)).empty());
}

} // namespace
} // namespace venture::report
