#include <venture/cli/job.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/building/overlay.hpp>
#include <venture/building/resolve.hpp>
#include <venture/catalogue/read_catalogue.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>

namespace venture::cli {

namespace codes = quantity::codes;
using quantity::Problem;
using quantity::Severity;

namespace {

/// Outdoor temperature that chillers are rated at where no site is known; our assumption.
constexpr double assumed_outdoor_C = 32.0;

/// Problems that may only follow from parts that could not be read. A misspelt name with a near one is real.
bool follows_from_gaps(const Problem& p)
{
    if (p.severity != Severity::error || p.code == codes::missing) return true;
    if (p.code == codes::unknown_name) return !p.hint.starts_with("did you mean");
    return p.code == codes::outline || p.code == codes::no_face;
}

} // namespace

Job::Job(const std::filesystem::path& path, const std::vector<std::string>& changes)
{
    if (path.extension() == ".csv") {
        project_.folder = path.parent_path();
        read_typed_loads(path);
    } else {
        project_ = project::read_project(path);
        problems_ = std::move(project_.problems);
    }
    for (const std::string& change : changes) {
        const auto equals = change.find('=');
        if (equals == std::string::npos) {
            const auto where = project_.input.origins.add({.kind = quantity::OriginKind::overlay, .text = change});
            problems_.push_back(
                {Severity::error, codes::overlay, where, "no '=' in it", "write --set \"room/Boat hall/height=5 m\""});
            continue;
        }
        if (auto wrong = building::apply_overlay(project_.input, change.substr(0, equals), change.substr(equals + 1)))
            problems_.push_back(std::move(*wrong));
    }
}

void Job::read_typed_loads(const std::filesystem::path& file)
{
    auto& origins = project_.input.origins;
    const std::string name = file.filename().string();
    project::FileText read = project::read_file(file);
    if (!read.problem.empty()) {
        const auto where = origins.add({quantity::OriginKind::file, file.string(), 0, 0, {}});
        problems_.push_back(
            {Severity::error, codes::file, where, read.problem, "a table of loads is a CSV file with a line a room"});
        return;
    }
    exchange::LoadsTable table = exchange::read_loads_table(read.text, name, origins, problems_);
    project_.sources[name] = std::move(read.text);
    assumed_ = std::move(table.assumed);
    typed_ = std::move(table.loads);
}

void Job::add(std::vector<Problem> more) { std::ranges::move(more, std::back_inserter(problems_)); }

void Job::check_services_alone()
{
    std::vector<services::Client> clients;
    for (const building::RoomInput& room : project_.input.rooms)
        if (room.name) clients.push_back({.room = *room.name, .origin = room.name.origin});
    for (Problem& p : services::connect(project_.input, clients).problems)
        if (p.severity == Severity::error && project_.whole) problems_.push_back(std::move(p));
}

void Job::resolve()
{
    const building::Input& input = project_.input;
    if (input.loads.table && !typed_) read_typed_loads(project_.folder / *input.loads.table);
    std::vector<services::Client> clients;
    if (!typed_ || !input.rooms.empty()) {
        if (quantity::has_error(problems_) && input.rooms.empty())
            return; // nothing was read: more words would not help
        building::Resolved resolved = building::resolve(input);
        if (!project_.whole) std::erase_if(resolved.problems, follows_from_gaps);
        project_.input.origins = std::move(resolved.origins);
        add(std::move(resolved.problems));
        if (failed() || !resolved.building) return check_services_alone();
        building_ = std::move(resolved.building);
        for (const building::Room& room : building_->rooms)
            clients.push_back({room.name, room.use.heated_by.value, room.use.cooled_by.value, room.origin,
                               room.use.heated_by.origin, room.use.cooled_by.origin,
                               room.use.heating_setpoint_C.has_value(), room.use.cooling_setpoint_C.has_value()});
    }
    if (typed_)
        for (const loads::RoomLoad& load : typed_->rooms) {
            const auto same = std::ranges::find(clients, load.room, &services::Client::room);
            services::Client& client = same == clients.end() ? clients.emplace_back() : *same;
            client.room = load.room;
            client.heated = load.heated;
            client.cooled = load.cooled;
            if (same == clients.end()) client.origin = load.origin;
        }
    services_ = services::connect(input, clients);
    add(services_.problems);
}

void Job::compute(double step_s)
{
    if (building_) {
        design_ = loads::design_loads(*building_, {.step_s = step_s});
        for (const loads::RunNote& run : design_.runs)
            if (run.humidity_capped_at_saturation)
                problems_.push_back({Severity::note,
                                     codes::humidity_capped,
                                     {},
                                     fmt::format("design day {}: some night hours would be more than saturated; their "
                                                 "humidity is taken as saturated",
                                                 run.day),
                                     "the coincident wet bulb or the daily range is high"});
    }
    if (!typed_) return;
    if (building_)
        for (const loads::RoomLoad& load : typed_->rooms)
            problems_.push_back(
                {Severity::note,
                 codes::typed_load,
                 load.origin,
                 fmt::format("loads of '{}' were typed{}", load.room,
                             building_->find_room(load.room) ? " and stand instead of the computed ones" : ""),
                 {}});
    exchange::lay_over({*typed_, {}}, design_.loads);
}

report::Sizing Job::size() const
{
    const catalogue::Catalogue& products = catalogue::shipped_catalogue();
    VENTURE_ASSERT(products.problems.empty());
    double outdoor_C = assumed_outdoor_C;
    if (building_ && !building_->site.months.empty())
        outdoor_C = std::ranges::max(building_->site.months, {}, &climate::CoolingMonth::dry_bulb_C).dry_bulb_C;
    report::Sizing sizing{.loads = design_.loads, .services = services_};
    sizing.units = terminal::select_units(sizing.loads, services_, products.units);
    sizing.plants = plant::select_plants(sizing.loads, services_, products.plants, outdoor_C);
    return sizing;
}

std::string Job::problems_in_words() const
{
    std::string out;
    for (const Problem& p : project::in_reading_order(problems_, project_.input.origins))
        out += project::in_words(p, project_.input.origins, project_.sources);
    return out;
}

} // namespace venture::cli
