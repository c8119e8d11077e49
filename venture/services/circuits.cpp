#include <venture/services/circuits.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <fmt/format.h>

#include <venture/input/chosen_units.hpp>
#include <venture/quantity/article.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/services/circuit_medium.hpp>
#include <venture/services/telling.hpp>

namespace venture::services {

using input::CircuitInput;
using input::PlantInput;
using quantity::OriginId;
using quantity::Severity;
namespace codes = quantity::codes;

namespace {

class CircuitReader {
public:
    CircuitReader(const input::Input& input, const Kinds& kinds, Services& out)
        : input_{input},
          kinds_{kinds},
          units_{input::chosen_units(input.units)},
          out_{out}
    {
    }

    void run()
    {
        for (const PlantInput& p : input_.plants) add_plant(p);
        for (const CircuitInput& c : input_.circuits) add_circuit(c);
        for (const auto& [c, given] : read_) find_what_feeds(*given, out_.circuits[c]);
        tell_odd_orders();
    }

private:
    /// Whether the input has something of that name, readable or not.
    template <class Record>
    static bool is_given(const std::vector<Record>& all, const std::string& name)
    {
        return std::ranges::any_of(all, [&](const Record& r) { return r.name && *r.name == name; });
    }

    template <class T>
    void unknown(std::string_view what, const std::string& name, const std::vector<T>& all, OriginId where)
    {
        std::vector<std::string> names;
        for (const T& item : all) names.push_back(item.name);
        out_.problems.add(quantity::unknown_name(what, name, where, names));
    }

    static const Kind* kind_at(std::span<const Kind* const> kinds, std::size_t index)
    {
        return index < kinds.size() ? kinds[index] : nullptr;
    }
    /// The services that its list of kinds can do: "radiators: heating; fan coils: cooling".
    static std::string abilities(std::span<const Kind* const> kinds)
    {
        std::vector<std::string> out;
        for (const Kind* k : kinds) {
            std::vector<std::string_view> gives;
            for (const Service s : k->gives) gives.push_back(name_of(s));
            out.push_back(fmt::format("{}: {}", quantity::with_article(k->words), fmt::join(gives, ", ")));
        }
        return fmt::format("{}", fmt::join(out, "; "));
    }

    void add_plant(const PlantInput& p)
    {
        const auto kind = p.kind.which();
        if (!p.name || !kind) return; // said already: a missing key
        const int units = p.units.number().value_or(1), standby = p.standby_units.number().value_or(0);
        if (standby >= units)
            say(Severity::error, codes::contradiction, p.standby_units.origin,
                fmt::format("plant '{}' has {} units, and {} of them for standby", *p.name, units, standby),
                "units counts all of them; some must be left that run");
        out_.plants.push_back({.name = *p.name,
                               .kind = kind_at(kinds_.plants, static_cast<std::size_t>(*kind)),
                               .margin = p.margin.value.value_or(0.0),
                               .units = units,
                               .standby = standby < units ? standby : 0,
                               .diversity = p.diversity.value.value_or(1.0),
                               .air_warmer_K = p.air_warmer.value.value_or(0.0),
                               .at_most_W = p.at_most.value,
                               .demand_W = p.demand.value,
                               .origin = p.name.origin,
                               .margin_origin = p.margin.origin,
                               .diversity_origin = p.diversity.origin,
                               .standby_origin = p.standby_units.origin,
                               .demand_origin = p.demand.origin});
        at_most_.push_back(p.at_most.origin);
    }

    void add_circuit(const CircuitInput& c)
    {
        const auto carries = c.carries.which();
        const auto kind = c.unit.which();
        if (!c.name || !carries || (c.unit && !kind)) return; // said already
        if (!kind && !c.demand) {
            say(Severity::error, codes::missing, c.name.origin, fmt::format("circuit '{}': unit is missing", *c.name),
                "type the terminal unit on it, or its demand");
            return;
        }
        const auto service = static_cast<Service>(*carries);
        const Kind* const unit = kind ? kind_at(kinds_.units, static_cast<std::size_t>(*kind)) : nullptr;
        const Medium medium = medium_of(c, service, unit, say);
        if (medium == Medium::water && !has_sound_water(c, service, say)) return;
        if (medium != Medium::water) tell_idle_water(c, medium, say);
        tell_odd_valve(c, say);
        if (unit != nullptr && !unit->does(service))
            say(Severity::error, codes::contradiction, c.unit.origin,
                fmt::format("circuit '{}' carries {}: {} has no such rating here", *c.name, *c.carries,
                            quantity::with_article(*c.unit)),
                abilities(kinds_.units));
        read_.emplace_back(out_.circuits.size(), &c);
        out_.circuits.push_back(
            {.name = *c.name,
             .carries = service,
             .medium = medium,
             .supply_C = c.supply.value.value_or(rating::unknown),
             .return_C = c.back.value.value_or(rating::unknown),
             .glycol = c.glycol.value.value_or(0.0),
             .radiant_share = c.radiant_share.value.value_or(unit != nullptr ? unit->radiant_share : 0.0),
             .valve = c.valve.value.value_or(""),
             .pressure_difference_Pa = c.pressure_difference.value.value_or(0.0),
             .unit = unit,
             .diversity = c.diversity.value.value_or(1.0),
             .loss = c.loss.value.value_or(0.0),
             .demand_W = c.demand.value,
             .origin = c.name.origin,
             .diversity_origin = c.diversity.origin,
             .loss_origin = c.loss.origin,
             .demand_origin = c.demand.origin,
             .valve_origin = c.valve.origin});
    }

