#include <venture/services/services.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/input/chosen_units.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/record.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/rating/typed_product.hpp>
#include <venture/services/circuits.hpp>
#include <venture/services/serving.hpp>
#include <venture/services/telling.hpp>
#include <venture/services/wiring.hpp>

namespace venture::services {

using input::KeptInput;
using quantity::OriginId;
using quantity::Severity;
namespace codes = quantity::codes;

// What is typed as a duty stands for the service of the same word.
static_assert(name_of(Service::heating) == name_of(input::Duty::heating) &&
              static_cast<int>(Service::heating) == static_cast<int>(input::Duty::heating));
static_assert(name_of(Service::cooling) == name_of(input::Duty::cooling) &&
              static_cast<int>(Service::cooling) == static_cast<int>(input::Duty::cooling));

namespace {

class Connector {
public:
    Connector(const input::Input& input, const std::vector<Client>& clients, const Kinds& kinds)
        : input_{input},
          clients_{clients},
          kinds_{kinds},
          units_{input::chosen_units(input.units)}
    {
    }

    Services run()
    {
        if (input_.circuits.empty() && input_.plants.empty()) {
            assume();
        } else {
            read_circuits(input_, kinds_, out_);
        }
        Serving serving{input_, clients_, out_.circuits, out_.problems};
        for (std::size_t c = 0; c < clients_.size(); ++c) out_.rooms.push_back(serving.of(c));
        wire(clients_, out_);
        for (const KeptInput& k : input_.kept) add_kept(k);
        find_unused();
        return std::move(out_);
    }

private:
    void assume()
    {
        const bool cools = std::ranges::any_of(clients_, &Client::cooled),
                   heats = !cools || std::ranges::any_of(clients_, &Client::heated);
        std::vector<std::string> what;
        const auto assume_one = [&](Service service) {
            const auto does_assumed = [&](const Kind* k) { return k->does(service) && k->assumed.has_value(); };
            const auto does = [&](const Kind* k) { return k->does(service); };
            const auto unit = std::ranges::find_if(kinds_.units, does_assumed);
            const auto plant = std::ranges::find_if(kinds_.plants, does);
            if (unit == kinds_.units.end() || plant == kinds_.plants.end()) return;
            const rating::AssumedWater w = *(*unit)->assumed;
            out_.circuits.push_back({.name = fmt::format("{}s", (*unit)->words),
                                     .carries = service,
                                     .supply_C = w.supply_C,
                                     .return_C = w.return_C,
                                     .unit = *unit,
                                     .plants = {out_.plants.size()}});
            out_.plants.push_back({.name = std::string{(*plant)->words}, .kind = *plant});
            what.push_back(fmt::format("{}s at {} on one {}", (*unit)->words,
                                       water_in_words(out_.circuits.back(), units_), (*plant)->words));
        };
        if (heats) assume_one(Service::heating);
        if (cools) assume_one(Service::cooling);
        say(Severity::note, codes::assumed, {},
            fmt::format("no circuits are given: {} are assumed, without margins", fmt::join(what, " and ")),
            "give [[circuit]] and [[plant]] tables to say otherwise");
    }

    void add_kept(const KeptInput& k)
    {
        const auto duty = k.duty.which();
        if (!k.serves || !duty || !k.product) return; // said already
        const bool is_plant = find_named(out_.plants, *k.serves).has_value();
        const bool is_room = std::ranges::find(clients_, *k.serves, &Client::room) != clients_.end();
        if (!is_plant && !is_room) {
            std::vector<std::string> names;
            for (const Client& c : clients_) names.push_back(c.room);
            for (const Plant& p : out_.plants) names.push_back(p.name);
            out_.problems.add(quantity::unknown_name("room or plant", *k.serves, k.serves.origin, names));
        }
        Kept kept{.serves = *k.serves,
                  .duty = static_cast<Service>(*duty),
                  .product = *k.product,
                  .count = k.count.number().value_or(1),
                  .chosen_for_W = k.chosen_for.value,
                  .origin = k.serves.origin,
                  .typed = typed_product(k, static_cast<Service>(*duty))};
        if (out_.find_kept(kept.serves, kept.duty) != nullptr)
            say(Severity::error, codes::twice, k.serves.origin,
                fmt::format("a second product is kept for the {} of '{}'", *k.duty, *k.serves));
        out_.kept.push_back(std::move(kept));
    }

