#include <venture/quantity/preferred_units.hpp>

#include <set>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::quantity {
namespace {

TEST(PreferredUnits, AreSiUnlessChosen)
{
    const PreferredUnits units;
    EXPECT_EQ(units.text(4213.4, "power"), "4213 W");
    EXPECT_EQ(units.text(4213.4, "total_power"), "4.21 kW");
    EXPECT_EQ(units.text(0.102, "thickness"), "102 mm");
    EXPECT_EQ(units.text(0.0125, "thickness"), "12.5 mm");
    EXPECT_EQ(units.text(-4.0, "temperature"), "-4.0 degC");
}

TEST(PreferredUnits, ComeAsAnInchPoundPresetAndAsAnyMix)
{
    PreferredUnits units{"inch-pound"};
    EXPECT_EQ(units.text(1000.0, "power"), "3412 Btu/h"); // 1 kW = 3412.14 Btu/h
    EXPECT_EQ(units.text(20.0, "temperature"), "68.0 degF");
    units.choose("power", "kW");
    units.choose("air_flow", "m\u00b3/h"); // any spelling
    EXPECT_EQ(units.text(1000.0, "power"), "1.00 kW");
    EXPECT_EQ(units.text(0.01, "air_flow"), "36 m3/h");
    EXPECT_EQ(units.text(20.0, "temperature"), "68.0 degF");
}

TEST(PreferredUnits, PrintNoNegativeZero) { EXPECT_EQ(PreferredUnits{}.number(-0.2, "power"), "0"); }

TEST(PreferredUnits, RefuseWhatIsNotThere)
{
    EXPECT_THROW(PreferredUnits{"cubits"}, Error);
    PreferredUnits units;
    EXPECT_THROW(units.choose("power", "degC"), Error);
    EXPECT_THROW(units.choose("beauty", "W"), Error);
    EXPECT_THROW((void)units.symbol("beauty"), Error);
}

TEST(PreferredUnits, CoverEveryKindThatHasAChoice)
{
    std::set<Kind> covered;
    std::set<std::string_view> keys;
    for (const PrintedQuantity& q : printed_quantities()) {
        covered.insert(q.kind);
        EXPECT_TRUE(keys.insert(q.key).second) << q.key;
        for (const auto& preset : unit_presets()) EXPECT_FALSE(PreferredUnits{preset}.symbol(q.key).empty());
    }
    for (const Kind kind : all_kinds()) {
        EXPECT_TRUE(unit_symbols(kind).size() < 2 || covered.contains(kind)) << name_of(kind);
    }
}

TEST(PreferredUnits, PrintAValueOfAnyKindThatReadsBackTheSame)
{
    for (const auto& preset : unit_presets()) {
        const PreferredUnits units{preset};
        for (const Kind kind : all_kinds())
            for (const double value : {0.125, 3.0, 47.5}) {
                const auto read = parse_quantity(units.text(value, kind, 17), kind);
                ASSERT_TRUE(std::holds_alternative<double>(read)) << units.text(value, kind, 17);
                EXPECT_NEAR(std::get<double>(read), value, 1e-13 * 100.0) << name_of(kind);
            }
    }
}

} // namespace
} // namespace venture::quantity
