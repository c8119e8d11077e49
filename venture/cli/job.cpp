#include <venture/cli/job.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/catalogue/read_catalogue.hpp>
#include <venture/catalogue/shipped.hpp>
#include <venture/catalogue/shipped_library.hpp>
#include <venture/exchange/icalendar.hpp>
#include <venture/exchange/loads_table.hpp>
#include <venture/exchange/weather_file.hpp>
#include <venture/input/chosen_units.hpp>
#include <venture/input/completion.hpp>
#include <venture/input/overlay.hpp>
#include <venture/loads/load_findings.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/resolve/climate_input.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::cli {

namespace codes = quantity::codes;
using quantity::OriginId;
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
    return p.code == codes::outline || p.code == codes::no_face || p.code == codes::overlap;
}

} // namespace

Job::Job(const std::filesystem::path& path, const std::vector<std::string>& changes)
{
    if (path.extension() == ".csv") {
        read_loads_alone(path);
    } else {
        project_ = project::read_project(path);
        problems_ = std::move(project_.problems);
    }
    lay_over(changes);
    read_events();
    take_from_shipped_library();
}

/// Dates of iCalendar files join those that [[days]] state.
void Job::read_events()
{
    input::Input& input = project_.input;
    for (input::DaysInput& days : input.days) {
        const project::SourceFile* file = days.file ? project_.sources.find(*days.file) : nullptr;
        if (file == nullptr) continue; // told when it was to be read
        quantity::TextList dates =
            exchange::read_event_days(file->text, file->name, resolve::calendar_year(input),
                                      days.events ? *days.events : std::string{}, input.origins, problems_);
        if (days.dates) dates.insert(dates.begin(), (*days.dates).begin(), (*days.dates).end());
        days.dates = {std::move(dates), days.dates ? days.dates.origin : days.file.origin};
    }
}

void Job::take_from_shipped_library(const std::vector<std::string>& also)
{
    catalogue::take_from_shipped_library(project_.input, problems_, also);
}

Job Job::with_weather(const std::filesystem::path& path, const std::vector<std::string>& changes)
{
    std::error_code ignored;
    if (std::filesystem::is_directory(path, ignored) || path.extension() == ".toml") {
        Job job{path, changes};
        job.use_weather();
        if (!job.weather_) job.resolve_site(); // tells what is wrong with site and weather
        return job;
    }
    Job job;
    job.read_weather_alone(path);
    job.lay_over(changes);
    job.use_weather();
    return job;
}

void Job::lay_over(const std::vector<std::string>& changes)
{
    for (const std::string& change : changes) apply(change);
    units_ = input::chosen_units(project_.input.units);
}

void Job::read_weather_alone(const std::filesystem::path& file)
{
    project_.folder = file.parent_path();
    const std::string name = file.filename().string();
    const auto where = project_.input.origins.add({quantity::OriginKind::file, name, 0, 0, {}});
    const project::FileText read = project::read_file(file);
    if (!read.problem.empty()) {
        problems_.add({Severity::error, codes::file, where, read.problem,
                       "a weather year is a file with a record a line, or a project that has one"});
        return;
    }
    project_.sources.add({.name = name, .role = project::FileRole::weather, .text = read.text, .path = file},
                         read.text);
    project_.input.weather.file = {name, where};
    if (!exchange::describes_itself(read.text))
        problems_.add({Severity::error, codes::weather_records, where, "the file does not say what is in it",
                       "name it in a project's [weather] and describe its columns there, or put the same lines, "
                       "each behind #, on top of the file: the first is # [weather]"});
}

