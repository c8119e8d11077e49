#include <venture/cli/printing.hpp>
#include <venture/input/chosen_units.hpp>
#include <venture/input/overlay.hpp>

#include <algorithm>
#include <charconv>
#include <cstdio>
#include <cstdlib>
#include <map>

#include <fmt/format.h>
#include <nlohmann/json.hpp>
#include <sys/ioctl.h>
#include <unistd.h>

#include <venture/project/output.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::cli {

using nlohmann::json;
using quantity::Problem;
using quantity::Severity;

namespace {

project::Colour colour_of_stderr()
{
    const bool terminal = isatty(STDERR_FILENO) != 0 && std::getenv("NO_COLOR") == nullptr;
    return terminal ? project::Colour::terminal : project::Colour::none;
}

/// COLUMNS, else the terminal's, else that of a file.
std::size_t page_width(int file)
{
    constexpr std::size_t of_a_file = 100, least = 40;
    if (const char* columns = std::getenv("COLUMNS"); columns != nullptr) {
        const std::string_view text{columns};
        std::size_t width = 0;
        const auto [end, wrong] = std::from_chars(text.data(), text.data() + text.size(), width);
        if (wrong == std::errc{} && end == text.data() + text.size() && width > 0) return std::max(width, least);
    }
    winsize size{};
    if (isatty(file) != 0 && ioctl(file, TIOCGWINSZ, &size) == 0 && size.ws_col > 0)
        return std::max<std::size_t>(size.ws_col, least);
    return of_a_file;
}

std::string counted(std::ptrdiff_t n, const char* what) { return fmt::format("{} {}{}", n, what, n == 1 ? "" : "s"); }

/// "2 errors, 1 warning"; empty if nothing is open.
std::string sums(const std::vector<Problem>& problems)
{
    std::string out;
    for (const Severity severity : {Severity::error, Severity::warning, Severity::note}) {
        const auto n = std::ranges::count(problems, severity, &Problem::severity);
        if (n > 0) out += (out.empty() ? "" : ", ") + counted(n, std::string{name_of(severity)}.c_str());
    }
    return out;
}

json place_json(const Job& job, quantity::OriginId where)
{
    const quantity::Origin place = job.origins().place_behind(where);
    const bool in_file = place.kind == quantity::OriginKind::file;
    return {{"file", in_file ? place.text : ""}, {"line", place.line}, {"column", place.column}};
}

json problems_json(const Job& job, const std::vector<Problem>& problems)
{
    json out = json::array();
    int group = 0;
    for (const auto& g : project::grouped(problems, job.origins(), job.sources())) {
        ++group;
        for (const Problem& p : g.problems) {
            json entry = {{"severity", name_of(p.severity)},
                          {"code", p.code},
                          {"message", p.message},
                          {"hint", p.hint},
                          {"group", group}};
            entry.update(place_json(job, p.where));
            if (p.severity != Severity::error) entry["mark"] = project::mark_of(p);
            out.push_back(std::move(entry));
        }
    }
    return out;
}

} // namespace

void print(const std::string& bytes) { std::fwrite(bytes.data(), 1, bytes.size(), stdout); }

std::string laid_out(const report::Text& text, const CommonOptions& options)
{
    return text.laid_out(options.wide ? report::any_width : page_width(options.output.empty() ? STDOUT_FILENO : -1));
}

void print(const report::Text& text, const CommonOptions& options) { print(laid_out(text, options)); }

void print_for_terminal(const std::string& bytes, bool laid_out)
{
    print(!laid_out && isatty(STDOUT_FILENO) != 0 ? quantity::harmless(bytes, true) : bytes);
}

void print_error(const report::Text& text) { print_messages(text.laid_out(page_width(STDERR_FILENO))); }

void print_messages(const std::string& text)
{
    std::fflush(stdout);
    std::fwrite(text.data(), 1, text.size(), stderr);
}

std::string problems_in_words(const Job& job, bool list_accepted)
{
    constexpr std::size_t most_of_a_code = 50; // more of one kind tell nothing new; --json has them all
    const project::Findings all = job.findings();
    std::string out;
    std::map<std::string_view, std::size_t> groups_of;
    for (const auto& group : project::grouped(all.open, job.origins(), job.sources()))
        if (++groups_of[group.problems.front().code] <= most_of_a_code)
            out += project::in_words(group, job.origins(), job.sources(),
                                     {.colour = colour_of_stderr(), .width = page_width(STDERR_FILENO)});
    for (const auto& [code, count] : groups_of)
        if (count > most_of_a_code)
            out += fmt::format("{} more of {}; --json lists them all\n", count - most_of_a_code, code);
    if (!all.accepted.empty())
        out += list_accepted
                   ? "Accepted findings\n"
                   : fmt::format("{} accepted; --accepted lists {}\n", counted(std::ssize(all.accepted), "finding"),
                                 all.accepted.size() == 1 ? "it" : "them");
    for (const project::AcceptedFinding& a : list_accepted ? all.accepted : std::vector<project::AcceptedFinding>{})
        out += fmt::format("  {} {}\n    accepted by {}: {}\n", a.finding.code, project::printable(a.finding.message),
                           project::printable(a.by), project::printable(a.reason));
    const std::string open = sums(all.open);
    if (!open.empty())
        out += open + (!job.failed()   ? "\n"
                       : job.has_run() ? "; no numbers are told, since none of them would hold\n"
                                       : "; nothing was computed\n");
    return out;
}

