#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <small_building.hpp>
#include <venture/draw/building_page.hpp>

namespace venture::draw {
namespace {

using namespace testing_data;
using nlohmann::json;

/// What the page draws.
json data_of(const std::string& page)
{
    const std::string begins = "const data = ";
    const auto at = page.rfind(begins) + begins.size();
    return json::parse(page.substr(at, page.find(";\n", at) - at));
}

input::Input corner_house()
{
    input::Input in = shell();
    in.rooms = {room("Hall", 0, 0, 5, 4), room("Loft", 0, 0, 5, 4, "upper")};
    in.rooms[0].openings = {window("south", 2.0, 1.5)};
    return in;
}

TEST(BuildingPage, HoldsEverySurfaceOpeningAndObstruction)
{
    input::Input in = corner_house();
    input::ObstructionInput tree;
    tree.name = "tree";
    tree.at = quantity::QuantityList{1.0, -6.0};
    tree.size = quantity::QuantityList{2.0, 2.0};
    tree.top = 7.0;
    in.obstructions = {tree};
    const building::Building b = built(in);
    const json data = data_of(building_page(b));
    std::map<std::string, double> m2;
    std::map<std::string, int> count;
    for (const json& face : data["faces"]) {
        m2[face["kind"]] += face["area"].get<double>();
        ++count[face["kind"]];
    }
    EXPECT_NEAR(m2["window"], 3.0, 1e-9);
    EXPECT_NEAR(m2["outdoors"], 2.0 * 18.0 * 3.0 + 20.0 - 3.0, 1e-9);
    EXPECT_NEAR(m2["ground"], 20.0, 1e-9);
    EXPECT_NEAR(m2["room"], 20.0, 1e-9);
    EXPECT_EQ(count["obstruction"], 5);
    EXPECT_EQ(data["storeys"], json({"ground", "upper"}));
}

/// A face's corner and axes put its shape where the room is.
TEST(BuildingPage, PutsFacesWhereTheyAre)
{
    const json data = data_of(building_page(built(corner_house())));
    for (const json& face : data["faces"])
        for (const json& rings : face["shape"])
            for (const json& ring : rings)
                for (const json& p : ring) {
                    const double x = p[0], y = p[1];
                    const auto at = [&](std::size_t i) {
                        return face["corner"][i].get<double>() + x * face["along"][i].get<double>() +
                               y * face["up"][i].get<double>();
                    };
                    EXPECT_TRUE(at(0) > -1e-9 && at(0) < 5 + 1e-9 && at(1) > -1e-9 && at(1) < 4 + 1e-9 &&
                                at(2) > -1e-9 && at(2) < 6 + 1e-9)
                        << face["says"];
                }
}

TEST(BuildingPage, NeedsNoNetworkAndNoNameCanEndItsScript)
{
    input::Input in = corner_house();
    in.rooms[0].name = "</script><b>Hall";
    const std::string page = building_page(built(in));
    EXPECT_THAT(page, testing::Not(testing::HasSubstr("</script><b>Hall")));
    for (const char* from_elsewhere : {"src=\"", "href=\"", "@import"})
        EXPECT_EQ(page.find(from_elsewhere), std::string::npos) << from_elsewhere;
    EXPECT_THAT(page, testing::Not(testing::HasSubstr("@DATA@")));
}

} // namespace
} // namespace venture::draw
