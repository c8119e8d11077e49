#pragma once
/// What all commands print with: results to stdout, messages to stderr after them.

#include <string>
#include <vector>

#include <nlohmann/json_fwd.hpp>

#include <venture/cli/exit_code.hpp>
#include <venture/cli/job.hpp>
#include <venture/cli/options.hpp>
#include <venture/report/text.hpp>

namespace venture::cli {

/// Bytes as they are: data, and short sentences.
void print(const std::string& bytes);
/// Laid out for the page: the terminal's width, or COLUMNS where that is set; 100 columns where there is no terminal; as wide as
/// it gets with --wide.
void print(const report::Text& text, const CommonOptions& options);
/// The same, not yet printed.
[[nodiscard]] std::string laid_out(const report::Text& text, const CommonOptions& options);
/// Data as they are, but for a terminal that they would act on.
/// @param laid_out  what is harmless already
void print_for_terminal(const std::string& bytes, bool laid_out);
/// Messages follow what was printed before them, also where both go to one terminal.
void print_error(const report::Text& text);
/// The same, laid out already.
void print_messages(const std::string& text);

/// Everything found, in the order of the files; colours only on a terminal. What is accepted is counted at the end.
/// @param list_accepted  and listed
[[nodiscard]] std::string problems_in_words(const Job& job, bool list_accepted = false);
/// Lines to accept open warnings by.
[[nodiscard]] std::string marks_in_words(const Job& job);
/// A document with "problems", "accepted" and "libraries".
[[nodiscard]] nlohmann::ordered_json with_findings(nlohmann::ordered_json document, const Job& job);
/// Adds these to a document and prints it.
void print_json(nlohmann::json document, const Job& job);
/// "Library office: ../walls.toml, 3f9a..." for each; nothing if there is none.
[[nodiscard]] std::string libraries_in_words(const Job& job);

/// The changes of a run: those of --set and those of --units.
[[nodiscard]] std::vector<std::string> changes_of(const CommonOptions& options);
/// How a project is opened for a run. @param also  names in the shipped library that are asked for
[[nodiscard]] exchange::OpenOptions opening_of(const CommonOptions& options, const std::vector<std::string>& also = {});
/// Units that were asked for where there is no project; nothing if they could not be read, which has been told.
[[nodiscard]] std::optional<quantity::PreferredUnits> units_without_project(const CommonOptions& options);
/// @param also  names in the shipped library that are asked for without the project naming them
[[nodiscard]] Job open(const CommonOptions& options, const std::vector<std::string>& also = {});
/// Opens a project and computes its loads; `job.failed()` tells whether there are any.
[[nodiscard]] Job open_and_compute(const CommonOptions& options);
/// Whether a command cannot go on because there are typed loads and no building, which is then told.
/// @param what  the command
[[nodiscard]] bool needs_building(const Job& job, const char* what);
/// Writes what a command made: to the file asked for, or under a name in the project's folder if none was.
/// @returns where it went
[[nodiscard]] std::filesystem::path write_result(const std::filesystem::path& project,
                                                 const std::filesystem::path& asked, const std::string& name,
                                                 const std::string& bytes, bool force);
/// Ends a command that draws: writes the picture, tells where it went, and finishes.
/// @param name  of the file in the results of the project's folder, without its ending, where none was asked for
[[nodiscard]] ExitCode deliver_picture(const Job& job, const CommonOptions& options, const PictureOptions& picture,
                                       const std::string& name, const std::string& bytes, bool met = true);
/// "Try next:" and commands in a column, each with what it is good for.
[[nodiscard]] std::string next_commands(const std::vector<std::pair<std::string, std::string>>& commands);
/// Ends a command: what was said, and the exit code that follows from it.
[[nodiscard]] ExitCode finish(const Job& job, const CommonOptions& options, bool met = true);

} // namespace venture::cli
