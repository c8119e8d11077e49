#pragma once
/// A project that a command works on: what was read of it, the case, and what was found.

#include <filesystem>
#include <string>
#include <vector>

#include <venture/exchange/open_project.hpp>
#include <venture/project/acceptance.hpp>

namespace venture::cli {

class Job {
public:
    explicit Job(exchange::Opened opened) : file_{std::move(opened.file)}, case_{std::move(opened.job)} {}

    /// Everything said so far, what is accepted apart.
    [[nodiscard]] project::Findings findings() const;
    [[nodiscard]] bool failed() const { return case_.failed(); }
    /// Whether loads or a year were computed, whatever came of it.
    [[nodiscard]] bool has_run() const;

    [[nodiscard]] const study::Case& project() const { return case_; }
    void set_step(double step_s) { case_.set_step(step_s); }
    [[nodiscard]] const std::optional<building::Building>& building() const { return case_.building(); }
    [[nodiscard]] const std::optional<climate::Site>& site() const { return case_.site(); }
    [[nodiscard]] const std::optional<climate::WeatherYear>& weather() const { return case_.weather(); }
    [[nodiscard]] const loads::DesignLoads& design() const { return case_.loads(); }
    [[nodiscard]] const input::Input& input() const { return case_.input(); }
    [[nodiscard]] const quantity::OriginPool& origins() const { return case_.input().origins; }
    [[nodiscard]] const quantity::PreferredUnits& units() const { return case_.units(); }
    /// The files that it was read from.
    [[nodiscard]] const project::Sources& sources() const { return file_->sources; }
    [[nodiscard]] const std::filesystem::path& folder() const { return file_->folder; }
    /// What calls it at the command line: its folder, or the file where that is not the folder's own.
    [[nodiscard]] std::string called() const;
    [[nodiscard]] const project::ProjectFile& file() const { return *file_; }

private:
    std::shared_ptr<const project::ProjectFile> file_;
    study::Case case_;
};

} // namespace venture::cli
