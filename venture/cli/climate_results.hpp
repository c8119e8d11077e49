#pragma once
/// What is shown of a climate, for the commands that show it.

#include <string>

#include <venture/cli/job.hpp>
#include <venture/draw/canvas.hpp>
#include <venture/figure/document.hpp>
#include <venture/project/output.hpp>

namespace venture::cli {

/// Site, design conditions, design days, and the weather year if there is one.
[[nodiscard]] figure::Document climate_document(const Job& job);
/// The weather year on one sheet; the job must have one.
[[nodiscard]] std::string climate_picture(const Job& job, draw::Picture picture);

/// results/climate.txt, .json, .xlsx, .svg, .png, .pdf.
void write_climate(const Job& job, project::OutputFolder& out);

} // namespace venture::cli
