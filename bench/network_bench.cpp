/// How long it takes to sum what 3,000 rooms need over 200 circuits to their plants, hour by hour of twelve months' days; beside
/// it one plain sum of the same numbers.

#include <benchmark/benchmark.h>
#include <fmt/format.h>

#include <venture/services/network.hpp>

namespace {

using namespace venture::services;

constexpr std::size_t rooms = 3000, circuits = 200, plants = 4, hours = 24 * 12;

struct Building {
    Network network{};
    std::vector<DemandAt> leaves{};
    Building()
    {
        for (std::size_t p = 0; p < plants; ++p)
            network.add({.name = fmt::format("plant {}", p),
                         .role = Role::plant,
                         .allowances = {{Allowance::Is::margin, 1.1, {}}}});
        for (std::size_t c = 0; c < circuits; ++c) {
            const NodeId circuit = network.add({.name = fmt::format("circuit {}", c),
                                                .role = Role::circuit,
                                                .allowances = {{Allowance::Is::diversity, 0.9, {}}}});
            network.connect({.from = c % plants, .to = circuit, .service = Service::cooling});
        }
        for (std::size_t r = 0; r < rooms; ++r) {
            const NodeId unit = network.add({.role = Role::unit}),
                         room = network.add({.name = fmt::format("room {}", r)});
            network.connect({.from = unit, .to = room, .service = Service::cooling});
            network.connect({.from = plants + r % circuits, .to = unit, .service = Service::cooling});
            Demand demand;
            for (std::size_t h = 0; h < hours; ++h) {
                demand.sensible_W.push_back(static_cast<double>((r * 31 + h * 7) % 2000));
                demand.latent_W.push_back(static_cast<double>((r + h) % 100));
            }
            leaves.push_back({room, Service::cooling, std::move(demand)});
        }
    }
};

void network_of_3000_rooms(benchmark::State& state)
{
    const Building b;
    for (auto _ : state) benchmark::DoNotOptimize(demands(b.network, b.leaves));
}
BENCHMARK(network_of_3000_rooms)->Unit(benchmark::kMillisecond);

void plain_sum_of_as_many_numbers(benchmark::State& state)
{
    const Building b;
    for (auto _ : state) {
        Demand sum;
        for (const DemandAt& leaf : b.leaves) sum.add(leaf.demand);
        benchmark::DoNotOptimize(sum);
    }
}
BENCHMARK(plain_sum_of_as_many_numbers)->Unit(benchmark::kMillisecond);

} // namespace
