#pragma once
/// What every command does with a project: read it, lay changes over it, resolve it, compute, choose.

#include <filesystem>
#include <optional>
#include <string>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/loads/design_loads.hpp>
#include <venture/project/read_project.hpp>
#include <venture/report/size_report.hpp>

namespace venture::cli {

/// A project on its way through the stages. Each stage adds to the problems; errors stop the next.
class Job {
public:
    /// Reads a folder, a project file, or a table of typed loads (*.csv), and applies "key/path=value" changes.
    Job(const std::filesystem::path& path, const std::vector<std::string>& changes);

    /// Resolves the building (if there is one) and who serves whom.
    void resolve();
    /// Computes loads of the building and lays typed ones over them.
    void compute(double step_s);
    /// Chooses units and plant.
    [[nodiscard]] report::Sizing size() const;

    [[nodiscard]] bool failed() const { return quantity::has_error(problems_); }
    [[nodiscard]] const std::optional<building::Building>& building() const { return building_; }
    [[nodiscard]] const loads::DesignLoads& design() const { return design_; }
    [[nodiscard]] const std::vector<quantity::Problem>& problems() const { return problems_; }
    void add(std::vector<quantity::Problem> more);
    /// Everything said so far, worst first, with places.
    [[nodiscard]] std::string problems_in_words() const;
    [[nodiscard]] const quantity::OriginPool& origins() const { return project_.input.origins; }
    [[nodiscard]] const std::filesystem::path& folder() const { return project_.folder; }
    /// Conditions that a table of typed loads leaves open.
    [[nodiscard]] const std::vector<std::string>& assumed() const { return assumed_; }

private:
    void read_typed_loads(const std::filesystem::path& file);
    /// Tells what is wrong with circuits and plants of a project whose building does not stand.
    void check_services_alone();

    project::ProjectFile project_{};
    std::vector<quantity::Problem> problems_{};
    std::optional<building::Building> building_{};
    std::optional<loads::RoomLoads> typed_{};
    std::vector<std::string> assumed_{};
    services::Services services_{};
    loads::DesignLoads design_{};
};

} // namespace venture::cli
