/// The command line: parses, calls a command, turns exceptions into exit codes.

#include <cstdio>
#include <exception>
#include <filesystem>
#include <functional>
#include <sstream>
#include <utility>

#include <CLI/CLI.hpp>
#include <fmt/format.h>

#include <venture/cli/about.hpp>
#include <venture/cli/commands.hpp>
#include <venture/cli/nearest_argument.hpp>
#include <venture/cli/picture_kind.hpp>
#include <venture/cli/printing.hpp>
#include <venture/project/write_table.hpp>
#include <venture/quantity/error.hpp>

namespace {

using namespace venture;
using cli::ExitCode;

class CommandLine {
public:
    CommandLine()
    {
        app_.footer(cli::ending);
        app_.require_subcommand(1);
        app_.set_version_flag("--version", "Venture " VENTURE_VERSION);
        app_.add_flag("--verbose", common_.verbose, "say on stderr what is being done");
        add_demo();
        add_new();
        add_check();
        add_climate();
        add_loads();
        add_year();
        add_size();
        add_draw();
        add_explain();
        add_library();
        add_schema();
        add_export();
        add_pack();
        add_watch();
    }

    int run(int argc, char** argv)
    {
        try {
            app_.parse(argc, argv);
        } catch (const CLI::ParseError& wrong) {
            std::ostringstream out, err;
            const int code = app_.exit(wrong, out, err);
            cli::print(report::Text{out.str()}, common_);
            cli::print_error(code == 0 ? err.str() : cli::with_nearest(err.str(), app_, {argv + 1, argv + argc}));
            return code == 0 ? 0 : static_cast<int>(ExitCode::bad_input);
        }
        return static_cast<int>(command_());
    }

private:
    /// What a command gives.
    enum class Gives {
        nothing_more, ///< files of its own
        json,         ///< text, or JSON
        document,     ///< any of forms()
    };

    void add_common(CLI::App& command, Gives gives = Gives::document)
    {
        command.add_option("PROJECT", common_.project, "folder that holds project.toml, or the file itself")
            ->required();
        command
            .add_option("--set", common_.changes,
                        "change one value for this run, e.g. --set \"room/Boat hall/height=5 m\"; may be repeated")
            ->allow_extra_args(false);
        command.add_option("--units", common_.units,
                           "print in these units: SI, inch-pound, or single ones over that: inch-pound,air_flow=L/s");
        add_wide(command);
        if (gives != Gives::nothing_more)
            command.add_flag("--json", common_.json, "for machines: results and problems as JSON");
        if (gives == Gives::document) add_forms(command);
        command.add_flag("--accepted", common_.accepted, "list the findings that are accepted");
        command.add_flag("--strict", common_.strict, "warnings make the exit code 1");
    }

    void add_forms(CLI::App& command)
    {
        command
            .add_option("--as", common_.as,
                        "form of the results: text, json, csv, html, xlsx; what the file's ending says unless given")
            ->check(CLI::IsMember(cli::forms()));
        command.add_option("-o,--output", common_.output, "file to write; to the terminal unless given");
        command.add_option("--table", common_.table,
                           "which table CSV is of; the first that text shows unless given. JSON names them all");
        command.add_flag("--force", common_.force, "write even over a file that Venture did not write");
    }

    void add_wide(CLI::App& command)
    {
        command.add_flag("--wide", common_.wide, "every column of every table, however wide they get");
    }

    void add_step(CLI::App& command)
    {
        command.add_option("--step", common_.step_min, "time step in minutes; a divisor of 60")
            ->check(CLI::IsMember({1, 2, 3, 4, 5, 6, 10, 12, 15, 20, 30, 60}))
            ->capture_default_str();
    }

    void add_new()
    {
        auto* c = app_.add_subcommand("new", "write a short project to begin from");
        c->add_option("DIR", new_folder_, "folder to write")->required();
        c->add_option("--starter", starter_, "what it is to be")
            ->check(CLI::IsMember({"empty", "dwelling", "offices", "school"}))
            ->capture_default_str();
        c->add_flag("--force", force_, "write even over files that Venture did not write or that were changed since");
        c->callback([this] { command_ = [this] { return cli::new_project(new_folder_, starter_, force_); }; });
    }

    void add_demo()
    {
        auto* c = app_.add_subcommand("demo", "write the demo project, run everything on it, say what to try next");
        c->add_option("DIR", demo_folder_, "folder to write")->capture_default_str();
        c->add_flag("--force", force_, "write even over files that Venture did not write or that were changed since");
        c->callback([this] { command_ = [this] { return cli::demo(demo_folder_, force_); }; });
    }

