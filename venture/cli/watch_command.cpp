/// `venture watch`: run again whenever a file of the project is saved, and tell what moved.

#include <algorithm>
#include <atomic>
#include <chrono>
#include <csignal>
#include <cstdio>
#include <map>
#include <memory>
#include <thread>

#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/draw/plan_drawing.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/project/output.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/as_text.hpp>
#include <venture/report/changes.hpp>
#include <venture/report/check_report.hpp>
#include <venture/report/loads_report.hpp>
#include <venture/report/size_report.hpp>

namespace venture::cli::of_watch {

namespace {

namespace fs = std::filesystem;
using namespace std::chrono_literals;

/// What most people look at, of each thing that can be run.
const std::vector<std::string> usual_figures = {"room/*/area",
                                                "room/*/volume",
                                                "room/*/outdoor_air",
                                                "surface/*/net",
                                                "surface/*/u",
                                                "room_load/*/heating",
                                                "room_load/*/cooling",
                                                "building_load/*/heating",
                                                "building_load/*/cooling",
                                                "unit/*/chosen",
                                                "unit/*/full",
                                                "plant/*/chosen",
                                                "plant/*/full"};

std::atomic<bool> stop_asked{false};
void ask_to_stop(int) { stop_asked = true; }

/// Size and time of a file, to see whether it was saved.
using Stamp = std::pair<std::uintmax_t, fs::file_time_type>;
using Stamps = std::map<std::string, Stamp>;

void add_stamp(Stamps& stamps, const fs::path& file)
{
    std::error_code wrong;
    const auto size = fs::file_size(file, wrong);
    if (wrong) return; // gone, or being renamed: the next look tells
    const auto time = fs::last_write_time(file, wrong);
    if (!wrong) stamps[file.string()] = {size, time};
}

/// Everything that a project in this folder may be read from.
Stamps look(const fs::path& folder, const std::vector<fs::path>& others)
{
    Stamps stamps;
    std::error_code wrong;
    fs::recursive_directory_iterator it{folder.empty() ? "." : folder, fs::directory_options::skip_permission_denied,
                                        wrong};
    for (; !wrong && it != fs::recursive_directory_iterator{}; it.increment(wrong)) {
        const fs::path name = it->path().filename();
        if (name == "results" || name.string().starts_with('.')) {
            it.disable_recursion_pending();
            continue;
        }
        if (name.extension() == ".toml" || name.extension() == ".csv") add_stamp(stamps, it->path());
    }
    for (const fs::path& file : others) add_stamp(stamps, file);
    return stamps;
}

class Watcher {
public:
    Watcher(const CommonOptions& options, const std::vector<std::string>& what,
            const std::vector<std::string>& patterns)
        : o_{options},
          what_{what},
          patterns_{patterns.empty() ? usual_figures : patterns}
    {
    }

    ExitCode run()
    {
        std::signal(SIGINT, ask_to_stop);
        std::signal(SIGTERM, ask_to_stop);
        std::error_code ignored;
        if (!fs::exists(o_.project, ignored)) return finish(open(o_), o_); // nothing to wait for
        folder_ = fs::is_directory(o_.project, ignored) ? o_.project : o_.project.parent_path();
        Stamps seen = look(folder_, others_);
        round();
        while (!stop_asked) {
            std::this_thread::sleep_for(100ms);
            Stamps now = look(folder_, others_);
            if (now == seen) continue;
            for (Stamps later; later != now && !stop_asked; std::swap(now, later)) { // until the saving is done
                std::this_thread::sleep_for(60ms);
                later = look(folder_, others_);
                if (later == now) break;
            }
            seen = now;
            round();
        }
        print("stopped\n");
        return ExitCode::done;
    }

private:
    [[nodiscard]] bool asks(std::string_view what) const { return std::ranges::find(what_, what) != what_.end(); }