    void find_what_feeds(const CircuitInput& given, Circuit& c)
    {
        if (given.same_pipes_as) share_pipes(given, c);
        if (given.from && (given.plant || given.plants)) {
            say(Severity::error, codes::contradiction, given.from.origin,
                fmt::format("circuit '{}' is mixed from another one and fed by a plant", c.name),
                "a mixed circuit takes all its heat from the other one: type either from or plant");
        } else if (given.from) {
            mix(given, c);
        } else if (given.plants && given.plant) {
            say(Severity::error, codes::contradiction, given.plants.origin,
                fmt::format("circuit '{}' has both plant and plants", c.name), "name them all in plants");
        } else if (given.plant) {
            if (const auto p = plant_for(c, *given.plant, given.plant.origin)) c.plants = {*p};
        } else if (given.plants && !(*given.plants).empty()) {
            for (const quantity::PlacedText& name : *given.plants)
                if (const auto p = plant_for(c, name.text, name.origin)) c.plants.push_back(*p);
            if ((*given.plants).size() == c.plants.size()) take_shares(given, c); // else said already
        } else if (c.medium != Medium::electricity) {                             // which comes from outside
            take_the_only_one(c);
        }
    }

    std::optional<std::size_t> plant_for(const Circuit& c, const std::string& name, OriginId where)
    {
        const auto plant = find_named(out_.plants, name);
        if (!plant && is_given(input_.plants, name))
            return plant; // said already: something in that plant is unreadable
        if (!plant) {
            unknown("plant", name, out_.plants, where);
            return plant;
        }
        const Kind* const feeds = out_.plants[*plant].kind;
        if (feeds != nullptr && !feeds->does(c.carries))
            say(Severity::error, codes::contradiction, where,
                fmt::format("circuit '{}' carries {} but its plant '{}' is a {}", c.name, name_of(c.carries), name,
                            feeds->words),
                abilities(kinds_.plants));
        else if (feeds != nullptr && feeds->medium != c.medium)
            say(Severity::error, codes::contradiction, where,
                fmt::format("circuit '{}': {} {}, and its plant '{}' gives {}", c.name,
                            c.unit != nullptr ? quantity::with_article(c.unit->words) + " takes" : "it brings",
                            name_of(c.medium), name, name_of(feeds->medium)),
                "both must be of one medium");
        return plant;
    }

    void take_shares(const CircuitInput& given, Circuit& c)
    {
        for (std::size_t i = 0; i < c.plants.size(); ++i)
            if (std::ranges::count(c.plants, c.plants[i]) > 1) {
                say(Severity::error, codes::twice, given.plants.origin,
                    fmt::format("circuit '{}' names plant '{}' twice", c.name, out_.plants[c.plants[i]].name));
                c.plants.clear();
                return;
            }
        if (!given.plant_shares) return;
        const std::vector<double>& shares = *given.plant_shares;
        const double sum = std::accumulate(shares.begin(), shares.end(), 0.0);
        constexpr double tolerance = 1e-6;
        if (shares.size() == c.plants.size() && std::abs(sum - 1.0) <= tolerance) {
            c.shares = shares;
            return;
        }
        say(Severity::error, codes::contradiction, given.plant_shares.origin,
            fmt::format("circuit '{}' has {} plants and {} shares, which add up to {:g}", c.name, c.plants.size(),
                        shares.size(), sum),
            "one share a plant; they must add up to 1");
    }

    /// "Wired by the program": nobody said which.
    void take_the_only_one(Circuit& c)
    {
        for (std::size_t p = 0; p < out_.plants.size(); ++p) {
            const Kind* const kind = out_.plants[p].kind;
            const bool fits = kind != nullptr && kind->does(c.carries) && kind->medium == c.medium;
            if (fits) c.plants.push_back(p);
        }
        if (c.plants.size() == 1) return;
        const std::string why = c.plants.empty()
                                    ? fmt::format("no plant makes {} with {}", name_of(c.carries), name_of(c.medium))
                                    : "several plants make it and none is named";
        c.plants.clear();
        say(Severity::warning, codes::unserved, c.origin,
            fmt::format("{} of circuit '{}' is not served: {}", name_of(c.carries), c.name, why),
            "name one with plant, several with plants, or another circuit with from")
            .subject = fmt::format("circuit/{} {}", c.name, name_of(c.carries));
    }

