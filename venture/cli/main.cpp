/// The command line: parses, runs a command, turns exceptions into exit codes.

#include <csignal>
#include <deque>
#include <exception>
#include <sstream>
#include <string>

#include <CLI/CLI.hpp>
#include <fmt/format.h>
#include <unistd.h>

#include <venture/cli/about.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/nearest_argument.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/quantity/error.hpp>

namespace {

using namespace venture;
using cli::ExitCode;

/// The parser of a command; "draw plan" is one of "draw", which is made when first needed.
CLI::App& parser_of(CLI::App& program, const cli::Command& command)
{
    const auto blank = command.name.find(' ');
    const std::string first{command.name.substr(0, blank)}, heading{heading_of(command.group)};
    const auto found = program.get_subcommands([&](const CLI::App* c) { return c->get_name() == first; });
    CLI::App* parser = found.empty() ? nullptr : found.front();
    if (parser == nullptr) {
        parser = program.add_subcommand(first, blank == std::string_view::npos ? std::string{command.help}
                                                                               : first + " something");
        parser->group(heading);
        if (blank != std::string_view::npos) parser->require_subcommand(1);
    }
    if (blank == std::string_view::npos) return *parser;
    return *parser->add_subcommand(std::string{command.name.substr(blank + 1)}, std::string{command.help});
}

/// Ends at once where someone asks: files are written under another name first, so that none is left half done.
void stop(int)
{
    constexpr char said[] = "\nstopped; nothing more was written\n";
    (void)!::write(STDERR_FILENO, said, sizeof said - 1);
    constexpr int interrupted = 130; // as shells tell it
    ::_exit(interrupted);
}

int run(int argc, char** argv)
{
    std::signal(SIGINT, stop);
    CLI::App program{cli::about, "venture"};
    program.footer(cli::ending);
    program.require_subcommand(1);
    program.set_version_flag("--version", "Venture " VENTURE_VERSION);
    std::function<ExitCode()> chosen;
    std::deque<cli::Parser> parsers; // commands hold on to theirs
    for (const cli::Command* command : cli::commands()) {
        CLI::App& app = parser_of(program, *command);
        app.callback([&chosen, &app, run_it = command->declare(parsers.emplace_back(app))] {
            if (app.get_subcommands().empty()) chosen = run_it; // else it was one of its own commands
        });
    }
    try {
        program.parse(argc, argv);
        return static_cast<int>(chosen());
    } catch (const CLI::ParseError& wrong) {
        std::ostringstream out, err;
        const int code = program.exit(wrong, out, err);
        cli::print(report::Text{out.str()}, {});
        cli::print_error(code == 0 ? err.str() : cli::with_nearest(err.str(), program, {argv + 1, argv + argc}));
        return code == 0 ? 0 : static_cast<int>(ExitCode::bad_input);
    } catch (const cli::Misuse& wrong) {
        cli::print_error(fmt::format("{}\nRun with --help for more information.\n", wrong.what()));
        return static_cast<int>(ExitCode::bad_input);
    }
}

} // namespace

int main(int argc, char** argv)
{
    try {
        return run(argc, argv);
    } catch (const quantity::Error& wrong) {
        cli::print_error(fmt::format("venture: {}\n", wrong.what()));
    } catch (const std::exception& wrong) {
        cli::print_error(fmt::format("venture: an unexpected failure ({}); please report it\n", wrong.what()));
    }
    return static_cast<int>(ExitCode::failure);
}