    void add_check()
    {
        auto* c = app_.add_subcommand("check", "list the rooms as they are understood, and what looks wrong");
        add_common(*c);
        c->add_option(
             "--origins", check_.what,
             "list values and where they came from instead: all, or those of WHAT, such as \"room/Boat hall\", "
             "\"room/*/people\", people, default")
            ->type_name("[WHAT]")
            ->expected(0, 1);
        c->callback([this, c] {
            check_.origins = c->count("--origins") > 0;
            if (common_.project.empty()) common_.project = std::exchange(check_.what, std::string{});
            if (common_.project.empty()) throw CLI::RequiredError{"PROJECT"};
            command_ = [this] { return cli::check(common_, check_); };
        });
    }

    void add_loads()
    {
        auto* c = app_.add_subcommand("loads", "heating and cooling loads of every room");
        add_common(*c);
        add_step(*c);
        c->add_option("--room", room_, "take one room apart: steady loss by hand, air balance in the hour of the peak");
        c->add_flag("--csv", csv_, "as the table that `venture size` reads");
        c->add_option(
            "--model", model_day_,
            "instead: the numbers that the heat balance works with on a design day, winter or \"July\"; with --room "
            "those of one room, each with where it comes from");
        c->callback([this] {
            command_ = [this] {
                if (!model_day_.empty()) return cli::loads_model(common_, model_day_, room_);
                return cli::loads(common_, room_.empty() ? std::nullopt : std::optional{room_}, csv_);
            };
        });
    }

    void add_year()
    {
        auto* c = app_.add_subcommand("year", "run the building through its weather year, or a part of it");
        add_common(*c);
        add_step(*c);
        c->add_option("--from", year_.from, "first day, e.g. \"1 May\"; 1 January unless given");
        c->add_option("--days", year_.days, "how many; to the end of the year unless given")->check(CLI::Range(1, 366));
        c->add_option("--run-in", year_.run_in_days, "days before the first that are gone through before")
            ->check(CLI::Range(0, 3660))
            ->capture_default_str();
        c->add_option("--series", year_.series,
                      "hour by hour, of all rooms: a kind of series, e.g. \"operative temperature\"; \"list\" lists "
                      "them all; may be repeated")
            ->allow_extra_args(false);
        c->add_flag("--csv", year_.csv, "the series as a table, a line an hour");
        c->callback([this, c] {
            if (c->count("--step") == 0) common_.step_min = 15.0;
            command_ = [this] { return cli::year(common_, year_); };
        });
    }

    void add_size()
    {
        auto* c = app_.add_subcommand("size", "choose (or rate kept) radiators, fan coils, boiler and chiller; PROJECT "
                                              "may also be a CSV of typed room loads");
        add_common(*c);
        add_step(*c);
        c->callback([this] { command_ = [this] { return cli::size(common_); }; });
    }

    void add_climate()
    {
        auto* c = app_.add_subcommand("climate", "design conditions, design days and weather year of a project");
        c->require_subcommand(0, 1);
        add_common(*c);
        c->get_option("PROJECT")->required(false);
        c->add_option("--day", climate_.day,
                      "list one day's hours: winter, a design month (\"July\", \"July wet bulb\", \"July dew point\"), "
                      "or a day of the weather year (\"14 July\")");
        c->add_option("--week", climate_.week, "list the hours of the weather year's hottest or coldest week")
            ->check(CLI::IsMember({"hottest", "coldest"}));
        auto* make = c->add_subcommand("make", "write the project's weather year (made up from [[monthly_mean]], or "
                                               "read from its file) as CSV");
        add_common(*make, Gives::nothing_more);
        make->add_option("-o,--output", output_, "file to write; weather.csv in the project unless given");
        make->add_flag("--force", force_, "write even over a file that Venture did not write");
        auto* derive = c->add_subcommand("derive", "print design conditions counted from a weather year, as keys of "
                                                   "[site]; PROJECT may also be a weather file that describes itself");
        add_common(*derive);
        c->callback([this, c, make, derive] {
            if (make->parsed()) {
                command_ = [this] { return cli::climate_make(common_, output_, force_); };
            } else if (derive->parsed()) {
                command_ = [this] { return cli::climate_derive(common_); };
            } else {
                if (c->count("PROJECT") == 0) throw CLI::RequiredError{"PROJECT"};
                command_ = [this] { return cli::climate(common_, climate_); };
            }
        });
    }