    /// Null where what it gives was not typed.
    std::shared_ptr<const rating::Product> typed_product(const KeptInput& k, Service duty)
    {
        const bool heats = duty == Service::heating;
        if (!k.gives || (heats && k.gives_sensible)) {
            for (const auto* idle : {&k.gives_sensible, &k.sound})
                if (*idle && (!k.gives || idle == &k.gives_sensible))
                    say(Severity::error, codes::contradiction, idle->origin,
                        heats ? "sensible is a part of cooling, and this is kept for heating"
                              : "it says something of a unit whose gives is not typed",
                        heats ? "take it out" : "type gives as well, or leave it to the catalogue");
            if (!k.gives) return nullptr;
        }
        const double sensible_W = k.gives_sensible.value.value_or(*k.gives);
        if (!heats && sensible_W > *k.gives)
            say(Severity::error, codes::contradiction, k.gives_sensible.origin,
                fmt::format("{:g} W sensible of {:g} W in all", sensible_W, *k.gives),
                "gives is sensible and latent together");
        return std::make_shared<const rating::TypedProduct>(*k.product, duty, *k.gives, sensible_W,
                                                            k.sound.value.value_or(rating::unknown));
    }

    void find_unused()
    {
        const auto tell = [&](OriginId where, std::string_view what, const std::string& name, std::string_view serves,
                              std::string hint) {
            say(Severity::warning, codes::unused, where, fmt::format("{} '{}' serves no {}", what, name, serves),
                std::move(hint))
                .subject = fmt::format("{}/{}", what, name);
        };
        if (input_.circuits.empty() && input_.plants.empty()) return;
        std::vector<bool> serves(out_.network.nodes.size());
        for (const Link& link : out_.network.links) serves[link.from] = true;
        for (std::size_t c = 0; c < out_.circuits.size(); ++c)
            if (!serves[out_.places.circuits[c]] && !out_.circuits[c].demand_W)
                tell(out_.circuits[c].origin, "circuit", out_.circuits[c].name, "room",
                     "name it in heated_by or cooled_by of a room or in a [[serve]] line, or take it out");
        for (std::size_t p = 0; p < out_.plants.size(); ++p)
            if (!serves[out_.places.plants[p]] && !out_.plants[p].demand_W)
                tell(out_.plants[p].origin, "plant", out_.plants[p].name, "circuit",
                     "name it as plant of a circuit, or take it out");
    }

    const input::Input& input_;
    const std::vector<Client>& clients_;
    const Kinds& kinds_;
    quantity::PreferredUnits units_; ///< that messages speak in
    Services out_{};
    Teller say{out_.problems};
};

} // namespace

const Kept* Services::find_kept(std::string_view serves, Service duty) const
{
    const auto it = std::ranges::find_if(kept, [&](const Kept& k) { return k.serves == serves && k.duty == duty; });
    return it == kept.end() ? nullptr : &*it;
}

std::vector<std::size_t> Services::rooms_of_plant(std::size_t plant, Service service) const
{
    const auto is_fed = [&](const Server& server) {
        const Circuit* c = &circuits[server.circuit];
        while (c->from) c = &circuits[*c->from];
        return std::ranges::find(c->plants, plant) != c->plants.end();
    };
    std::vector<std::size_t> out;
    for (std::size_t r = 0; r < rooms.size(); ++r)
        if (std::ranges::any_of(rooms[r][service], is_fed)) out.push_back(r);
    return out;
}

std::vector<std::size_t> Services::circuits_of_plant(std::size_t plant, Service service) const
{
    std::vector<std::size_t> out;
    for (std::size_t c = 0; c < circuits.size(); ++c)
        if (circuits[c].carries == service && std::ranges::find(circuits[c].plants, plant) != circuits[c].plants.end())
            out.push_back(c);
    return out;
}

std::vector<DemandAt> Services::typed_demands(const PerService<std::size_t>& hours) const
{
    std::vector<DemandAt> out;
    const auto add = [&](NodeId node, Service service, const std::optional<double>& typed_W) {
        if (typed_W)
            out.push_back({node, service, Demand::of_peak(*typed_W, 0.0, std::max<std::size_t>(hours[service], 1))});
    };
    for (std::size_t c = 0; c < circuits.size(); ++c)
        add(places.circuits[c], circuits[c].carries, circuits[c].demand_W);
    for (std::size_t p = 0; p < plants.size(); ++p)
        if (plants[p].kind != nullptr) add(places.plants[p], plants[p].kind->gives.front(), plants[p].demand_W);
    return out;
}

Services connect(const input::Input& input, const std::vector<Client>& clients, const Kinds& kinds)
{
    return Connector{input, clients, kinds}.run();
}

} // namespace venture::services
