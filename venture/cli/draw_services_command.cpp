/// `venture draw services`.

#include <memory>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/services_drawing.hpp>
#include <venture/report/loads_report.hpp>

namespace venture::cli::of_draw_services {

namespace {

ExitCode run(const CommonOptions& o, const PictureOptions& draw)
{
    Job job = open_and_compute(o);
    if (job.failed()) return finish(job, o);
    const study::Sizing& sizing = job.project().sizing();
    if (job.failed()) return finish(job, o);
    draw::ServicesDrawingOptions options{.picture = draw.picture(),
                                         .units = job.units(),
                                         .title = job.building() ? report::job_title(*job.building()) : "Services"};
    options.when = [&](services::Service service, const services::Demand& demand) {
        const figure::When when = sizing.leaves.when_largest(service, demand);
        return when.day.empty() ? std::string{} : in_words(when);
    };
    options.products.resize(sizing.services.plants.size());
    for (const plant::PlantSelection& p : sizing.plants) // of several services of one plant it is the same
        if (p.duty.W > 0.0) options.products[p.plant] = p.met() ? p.choice.chosen->called() : "NOTHING SUFFICES";
    return deliver_picture(job, o, draw, "services", draw_services(sizing.services, sizing.needs, options));
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    add_step(parser, *options);
    add_picture(parser, *picture, "services");
    return [options, picture] { return run(*options, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_services

namespace venture::cli {

extern const Command draw_services_command;
const Command draw_services_command = {"draw services", Group::draw,
                                       "who serves whom, from plant to rooms: temperatures, flows, demands",
                                       of_draw_services::declare};

} // namespace venture::cli
