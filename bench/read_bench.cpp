/// Reading and resolving a project beside what its notation alone costs: the plain TOML parser on the same text, in the
/// same run. Read the ratio; the target is 1,000 rooms of 15 values in less than half a second.

#include <cstdlib>
#include <string>

#include <benchmark/benchmark.h>
#include <fmt/format.h>
#include <toml++/toml.h>

#include <venture/project/read_project.hpp>
#include <venture/resolve/effective.hpp>
#include <venture/resolve/resolve.hpp>

namespace {

using namespace venture;

/// A tower of storeys of 200 touching rooms, 15 values typed for each.
std::string tower(int rooms)
{
    std::string text = R"(format = 1
[project]
name = "tower"
[site]
latitude = 50
longitude = 0
time_zone = 0
winter_dry_bulb = -5
winter_ground = 8
[[site.month]]
month = 7
dry_bulb = 27
wet_bulb = 19
daily_range = 9
beam_depth = 0.4
diffuse_depth = 2.3
ground = 14
[[material]]
name = "brick"
conductivity = 0.77
density = 1750
specific_heat = 1000
[[build_up]]
name = "wall"
layers = ["200 mm brick"]
[fabric]
outside_wall = "wall"
inner_wall = "wall"
roof = "wall"
ground_floor = "wall"
inner_floor = "wall"
)";
    constexpr int per_storey = 200, per_row = 20;
    for (int s = 0; s * per_storey < rooms; ++s)
        text += fmt::format("[[storey]]\nname = \"s{0}\"\nlevel = {1}\nheight = 3\n", s, 3 * s);
    for (int i = 0; i < rooms; ++i)
        text +=
            fmt::format("[[room]]\nname = \"Room {}\"\nstorey = \"s{}\"\nat = [{}, {}]\nsize = [\"5 m\", \"4 m\"]\n"
                        "height = \"3 m\"\nheating_setpoint = \"21 degC\"\ncooling_setpoint = \"77 degF\"\npeople = 2\n"
                        "lighting = \"8 W/m2\"\nequipment = 10\ninfiltration = \"0.3 1/h\"\n"
                        "ventilation_per_person = \"10 L/s\"\nfurniture = \"12 kJ/m2K\"\n",
                        i, i / per_storey, i % per_row * 5, i % per_storey / per_row * 4);
    return text;
}

void plain_parse(benchmark::State& state)
{
    const std::string text = tower(static_cast<int>(state.range(0)));
    for (auto _ : state) benchmark::DoNotOptimize(toml::parse(text));
    state.SetItemsProcessed(state.iterations() * state.range(0)); // rooms
}
BENCHMARK(plain_parse)->Arg(100)->Arg(1000)->Unit(benchmark::kMillisecond);

void read(benchmark::State& state)
{
    const std::string text = tower(static_cast<int>(state.range(0)));
    for (auto _ : state) benchmark::DoNotOptimize(project::read_project_text(text, "tower.toml"));
    state.SetItemsProcessed(state.iterations() * state.range(0));
}
BENCHMARK(read)->Arg(100)->Arg(1000)->Unit(benchmark::kMillisecond);

void read_and_resolve(benchmark::State& state)
{
    const std::string text = tower(static_cast<int>(state.range(0)));
    for (auto _ : state) {
        const auto resolved = resolve::resolve(project::read_project_text(text, "tower.toml").input);
        if (!resolved.building) std::abort(); // nothing was measured
    }
    state.SetItemsProcessed(state.iterations() * state.range(0));
}
BENCHMARK(read_and_resolve)->Arg(100)->Arg(1000)->Unit(benchmark::kMillisecond);

void list_origins(benchmark::State& state)
{
    const auto resolved =
        resolve::resolve(project::read_project_text(tower(static_cast<int>(state.range(0))), "tower.toml").input);
    for (auto _ : state) benchmark::DoNotOptimize(resolve::effective_values(resolved.effective, &*resolved.building));
    state.SetItemsProcessed(state.iterations() * state.range(0));
}
BENCHMARK(list_origins)->Arg(1000)->Unit(benchmark::kMillisecond);

} // namespace
