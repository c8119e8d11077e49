#include <venture/study/sizing.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>

namespace venture::study {

using plant::PlantSelection;
using quantity::name_of;
using quantity::PreferredUnits;
using terminal::RoomSelection;

namespace {

template <class Selection>
void add_findings(const Selection& s, const std::string& name, std::string_view duty, const PreferredUnits& units,
                  std::vector<quantity::Problem>& out)
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
        const std::string what = s.choice.chosen      ? nearest->called() + ": " + nearest->in_words()
                                 : nearest != nullptr ? fmt::format("no product suffices; the nearest, {}: {}",
                                                                    nearest->called(), nearest->in_words())
                                                      : "no product suffices: the catalogue has none";
        const bool stays_dry = nearest != nullptr && nearest->one.dry && nearest->duty.latent_W && !nearest->refused;
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

} // namespace

bool Sizing::met() const
{
    return std::ranges::all_of(units, &RoomSelection::met) && std::ranges::all_of(plants, &PlantSelection::met);
}

std::vector<quantity::Problem> size_findings(const Sizing& s, const PreferredUnits& units)
{
    std::vector<quantity::Problem> out;
    for (const RoomSelection& u : s.units)
        add_findings(u, s.loads.rooms[u.room].room, name_of(u.duty.service), units, out);
    for (const PlantSelection& p : s.plants)
        if (p.duty.W > 0.0)
            add_findings(p, s.services.plants[p.plant].name, s.services.plants[p.plant].kind->words, units, out);
    return out;
}

} // namespace venture::study
