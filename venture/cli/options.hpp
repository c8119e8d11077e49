#pragma once
/// Options that commands share, and how they are declared.

#include <filesystem>
#include <string>
#include <vector>

#include <venture/cli/form.hpp>
#include <venture/cli/parser.hpp>
#include <venture/draw/canvas.hpp>

namespace venture::cli {

/// What every command on a project is given.
struct CommonOptions {
    std::filesystem::path project{};
    std::vector<std::string> changes{}; ///< "key/path=value"
    std::vector<std::string> with{};    ///< files laid over the project
    std::string units{};                ///< "inch-pound", "power=kW,air_flow=cfm"; over the project's
    bool json = false;                  ///< the same as `as` "json"
    std::string as{};                   ///< of forms(); empty: as the output's ending says
    std::filesystem::path output{};     ///< where results go; empty: to the terminal
    std::string table{};                ///< the one that CSV is of; empty: the first that text shows
    bool force = false;                 ///< even over a file that Venture did not write
    bool wide = false;                  ///< text is as wide as it gets
    bool accepted = false;              ///< accepted findings are listed
    bool strict = false;                ///< warnings make the exit code 1
    bool verbose = false;               ///< what is being done is told on stderr
    double step_min = 10.0;
    [[nodiscard]] Form form() const { return form_of(as.empty() && json ? "json" : as, output); }
};

/// A file that a command writes.
struct FileOptions {
    std::filesystem::path output{}; ///< empty: a name of the command's in the project
    bool force = false;             ///< even over a file that Venture did not write
};

/// A picture.
struct PictureOptions : FileOptions {
    std::string as{}; ///< "svg", "png", "pdf"; empty: what the file's ending says, else svg
    /// @throws Misuse if word and ending disagree
    [[nodiscard]] draw::Picture picture() const;
};

/// A project, changes to it, units, and how much is told.
void add_project(Parser& parser, CommonOptions& options);
/// --set and --with: other values for one run.
void add_changes(Parser& parser, CommonOptions& options);
/// --units and --wide, of commands without a project.
void add_units(Parser& parser, CommonOptions& options);
/// --json, --as, --output and what goes with them.
void add_forms(Parser& parser, CommonOptions& options);
void add_json(Parser& parser, CommonOptions& options);
void add_step(Parser& parser, CommonOptions& options);
/// @param where  it goes unless told otherwise
void add_output(Parser& parser, FileOptions& options, const std::string& where);
/// Of results/<name>.<kind>.
void add_picture(Parser& parser, PictureOptions& options, const std::string& name);

} // namespace venture::cli
