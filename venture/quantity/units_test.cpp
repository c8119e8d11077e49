#include <venture/quantity/units.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/types.hpp>

namespace venture::quantity {
namespace {

double si(std::string_view text, Kind kind)
{
    const auto parsed = parse_quantity(text, kind);
    EXPECT_TRUE(std::holds_alternative<double>(parsed)) << text;
    return std::holds_alternative<double>(parsed) ? std::get<double>(parsed) : -1e9;
}

QuantityProblem refusal(std::string_view text, Kind kind)
{
    const auto parsed = parse_quantity(text, kind);
    EXPECT_TRUE(std::holds_alternative<QuantityProblem>(parsed)) << text;
    return std::holds_alternative<QuantityProblem>(parsed) ? std::get<QuantityProblem>(parsed) : QuantityProblem{};
}

struct Conversion {
    const char* text;
    Kind kind;
    double si;
};

class ParseQuantity : public testing::TestWithParam<Conversion> {};

TEST_P(ParseQuantity, ConvertsToSi)
{
    const auto& [text, kind, expected] = GetParam();
    EXPECT_NEAR(si(text, kind), expected, 1e-9 * std::max(1.0, std::abs(expected)));
}

// Expected values follow from the definitions of foot, pound and Btu(IT), worked by hand.
INSTANTIATE_TEST_SUITE_P(
    Units, ParseQuantity,
    testing::Values(Conversion{"2.4 m", Kind::length, 2.4}, Conversion{"102 mm", Kind::length, 0.102},
                    Conversion{"13 ft", Kind::length, 3.9624}, Conversion{"10in", Kind::length, 0.254},
                    Conversion{"3", Kind::length, 3.0}, Conversion{"+3 m", Kind::length, 3.0},
                    Conversion{"  7.5   m ", Kind::length, 7.5}, Conversion{"68 degF", Kind::temperature, 20.0},
                    Conversion{"-40 degF", Kind::temperature, -40.0}, Conversion{"21 degC", Kind::temperature, 21.0},
                    Conversion{"18 degF diff", Kind::temperature_difference, 10.0},
                    Conversion{"2.4 kW", Kind::power, 2400.0}, Conversion{"12000 Btu/h", Kind::power, 3516.8528420667},
                    Conversion{"1 ton", Kind::power, 3516.8528420667}, Conversion{"35 %", Kind::fraction, 0.35},
                    Conversion{"0.35", Kind::fraction, 0.35}, Conversion{"350 cfm", Kind::air_flow, 0.16518160512},
                    Conversion{"36 m3/h", Kind::air_flow, 0.01}, Conversion{"10 L/s", Kind::air_flow, 0.01},
                    Conversion{"12", Kind::air_flow, 0.012}, // bare: the plain unit is L/s
                    Conversion{"1 Btu/h.ft2.F", Kind::heat_transfer, 5.678263341113},
                    Conversion{"1 h.ft2.F/Btu", Kind::resistance, 0.17611018368},
                    Conversion{"1.2 kg/h", Kind::moisture_flow, 1.2 / 3600.0},
                    Conversion{"10 kJ/m2K", Kind::areal_capacity, 10000.0}));

TEST(ParseQuantityRefuses, AnUnknownUnitAndListsTheAllowedOnes)
{
    const auto problem = refusal("12 furlongs", Kind::length);
    EXPECT_EQ(problem.found, "the unit 'furlongs'");
    EXPECT_NE(problem.expected.find("m, cm, mm, ft, in"), std::string::npos);
}

TEST(ParseQuantityRefuses, AMisspeltUnitWithTheNearestName)
{
    EXPECT_EQ(refusal("12 mmm", Kind::length).hint, "did you mean 'mm'?");
    EXPECT_EQ(refusal("12 l/s", Kind::air_flow).hint, "did you mean 'L/s'?");
}

TEST(ParseQuantityRefuses, AUnitOfAnotherKindAndSaysWhatItMeasures)
{
    EXPECT_NE(refusal("20 K", Kind::temperature).hint.find("temperature difference"), std::string::npos);
    EXPECT_NE(refusal("20 degC", Kind::temperature_difference).hint.find("temperature, not"), std::string::npos);
    EXPECT_NE(refusal("3 kW", Kind::power_per_area).hint.find("measures power"), std::string::npos);
}

TEST(ParseQuantityRefuses, HorsepowerAsACapacityWithTheReason)
{
    EXPECT_NE(refusal("5 HP", Kind::power).hint.find("shaft power"), std::string::npos);
}

TEST(ParseQuantityRefuses, AnAmbiguousComma)
{
    EXPECT_NE(refusal("1,234 W", Kind::power).hint.find("decimal mark or thousands"), std::string::npos);
}

TEST(ParseQuantityRefuses, WhatIsNoFiniteNumber)
{
    for (const char* text : {"", " ", "m", "nan", "inf m", "1e999", "--3", "0x10 m?"})
        (void)refusal(text, Kind::length);
}

TEST(PrintQuantity, WritesThePlainUnit)
{
    EXPECT_EQ(print_quantity(0.35, Kind::fraction), "35 %");
    EXPECT_EQ(print_quantity(0.012, Kind::air_flow), "12 L/s");
    EXPECT_EQ(print_quantity(-4.0, Kind::temperature), "-4 degC");
    EXPECT_EQ(print_quantity(7.0, Kind::number), "7");
}

TEST(PrintQuantity, ReadsBackToTheSameValueForEveryKind)
{
    for (int k = 0; k <= static_cast<int>(Kind::pressure); ++k) {
        const auto kind = static_cast<Kind>(k);
        for (const double value : {0.125, 3.0, 47.5})
            EXPECT_NEAR(si(print_quantity(value, kind, 12), kind), value, 1e-9) << name_of(kind);
    }
}

TEST(Units, EveryKindHasAPlainUnitThatItReads)
{
    for (int k = 0; k <= static_cast<int>(Kind::pressure); ++k) {
        const auto kind = static_cast<Kind>(k);
        EXPECT_FALSE(name_of(kind).empty());
        EXPECT_FALSE(unit_symbols(kind).empty());
        for (const std::string& symbol : unit_symbols(kind)) (void)si("1 " + symbol, kind);
    }
}

TEST(Temperature, DifferencesAreADifferentThing)
{
    constexpr auto a = Temperature::celsius(20.0), b = Temperature::celsius(-4.0);
    static_assert((a - b).kelvin() == 24.0);
    static_assert((b + TemperatureDifference::kelvin(24.0)) == a);
    EXPECT_DOUBLE_EQ(a.kelvin(), 293.15);
}

} // namespace
} // namespace venture::quantity
