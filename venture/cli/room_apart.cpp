#include <venture/cli/room_apart.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include <fmt/format.h>

#include <venture/cli/moment.hpp>
#include <venture/cli/printing.hpp>
#include <venture/loads/cooling_ledger.hpp>
#include <venture/loads/heating_ledger.hpp>
#include <venture/loads/path_terms.hpp>
#include <venture/loads/room_hour.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/ledger_report.hpp>
#include <venture/report/room_air_report.hpp>
#include <venture/report/room_report.hpp>

namespace venture::cli {

namespace {

using building::Building;
using loads::DesignOptions;
using loads::LoadPath;

std::string kind_of(const LoadPath& path) { return std::string{in_words(path.kind)}; }

/// "roof to outdoors"; "people" where it goes through nothing.
std::string name_of(const LoadPath& path) { return path.through.empty() ? kind_of(path) : path.through; }

/// The path that is meant, by what it goes through or its kind: the largest in that hour of those that are called so.
const LoadPath* path_called(const loads::PeakParts& parts, const std::string& typed)
{
    const std::string asked = quantity::lower_case(quantity::trimmed(typed));
    const auto is_called = [&](const LoadPath& path) {
        return asked == kind_of(path) || asked == quantity::lower_case(path.through) ||
               asked == quantity::lower_case(in_words(path.kind, path.through));
    };
    const LoadPath* best = nullptr;
    std::set<std::string> names;
    for (const LoadPath& path : parts.parts.paths) {
        names.insert({kind_of(path), name_of(path)});
        if (is_called(path) &&
            (best == nullptr || std::abs(path.cooling_W[parts.hour]) > std::abs(best->cooling_W[parts.hour])))
            best = &path;
    }
    if (best != nullptr) return best;
    const std::vector<std::string> there{names.begin(), names.end()};
    const auto near = quantity::nearest_name(typed, there);
    print_error(fmt::format("no path over the edge of '{}' is called '{}'; {}\n", parts.parts.room, typed,
                            near ? fmt::format("did you mean '{}'?", *near)
                                 : fmt::format("there are: {}", fmt::join(there, "; "))));
    return nullptr;
}

/// The hours of one path, behind what was told of the room. @returns whether there is such a path
bool add_terms(figure::Document& out, const Building& b, std::size_t room, const climate::DesignDay& day,
               const loads::PeakParts& parts, const std::string& typed, const DesignOptions& options,
               const quantity::PreferredUnits& units)
{
    const LoadPath* path = path_called(parts, typed);
    if (path == nullptr) return false;
    const auto terms =
        terms_of_path(b, room, day, parts.hour, parts.parts.reference_C, path->kind, path->through, options);
    if (!terms) {
        print_error(fmt::format("{} is no forcing that acts hour by hour: it has no terms\n", name_of(*path)));
        return false;
    }
    out.add(report::terms_document(*terms, parts.parts.reference_C, units));
    return true;
}

/// Where the project says what the site's values are.
void add_origins_of_site(const Job& job, quantity::Ledger& ledger, int month)
{
    const input::SiteInput& site = job.project().input().site;
    std::map<std::string, quantity::OriginId> said = {{"site/winter_dry_bulb", site.winter_dry_bulb.origin},
                                                      {"site/winter_ground", site.winter_ground.origin},
                                                      {"site/height", site.height.origin},
                                                      {"site/ground_reflectance", site.ground_reflectance.origin}};
    for (const input::MonthInput& one : site.months)
        if (one.month && static_cast<int>(*one.month) == month) {
            said["site.month/beam_depth"] = one.beam_depth.origin;
            said["site.month/diffuse_depth"] = one.diffuse_depth.origin;
        }
    for (quantity::LedgerLine& line : ledger)
        for (quantity::LedgerInput& input : line.inputs)
            if (const auto at = said.find(input.from); at != said.end())
                input.from += fmt::format(" ({})", job.origins().describe(at->second));
}

/// Of what comes in in that hour.
figure::Document arithmetic_of_hour(const Job& job, std::size_t room, const Moment& moment, const quantity::Ledger& air)
{
    figure::Document out;
    quantity::Ledger ledger = loads::ledger_of_gains(*job.building(), room, moment.day, moment.hour);
    ledger.insert(ledger.end(), air.begin(), air.end());
    if (ledger.empty()) return out.add("\nNeither gains nor sun nor air come in then: there is nothing to reckon.\n");
    add_origins_of_site(job, ledger, moment.day.month);
    out.add("\nArithmetic of what comes in, in SI and degrees\n");
    return out.add(report::ledger_document(ledger));
}

std::optional<figure::Document> in_one_hour(const Job& job, std::size_t room, const DesignOptions& options,
                                            const RoomAsked& asked)
{
    const Building& b = *job.building();
    const auto moment = moment_called(b, asked.at);
    if (!moment) return std::nullopt;
    quantity::Ledger air;
    const loads::RoomHour hour =
        room_in_hour(b, room, moment->day, moment->hour, options, asked.arithmetic ? &air : nullptr);
    figure::Document out = report::room_hour_document(hour, b.rooms[room], job.units());
    if (asked.arithmetic) out.add(arithmetic_of_hour(job, room, *moment, air));
    if (!asked.terms.empty() && !add_terms(out, b, room, moment->day, hour.parts, asked.terms, options, job.units()))
        return std::nullopt;
    return out;
}

/// Of the steady loss in winter design.
figure::Document arithmetic(const Job& job, std::size_t room)
{
    figure::Document out;
    quantity::Ledger ledger = ledger_of_heating(*job.building(), room, job.design().loads);
    if (ledger.empty()) return out.add("\nIt is not heated: there is no steady loss to reckon.\n");
    add_origins_of_site(job, ledger, 0);
    out.add("\nArithmetic of the steady loss, in SI, in which all is reckoned\n");
    return out.add(report::ledger_document(ledger));
}

} // namespace

void add_room_asked(Parser& parser, RoomAsked& asked, const std::string& when)
{
    parser.add("--at", asked.at,
               when + "in an hour of a design day instead of at its peaks: \"July 15 h\", \"July wet bulb 15 h\", "
                      "\"winter 7 h\"");
    parser.flag(
        "--arithmetic", asked.arithmetic,
        when +
            "also the arithmetic of its steady loss, or with --at of the gains and sun that come in then, line by line "
            "down to what was typed");
    parser.add("--terms", asked.terms,
               when + "also the 24 hours that one path's load adds up from: \"roof\", \"people\", \"window in south "
                      "wall\"");
}

void needs_no_room(const RoomAsked& asked)
{
    if (asked.by_source || asked.arithmetic || !asked.at.empty() || !asked.terms.empty())
        throw Misuse{"--by-source, --arithmetic, --at and --terms take one room apart, and none is named"};
}

std::optional<figure::Document> room_taken_apart(const Job& job, const std::string& room, const RoomAsked& asked)
{
    const auto found = std::ranges::find(job.design().loads.rooms, room, &loads::RoomLoad::room);
    const DesignOptions options = job.project().design_options();
    const auto index = job.building()->find_room(room);
    if (asked.by_source && !asked.at.empty())
        throw Misuse{"--by-source takes the peaks apart, --at another hour: ask for one of them"};
    if (index && !asked.at.empty()) return in_one_hour(job, *index, options, asked);
    report::RoomCauses causes;
    if (index) {
        const Building& b = *job.building();
        causes.heating_parts = parts_of_heating(b, *index, *found, options);
        causes.cooling_parts = parts_of_cooling(b, *index, *found, options);
        causes.warmth_parts = parts_of_warmth(b, *index, *found, options);
        if (asked.by_source) {
            causes.heating = causes_of_heating(b, *index, *found, options);
            causes.cooling = causes_of_cooling(b, *index, *found, options);
        }
    }
    figure::Document out = report::room_document(*found, causes, job.origins(), job.units());
    if (index)
        out.add(report::room_air_document(*job.building(), job.building()->rooms[*index], job.project().coils(),
                                          job.units(), asked.arithmetic));
    if (asked.arithmetic && index) out.add(arithmetic(job, *index));
    if (asked.terms.empty()) return out;
    const auto& parts = causes.cooling_parts ? causes.cooling_parts : causes.heating_parts;
    if (!parts) {
        print_error(fmt::format("'{}' has no computed load to take apart; --at names an hour of a design day\n", room));
        return std::nullopt;
    }
    const auto day = climate::design_day_called(job.building()->site, parts->parts.day);
    if (!add_terms(out, *job.building(), *index, *day, *parts, asked.terms, options, job.units())) return std::nullopt;
    return out;
}

} // namespace venture::cli
