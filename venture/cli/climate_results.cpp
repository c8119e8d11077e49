#include <venture/cli/climate_results.hpp>

#include <fmt/format.h>

#include <venture/cli/climate_job.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/draw/climate_drawing.hpp>
#include <venture/report/climate_report.hpp>

namespace venture::cli {

figure::Document climate_document(const Job& job)
{
    return report::climate_document(*job.site(), job.input(), weather_figures(job), job.units());
}

std::string climate_picture(const Job& job, draw::Picture picture)
{
    return draw::draw_climate(*job.site(), *job.weather(), climate::summarise(*job.weather()),
                              {.picture = picture, .units = job.units()});
}

void write_climate(const Job& job, project::OutputFolder& out)
{
    write_document(out, "climate", climate_document(job), job.units());
    for (const auto picture : {draw::Picture::svg, draw::Picture::png, draw::Picture::pdf})
        out.write(fmt::format("results/climate.{}", draw::extension(picture)), climate_picture(job, picture));
}

} // namespace venture::cli