    /// Where a picture or page goes.
    void add_output(CLI::App& command, const std::string& kind)
    {
        command.add_option(
            "-o,--output", draw_.output,
            fmt::format("file to write; results/{}.{} in the project unless given", command.get_name(), kind));
        command.add_flag("--force", draw_.force, "write even over a file that Venture did not write");
    }

    /// What every picture takes.
    void add_picture(CLI::App& command, std::function<ExitCode()> run)
    {
        command.add_option("--as", picture_, "kind of picture; what the file's ending says unless given, else svg")
            ->check(CLI::IsMember({"svg", "png", "pdf"}));
        add_output(command, "<kind>");
        command.callback([this, run = std::move(run)] {
            draw_.picture = cli::kind_of_picture(picture_, draw_.output);
            command_ = run;
        });
    }

    void add_draw_plan(CLI::App& draw)
    {
        auto* plan = draw.add_subcommand("plan", "storeys to scale, with rooms' loads");
        add_common(*plan, Gives::nothing_more);
        add_step(*plan);
        plan->add_option("--label", plan_.labels,
                         "what stands in rooms: name, area, volume, height, temperature, heating, cooling, air; "
                         "name,area,heating,cooling unless given")
            ->delimiter(',')
            ->check(CLI::IsMember({"name", "area", "volume", "height", "temperature", "heating", "cooling", "air"}));
        plan->add_option("--fill", plan_.fill,
                         "what colours tell: service (heated, cooled), type (of room), or heating, cooling, air for "
                         "each square metre")
            ->check(CLI::IsMember({"service", "type", "heating", "cooling", "air"}))
            ->capture_default_str();
        plan->add_option("--storey", plan_.storey, "only this storey");
        plan->add_flag("--findings", plan_.findings, "mark what looks wrong where it is");
        plan->add_option("--against", plan_.against, "an older version of the project: what moved is marked");
        plan->add_option("--over", plan_.over, "a PNG of the paper plan to draw over, with two --match");
        plan->add_option("--match", plan_.match, "a point of that picture in px and of the plan in m: 120,640=0,0")
            ->allow_extra_args(false);
        add_picture(*plan, [this] { return cli::draw_plan(common_, plan_, draw_); });
    }

    void add_draw()
    {
        auto* draw = app_.add_subcommand("draw", "draw something");
        draw->require_subcommand(1);
        add_draw_plan(*draw);
        auto* building = draw->add_subcommand("building", "every surface in space, as a page to turn in a browser");
        add_common(*building, Gives::nothing_more);
        add_output(*building, "html");
        building->callback([this] { command_ = [this] { return cli::draw_building(common_, draw_); }; });
        auto* wall = draw->add_subcommand("wall", "a build-up's layers to scale, with the temperature through them");
        add_common(*wall, Gives::nothing_more);
        wall->add_option("NAME", wall_, "of the build-up")->required();
        add_picture(*wall, [this] { return cli::draw_wall(common_, wall_, draw_); });
        auto* glass =
            draw->add_subcommand("glass", "a glazing's panes to scale, with what lets in the sun by its angle");
        add_common(*glass, Gives::nothing_more);
        glass->add_option("NAME", wall_, "of the glazing")->required();
        add_picture(*glass, [this] { return cli::draw_glass(common_, wall_, draw_); });
        auto* hours = draw->add_subcommand("hours", "a room's temperatures and loads over days of the weather year");
        add_common(*hours, Gives::nothing_more);
        add_step(*hours);
        hours->add_option("ROOM", room_, "name of the room")->required();
        hours->add_option("--from", year_.from, "first day, e.g. \"10 July\"")->required();
        hours->add_option("--days", year_.days, "how many; a week unless given")->check(CLI::Range(1, 366));
        add_picture(*hours, [this] { return cli::draw_hours(common_, room_, year_, draw_); });
        auto* year = draw->add_subcommand("year", "calendars day by hour: when things are used");
        add_common(*year, Gives::nothing_more);
        year->add_option("NAME", calendar_, "of one calendar or profile; all calendars unless given");
        add_picture(*year, [this] { return cli::draw_year(common_, calendar_, draw_); });
        auto* climate = draw->add_subcommand("climate", "the weather year: temperatures, sun by hour and day, wind");
        add_common(*climate, Gives::nothing_more);
        add_picture(*climate, [this] { return cli::draw_climate(common_, draw_); });
    }