    void mix(const CircuitInput& given, Circuit& c)
    {
        c.from = other_circuit(*given.from, given.from.origin);
        if (!c.from) return;
        const Circuit& source = out_.circuits[*c.from];
        const bool heats = c.carries == Service::heating;
        if (source.carries != c.carries) {
            say(Severity::error, codes::contradiction, given.from.origin,
                fmt::format("circuit '{}' carries {} and is mixed from '{}', which carries {}", c.name,
                            name_of(c.carries), source.name, name_of(source.carries)));
            c.from = std::nullopt;
        } else if (c.glycol != source.glycol) {
            say(Severity::error, codes::contradiction, given.from.origin,
                fmt::format("circuit '{}' has {:g} % glycol and is mixed from '{}', which has {:g} %", c.name,
                            100.0 * c.glycol, source.name, 100.0 * source.glycol),
                "they share their water");
        } else if (heats ? c.supply_C > source.supply_C : c.supply_C < source.supply_C) {
            say(Severity::error, codes::contradiction, given.supply.origin,
                fmt::format("circuit '{}' at {} is mixed from '{}' at {}", c.name, water_in_words(c, units_),
                            source.name, water_in_words(source, units_)),
                heats ? "mixing makes water colder: its supply can be no warmer than that of its source"
                      : "mixing makes water warmer: its supply can be no colder than that of its source");
        }
    }

    void share_pipes(const CircuitInput& given, Circuit& c)
    {
        const auto other = other_circuit(*given.same_pipes_as, given.same_pipes_as.origin);
        if (!other) return;
        if (out_.circuits[*other].carries == c.carries) {
            say(Severity::error, codes::contradiction, given.same_pipes_as.origin,
                fmt::format("circuits '{}' and '{}' both carry {} in the same pipes", c.name,
                            out_.circuits[*other].name, name_of(c.carries)),
                "pipes are changed over between heating and cooling; circuits of one service are one circuit");
            return;
        }
        c.same_pipes = other;
        out_.circuits[*other].same_pipes = static_cast<std::size_t>(&c - out_.circuits.data());
    }

    std::optional<std::size_t> other_circuit(const std::string& name, OriginId where)
    {
        const auto other = find_named(out_.circuits, name);
        if (!other && !is_given(input_.circuits, name)) unknown("circuit", name, out_.circuits, where);
        return other;
    }

    /// What a plant gives at most says something where it stands before others in one order, and only there.
    void tell_odd_orders()
    {
        for (std::size_t p = 0; p < out_.plants.size(); ++p) {
            std::vector<std::vector<std::size_t>> orders;
            for (const Circuit& c : out_.circuits) {
                const bool is_before = c.shares.empty() && c.plants.size() > 1 && c.plants.back() != p &&
                                       std::ranges::find(c.plants, p) != c.plants.end();
                if (is_before && std::ranges::find(orders, c.plants) == orders.end()) orders.push_back(c.plants);
            }
            const Plant& plant = out_.plants[p];
            if (!orders.empty() && !plant.at_most_W)
                say(Severity::error, codes::missing, plant.origin,
                    fmt::format("plant '{}' stands before another one: at_most is missing", plant.name),
                    "what it is asked at most; the next one gives the rest");
            if (orders.size() > 1)
                say(Severity::error, codes::contradiction, at_most_[p],
                    fmt::format("plant '{}' stands in {} orders, and each would ask it for its at_most", plant.name,
                                orders.size()),
                    "let those circuits name the same plants in the same order");
            if (orders.empty() && plant.at_most_W)
                say(Severity::warning, codes::unused, at_most_[p],
                    fmt::format("plant '{}' says at_most, and stands before no other", plant.name),
                    "it is asked for all that its circuits need; name plants of a circuit in order, or take it out")
                    .subject = fmt::format("plant/{} at_most", plant.name);
        }
    }

    const input::Input& input_;
    const Kinds& kinds_;
    quantity::PreferredUnits units_; ///< that messages speak in
    Services& out_;
    Teller say{out_.problems};
    std::vector<std::pair<std::size_t, const CircuitInput*>> read_{}; ///< circuits and where they were typed
    std::vector<OriginId> at_most_{};                                 ///< of plants
};

} // namespace

void read_circuits(const input::Input& input, const Kinds& kinds, Services& services)
{
    CircuitReader{input, kinds, services}.run();
}

std::string water_in_words(const Circuit& circuit, const quantity::PreferredUnits& units)
{
    const auto text = [&](double t_C) { return units.text(t_C, quantity::Kind::temperature); };
    const std::string supply = text(circuit.supply_C);
    return fmt::format("{}/{}", supply.substr(0, supply.find(' ')), text(circuit.return_C));
}

} // namespace venture::services
