/// The stepper of the heat balance against exact periodic answers (tests/reference/README.md).

#include <filesystem>

#include <gtest/gtest.h>

#include "reference_case.hpp"

namespace venture::reference {
namespace {

std::vector<std::filesystem::path> cases()
{
    std::vector<std::filesystem::path> out;
    const std::filesystem::path root = std::filesystem::path{VENTURE_SOURCE_DIR} / "tests" / "reference";
    for (const char* folder : {"periodic", "sources"})
        for (const auto& entry : std::filesystem::directory_iterator{root / folder})
            if (std::filesystem::exists(entry.path() / "CASE.json")) out.push_back(entry.path());
    std::ranges::sort(out);
    return out;
}

class PeriodicReference : public testing::TestWithParam<std::filesystem::path> {};

TEST_P(PeriodicReference, IsMetAt10MinuteSteps)
{
    const PeriodicErrors e = run_and_compare(read_periodic_case(GetParam(), 600.0));
    ASSERT_TRUE(e.day.converged);
    EXPECT_LE(e.load_share, 0.005);
    EXPECT_LE(e.temperature_K, 0.05);
    EXPECT_LE(e.flux_share, 0.005);
    EXPECT_LE(e.day.worst_closure, 1e-6);
}

TEST_P(PeriodicReference, HasItsLoadsMetAt1HourSteps)
{
    const PeriodicErrors e = run_and_compare(read_periodic_case(GetParam(), 3600.0));
    ASSERT_TRUE(e.day.converged);
    EXPECT_LE(e.load_share, 0.02);
}

TEST_P(PeriodicReference, ComesCloserWithShorterSteps)
{
    const PeriodicErrors quarter = run_and_compare(read_periodic_case(GetParam(), 900.0));
    const PeriodicErrors five_minutes = run_and_compare(read_periodic_case(GetParam(), 300.0));
    EXPECT_LT(five_minutes.temperature_K, 0.3 * quarter.temperature_K); // second order: a ninth
}

INSTANTIATE_TEST_SUITE_P(Cases, PeriodicReference, testing::ValuesIn(cases()),
                         [](const auto& tested) { return tested.param.filename().string(); });

TEST(PeriodicReferences, AreThereInFull) { EXPECT_EQ(cases().size(), 14u); }

} // namespace
} // namespace venture::reference