    void add_explain()
    {
        auto* c = app_.add_subcommand("explain", "what a key of the project file means and where a project sets it, or "
                                                 "a build-up, glazing or calendar taken apart");
        c->add_option(
             "NAME", explained_,
             "[PROJECT] NAME: a key (\"height\", \"room/height\", \"room.opening/sill\"), a table (\"room\"), or "
             "a build-up or glazing of the project before it or of the library that ships (\"cavity wall, filled\")")
            ->required()
            ->expected(1, 2);
        c->add_option("--units", common_.units, "print in these units: SI, inch-pound, or single ones over that");
        c->add_flag("--json", common_.json, "a build-up or glazing for machines");
        add_wide(*c);
        c->callback([this] {
            if (explained_.size() == 2) common_.project = explained_.front();
            command_ = [this] { return cli::explain(common_, explained_.back()); };
        });
    }

    void add_library()
    {
        auto* c =
            app_.add_subcommand("library", "list the materials, build-ups, glazings, shades and room types that ship");
        c->add_option("WORD", word_, "only what has it in its name");
        c->add_option("--units", common_.units, "print in these units: SI, inch-pound, or single ones over that");
        c->add_flag("--json", common_.json, "for machines");
        add_wide(*c);
        c->callback([this] { command_ = [this] { return cli::library(common_, word_); }; });
    }

    void add_schema()
    {
        auto* c =
            app_.add_subcommand("schema", "print the JSON Schema of project.toml, for editors that complete and check");
        c->add_option("-o,--output", output_, "write the schemas of project, include and library into this folder");
        c->add_flag("--force", force_, "write even over files that Venture did not write");
        c->callback([this] { command_ = [this] { return cli::schema(output_, force_); }; });
    }

    void add_export()
    {
        auto* c = app_.add_subcommand(
            "export", "write a table of the project as CSV, to edit in a spreadsheet and name in a [[table]]");
        add_common(*c, Gives::nothing_more);
        c->add_option("TABLE", table_, "what its lines are: room, opening, room_type, ...")
            ->required()
            ->check(CLI::IsMember(project::writable_tables()));
        c->add_option("-o,--output", draw_.output, "file to write; to the terminal unless given");
        c->add_flag("--force", draw_.force, "write even over a file that Venture did not write");
        c->callback([this] { command_ = [this] { return cli::export_table(common_, table_, draw_); }; });
    }

    void add_pack()
    {
        auto* c = app_.add_subcommand("pack", "copy a project with everything that it reads, libraries too");
        add_common(*c, Gives::nothing_more);
        c->add_option("-o,--output", output_, "folder of the copy")->required();
        c->add_flag("--force", force_, "write even over files that Venture did not write or that were changed since");
        c->callback([this] { command_ = [this] { return cli::pack(common_, output_, force_); }; });
    }

    void add_watch()
    {
        auto* c =
            app_.add_subcommand("watch", "run again whenever a file of the project is saved, and tell what moved");
        add_common(*c, Gives::nothing_more);
        add_step(*c);
        c->add_option("--figures", figures_,
                      "whose moves are told, by path with * for any part: \"room_load/*/cooling\"; what most people "
                      "look at unless given; may be repeated")
            ->allow_extra_args(false);
        c->add_option("WHAT", watched_, "what to run: check, loads, size, plan (the picture)")
            ->check(CLI::IsMember({"check", "loads", "size", "plan"}));
        c->callback([this] {
            if (watched_.empty()) watched_ = {"loads"};
            command_ = [this] { return cli::watch(common_, watched_, figures_); };
        });
    }

    CLI::App app_{cli::about, "venture"};
    cli::CommonOptions common_{};
    cli::DrawOptions draw_{};
    cli::PlanDrawOptions plan_{};
    cli::CheckOptions check_{};
    cli::ClimateOptions climate_{};
    cli::YearOptions year_{};
    std::vector<std::string> explained_{}, watched_{}, figures_{};
    std::string word_{}, model_day_{};
    std::filesystem::path output_{};
    std::string new_folder_{}, starter_ = "empty", demo_folder_ = "venture-demo", room_{}, wall_{}, picture_{},
                               calendar_{}, table_{};
    bool force_ = false, csv_ = false;
    std::function<ExitCode()> command_{};
};

} // namespace

int main(int argc, char** argv)
{
    try {
        return CommandLine{}.run(argc, argv);
    } catch (const quantity::Error& wrong) {
        cli::print_error(fmt::format("venture: {}\n", wrong.what()));
    } catch (const std::exception& wrong) {
        cli::print_error(fmt::format("venture: an unexpected failure ({}); please report it\n", wrong.what()));
    }
    return static_cast<int>(ExitCode::failure);
}
