/// How fast products are rated: a table in three inputs, a wet coil with its flow and with its rise, a room's choice among
/// many. Items a second; read them beside one reading of a saturation curve in the same run.

#include <array>
#include <memory>

#include <benchmark/benchmark.h>
#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/rating/choosing.hpp>
#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/grid_table.hpp>
#include <venture/terminal/fan_coil.hpp>

namespace {

using namespace venture;
using rating::At;

/// Numbers that spread over 0 to 1 without a pattern, the same everywhere.
double spread(int i) { return std::fmod(0.618033988749895 * i, 1.0); }

void saturation_curve(benchmark::State& state)
{
    int i = 0;
    for (auto _ : state)
        benchmark::DoNotOptimize(air::saturation_humidity_ratio(
            quantity::Temperature::celsius(5.0 + 20.0 * spread(++i)), quantity::Pressure::pascal(101325.0)));
    state.SetItemsProcessed(state.iterations());
}
BENCHMARK(saturation_curve);

void table_in_three_inputs(benchmark::State& state)
{
    std::vector<double> values;
    for (int i = 0; i < 5 * 6 * 8; ++i) values.push_back(spread(i));
    const rating::GridTable table{{{At::water_supply, {5, 6, 7, 9, 12}},
                                   {At::air_flow, {0.1, 0.2, 0.3, 0.4, 0.6, 0.8}},
                                   {At::entering_wet_bulb, {11, 13, 15, 17, 19, 21, 23, 25}}},
                                  values};
    int i = 0;
    for (auto _ : state) {
        ++i;
        const rating::Conditions at = rating::Conditions{}
                                          .set(At::water_supply, 5.0 + 7.0 * spread(i))
                                          .set(At::air_flow, 0.1 + 0.7 * spread(3 * i))
                                          .set(At::entering_wet_bulb, 11.0 + 14.0 * spread(7 * i));
        if (!table.refuses(at)) benchmark::DoNotOptimize(table.at(at));
    }
    state.SetItemsProcessed(state.iterations());
}
BENCHMARK(table_in_three_inputs);

rating::CoilFlows flows(int i)
{
    return {.air_C = 24.0 + 3.0 * spread(i),
            .humidity_ratio = 0.0095 + 0.002 * spread(3 * i),
            .dry_air_kg_per_s = 0.2 + 0.1 * spread(5 * i),
            .water_in_C = 6.0 + 3.0 * spread(7 * i),
            .water_kg_per_s = 0.15 + 0.1 * spread(11 * i)};
}
const rating::CoilConductances& coil()
{
    static const auto one = rating::CoilConductances::of({{.air_C = 27.0,
                                                           .humidity_ratio = 0.0112,
                                                           .dry_air_kg_per_s = 0.264,
                                                           .water_in_C = 7.0,
                                                           .water_kg_per_s = 0.191},
                                                          3965.0,
                                                          2975.0});
    return one;
}

void wet_coil_with_its_flow(benchmark::State& state)
{
    int i = 0;
    for (auto _ : state) benchmark::DoNotOptimize(coil().cools(flows(++i)));
    state.SetItemsProcessed(state.iterations());
}
BENCHMARK(wet_coil_with_its_flow);

void wet_coil_with_its_rise(benchmark::State& state)
{
    int i = 0;
    for (auto _ : state) {
        const rating::CoilFlows f = flows(++i);
        benchmark::DoNotOptimize(coil().cools_to(f, f.water_in_C + 5.0));
    }
    state.SetItemsProcessed(state.iterations());
}
BENCHMARK(wet_coil_with_its_rise);

/// Half of them wet coils by one point, as many read from tables.
std::vector<std::shared_ptr<const rating::Product>> coils_2000()
{
    std::vector<std::shared_ptr<const rating::Product>> products;
    for (int i = 0; i < 2000; ++i) {
        const double size = 0.05 + 0.0005 * i;
        terminal::FanCoilData d;
        d.name = fmt::format("coil {}", i);
        d.air_flow = 0.22 * size;
        d.entering_dry_bulb = 27.0;
        d.water_rise = 5.0;
        if (i % 2 == 0) {
            d.entering_wet_bulb = 19.5;
            d.supply = 7.0;
            d.total = 3965.0 * size;
            d.sensible = 2975.0 * size;
        } else {
            d.wet_bulbs = quantity::QuantityList{15, 17, 19, 21};
            for (const auto& [supply, total, sensible] :
                 {std::tuple{6.0, std::array{3300, 3400, 4070, 4950}, std::array{3300, 3150, 2930, 2700}},
                  {9.0, std::array{2830, 2880, 3400, 4300}, std::array{2830, 2700, 2520, 2330}}}) {
                terminal::FanCoilRow& row = d.at_water.emplace_back();
                row.supply = supply;
                quantity::QuantityList totals, sensibles;
                for (const double W : total) totals.push_back(W * size);
                for (const double W : sensible) sensibles.push_back(W * size);
                row.total = totals;
                row.sensible = sensibles;
            }
        }
        products.push_back(std::make_shared<const terminal::FanCoil>(d, ""));
    }
    return products;
}

/// Of a room unlike any other.
rating::Asked asked_by_room(int i)
{
    const double W = 500.0 + 2500.0 * spread(i);
    return {rating::Conditions{}
                .set(At::water_supply, 7.0)
                .set(At::water_return, 12.0)
                .set(At::entering_dry_bulb, 24.0 + 2.0 * spread(3 * i))
                .set(At::entering_wet_bulb, 17.0 + spread(5 * i)),
            {rating::Service::cooling, W, 0.75 * W, {}}};
}

void choice_among_2000(benchmark::State& state)
{
    const auto products = coils_2000();
    int i = 0;
    for (auto _ : state) benchmark::DoNotOptimize(rating::choose(products, {.counts = {1, 8}}, asked_by_room(++i)));
    state.SetItemsProcessed(state.iterations() * 2000);
}
BENCHMARK(choice_among_2000)->Unit(benchmark::kMillisecond);

/// What a job waits for: all of its rooms, with what is kept of the coils' bounds in between.
void choices_of_rooms_among_2000(benchmark::State& state)
{
    const auto products = coils_2000();
    const auto rooms = static_cast<int>(state.range(0));
    for (auto _ : state) {
        rating::Brackets brackets{products};
        for (int room = 0; room < rooms; ++room)
            benchmark::DoNotOptimize(rating::choose(products, {.counts = {1, 8}}, asked_by_room(room), {}, &brackets));
    }
    state.SetItemsProcessed(state.iterations() * rooms);
}
BENCHMARK(choices_of_rooms_among_2000)->Arg(250)->Arg(1000)->Unit(benchmark::kMillisecond);

} // namespace
