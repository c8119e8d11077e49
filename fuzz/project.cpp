/// Any bytes as a project of several files: read, complete, resolve, connect, list, tell; never crash.
#include <cstdint>
#include <map>
#include <string>

#include <venture/input/overlay.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/project/acceptance.hpp>
#include <venture/project/read_project.hpp>
#include <venture/quantity/error.hpp>
#include <venture/resolve/effective.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/services/needs.hpp>
#include <venture/terminal/kinds.hpp>

namespace {

using namespace venture;

/// The text up to the first line "== NAME" is project.toml; each such line begins another file.
std::map<std::string, std::string> files_in(const std::string& text)
{
    std::map<std::string, std::string> files;
    std::string name = "project.toml";
    std::size_t at = 0;
    while (at <= text.size()) {
        const auto next = std::min(text.find("\n== ", at), text.size());
        files[name] = text.substr(at, next - at);
        if (next == text.size()) break;
        const auto end = std::min(text.find('\n', next + 1), text.size());
        name = text.substr(next + 4, end - next - 4);
        at = end + 1;
    }
    return files;
}

/// Whatever circuits, plants and lines say: a network without rings, in which what all rooms need can be summed.
void sum_demands(const input::Input& in)
{
    std::vector<services::Client> clients;
    for (const input::RoomInput& room : in.rooms)
        if (room.name)
            clients.push_back({.room = *room.name,
                               .type = room.type.value.value_or(""),
                               .storey = room.storey.value.value_or(""),
                               .heated = true,
                               .cooled = true});
    const services::Services s = services::connect(in, clients, {terminal::unit_kinds(), plant::plant_kinds()});
    std::vector<services::DemandAt> leaves;
    for (const services::NodeId room : s.places.rooms) {
        leaves.push_back({room, services::Service::heating, services::Demand::of_peak(1000.0, 0.0, 2)});
        leaves.push_back({room, services::Service::cooling, services::Demand::of_peak(500.0, 50.0, 2)});
    }
    const services::Needs needs = services::needs_of(s, leaves);
    for (std::size_t c = 0; c < s.circuits.size(); ++c) {
        VENTURE_ASSERT(needs.full.passed(s.places.circuits[c], s.circuits[c].carries).peak_W() >= 0.0);
        (void)services::ways_from(s.network, s.places.circuits[c], s.circuits[c].carries);
        (void)services::hours_of_both(s, c, leaves, leaves);
    }
}

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    const std::string text{reinterpret_cast<const char*>(data), size};
    const auto files = files_in(text);
    const auto load = [&](const std::filesystem::path& named) {
        const auto found = files.find(named.generic_string());
        return found == files.end() ? project::FileText{{}, "not there"} : project::FileText{found->second, {}};
    };
    project::ProjectFile file = project::read_project_text(files.at("project.toml"), "project.toml", load);
    (void)input::apply_overlay(file.input, text.substr(0, 40), text.substr(0, 20));
    resolve::Resolved resolved = resolve::resolve(file.input);
    std::move(file.problems.begin(), file.problems.end(), std::back_inserter(resolved.problems));
    const auto& origins = resolved.effective.origins;
    const auto values =
        resolve::effective_values(resolved.effective, resolved.building ? &*resolved.building : nullptr);
    for (const auto& value : resolve::asked_for(values, text.substr(0, 10), origins))
        (void)origins.describe(value.origin);
    const auto findings =
        project::part_accepted(resolved.problems, resolved.effective.accepted, [](std::string_view) { return true; });
    for (const auto& group : project::grouped(findings.open, origins, file.sources))
        VENTURE_ASSERT(!project::in_words(group, origins, file.sources).empty());
    sum_demands(resolved.effective);
    return 0;
}
