#include <venture/air/state_pair.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::air {
namespace {

constexpr Fact facts[] = {Fact::dry_bulb,          Fact::wet_bulb,       Fact::dew_point,
                          Fact::relative_humidity, Fact::humidity_ratio, Fact::enthalpy};

bool fixes_no_state(Fact a, Fact b)
{
    return a == b || (a == Fact::dew_point && b == Fact::humidity_ratio) ||
           (a == Fact::wet_bulb && b == Fact::enthalpy);
}

double of(const MoistAir& air, Fact fact)
{
    switch (fact) {
    case Fact::dry_bulb:
        return air.dry_bulb().celsius();
    case Fact::wet_bulb:
        return wet_bulb(air).celsius();
    case Fact::dew_point:
        return dew_point(air).celsius();
    case Fact::relative_humidity:
        return relative_humidity(air);
    case Fact::humidity_ratio:
        return air.humidity_ratio();
    case Fact::enthalpy:
        return enthalpy_J_per_kg(air);
    }
    return 0.0;
}

TEST(StateFrom, AnyTwoFactsLeadsBackToTheState)
{
    for (const double height_m : {0.0, 2500.0})
        for (double t_C = -35.0; t_C <= 60.0; t_C += 5.0)
            for (const double phi : {0.02, 0.1, 0.35, 0.6, 0.9, 1.0}) {
                const auto p = standard_pressure(height_m);
                const auto air = MoistAir::from_relative_humidity(Temperature::celsius(t_C), phi, p);
                const bool in_the_gap = std::abs(of(air, Fact::wet_bulb)) < 0.35;
                for (std::size_t a = 0; a < std::size(facts); ++a)
                    for (std::size_t b = a + 1; b < std::size(facts); ++b) {
                        if (fixes_no_state(facts[a], facts[b])) continue;
                        if (in_the_gap && (facts[a] == Fact::wet_bulb || facts[b] == Fact::wet_bulb)) continue;
                        const auto again = state_from({facts[a], of(air, facts[a])}, {facts[b], of(air, facts[b])}, p);
                        const auto words = testing::Message() << name_of(facts[a]) << ", " << name_of(facts[b])
                                                              << " at " << t_C << " degC, " << phi;
                        EXPECT_NEAR(again.dry_bulb().celsius(), t_C, 0.01) << words;
                        EXPECT_NEAR(relative_humidity(again), phi, 0.001) << words;
                    }
            }
}

TEST(StateFrom, TakesItsFactsInAnyOrder)
{
    const auto p = Pressure::pascal(101325.0);
    EXPECT_EQ(state_from({Fact::dry_bulb, 25.0}, {Fact::dew_point, 12.0}, p),
              state_from({Fact::dew_point, 12.0}, {Fact::dry_bulb, 25.0}, p));
}

TEST(StateFrom, RefusesPairsThatFixNothingWithTheReason)
{
    const auto p = Pressure::pascal(101325.0);
    for (const Fact a : facts)
        for (const Fact b : facts) {
            if (!fixes_no_state(a, b) && !fixes_no_state(b, a)) continue;
            EXPECT_THROW((void)state_from({a, 0.5}, {b, 0.5}, p), quantity::Error) << name_of(a) << ", " << name_of(b);
        }
    try {
        (void)state_from({Fact::humidity_ratio, 0.008}, {Fact::dew_point, 10.0}, p);
        FAIL();
    } catch (const quantity::Error& wrong) {
        EXPECT_THAT(wrong.what(), testing::HasSubstr("one fact"));
    }
}

TEST(StateFrom, RefusesContradictionsWithTheValueAndItsBounds)
{
    const auto p = Pressure::pascal(101325.0);
    const KnownFact at_20{Fact::dry_bulb, 20.0};
    for (const KnownFact wrong :
         {KnownFact{Fact::dew_point, 21.0}, KnownFact{Fact::wet_bulb, 20.5}, KnownFact{Fact::wet_bulb, 3.0},
          KnownFact{Fact::relative_humidity, 1.1}, KnownFact{Fact::humidity_ratio, 0.02},
          KnownFact{Fact::enthalpy, 80e3}, KnownFact{Fact::enthalpy, 10e3}})
        EXPECT_THROW((void)state_from(at_20, wrong, p), quantity::RangeError) << name_of(wrong.fact) << wrong.value;
    EXPECT_THROW((void)state_from({Fact::wet_bulb, 15.0}, {Fact::dew_point, 16.0}, p), quantity::RangeError);
    EXPECT_THROW((void)state_from({Fact::wet_bulb, 15.0}, {Fact::relative_humidity, 1.5}, p), quantity::RangeError);
    EXPECT_THROW((void)state_from({Fact::relative_humidity, 0.0}, {Fact::enthalpy, 50e3}, p), quantity::RangeError);
    EXPECT_THROW((void)state_from({Fact::humidity_ratio, 0.02}, {Fact::enthalpy, 30e3}, p), quantity::RangeError);
    EXPECT_THROW((void)state_from({Fact::relative_humidity, 0.5}, {Fact::enthalpy, 1e9}, p), quantity::RangeError);
}

} // namespace
} // namespace venture::air