void Job::apply(const std::string& change)
{
    const auto equals = change.find('=');
    const std::string_view table = std::string_view{change}.substr(0, change.find('/'));
    const bool names_file = table == "library" || table == "table" || table == "loads" ||
                            std::string_view{change}.substr(0, equals).ends_with("/file");
    if (names_file) { // it would change nothing, without a word
        const auto where = project_.input.origins.add({.kind = quantity::OriginKind::overlay, .text = change});
        problems_.add({Severity::error, codes::overlay, where,
                       fmt::format("[{}] names files, which are read before changes are laid over", table),
                       "change it in the project"});
    } else if (equals == std::string::npos) {
        const auto where = project_.input.origins.add({.kind = quantity::OriginKind::overlay, .text = change});
        problems_.add(
            {Severity::error, codes::overlay, where, "no '=' in it", "write --set \"room/Boat hall/height=5 m\""});
    } else if (auto wrong = input::apply_overlay(project_.input, change.substr(0, equals), change.substr(equals + 1))) {
        problems_.add(std::move(*wrong));
    }
}

void Job::read_loads_alone(const std::filesystem::path& file)
{
    project_.folder = file.parent_path();
    const std::string name = file.filename().string();
    const project::FileText read = project::read_file(file);
    if (!read.problem.empty()) {
        const auto where = project_.input.origins.add({quantity::OriginKind::file, file.string(), 0, 0, {}});
        problems_.add(
            {Severity::error, codes::file, where, read.problem, "a table of loads is a CSV file with a line a room"});
        return;
    }
    project_.sources.add({.name = name, .role = project::FileRole::loads, .text = read.text, .path = file}, read.text);
    read_typed_loads(read.text, name);
}

void Job::read_typed_loads(const std::string& bytes, const std::string& name)
{
    exchange::LoadsTable table = exchange::read_loads_table(bytes, name, project_.input.origins, problems_);
    assumed_ = std::move(table.assumed);
    typed_ = std::move(table.loads);
}

void Job::check_services_alone()
{
    std::vector<services::Client> clients;
    for (const input::RoomInput& room : project_.input.rooms)
        if (room.name) clients.push_back({.room = *room.name, .origin = room.name.origin});
    for (const Problem& p : services::connect(project_.input, clients).problems)
        if (p.severity == Severity::error && project_.whole) problems_.add(p);
}

std::vector<services::Client> Job::clients() const
{
    std::vector<services::Client> out;
    if (building_)
        for (const building::Room& room : building_->rooms)
            out.push_back({room.name, room.use.heated_by.value, room.use.cooled_by.value, room.origin,
                           room.use.heated_by.origin, room.use.cooled_by.origin,
                           room.use.heating_setpoint_C.has_value(), room.use.cooling_setpoint_C.has_value()});
    if (!typed_) return out;
    for (const loads::RoomLoad& load : typed_->rooms) {
        const auto same = std::ranges::find(out, load.room, &services::Client::room);
        services::Client& client = same == out.end() ? out.emplace_back() : *same;
        if (client.room.empty()) client.origin = load.origin;
        client.room = load.room;
        client.heated = load.heated;
        client.cooled = load.cooled;
    }
    return out;
}

void Job::resolve_site()
{
    use_weather();
    if (problems_.has_error() && !project_.whole) return;
    resolve::ResolvedSite resolved = resolve::resolve_site(project_.input);
    project_.input = std::move(resolved.effective);
    drop_what_weather_would_give(resolved.problems);
    problems_.add_all(std::move(resolved.problems));
    if (!failed()) site_ = std::move(resolved.site);
}

void Job::resolve()
{
    if (resolve::wants_conditions(project_.input.site)) use_weather();
    problems_.add_all(project::wrong_marks(project_.input.accepted));
    const auto& named = project_.input.loads.table;
    if (named && !typed_)
        if (const project::SourceFile* table = project_.sources.find(*named))
            read_typed_loads(table->text, table->name);
    if (!typed_ || !project_.input.rooms.empty()) {
        if (problems_.has_error() && project_.input.rooms.empty())
            return; // nothing was read: more words would not help
        resolve::Resolved resolved = resolve::resolve(project_.input);
        if (!project_.whole) std::erase_if(resolved.problems, follows_from_gaps);
        drop_what_weather_would_give(resolved.problems);
        project_.input = std::move(resolved.effective);
        problems_.add_all(std::move(resolved.problems));
        if (failed() || !resolved.building) return check_services_alone();
        building_ = std::move(resolved.building);
        site_ = building_->site;
    }
    services_ = services::connect(project_.input, clients());
    problems_.add_all(services_.problems.all());
}

