#include <venture/catalogue/read_catalogue.hpp>

#include <set>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/quantity/error.hpp>

namespace venture::catalogue {
namespace {

Catalogue read(const std::string& text)
{
    Catalogue c;
    read_catalogue_text(text, "c.toml", c);
    return c;
}

TEST(ShippedCatalogue, IsReadWithoutAComplaint)
{
    const Catalogue& c = shipped_catalogue();
    for (const auto& p : c.problems) ADD_FAILURE() << p.message;
    EXPECT_GE(c.units.radiators.size(), 40u);
    EXPECT_GE(c.units.fan_coils.size(), 6u);
    EXPECT_GE(c.plants.boilers.size(), 10u);
    EXPECT_GE(c.plants.chillers.size(), 8u);
}

TEST(ShippedCatalogue, NamesEachProductOnce)
{
    std::set<std::string> names;
    for (const auto& r : shipped_catalogue().units.radiators) EXPECT_TRUE(names.insert(r.name).second) << r.name;
    for (const auto& f : shipped_catalogue().units.fan_coils) EXPECT_TRUE(names.insert(f.name).second) << f.name;
}

TEST(ShippedCatalogue, KeepsSensibleWithinTotalAndFallsWithWarmerWater)
{
    for (const auto& f : shipped_catalogue().units.fan_coils)
        for (const double wet_bulb : {9.0, 14.0, 19.0, 23.0}) {
            EXPECT_LE(f.sensible_W.at(7.0, wet_bulb), f.total_W.at(7.0, wet_bulb)) << f.name;
            EXPECT_GT(f.total_W.at(6.0, wet_bulb), f.total_W.at(12.0, wet_bulb)) << f.name;
        }
    for (const auto& c : shipped_catalogue().plants.chillers)
        EXPECT_GT(c.capacity_W.at(7.0, 20.0), c.capacity_W.at(7.0, 40.0)) << c.name;
}

TEST(ReadCatalogue, TellsWhatAProductLacksAndKeepsTheOthers)
{
    const Catalogue c =
        read("[[boiler]]\nname=\"A\"\noutput=\"10 kW\"\n[[boiler]]\nname=\"B\"\noutput=\"12 kW\"\nhighest_supply=80\n");
    ASSERT_EQ(c.problems.size(), 1u);
    EXPECT_THAT(c.problems[0].message, testing::HasSubstr("'A' has no readable 'highest_supply'"));
    ASSERT_EQ(c.plants.boilers.size(), 1u);
    EXPECT_EQ(c.plants.boilers[0].name, "B");
}

TEST(ReadCatalogue, TellsATableOfTheWrongShape)
{
    const Catalogue c =
        read("[[chiller]]\nname=\"A\"\noutdoor=[20,30]\n[[chiller.at_water]]\nsupply=7\ncapacity=[5000]\n");
    ASSERT_EQ(c.problems.size(), 1u);
    EXPECT_THAT(c.problems[0].message, testing::HasSubstr("one value for each pair"));
}

TEST(ReadCatalogue, TellsUnknownTables)
{
    EXPECT_THAT(read("[[radiater]]\n").problems.all().at(0).hint, testing::HasSubstr("'radiator'"));
}

TEST(ShippedFile, SaysWhenThereIsNone)
{
    EXPECT_THROW((void)shipped_file("demo/nothing.toml"), quantity::Error);
    EXPECT_THAT(std::string{shipped_file("demo/project.toml")}, testing::HasSubstr("Kestrel Point"));
}

} // namespace
} // namespace venture::catalogue
