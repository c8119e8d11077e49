#include <venture/services/wiring.hpp>

#include <algorithm>
#include <map>
#include <span>
#include <tuple>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>

namespace venture::services {

namespace {

class Wiring {
public:
    Wiring(const std::vector<Client>& clients, Services& s) : clients_{clients}, s_{s}, n_{s.network} {}

    void run()
    {
        part_rings();
        for (std::size_t r = 0; r < clients_.size(); ++r)
            s_.places.rooms.push_back(n_.add({.name = clients_[r].room, .record = r, .origin = clients_[r].origin}));
        for (std::size_t c = 0; c < s_.circuits.size(); ++c) add_circuit(c);
        for (std::size_t p = 0; p < s_.plants.size(); ++p) add_plant(p);
        for (std::size_t r = 0; r < s_.rooms.size(); ++r) add_units(r);
        for (std::size_t c = 0; c < s_.circuits.size(); ++c) feed(c);
    }

private:
    void part_rings()
    {
        Network mixed;
        for (const Circuit& c : s_.circuits) mixed.add({.name = c.name, .role = Role::circuit});
        for (std::size_t c = 0; c < s_.circuits.size(); ++c)
            if (s_.circuits[c].from) mixed.connect({.from = *s_.circuits[c].from, .to = c});
        for (const std::vector<NodeId>& ring : mixed.rings()) {
            std::vector<std::string> names;
            NodeId at = ring.front();
            do {
                names.push_back(fmt::format("'{}'", s_.circuits[at].name));
                at = *s_.circuits[at].from;
            } while (at != ring.front());
            names.push_back(names.front());
            s_.problems.add(quantity::Problem{
                quantity::Severity::error, quantity::codes::contradiction, s_.circuits[ring.front()].origin,
                fmt::format("circuits are mixed from one another in a ring: {}", fmt::join(names, " from ")),
                "one of them needs a plant"});
            for (const NodeId c : ring) s_.circuits[c].from = std::nullopt;
        }
    }

    void add_circuit(std::size_t index)
    {
        const Circuit& c = s_.circuits[index];
        Node node{.name = c.name, .role = Role::circuit, .record = index, .origin = c.origin};
        if (c.diversity != 1.0) node.allowances.push_back({Allowance::Is::diversity, c.diversity, c.diversity_origin});
        if (c.loss != 0.0) node.allowances.push_back({Allowance::Is::loss, 1.0 + c.loss, c.loss_origin});
        s_.places.circuits.push_back(n_.add(std::move(node)));
    }

    void add_plant(std::size_t index)
    {
        const Plant& p = s_.plants[index];
        Node node{.name = p.name, .role = Role::plant, .record = index, .origin = p.origin};
        if (p.diversity != 1.0) node.allowances.push_back({Allowance::Is::diversity, p.diversity, p.diversity_origin});
        if (p.margin != 0.0) node.allowances.push_back({Allowance::Is::margin, 1.0 + p.margin, p.margin_origin});
        if (p.standby > 0)
            node.allowances.push_back({Allowance::Is::standby,
                                       static_cast<double>(p.units) / static_cast<double>(p.units - p.standby),
                                       p.standby_origin});
        s_.places.plants.push_back(n_.add(std::move(node)));
    }

    /// The units of a room on a circuit; those that another one brings another service to, if they do both.
    UnitPlace& units_on(std::size_t room, std::size_t first_of_room, std::size_t circuit, bool alone)
    {
        const Circuit& c = s_.circuits[circuit];
        for (UnitPlace& unit : std::span{s_.places.units}.subspan(first_of_room)) {
            if (alone || unit.servers[c.carries]) continue;
            const bool is_same_kind = std::ranges::any_of(
                unit.servers, [&](const auto& other) { return other && s_.circuits[other->circuit].unit == c.unit; });
            if (is_same_kind && c.unit != nullptr && c.unit->does(c.carries)) return unit;
        }
        const NodeId node = n_.add({.name = c.unit != nullptr ? fmt::format("{}s", c.unit->words) : "units",
                                    .role = Role::unit,
                                    .record = s_.places.units.size(),
                                    .origin = clients_[room].origin});
        return s_.places.units.emplace_back(UnitPlace{.room = room, .node = node});
    }

    void add_units(std::size_t room)
    {
        const std::size_t first = s_.places.units.size();
        for (const Service service : rating::all_services)
            for (const Server& server : s_.rooms[room][service]) {
                UnitPlace& unit = units_on(room, first, server.circuit, s_.rooms[room][service].size() > 1);
                unit.servers[service] = server;
                n_.connect({.from = unit.node,
                            .to = s_.places.rooms[room],
                            .service = service,
                            .medium = Medium::air,
                            .share = server.share});
                n_.connect({.from = s_.places.circuits[server.circuit], .to = unit.node, .service = service});
            }
    }

    void feed(std::size_t circuit)
    {
        const Circuit& c = s_.circuits[circuit];
        const NodeId node = s_.places.circuits[circuit];
        if (c.from) {
            n_.connect({.from = s_.places.circuits[*c.from], .to = node, .service = c.carries});
        } else if (c.plants.size() == 1) {
            n_.connect({.from = s_.places.plants[c.plants.front()], .to = node, .service = c.carries});
        } else if (!c.plants.empty()) {
            n_.connect({.from = group_of(c), .to = node, .service = c.carries});
        }
    }

    /// Circuits that are fed by the same plants in the same way are fed by them together.
    NodeId group_of(const Circuit& c)
    {
        const auto [at, is_new] = groups_.try_emplace({c.carries, c.plants, c.shares}, n_.nodes.size());
        if (!is_new) return at->second;
        std::vector<std::string> names;
        for (std::size_t i = 0; i < c.plants.size(); ++i) {
            const std::string& name = s_.plants[c.plants[i]].name;
            names.push_back(c.shares.empty() ? name : fmt::format("{:.3g} % {}", 100.0 * c.shares[i], name));
        }
        n_.add({.name = fmt::format("{}", fmt::join(names, c.shares.empty() ? ", then " : ", ")),
                .role = Role::plant_group,
                .parted = c.shares.empty() ? Parted::in_order : Parted::by_shares});
        for (std::size_t i = 0; i < c.plants.size(); ++i)
            n_.connect({.from = s_.places.plants[c.plants[i]],
                        .to = at->second,
                        .service = c.carries,
                        .share = c.shares.empty() ? 1.0 : c.shares[i],
                        .most_W = s_.plants[c.plants[i]].at_most_W});
        return at->second;
    }

    const std::vector<Client>& clients_;
    Services& s_;
    Network& n_;
    std::map<std::tuple<Service, std::vector<std::size_t>, std::vector<double>>, NodeId> groups_{};
};

} // namespace

void wire(const std::vector<Client>& clients, Services& services)
{
    services.network = {};
    services.places = {};
    Wiring{clients, services}.run();
}

} // namespace venture::services
