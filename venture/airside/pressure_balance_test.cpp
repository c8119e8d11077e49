#include <venture/airside/pressure_balance.hpp>

#include <random>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::airside {
namespace {

TEST(PressureBalance, WhatEntersLeaves)
{
    std::mt19937 random{5};
    std::uniform_real_distribution<double> flow{0.0, 0.3};
    std::vector<RoomAir> rooms(6);
    for (RoomAir& r : rooms) r = {flow(random), flow(random), Crack{flow(random) + 0.01, 0.65}};
    std::vector<TransferOfAir> transfers;
    for (std::size_t i = 0; i < 5; ++i) transfers.push_back({i, i + 1, flow(random)});
    const auto balances = balance_of(rooms, transfers);
    double in = 0.0, out = 0.0;
    for (std::size_t i = 0; i < 6; ++i) {
        const RoomBalance& b = balances[i];
        const double enters = rooms[i].supply_m3_per_s + b.transfer_in_m3_per_s + b.infiltration_m3_per_s,
                     leaves = rooms[i].extract_m3_per_s + b.transfer_out_m3_per_s + b.exfiltration_m3_per_s;
        EXPECT_NEAR(enters, leaves, 1e-12);
        EXPECT_EQ(*b.over_outdoors_Pa > 0.0, b.exfiltration_m3_per_s > 0.0);
        in += rooms[i].supply_m3_per_s + b.infiltration_m3_per_s;
        out += rooms[i].extract_m3_per_s + b.exfiltration_m3_per_s;
    }
    EXPECT_NEAR(in, out, 1e-12);
}

TEST(PressureNetwork, IsInBalanceWhateverTheExponents)
{
    std::mt19937 random{9};
    std::uniform_real_distribution<double> share{0.0, 1.0};
    for (int trial = 0; trial < 50; ++trial) {
        std::vector<RoomAir> rooms(8);
        for (RoomAir& r : rooms)
            r = {0.2 * share(random), 0.2 * share(random),
                 Crack{1e-3 + 0.02 * share(random), 0.5 + 0.5 * share(random)}};
        std::vector<TransferOpening> doors;
        for (std::size_t i = 0; i < 8; ++i)
            doors.push_back({i, (i + 3) % 8, {0.01 + 0.1 * share(random), 0.5 + 0.2 * share(random)}});
        const NetworkBalance got = balance_of(rooms, doors);
        ASSERT_TRUE(got.settled) << trial;
        for (std::size_t i = 0; i < 8; ++i) {
            const Crack& crack = *rooms[i].leakage;
            const double p = *got.rooms[i].over_outdoors_Pa,
                         leaks = std::copysign(crack.coefficient_m3_per_s * std::pow(std::abs(p), crack.exponent), p);
            EXPECT_NEAR(got.rooms[i].surplus_m3_per_s, leaks, 1e-11);
        }
    }
}

TEST(PressureNetwork, ARoomThatLeaksThroughItsNeighbourStandsAtItsPressure)
{
    const std::vector<RoomAir> rooms{{0.0, 0.0, Crack{0.01, 0.65}}, {0.0, 0.0, std::nullopt}};
    const std::vector<TransferOpening> door{{0, 1, {0.1, 0.5}}};
    const NetworkBalance got = balance_of(rooms, door);
    EXPECT_NEAR(*got.rooms[1].over_outdoors_Pa, *got.rooms[0].over_outdoors_Pa, 1e-6);
    EXPECT_THROW((void)balance_of(rooms, std::span<const TransferOpening>{}), quantity::Error);
}

TEST(PressureBalance, RefusesWhatCannotBe)
{
    const std::vector<RoomAir> rooms{{-0.1, 0.0, std::nullopt}};
    EXPECT_THROW((void)balance_of(rooms, std::span<const TransferOfAir>{}), quantity::RangeError);
    const std::vector<RoomAir> one{{0.1, 0.1, std::nullopt}};
    const std::vector<TransferOfAir> nowhere{{0, 3, 0.1}};
    EXPECT_THROW((void)balance_of(one, nowhere), quantity::RangeError);
}

} // namespace
} // namespace venture::airside
