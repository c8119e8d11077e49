#include <venture/cli/job.hpp>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>

namespace venture::cli {

namespace codes = quantity::codes;
using study::Stage;

std::string Job::called() const
{
    const auto& files = sources().files();
    if (!files.empty() && files.front().name != project::project_file_name)
        return (folder() / files.front().name).generic_string();
    return folder().empty() ? "." : folder().generic_string();
}

bool Job::has_run() const { return case_.was_asked_for(Stage::loads) || case_.was_asked_for(Stage::year); }

project::Findings Job::findings() const
{
    const auto could_raise = [this](std::string_view code) {
        if (failed()) return false; // it stopped somewhere
        switch (codes::raised_by(code)) {
        case codes::RaisedBy::reading:
            return true;
        case codes::RaisedBy::weather:
            return case_.was_asked_for(Stage::weather);
        case codes::RaisedBy::site:
            return case_.was_asked_for(Stage::site);
        case codes::RaisedBy::building:
        case codes::RaisedBy::services:
            return case_.was_asked_for(Stage::building);
        case codes::RaisedBy::loads:
            return case_.was_asked_for(Stage::loads);
        case codes::RaisedBy::sizes:
            return case_.was_asked_for(Stage::sizes);
        }
        VENTURE_UNREACHABLE("a finding that nothing raises");
    };
    return project::part_accepted(case_.problems().all(), case_.input().accepted, could_raise);
}

} // namespace venture::cli
