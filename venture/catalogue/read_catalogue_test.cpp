#include <venture/catalogue/read_catalogue.hpp>

#include <algorithm>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/input/services.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/quantity/error.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::catalogue {
namespace {

using rating::At;

Catalogue read(const std::string& text)
{
    Catalogue c;
    read_catalogue_text(text, "c.toml", c);
    return c;
}

const rating::Kind& kind_called(std::string_view key)
{
    return **std::ranges::find(all_kinds(), key, [](const rating::Kind* k) { return k->key; });
}

TEST(Kinds, AreThoseOfTheirLists)
{
    const auto words_of = [](std::span<const rating::Kind* const> kinds) {
        std::vector<std::string_view> out;
        for (const rating::Kind* kind : kinds) out.push_back(kind->words);
        return out;
    };
    EXPECT_THAT(words_of(terminal::unit_kinds()), testing::ElementsAreArray(quantity::WordsOf<input::UnitKind>::words));
    EXPECT_THAT(words_of(plant::plant_kinds()), testing::ElementsAreArray(quantity::WordsOf<input::PlantKind>::words));
    for (const rating::Kind* kind : all_kinds()) {
        EXPECT_FALSE(kind->gives.empty()) << kind->words;
        EXPECT_EQ(kind->shelf()->records().table().name, kind->key);
        std::string with_blanks{kind->key};
        std::ranges::replace(with_blanks, '_', ' ');
        EXPECT_EQ(with_blanks, kind->words);
    }
}

TEST(ShippedCatalogue, IsReadWithoutAComplaint)
{
    const auto c = shipped_catalogue();
    for (const auto& p : c->problems) ADD_FAILURE() << p.message;
    for (const auto& [key, least] : {std::pair{"radiator", 40u}, {"fan_coil", 6u}, {"boiler", 10u}, {"chiller", 8u}})
        EXPECT_GE(c->stocks.products(kind_called(key)).size(), least) << key;
}

TEST(ShippedCatalogue, FallsWithWarmerWaterAndKeepsSensibleWithinTotal)
{
    for (const auto& f : shipped_catalogue()->stocks.products(kind_called("fan_coil")))
        for (const double wet_bulb_C : {12.0, 16.0, 19.0, 22.0}) {
            const auto with = [&](double supply_C) {
                return std::get<rating::Output>(f->rate(rating::Conditions{}
                                                            .set(At::water_supply, supply_C)
                                                            .set(At::water_return, supply_C + 5.0)
                                                            .set(At::entering_dry_bulb, 25.0)
                                                            .set(At::entering_wet_bulb, wet_bulb_C)));
            };
            const auto cooling = rating::Service::cooling;
            EXPECT_LE(with(7.0).sensible_W, with(7.0).gives_W[cooling] + 1e-9) << f->name();
            EXPECT_GT(with(6.0).gives_W[cooling], with(12.0).gives_W[cooling]) << f->name();
        }
}

TEST(ReadCatalogue, TellsWhatAProductLacksAndKeepsTheOthers)
{
    const Catalogue c =
        read("[[boiler]]\nname=\"A\"\noutput=\"10 kW\"\n[[boiler]]\nname=\"B\"\noutput=\"12 kW\"\nhighest_supply=80\n");
    ASSERT_EQ(c.problems.size(), 1u);
    EXPECT_THAT(c.problems[0].message, testing::HasSubstr("'A' has no readable 'highest_supply'"));
    const auto boilers = c.stocks.products(kind_called("boiler"));
    ASSERT_EQ(boilers.size(), 1u);
    EXPECT_EQ(boilers[0]->name(), "B");
    EXPECT_THAT(boilers[0]->from(), testing::HasSubstr("c.toml:5"));
}

TEST(ReadCatalogue, TellsATableOfTheWrongShape)
{
    const Catalogue c =
        read("[[chiller]]\nname=\"A\"\noutdoor=[20,30]\n[[chiller.at_water]]\nsupply=7\ncapacity=[5000]\n");
    ASSERT_EQ(c.problems.size(), 1u);
    EXPECT_THAT(c.problems[0].message, testing::HasSubstr("'A': the table needs 2 values"));
}

TEST(ReadCatalogue, TellsOneProductTwice)
{
    const std::string one = "[[boiler]]\nname=\"A\"\noutput=\"10 kW\"\nhighest_supply=80\n";
    const Catalogue c = read(one + one);
    ASSERT_EQ(c.problems.size(), 1u);
    EXPECT_THAT(c.problems[0].message, testing::HasSubstr("a second boiler is called 'A'"));
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