std::string marks_in_words(const Job& job)
{
    constexpr int most = 50;
    std::string out;
    int marks = 0;
    for (const Problem& p : job.findings().open)
        if (p.severity == Severity::warning && ++marks <= most)
            out += fmt::format("  finding = \"{}\"\n", project::mark_of(p));
    if (marks > most) out += fmt::format("  and {} more; --json lists them all\n", marks - most);
    if (out.empty()) return {};
    return "To accept a finding, give its mark, a reason and your initials (by) in an [[accepted]] table:\n" + out;
}

std::string libraries_in_words(const Job& job)
{
    std::string out;
    for (const project::SourceFile& f : job.sources().files())
        if (f.role == project::FileRole::library)
            out += fmt::format("Library '{}': {}, fingerprint {}\n", f.library, f.name, f.fingerprint);
        else if (f.role == project::FileRole::catalogue)
            out += fmt::format("Catalogue {}, fingerprint {}\n", f.name, f.fingerprint);
    return out;
}

nlohmann::ordered_json with_findings(nlohmann::ordered_json document, const Job& job)
{
    const project::Findings all = job.findings();
    document["problems"] = problems_json(job, all.open);
    document["accepted"] = json::array();
    for (const project::AcceptedFinding& a : all.accepted) {
        nlohmann::ordered_json entry = {
            {"mark", project::mark_of(a.finding)}, {"message", a.finding.message}, {"by", a.by}, {"reason", a.reason}};
        entry.update(place_json(job, a.where));
        document["accepted"].push_back(std::move(entry));
    }
    document["libraries"] = json::array();
    for (const project::SourceFile& f : job.sources().files())
        if (f.role == project::FileRole::library)
            document["libraries"].push_back({{"name", f.library}, {"file", f.name}, {"fingerprint", f.fingerprint}});
    return document;
}

void print_json(json document, const Job& job)
{
    print(with_findings(std::move(document), job).dump(2, ' ', false, json::error_handler_t::replace) + "\n");
}

std::vector<std::string> changes_of(const CommonOptions& o)
{
    std::vector<std::string> out = o.changes;
    std::string_view rest = o.units;
    while (!rest.empty()) {
        const auto comma = std::min(rest.find(','), rest.size());
        const std::string one{rest.substr(0, comma)};
        out.push_back((one.find('=') == std::string::npos ? "units/preset=" : "units/") + one);
        rest.remove_prefix(std::min(comma + 1, rest.size()));
    }
    return out;
}

exchange::OpenOptions opening_of(const CommonOptions& o, const std::vector<std::string>& also)
{
    return {.with = {o.with.begin(), o.with.end()}, .changes = changes_of(o), .also = also};
}

std::optional<quantity::PreferredUnits> units_without_project(const CommonOptions& o)
{
    input::Input alone;
    for (const std::string& change : changes_of(o)) {
        const auto equals = change.find('=');
        if (const auto wrong = input::apply_overlay(alone, change.substr(0, equals), change.substr(equals + 1))) {
            print_messages(project::in_words({{*wrong}}, alone.origins, {}, {.width = page_width(STDERR_FILENO)}));
            return std::nullopt;
        }
    }
    return input::chosen_units(alone.units);
}

Job open(const CommonOptions& o, const std::vector<std::string>& also)
{
    (void)o.form(); // what cannot be written is told before it is computed
    if (o.verbose) print_error(fmt::format("reading {}\n", o.project.string()));
    Job job{exchange::open_project(o.project, opening_of(o, also))};
    (void)job.building();
    return job;
}

Job open_and_compute(const CommonOptions& o)
{
    Job job = open(o);
    if (job.failed()) return job;
    if (o.verbose) print_error(fmt::format("computing with steps of {:g} min\n", o.step_min));
    job.set_step(o.step_min * 60.0);
    (void)job.design();
    return job;
}

std::filesystem::path write_result(const std::filesystem::path& project, const std::filesystem::path& asked,
                                   const std::string& name, const std::string& bytes, bool force)
{
    if (asked.empty()) { // one manifest a project, the one that `demo` began
        project::OutputFolder{project, force}.write(name, bytes);
        return project / name;
    }
    project::OutputFolder{asked.has_parent_path() ? asked.parent_path() : ".", force}.write(asked.filename().string(),
                                                                                            bytes);
    return asked;
}

ExitCode deliver_picture(const Job& job, const CommonOptions& o, const PictureOptions& picture, const std::string& name,
                         const std::string& bytes, bool met)
{
    const std::string file = fmt::format("results/{}.{}", name, draw::extension(picture.picture()));
    print(fmt::format("wrote {}\n", write_result(job.folder(), picture.output, file, bytes, picture.force).string()));
    return finish(job, o, met);
}

std::string next_commands(const std::vector<std::pair<std::string, std::string>>& commands)
{
    std::size_t widest = 0;
    for (const auto& [command, why] : commands) widest = std::max(widest, quantity::display_width(command));
    std::string out = "Try next:\n";
    for (const auto& [command, why] : commands)
        out += fmt::format("  {}{}   {}\n", command, std::string(widest - quantity::display_width(command), ' '), why);
    return out;
}

ExitCode finish(const Job& job, const CommonOptions& o, bool met)
{
    const bool told = o.output.empty() && o.form() == Form::json; // in the document
    if (!told) print_messages(problems_in_words(job, o.accepted));
    if (job.failed()) return ExitCode::bad_input;
    if (!told) print_messages(marks_in_words(job));
    const auto open = job.findings().open;
    const bool warned = std::ranges::any_of(open, [](const auto& p) { return p.severity == Severity::warning; });
    return met && !(o.strict && warned) ? ExitCode::done : ExitCode::not_met;
}

bool needs_building(const Job& job, const char* what)
{
    if (job.building() || job.failed()) return false;
    print_error(fmt::format("{} needs a building; a table of typed loads has none. Try: venture size\n", what));
    return true;
}

} // namespace venture::cli
