#include <venture/study/sizing.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/article.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/study/considered_figures.hpp>
#include <venture/study/unit_findings.hpp>
#include <venture/study/valve_findings.hpp>

namespace venture::study {

using plant::PlantSelection;
using quantity::name_of;
using quantity::PreferredUnits;
using terminal::RoomSelection;

namespace {

template <class Selection>
void add_findings(const Selection& s, const std::string& name, std::string_view duty, const PreferredUnits& units,
                  const std::string& failures, const std::string& other_kind, std::vector<quantity::Problem>& out)
{
    using quantity::Severity;
    constexpr double worth_saying = 0.01;
    const auto where = s.kept ? s.kept->origin : quantity::OriginId{};
    const std::string subject =
        fmt::format("{} {}", name, duty); // accepted for this product at this duty, to two digits
    const std::string inputs = fmt::format("{} at {:.2g} W", s.kept ? s.kept->product : "", s.duty.W);
    const auto say = [&](std::string message, std::string hint) {
        out.push_back({.severity = Severity::warning,
                       .code = quantity::codes::not_met,
                       .where = where,
                       .message = std::move(message),
                       .hint = std::move(hint),
                       .subject = subject,
                       .inputs = inputs});
    };
    if (s.kept_unknown && !other_kind.empty())
        return say(fmt::format("{}, {}: the kept product {}", name, duty, other_kind),
                   "keep one of that kind, or let a circuit serve the room that feeds such units");
    if (s.kept_unknown)
        return say(fmt::format("{}, {}: the kept product '{}' is not in the catalogue", name, duty, s.kept->product),
                   "check its name; products of one's own stand instead of those of the same kind that ship");
    const std::string moved =
        std::abs(s.duty_moved) > worth_saying
            ? fmt::format("; the duty was {} when it was settled on and is {} now",
                          units.text(*s.kept->chosen_for_W, "total_power"), units.text(s.duty.W, "total_power"))
            : "";
    if (!s.met()) {
        const rating::Rated* nearest = s.choice.chosen      ? &*s.choice.chosen
                                       : s.choice.next_down ? &*s.choice.next_down
                                       : s.choice.refused   ? &*s.choice.refused
                                                            : nullptr;
        if (!s.kept && !failures.empty())
            return say(fmt::format("{}, {}: no product suffices: {}{}", name, duty, failures, moved),
                       "relax the limit that keeps most out, split the load, or change the water temperatures; "
                       "`venture size --room NAME --rejected` lists them all");
        const std::string what = s.choice.chosen      ? nearest->called() + ": " + nearest->in_words()
                                 : nearest != nullptr ? fmt::format("no product suffices; the nearest, {}: {}",
                                                                    nearest->called(), nearest->in_words())
                                                      : "no product suffices: the catalogue has none";
        const bool stays_dry = nearest != nullptr && nearest->all().dry && nearest->duty.latent_W && !nearest->refused;
        say(fmt::format("{}, {}: {}{}", name, duty, what, moved),
            s.kept ? "choose again (remove the [[kept]] table) or split the load"
            : stays_dry
                ? "the dew point asked for is hardly above the water: colder water, a less strict humidity_limit, or "
                  "a dryer"
                : "split the load (a plant may have several units), or change the water temperatures");
    } else if (!moved.empty()) {
        out.push_back({.severity = Severity::note,
                       .code = quantity::codes::not_met,
                       .where = where,
                       .message = fmt::format("{}, {}: {} still suffices ({}){}", name, duty, s.choice.chosen->called(),
                                              s.choice.chosen->in_words(), moved),
                       .subject = subject,
                       .inputs = inputs});
    }
}

/// "'Windlass 4' is a fan coil, and circuit 'radiators' feeds radiators"; empty where no kind has such a product.
std::string other_kind_of(const Sizing& s, const RoomSelection& u)
{
    const services::Circuit& circuit = s.services.circuits[u.circuit];
    if (!u.kept_unknown) return {};
    for (const rating::Stock& stock : s.stocks->all())
        if (stock.find(u.kept->product) != nullptr)
            return fmt::format("'{}' is {}, and circuit '{}' feeds {}s", u.kept->product,
                               quantity::with_article(stock.kind->words), circuit.name, circuit.unit->words);
    return {};
}

/// Where nothing suffices for other reasons than capacity alone, what fails in what.
std::string failures_of(const Sizing& s, const RoomSelection& u)
{
    const bool by_capacity = u.choice.next_down || u.choice.refused;
    const bool told = u.kept || u.choice.chosen || (by_capacity && !u.wish.is_limited());
    return told ? std::string{} : failures_in_words(s, u);
}

/// "July 8-11 h, August 9-10 h": hours of a day that follow one another.
std::string hours_in_words(const RoomLeaves& leaves, const std::vector<std::size_t>& hours)
{
    const auto when = [&](std::size_t i) { return leaves.when(services::Service::cooling, hours[i]); };
    std::vector<std::string> out;
    for (std::size_t i = 0, last = 0; i < hours.size(); i = last + 1) {
        last = i;
        while (last + 1 < hours.size() && hours[last + 1] == hours[last] + 1 && when(last + 1).day == when(i).day)
            ++last;
        out.push_back(fmt::format("{} {}-{} h", when(i).day, when(i).clock_hour, when(last).clock_hour + 1));
    }
    constexpr std::size_t most = 6;
    const std::size_t left = out.size() > most ? out.size() - most : 0;
    out.resize(out.size() - left);
    return fmt::format("{}{}", fmt::join(out, ", "), left > 0 ? fmt::format(" and {} times more", left) : "");
}

/// Pipes that would have to be hot and cold at once.
void add_pipes_findings(const Sizing& s, std::vector<quantity::Problem>& out)
{
    for (std::size_t c = 0; c < s.services.circuits.size(); ++c) {
        const services::Circuit& circuit = s.services.circuits[c];
        if (circuit.same_pipes.value_or(0) <= c) continue; // told with the other one
        const std::vector<std::size_t> hours =
            hours_of_both(s.services, c, s.leaves.needs, s.leaves.heating_on_cooling_days);
        if (hours.empty()) continue;
        out.push_back({.severity = quantity::Severity::warning,
                       .code = quantity::codes::both_at_once,
                       .where = circuit.origin,
                       .message = fmt::format("circuits '{}' and '{}' share pipes, and rooms on them need heating and "
                                              "cooling at once in {} hours of the cooling design days: {}",
                                              circuit.name, s.services.circuits[*circuit.same_pipes].name, hours.size(),
                                              hours_in_words(s.leaves, hours)),
                       .hint = "four pipes, or rooms parted into circuits that are changed over apart",
                       .subject = "circuit/" + circuit.name,
                       .inputs = fmt::format("{} hours", hours.size())});
    }
}

} // namespace

bool Sizing::met() const
{
    return std::ranges::all_of(units, &RoomSelection::met) && std::ranges::all_of(plants, &PlantSelection::met);
}

std::vector<quantity::Problem> size_findings(const Sizing& s, const PreferredUnits& units)
{
    std::vector<quantity::Problem> out;
    for (const RoomSelection& u : s.units)
        add_findings(u, s.loads.rooms[u.room].room, name_of(u.duty.service), units, failures_of(s, u),
                     other_kind_of(s, u), out);
    for (const RoomSelection& u : s.units) add_unit_findings(s, u, units, out);
    for (const PlantSelection& p : s.plants)
        if (p.duty.W > 0.0)
            add_findings(p, s.services.plants[p.plant].name, s.services.plants[p.plant].kind->words, units, {}, {},
                         out);
    add_pipes_findings(s, out);
    add_valve_findings(s, units, out);
    return out;
}

} // namespace venture::study
