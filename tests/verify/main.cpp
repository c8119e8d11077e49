/// verify FOLDER...: runs every reference case below the folders through the library, prints one line a case with its
/// largest error beside the tolerance, and ends with "N passed, N failed". What a case is about is told from the case.

#include <cstdio>
#include <filesystem>
#include <fstream>
#include <vector>

#include <reference_case.hpp>
#include <verify/tables.hpp>

namespace {

using namespace venture::verify;
using nlohmann::json;
namespace fs = std::filesystem;

/// Prints outcomes and counts them.
class Report {
public:
    void add(const std::string& where, const Outcome& outcome)
    {
        constexpr const char* words[] = {"ok", "FAIL", "not yet", "note"};
        fmt::print("{:<8}{}: {}\n", words[static_cast<int>(outcome.verdict)], where, outcome.words);
        passed_ += outcome.verdict == Verdict::passed ? 1 : 0;
        failed_ += outcome.verdict == Verdict::failed ? 1 : 0;
    }
    [[nodiscard]] int finish() const
    {
        fmt::print("{} passed, {} failed\n", passed_, failed_);
        return failed_ == 0 && passed_ > 0 ? 0 : 1;
    }

private:
    int passed_ = 0, failed_ = 0;
};

const Answers& answers()
{
    static const Answers all = [] {
        Answers a;
        add_moist_air(a);
        add_sun_and_sky(a);
        add_envelope(a);
        add_glass_and_waves(a);
        add_load_methods(a);
        add_rating(a);
        add_emitters(a);
        add_radiator_sets(a);
        add_ventilation(a);
        add_air_systems(a);
        return a;
    }();
    return all;
}

Outcome answer(const json& table, const std::string& topic, const std::string& group)
{
    const auto found = answers().find({topic, group});
    try {
        if (found != answers().end()) return found->second(table, table.at(group));
    } catch (const std::exception& wrong) {
        return {Verdict::failed, wrong.what()};
    }
    if (group == "recalled") return {Verdict::note, "values from memory, not compared"};
    if (is_not_yet(topic, group)) return {Verdict::not_yet, "planned"};
    return {Verdict::failed, fmt::format("a group that is not understood (topic '{}')", topic)};
}

void run_table(const std::string& where, const json& table, Report& report)
{
    const std::string topic = table.at("topic");
    for (const auto& [group, content] : table.items())
        if (!is_description(group)) report.add(fmt::format("{}, {}", where, group), answer(table, topic, group));
}

Outcome run_periodic(const fs::path& folder, double step_s)
{
    const bool short_step = step_s <= 600.0;
    const double share = short_step ? 0.005 : 0.02, kelvin = short_step ? 0.05 : 0.3;
    try {
        const auto e = venture::reference::run_and_compare(venture::reference::read_periodic_case(folder, step_s));
        const bool met = e.day.converged && e.load_share <= share && e.temperature_K <= kelvin && e.flux_share <= 0.005;
        return {
            met ? Verdict::passed : Verdict::failed,
            fmt::format("loads {:.3g} of {:.3g} of the peak, temperatures {:.3g} of {:.3g} K, fluxes {:.3g} of 0.005",
                        e.load_share, share, e.temperature_K, kelvin, e.flux_share)};
    } catch (const std::exception& wrong) {
        return {Verdict::failed, wrong.what()};
    }
}

void run_file(const fs::path& file, const fs::path& root, Report& report)
{
    const std::string where = fs::relative(file, root).generic_string();
    std::ifstream in{file};
    const json document = json::parse(in, nullptr, false);
    if (document.is_discarded() || !document.is_object()) return report.add(where, {Verdict::failed, "not JSON"});
    if (document.contains("topic") && document.contains("tolerances")) return run_table(where, document, report);
    if (document.contains("zones") && document.contains("constructions")) {
        for (const double step_s : {600.0, 3600.0})
            report.add(fmt::format("{}, {:g} min", where, step_s / 60.0), run_periodic(file.parent_path(), step_s));
        return;
    }
    if (document.contains("case") && document.contains("zones")) return; // the answers to a periodic case
    try {
        if (document.contains("air_to_air") || document.contains("face_to_face"))
            return report.add(where, response_factors_of(document));
        if (document.contains("times_h")) return report.add(where, step_response_of(document));
    } catch (const std::exception& wrong) {
        return report.add(where, {Verdict::failed, wrong.what()});
    }
    report.add(where, {Verdict::failed, "a case that is not understood"});
}

} // namespace

int main(int argc, char** argv)
{
    if (argc < 2) {
        std::fputs("usage: verify FOLDER...\n", stderr);
        return 2;
    }
    Report report;
    for (int i = 1; i < argc; ++i) {
        const fs::path root = argv[i];
        std::error_code wrong;
        std::vector<fs::path> files;
        for (fs::recursive_directory_iterator it{root, wrong}, end; !wrong && it != end; it.increment(wrong))
            if (it->path().extension() == ".json") files.push_back(it->path());
        if (wrong || files.empty()) report.add(root.string(), {Verdict::failed, "no reference cases there"});
        std::ranges::sort(files);
        for (const fs::path& file : files) run_file(file, root, report);
    }
    return report.finish();
}