void Job::tell_capped_humidity()
{
    for (std::size_t i = 0; i < design_.runs.size(); ++i) {
        const loads::RunNote& run = design_.runs[i];
        if (!run.humidity_capped_at_saturation || i == 0) continue; // of winter, which comes first, the site tells
        Problem note{.severity = Severity::note,
                     .code = codes::humidity_capped,
                     .message = fmt::format("design day {}: some night hours would be more than saturated; their "
                                            "humidity is taken as saturated",
                                            run.day),
                     .hint = "the coincident wet bulb or the daily range is high",
                     .cause = "more than saturated at night",
                     .subject = fmt::format("design day {}", run.day)};
        if (i <= project_.input.site.months.size()) {
            const input::MonthInput& month = project_.input.site.months[i - 1];
            note.where = month.wet_bulb.origin;
            note.inputs = fmt::format("{} {} {}", *month.dry_bulb, *month.wet_bulb, *month.daily_range);
        }
        problems_.add(std::move(note));
    }
}

void Job::compute(double step_s)
{
    computed_ = true;
    if (building_) {
        design_ = loads::design_loads(*building_, {.step_s = step_s});
        tell_capped_humidity();
        problems_.add_all(loads::load_findings(*building_, design_.loads, units_));
    }
    if (!typed_) return;
    if (building_)
        for (const loads::RoomLoad& load : typed_->rooms)
            problems_.add({.severity = Severity::note,
                           .code = codes::typed_load,
                           .where = load.origin,
                           .message = fmt::format(
                               "loads of '{}' were typed{}", load.room,
                               building_->find_room(load.room) ? " and stand instead of the computed ones" : ""),
                           .cause = "loads were typed",
                           .subject = "room/" + load.room,
                           .inputs = fmt::format("{:.3f} {:.3f} {:.3f}", load.heating_W, load.cooling_sensible_W,
                                                 load.cooling_latent_W)});
    exchange::lay_over({*typed_, {}}, design_.loads);
}

study::Sizing Job::size()
{
    sized_ = true;
    const catalogue::Catalogue& products = catalogue::shipped_catalogue();
    VENTURE_ASSERT(products.problems.empty());
    double outdoor_C = assumed_outdoor_C;
    if (building_ && !building_->site.months.empty())
        outdoor_C = std::ranges::max(building_->site.months, {}, &climate::CoolingMonth::dry_bulb_C).dry_bulb_C;
    study::Sizing sizing{.loads = design_.loads, .services = services_};
    for (const auto& [name, place] : products.places) sizing.products_from[name] = products.origins.describe(place);
    sizing.units = terminal::select_units(sizing.loads, services_, products.units);
    sizing.plants = plant::select_plants(sizing.loads, services_, products.plants, outdoor_C);
    problems_.add_all(study::size_findings(sizing, units_));
    return sizing;
}

loads::BuildingYear Job::run_year(const loads::BuildingYearOptions& options)
{
    loads::BuildingYear out = loads::run_year(*building_, *weather_, options);
    ran_a_year_ = true;
    problems_.add_all(loads::year_findings(*building_, out, units_));
    return out;
}

project::Findings Job::findings() const
{
    const auto could_raise = [this](std::string_view code) {
        if (failed()) return false; // it stopped somewhere
        switch (codes::raised_by(code)) {
        case codes::RaisedBy::reading:
            return true;
        case codes::RaisedBy::weather:
            return weather_used_;
        case codes::RaisedBy::site:
            return site_.has_value();
        case codes::RaisedBy::building:
        case codes::RaisedBy::services:
            return building_.has_value() || typed_.has_value();
        case codes::RaisedBy::loads:
            return computed_;
        case codes::RaisedBy::sizes:
            return sized_;
        }
        VENTURE_UNREACHABLE("a finding that nothing raises");
    };
    return project::part_accepted(problems_.all(), project_.input.accepted, could_raise);
}

} // namespace venture::cli
