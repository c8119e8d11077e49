/// Rating takes no memory: choosing asks thousands of products.

#include <cstdlib>
#include <new>

#include <gtest/gtest.h>

#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/grid_table.hpp>

namespace {

std::size_t allocations = 0;

} // namespace

// Of the whole test program; counted only where a test looks.
void* operator new(std::size_t size)
{
    ++allocations;
    if (void* memory = std::malloc(size)) return memory;
    throw std::bad_alloc{};
}
void operator delete(void* memory) noexcept { std::free(memory); }
void operator delete(void* memory, std::size_t) noexcept { std::free(memory); }

namespace venture::rating {
namespace {

template <class Work>
std::size_t allocated_by(const Work& work)
{
    const std::size_t before = allocations;
    work();
    return allocations - before;
}

TEST(Rating, TakesNoMemoryToReadATable)
{
    std::vector<double> values(3 * 4 * 5);
    for (std::size_t i = 0; i < values.size(); ++i) values[i] = static_cast<double>(i);
    const GridTable table{{{At::water_supply, {5, 7, 9}},
                           {At::air_flow, {0.1, 0.2, 0.4, 0.8}},
                           {At::entering_wet_bulb, {11, 14, 17, 20, 23}}},
                          values};
    const Conditions at =
        Conditions{}.set(At::water_supply, 6.0).set(At::air_flow, 0.3).set(At::entering_wet_bulb, 18.0);
    double read = 0.0;
    EXPECT_EQ(allocated_by([&] {
                  if (!table.refuses(at)) read = table.at(at);
              }),
              0U);
    EXPECT_GT(read, 0.0);
    EXPECT_GT(allocated_by([&] { std::vector<double> counted(3); }), 0U); // it does count
}

TEST(Rating, TakesNoMemoryToReckonAWetCoil)
{
    const CoilFlows rated{.air_C = 27.0,
                          .humidity_ratio = 0.0112,
                          .dry_air_kg_per_s = 0.2,
                          .water_in_C = 7.0,
                          .water_kg_per_s = 0.15,
                          .pressure = quantity::Pressure::pascal(101325.0)};
    const CoilConductances coil = CoilConductances::of({rated, 3200.0, 2400.0});
    double gives_W = 0.0;
    EXPECT_EQ(allocated_by([&] {
                  const auto with_flow = coil.cools(rated), with_rise = coil.cools_to(rated, 12.0);
                  gives_W = std::get<CoilOutput>(with_flow).total_W + std::get<CoilOutput>(with_rise).total_W;
              }),
              0U);
    EXPECT_GT(gives_W, 3200.0);
}

} // namespace
} // namespace venture::rating
