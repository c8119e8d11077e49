#pragma once
/// Giving results in the form that was asked for.

#include <venture/cli/exit_code.hpp>
#include <venture/cli/job.hpp>
#include <venture/cli/options.hpp>
#include <venture/figure/document.hpp>
#include <venture/project/output.hpp>

namespace venture::cli {

/// Prints or writes a document; then tells what was found and ends the command. Of a job that failed only the findings are given.
/// @param met  whether all that was asked for is met
[[nodiscard]] ExitCode deliver(figure::Document document, const Job& job, const CommonOptions& options,
                               bool met = true);

/// The same of a document that is of no project. @param units  of text
[[nodiscard]] ExitCode deliver(const figure::Document& document, const quantity::PreferredUnits& units,
                               const CommonOptions& options);

/// results/<name>.txt, .json and .xlsx.
void write_document(project::OutputFolder& out, const std::string& name, const figure::Document& document,
                    const quantity::PreferredUnits& units);

} // namespace venture::cli