    /// One run; whatever goes wrong is told, and the last good figures stay for the next comparison.
    void round()
    {
        ++rounds_;
        try {
            run_once();
        } catch (const std::exception& wrong) {
            print_error(fmt::format("run {}: {}\n", rounds_, wrong.what()));
        }
        std::fflush(stdout);
        std::fflush(stderr);
    }

    void run_once()
    {
        const bool only_check = !asks("loads") && !asks("size") && !asks("plan");
        Job job = only_check ? open(o_) : open_and_compute(o_);
        others_.clear();
        for (const project::SourceFile& f : job.sources().files()) others_.push_back(f.path);
        if (job.failed()) {
            print(fmt::format("\nrun {}: not usable as it is; the last good figures stand\n", rounds_));
            print_messages(problems_in_words(job));
            told_ = {};
            return;
        }
        figure::Document all;
        if (asks("check") && job.building()) all.add(report::check_document(*job.building(), job.units()));
        if (asks("loads")) all.add(loads_of(job));
        if (asks("size")) all.add(report::size_document(job.project().sizing(), job.units()));
        if (asks("plan")) draw(job);
        std::vector<figure::Figure> figures;
        for (const std::string& pattern : patterns_)
            std::ranges::move(figures_of(all, pattern), std::back_inserter(figures));
        tell(job, std::move(figures));
    }

    static figure::Document loads_of(const Job& job)
    {
        if (job.building())
            return report::loads_document(*job.building(), job.design(), job.units(),
                                          {.coils = &job.project().coils()});
        figure::Document out; // of a table of typed loads
        out.add(loads::design_tables().table("room_load", {.design = &job.design(), .origins = &job.origins()}));
        return out;
    }

    void draw(const Job& job)
    {
        if (!job.building()) return;
        project::OutputFolder{job.folder()}.write(
            "results/plan.svg", draw::draw_plan(*job.building(), job.design().loads, {.units = job.units()}));
    }

    void tell(const Job& job, std::vector<figure::Figure> figures)
    {
        if (last_) {
            const figure::Table moved = report::moved_table(*last_, figures, job.units());
            print(
                report::Text{fmt::format("\nrun {}: {}\n", rounds_, moved.rows.empty() ? "no figure moved" : "saved")} +
                    (moved.rows.empty() ? report::Text{} : report::as_text(moved, job.units())),
                o_);
        } else {
            if (figures.empty())
                print_error(fmt::format("no figure is meant by {}; docs/figures.md and `venture explain` list them\n",
                                        quantity::listed(patterns_, 4)));
            print(fmt::format("run {}: {} figures; watching {}, end with Ctrl-C\n", rounds_, figures.size(),
                              folder_.empty() ? "." : folder_.string()));
        }
        last_ = std::move(figures);
        const std::string messages = problems_in_words(job);
        if (messages != told_) print_messages(messages.empty() ? "nothing is found wrong or odd any more\n" : messages);
        told_ = messages;
    }

    CommonOptions o_;
    std::vector<std::string> what_, patterns_;
    fs::path folder_{};
    std::vector<fs::path> others_{};
    std::optional<std::vector<figure::Figure>> last_{};
    std::string told_{};
    int rounds_ = 0;
};

struct Options {
    CommonOptions common{};
    std::vector<std::string> what{}, figures{};
};

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<Options>();
    add_project(parser, options->common);
    add_step(parser, options->common);
    parser
        .add("--figures", options->figures,
             "whose moves are told, by path with * for any part: \"room_load/*/cooling\"; what most people "
             "look at unless given; may be repeated")
        .one_each();
    parser.add("WHAT", options->what, "what to run: check, loads, size, plan (the picture)")
        .one_of({"check", "loads", "size", "plan"});
    return [options] {
        if (options->what.empty()) options->what = {"loads"};
        return Watcher{options->common, options->what, options->figures}.run();
    };
}

} // namespace

} // namespace venture::cli::of_watch

namespace venture::cli {

extern const Command watch_command;
const Command watch_command = {"watch", Group::compute,
                               "run again whenever a file of the project is saved, and tell what moved",
                               of_watch::declare};

} // namespace venture::cli
