#include <venture/catalogue/read_catalogue.hpp>

#include <algorithm>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/quantity/error.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::catalogue {
namespace {

using rating::At;
using rating::Service;
using testing::HasSubstr;

/// What came of one file.
struct Read {
    rating::Stocks stocks{};
    quantity::Problems problems{};
    quantity::OriginPool origins{};
    [[nodiscard]] std::string told() const { return problems.empty() ? "nothing" : problems.all().at(0).message; }
    [[nodiscard]] std::string hint() const { return problems.empty() ? "nothing" : problems.all().at(0).hint; }
};

Read read(const std::string& text)
{
    Read r;
    read_products(text, "c.toml", r.origins, r.problems, r.stocks);
    return r;
}

Read sheet(const std::string& text, const char* kind, const std::vector<std::array<std::string, 3>>& columns = {})
{
    input::CatalogueInput how;
    how.file = std::string{"sheet.csv"};
    how.kind = std::string{kind};
    for (const auto& [holds, column, unit] : columns) {
        input::CatalogueColumnInput& c = how.columns.emplace_back();
        c.holds = holds;
        c.column = column;
        if (!unit.empty()) c.unit = unit;
    }
    Read r;
    read_sheet(text, how, r.origins, r.problems, r.stocks);
    return r;
}

const rating::Kind& kind_called(std::string_view key)
{
    return **std::ranges::find(all_kinds(), key, [](const rating::Kind* k) { return k->key; });
}

rating::Conditions air_and_water(double supply_C, double dry_bulb_C, double wet_bulb_C)
{
    return rating::Conditions{}
        .set(At::water_supply, supply_C)
        .set(At::water_return, supply_C + 5.0)
        .set(At::entering_dry_bulb, dry_bulb_C)
        .set(At::entering_wet_bulb, wet_bulb_C);
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
    EXPECT_THAT(words_of(all_kinds()), testing::ElementsAreArray(quantity::WordsOf<input::ProductKind>::words));
    for (const rating::Kind* kind : all_kinds()) {
        EXPECT_EQ(kind->shelf()->records().table().name, kind->key);
        std::string with_blanks{kind->key};
        std::ranges::replace(with_blanks, '_', ' ');
        EXPECT_EQ(with_blanks, kind->words);
    }
}

TEST(ShippedProducts, AreReadWithoutAComplaintAndInvented)
{
    for (const auto& [key, least] : {std::pair{"radiator", 40u}, {"fan_coil", 6u}, {"boiler", 10u}, {"chiller", 8u}}) {
        EXPECT_GE(shipped_products()->products(kind_called(key)).size(), least) << key;
        EXPECT_TRUE(shipped_products()->are_invented(kind_called(key)));
    }
}

TEST(ShippedProducts, CoolLessWithWarmerWaterAndKeepSensibleWithinTotal)
{
    for (const auto& f : shipped_products()->products(kind_called("fan_coil")))
        for (const double wet_bulb_C : {12.0, 16.0, 19.0, 22.0}) {
            const auto with = [&](double supply_C) {
                return std::get<rating::Output>(f->rate(air_and_water(supply_C, 25.0, wet_bulb_C)));
            };
            EXPECT_LE(with(7.0).sensible_W, with(7.0).gives_W[Service::cooling] + 1e-9) << f->name();
            EXPECT_GT(with(6.0).gives_W[Service::cooling], with(12.0).gives_W[Service::cooling]) << f->name();
        }
}

TEST(ReadProducts, TellsWhatAProductLacksAndKeepsTheOthers)
{
    const Read r =
        read("[[boiler]]\nname=\"A\"\noutput=\"10 kW\"\n[[boiler]]\nname=\"B\"\noutput=\"12 kW\"\nhighest_supply=80\n");
    ASSERT_EQ(r.problems.size(), 1u);
    EXPECT_THAT(r.told(), HasSubstr("'A' has no readable 'highest_supply'"));
    const auto boilers = r.stocks.products(kind_called("boiler"));
    ASSERT_EQ(boilers.size(), 1u);
    EXPECT_EQ(boilers[0]->name(), "B");
    EXPECT_THAT(boilers[0]->from(), HasSubstr("c.toml:5"));
}

TEST(ReadProducts, TellsATableOfTheWrongShape)
{
    EXPECT_THAT(
        read("[[chiller]]\nname=\"A\"\noutdoor=[20,30]\n[[chiller.at_water]]\nsupply=7\ncapacity=[5000]\n").told(),
        HasSubstr("'A': the table needs 2 values"));
}

TEST(ReadProducts, TellsOneProductTwiceAndWhereTheFirstStands)
{
    const std::string one = "[[boiler]]\nname=\"A\"\noutput=\"10 kW\"\nhighest_supply=80\n";
    const Read r = read(one + one);
    EXPECT_THAT(r.told(), HasSubstr("a second boiler is called 'A'"));
    EXPECT_THAT(r.hint(), HasSubstr("c.toml:2"));
}

TEST(ReadProducts, TellsUnknownTables) { EXPECT_THAT(read("[[radiater]]\n").hint(), HasSubstr("'radiator'")); }

constexpr const char* points = "Modell;Luft;EDB;EWT;EWB;Gesamt;Sensibel;dT;Bemerkung\n"
                               "Heron 20;340;27;7;15;1,38;1,38;5;alt\nHeron 20;340;27;7;17;1,43;1,40;5;alt\n"
                               "Heron 20;340;27;7;19;1,75;1,30;5;alt\nHeron 20;340;27;7;21;2,15;1,20;5;alt\n"
                               "Heron 20;340;27;9;15;1,22;1,22;5;alt\nHeron 20;340;27;9;17;1,24;1,22;5;alt\n"
                               "Heron 20;340;27;9;19;1,47;1,17;5;alt\nHeron 20;340;27;9;21;1,87;1,07;5;alt\n"
                               "Heron 9;150;27;7;19;0,78;0,58;5;alt\n";
const std::vector<std::array<std::string, 3>> described = {
    {"name", "Modell", ""},         {"air_flow", "Luft", "m3/h"},     {"entering_dry_bulb", "EDB", ""},
    {"supply", "EWT", ""},          {"entering_wet_bulb", "EWB", ""}, {"total", "Gesamt", "kW"},
    {"sensible", "Sensibel", "kW"}, {"water_rise", "dT", ""}};

TEST(ReadSheet, MakesTablesOfPointsAndOnePointOfALineAlone)
{
    const Read r = sheet(points, "fan coil", described);
    for (const auto& p : r.problems)
        if (p.severity == quantity::Severity::error) ADD_FAILURE() << p.message;
    const auto units = r.stocks.products(kind_called("fan_coil"));
    ASSERT_EQ(units.size(), 2u);
    EXPECT_FALSE(r.stocks.are_invented(kind_called("fan_coil")));
    const auto at_a_point = std::get<rating::Output>(units[0]->rate(air_and_water(9.0, 27.0, 19.0)));
    EXPECT_NEAR(at_a_point.gives_W[Service::cooling], 1470.0, 1e-6);
    EXPECT_NEAR(at_a_point.sensible_W, 1170.0, 1e-6);
    EXPECT_EQ(units[1]->name(), "Heron 9");
    EXPECT_NEAR(std::get<rating::Output>(units[1]->rate(air_and_water(7.0, 27.0, 19.0))).gives_W[Service::cooling],
                780.0, 1.0);
}

TEST(ReadSheet, TakesColumnsCalledByTheKeys)
{
    const Read r = sheet("name,output [kW],highest_supply\nA,10,80\nB,14.5,75\n", "boiler");
    ASSERT_TRUE(r.problems.empty()) << r.told();
    ASSERT_EQ(r.stocks.products(kind_called("boiler")).size(), 2u);
}

TEST(ReadSheet, MakesAChillerOfItsPoints)
{
    const Read r =
        sheet("name,supply,outdoor_dry_bulb,capacity [kW]\nC,7,30,12\nC,7,40,10\nC,9,30,13\nC,9,40,11\n", "chiller");
    ASSERT_TRUE(r.problems.empty()) << r.told();
    const auto& chiller = *r.stocks.products(kind_called("chiller")).front();
    const auto out = std::get<rating::Output>(
        chiller.rate(rating::Conditions{}.set(At::water_supply, 8.0).set(At::outdoor_dry_bulb, 35.0)));
    EXPECT_NEAR(out.gives_W[Service::cooling], 11500.0, 1e-6);
}

std::string replaced(std::string text, const std::string& what, const std::string& by)
{
    text.replace(text.find(what), what.size(), by);
    return text;
}

/// A sheet with one thing wrong, and what is told of it.
struct Broken {
    std::string what{}, text{};
    std::vector<std::array<std::string, 3>> columns = described;
    std::string told{};
};

class BrokenSheets : public testing::TestWithParam<Broken> {};

TEST_P(BrokenSheets, AreTold)
{
    const Read r = sheet(GetParam().text, "fan coil", GetParam().columns);
    const bool told = std::ranges::any_of(r.problems, [](const auto& p) {
        return (p.message + "; " + p.hint).find(GetParam().told) != std::string::npos;
    });
    EXPECT_TRUE(told) << GetParam().what << ": " << r.told();
}

std::vector<std::array<std::string, 3>> without_unit_of(const char* holds, const char* instead = "")
{
    auto out = described;
    std::ranges::find(out, holds, [](const auto& c) { return c[0]; })->at(2) = instead;
    return out;
}

INSTANTIATE_TEST_SUITE_P(
    Of, BrokenSheets,
    testing::Values(
        Broken{"sensible above total", replaced(points, "1,75;1,30", "1,75;1,80"), described, "were they swapped?"},
        Broken{"swapped columns", replaced(points, "Gesamt;Sensibel", "Sensibel;Gesamt"), described,
               "were they swapped?"},
        Broken{"rises with warmer water", replaced(points, "9;21;1,87", "9;21;2,87"), described,
               "total capacity rises from 2150 W with water at 7 degC to 2870 W at 9 degC"},
        Broken{"falls with the wet bulb", replaced(points, "7;19;1,75;1,30", "7;19;1,40;1,30"), described,
               "total capacity falls from 1430 W"},
        Broken{"a gap", replaced(points, "Heron 20;340;27;9;17;1,24;1,22;5;alt\n", ""), described,
               "nothing for water at 9 degC with a wet bulb of 17 degC"},
        Broken{"watts for kilowatts", points, without_unit_of("total"), "which units are its numbers in?"},
        Broken{"cubic metres a second for those an hour", points, without_unit_of("air_flow", "m3/s"), "air_flow"},
        Broken{"air colder than the water", replaced(points, "Heron 9;150", "Heron 9;75"), described,
               "colder than the water"},
        Broken{"more latent than the coil can take", replaced(points, "0,78;0,58", "0,78;0,20"), described,
               "more latent than a coil can take"},
        Broken{"a column that is not there", points,
               [] {
                   auto c = described;
                   c[5][1] = "Gesammt";
                   return c;
               }(),
               "did you mean 'Gesamt'?"},
        Broken{"a key that is none", points,
               [] {
                   auto c = described;
                   c[5][0] = "capacity";
                   return c;
               }(),
               "unknown column 'capacity'"},
        Broken{"nothing", "", described, "empty"}));

TEST(ShippedFile, SaysWhenThereIsNone)
{
    EXPECT_THROW((void)shipped_file("demo/nothing.toml"), quantity::Error);
    EXPECT_THAT(std::string{shipped_file("demo/project.toml")}, HasSubstr("Kestrel Point"));
}

} // namespace
} // namespace venture::catalogue
