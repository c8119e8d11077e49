#include <venture/cli/buildup_commands.hpp>

#include <algorithm>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/air/moist_air.hpp>
#include <venture/cli/printing.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/buildup_report.hpp>

namespace venture::cli {

namespace {

/// Heat flows the way it does through the first outside surface that is made of it; horizontally if there is none.
fabric::HeatFlow direction_of(const building::Building& b, std::size_t index)
{
    for (const building::Surface& s : b.surfaces)
        if (s.build_up == index) return building::heat_flow(s.attitude);
    return fabric::HeatFlow::horizontal;
}

report::WallConditions conditions_in(const building::Building& b, std::size_t index)
{
    report::WallConditions c = report::conditions_of(direction_of(b, index));
    c.outside = quantity::Temperature::celsius(b.site.winter.dry_bulb_C);
    c.pressure = air::standard_pressure(b.site.place.height_m);
    return c;
}

} // namespace

std::optional<std::size_t> find_buildup(const Job& job, const std::string& name)
{
    if (!job.building()) return std::nullopt;
    const auto& all = job.building()->build_ups;
    const auto at = std::ranges::find(all, name, [](const building::NamedBuildup& b) { return b.layers.name; });
    return at == all.end() ? std::nullopt : std::optional{static_cast<std::size_t>(at - all.begin())};
}

ExitCode explain_buildup(const Job& job, std::size_t index, const CommonOptions& o)
{
    const building::Building& b = *job.building();
    const auto conditions = conditions_in(b, index);
    if (o.json)
        print_json(report::buildup_json(b.build_ups[index].layers, conditions), job);
    else
        print(report::buildup_text(b.build_ups[index].layers, conditions, job.units()));
    return finish(job, o);
}

ExitCode draw_wall(const CommonOptions& o, const std::string& name, const DrawOptions& draw)
{
    Job job = open(o);
    if (job.failed()) return finish(job, o);
    const auto index = find_buildup(job, name);
    if (!index) {
        std::vector<std::string> names;
        if (job.building())
            for (const auto& b : job.building()->build_ups) names.push_back(b.layers.name);
        const auto near = quantity::nearest_name(name, names);
        print_error(fmt::format("no build-up is called '{}'{}; there are: {}\n", name,
                                near ? fmt::format(" (did you mean '{}'?)", *near) : "",
                                names.empty() ? "none" : quantity::listed(names, 20)));
        return ExitCode::bad_input;
    }
    const std::string file = fmt::format("results/wall.{}", report::extension(draw.picture));
    const std::string bytes =
        report::draw_wall(job.building()->build_ups[*index].layers, conditions_in(*job.building(), *index),
                          {.picture = draw.picture, .units = job.units()});
    print(fmt::format("wrote {}\n", write_result(job.folder(), draw.output, file, bytes, draw.force).string()));
    return finish(job, o);
}

} // namespace venture::cli
