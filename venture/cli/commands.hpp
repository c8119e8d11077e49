#pragma once
/// The commands: each parses nothing and computes nothing; it calls the library and prints.

#include <filesystem>
#include <optional>
#include <string>
#include <vector>

#include <venture/cli/exit_code.hpp>
#include <venture/cli/form.hpp>
#include <venture/draw/canvas.hpp>

namespace venture::cli {

/// What every command on a project is given.
struct CommonOptions {
    std::filesystem::path project{};
    std::vector<std::string> changes{}; ///< "key/path=value"
    std::string units{};                ///< "inch-pound", "power=kW,air_flow=cfm"; over the project's
    bool json = false;                  ///< the same as `as` "json"
    std::string as{};                   ///< of forms(); empty: as the output's ending says
    std::filesystem::path output{};     ///< where results go; empty: to the terminal
    std::string table{};                ///< the one that CSV is of; empty: the first that text shows
    bool force = false;                 ///< even over a file that Venture did not write
    bool wide = false;     ///< text is as wide as it gets
    bool accepted = false; ///< accepted findings are listed
    bool strict = false;   ///< warnings make the exit code 1
    bool verbose = false;  ///< what is being done is told on stderr
    double step_min = 10.0;
    [[nodiscard]] Form form() const { return form_of(as.empty() && json ? "json" : as, output); }
};

struct DrawOptions {
    draw::Picture picture = draw::Picture::svg;
    std::filesystem::path output{}; ///< empty: results/plan.<kind> (climate.<kind>) in the project
    bool force = false;
};

/// What `draw plan` shows.
struct PlanDrawOptions {
    std::vector<std::string> labels{};       ///< empty: the usual ones
    std::string fill = "service", storey{};  ///< empty: all storeys
    std::filesystem::path against{}, over{}; ///< an older version; a picture of the paper plan
    std::vector<std::string> match{};        ///< "120,640=0,0": px of the picture, m of the plan
    bool findings = false;                   ///< marked where they are
};

/// What `check` lists beside its tables.
struct CheckOptions {
    bool origins = false; ///< where values came from
    std::string what{};   ///< only these; see resolve::asked_for()
};

/// What part of the weather year `year` runs through, and what it lists hour by hour.
struct YearOptions {
    std::string from{}; ///< "1 May"; empty: 1 January
    int days = 0;       ///< 0: to the end of the year
    double run_in_days = 30.0;
    std::vector<std::string> series{}; ///< empty, with csv: what most people look at
    bool csv = false;
};

/// What `climate` lists instead of everything.
struct ClimateOptions {
    std::string day{};  ///< "winter", "July", "July wet bulb", "14 July"
    std::string week{}; ///< "hottest", "coldest"
};

[[nodiscard]] ExitCode check(const CommonOptions& options, const CheckOptions& check);
/// @param room  take this room apart instead of listing all
[[nodiscard]] ExitCode loads(const CommonOptions& options, const std::optional<std::string>& room, bool as_table);
/// Prints the numeric form of the building on a design day: what the heat balance eats.
/// @param day  "winter" or a design month, "July"
[[nodiscard]] ExitCode loads_model(const CommonOptions& options, const std::string& day, const std::string& room);
[[nodiscard]] ExitCode size(const CommonOptions& options);
/// Runs the building through its weather year.
[[nodiscard]] ExitCode year(const CommonOptions& options, const YearOptions& year);
/// Draws a room's temperatures and loads over some days of the weather year.
[[nodiscard]] ExitCode draw_hours(const CommonOptions& options, const std::string& room, const YearOptions& year,
                                  const DrawOptions& draw);
/// Draws the calendars of a project, day by hour.
/// @param name  of one calendar or profile; empty: all calendars
[[nodiscard]] ExitCode draw_year(const CommonOptions& options, const std::string& name, const DrawOptions& draw);
/// Writes records as a CSV table that a project can read again.
/// @param table  "room", "opening", ...   @param write  no output: to the terminal
[[nodiscard]] ExitCode export_table(const CommonOptions& options, const std::string& table, const DrawOptions& write);
[[nodiscard]] ExitCode draw_building(const CommonOptions& options, const DrawOptions& draw);
[[nodiscard]] ExitCode draw_plan(const CommonOptions& options, const PlanDrawOptions& plan, const DrawOptions& draw);
/// Writes a short project to begin from, and prints it as it is understood.
/// @param starter  "empty", "dwelling", "offices", "school"
[[nodiscard]] ExitCode new_project(const std::filesystem::path& folder, const std::string& starter, bool force);
[[nodiscard]] ExitCode demo(const std::filesystem::path& folder, bool force);
[[nodiscard]] ExitCode climate(const CommonOptions& options, const ClimateOptions& climate);
/// Writes the project's weather year as CSV.
/// @param output  empty: weather.csv in the project
[[nodiscard]] ExitCode climate_make(const CommonOptions& options, const std::filesystem::path& output, bool force);
/// Prints design conditions counted from a weather year: a project's, or a file's that describes itself.
[[nodiscard]] ExitCode climate_derive(const CommonOptions& options);
[[nodiscard]] ExitCode draw_climate(const CommonOptions& options, const DrawOptions& draw);
/// @param project  where the key's values are shown as well; empty: only what it means
/// @param name     a key or a table; also a build-up or glazing, of the project or of the library that ships
[[nodiscard]] ExitCode explain(const CommonOptions& options, const std::string& name);
/// @param name  of a build-up
[[nodiscard]] ExitCode draw_wall(const CommonOptions& options, const std::string& name, const DrawOptions& draw);
/// @param name  of a glazing
[[nodiscard]] ExitCode draw_glass(const CommonOptions& options, const std::string& name, const DrawOptions& draw);
/// Lists what ships.
/// @param word  only what has it in its name
[[nodiscard]] ExitCode library(const CommonOptions& options, const std::string& word);
/// @param folder  where the schemas are written; empty: the project's schema goes to the terminal
[[nodiscard]] ExitCode schema(const std::filesystem::path& folder, bool force);
[[nodiscard]] ExitCode pack(const CommonOptions& options, const std::filesystem::path& folder, bool force);
/// @param what     "check", "loads", "size", "plan"; one or several
/// @param figures  patterns of paths; empty: what most people look at
[[nodiscard]] ExitCode watch(const CommonOptions& options, const std::vector<std::string>& what,
                             const std::vector<std::string>& figures);

} // namespace venture::cli
