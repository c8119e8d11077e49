#include <venture/report/changes.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/loads_report.hpp>

namespace venture::report {
namespace {

using figure::Figure;
using testing::HasSubstr;
using testing::Not;

Figure heating(const char* room, double w)
{
    return {std::string{"room_load/"} + room + "/heating", w, {"heating", "Heating", "power"}};
}
Figure unit(const char* product) { return {"unit/Hall/chosen", std::string{product}, {"chosen", "Product", ""}}; }

std::string moved(const std::vector<Figure>& before, const std::vector<Figure>& after)
{
    const figure::Table table = moved_table(before, after, {});
    return table.rows.empty() ? "" : as_text(table, {}).laid_out();
}

const std::vector<Figure> before = {heating("Hall", 4000.0), unit("Model 20"), heating("Store", 500.0)};

TEST(Moved, ListsWhatShowsOtherwiseWithFromToAndBy)
{
    const std::string text = moved(before, {heating("Hall", 4200.0), unit("Model 22"), heating("Store", 500.2)});
    for (const char* part : {"room_load/Hall/heating", "4000 W", "4200 W", "+5.0 %", "Model 22"})
        EXPECT_THAT(text, HasSubstr(part));
    EXPECT_THAT(text, Not(HasSubstr("Store"))); // 500 W before and after
}

TEST(Moved, ListsWhatIsNewAndWhatIsGone)
{
    const std::string text = moved(before, {before[0], before[1], heating("Attic", 90.0)});
    EXPECT_THAT(text, HasSubstr("(new)"));
    EXPECT_THAT(text, HasSubstr("(gone)"));
}

TEST(Moved, TellsTemperaturesByTheirDifference)
{
    const auto coldest = [](double C) {
        return std::vector<Figure>{{"room_load/Hall/coldest", C, {"coldest", "Coldest", "temperature"}}};
    };
    EXPECT_THAT(moved(coldest(18.0), coldest(19.5)), HasSubstr("+1.5 K"));
}

TEST(Moved, IsEmptyIfNothingDid) { EXPECT_EQ(moved(before, before), ""); }

TEST(Figures, OfABuildingAndItsLoadsMoveWithIt)
{
    input::Input in = testing_data::one_room();
    const building::Building first = testing_data::built(in);
    in.rooms[0].height = 3.5;
    const building::Building second = testing_data::built(in);
    const auto of = [](const building::Building& b) { return figures_of(check_document(b, {}), "room/*/volume"); };
    EXPECT_THAT(moved(of(first), of(second)), HasSubstr("volume"));
    const auto loads_of = [](const building::Building& b) {
        return figures_of(loads_document(b, loads::design_loads(b), {}), "*/*/heating");
    };
    const auto cold = loads_of(first), colder = loads_of(second);
    EXPECT_THAT(moved(cold, colder), HasSubstr("building_load/all rooms/heating"));
    EXPECT_EQ(moved(cold, cold), "");
}

} // namespace
} // namespace venture::report
