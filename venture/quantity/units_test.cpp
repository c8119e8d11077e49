#include <venture/quantity/units.hpp>

#include <regex>
#include <set>

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
    EXPECT_EQ(refusal("12 Cfm", Kind::air_flow).hint, "did you mean 'cfm'?");
}

TEST(ParseQuantityRefuses, AUnitOfAnotherKindAndSaysWhatItMeasures)
{
    EXPECT_NE(refusal("R-19", Kind::heat_transfer).hint.find("layers = [\"R-19 mineral wool\"]"), std::string::npos);
    EXPECT_NE(refusal("RSI 4", Kind::power).hint.find("not power"), std::string::npos);
    EXPECT_TRUE(refusal("Rover", Kind::power).hint.empty());
    EXPECT_NE(refusal("20 K", Kind::temperature).hint.find("differences"), std::string::npos);
    EXPECT_NE(refusal("20 degC", Kind::temperature_difference).hint.find("difference in K"), std::string::npos);
    EXPECT_NE(refusal("20 kPa", Kind::temperature).hint.find("measures pressure"), std::string::npos);
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

TEST(Units, LoseNothingBetweenAnyTwoOfAKindAndBack)
{
    for (const Kind kind : all_kinds())
        for (const std::string& from : unit_symbols(kind))
            for (const std::string& to : unit_symbols(kind))
                for (const double typed : {-40.0, 1e-3, 0.7, 21.0, 4321.0, 1e6}) {
                    const double there = from_si(std::get<double>(to_si(typed, from, kind)), to, kind);
                    const double back = from_si(std::get<double>(to_si(there, to, kind)), from, kind);
                    EXPECT_NEAR(back, typed, 1e-13 * (std::abs(typed) + 600.0)) << from << " " << to;
                }
}

TEST(Units, EveryKindHasANameAndAPlainUnitThatItReads)
{
    std::set<std::string_view> names;
    for (const Kind kind : all_kinds()) {
        EXPECT_TRUE(names.insert(name_of(kind)).second);
        ASSERT_FALSE(unit_symbols(kind).empty());
        for (const std::string& symbol : unit_symbols(kind)) (void)si("1 " + symbol, kind);
    }
}

TEST(Units, AreReadInOtherSpellings)
{
    EXPECT_DOUBLE_EQ(si("0.35 W/(m\u00b2\u00b7K)", Kind::heat_transfer), 0.35);
    EXPECT_DOUBLE_EQ(si("21 \u00b0C", Kind::temperature), 21.0);
    EXPECT_NEAR(si("68\u00b0F", Kind::temperature), 20.0, 1e-12);
    EXPECT_DOUBLE_EQ(si("12 l/s", Kind::air_flow), 0.012);
    EXPECT_NEAR(si("2 tons", Kind::power), 7033.7056841334, 1e-6);
    EXPECT_DOUBLE_EQ(si("10 ft\u00b2", Kind::area), 0.9290304);
}

TEST(Units, OfTheTradesOtherQuantities)
{
    EXPECT_NEAR(si("8 gr/lb", Kind::humidity_ratio), 8.0 / 7000.0, 1e-15);
    EXPECT_NEAR(si("45 psi", Kind::pressure), 310264.078, 1e-3); // 1 psi = 6894.75729 Pa
    EXPECT_NEAR(si("1 in wg", Kind::pressure), 249.08891, 1e-5);
    EXPECT_NEAR(si("1 US gpm", Kind::water_flow), 6.30902e-5, 1e-10);
    EXPECT_NEAR(si("1 imp gpm", Kind::water_flow), 7.57682e-5, 1e-10);
    EXPECT_NEAR(si("1 Btu.in/h.ft2.F", Kind::conductivity), 0.144228, 1e-6);
    EXPECT_NEAR(si("36 mW/mK", Kind::conductivity), 0.036, 1e-12);
    EXPECT_NEAR(si("1 Btu/lb.F", Kind::specific_heat), 4186.8, 1e-6);
}

TEST(ParseQuantityRefuses, WhatCouldMeanTwoThings)
{
    EXPECT_NE(refusal("20 gpm", Kind::water_flow).hint.find("US gpm or imp gpm"), std::string::npos);
    EXPECT_NE(refusal("3 MBtu/h", Kind::power).hint.find("kBtu/h"), std::string::npos);
    EXPECT_NE(refusal("35 dB", Kind::sound_pressure).hint.find("dB LwA"), std::string::npos);
    EXPECT_NE(refusal("18 degF", Kind::temperature_difference).hint.find("degF diff"), std::string::npos);
}

TEST(ParseQuantityRefuses, ConversionsThatNeedMoreThanANumber)
{
    EXPECT_NE(refusal("350 scfm", Kind::air_flow).hint.find("mass of air"), std::string::npos);
    EXPECT_NE(refusal("350 cfm", Kind::standard_air_flow).hint.find("mass of air"), std::string::npos);
    EXPECT_NE(refusal("35 NC", Kind::noise_rating).hint.find("spectrum"), std::string::npos);
    EXPECT_NE(refusal("35 dB LwA", Kind::sound_pressure).hint.find("spectrum"), std::string::npos);
}

TEST(ParseQuantity, ReadsFeetAndInchesTogether)
{
    const auto metres = [](std::string_view text) { return std::get<double>(parse_quantity(text, Kind::length)); };
    for (const char* text : {"4 ft 6 in", "4' 6\"", "4'-6\"", "4ft6in", " 4 feet 6 inches ", "4 ft 5 2/2 in"})
        EXPECT_NEAR(metres(text), 1.3716, 1e-12) << text;
    EXPECT_NEAR(metres("4'-6 1/2\""), 1.3843, 1e-12);
    EXPECT_NEAR(metres("-2 ft 3 in"), -0.6858, 1e-12);
    for (const char* text : {"3 1/2 in", "3-1/2\"", "3 1/2\"", "7/2 in"})
        EXPECT_NEAR(metres(text), 0.0889, 1e-12) << text;
    EXPECT_NEAR(metres("1/2 in"), 0.0127, 1e-12);
    EXPECT_NEAR(metres("0' 1/2\""), 0.0127, 1e-12);
    EXPECT_NEAR(metres("9 ft"), 2.7432, 1e-12);
    for (const char* text : {"4 ft 13 in", "4 ft 6", "4 ft 6 in 2", "4 ft -6 mm", "4 in 6 ft", "4 ft 6 1/0 in"})
        EXPECT_FALSE(std::holds_alternative<double>(parse_quantity(text, Kind::length))) << text;
}

TEST(ParseQuantity, ReadsRValues)
{
    const auto si = [](std::string_view text) { return std::get<double>(parse_quantity(text, Kind::resistance)); };
    for (const char* text : {"R-38", "R 38", "R38"}) {
        EXPECT_NEAR(si(text), 6.6922, 1e-4) << text; // 38 h.ft2.F/Btu
        EXPECT_NEAR(si(text), si("38 h.ft2.F/Btu"), 1e-9) << text;
    }
    EXPECT_DOUBLE_EQ(si("RSI 6.7"), 6.7);
    EXPECT_DOUBLE_EQ(si("RSI-6.7"), 6.7);
    for (const char* text : {"R", "R-", "R-38 m2K/W", "RSI", "r-38"})
        EXPECT_FALSE(std::holds_alternative<double>(parse_quantity(text, Kind::resistance))) << text;
}

TEST(QuantityPattern, AcceptsWhatIsReadAndNothingElse)
{
    for (const Kind kind : all_kinds()) {
        const std::regex pattern{quantity_pattern(kind)};
        for (const Kind other : all_kinds())
            for (const std::string& symbol : unit_symbols(other))
                for (const std::string& text :
                     {"1.5 " + symbol, "-2" + symbol, " +3e2  " + symbol + " ", symbol, "4 ft 6 " + symbol,
                      "4'-6 1/2" + symbol, "R-" + symbol, std::string{"R-38"}, std::string{"RSI 6.7"}}) {
                    const bool read = std::holds_alternative<double>(parse_quantity(text, kind));
                    EXPECT_EQ(std::regex_match(text, pattern), read) << name_of(kind) << ": " << text;
                }
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
