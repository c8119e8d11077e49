#include <venture/study/network_figures.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/study/demand_shares.hpp>

namespace venture::study {

using figure::Cell;
using figure::Show;
using figure::Sum;
using figure::where;
using quantity::name_of;
using rating::Demand;
using services::Circuit;
using services::Network;
using services::NodeId;

namespace {

struct CircuitRow {
    const Sizing* sizing = nullptr;
    std::size_t circuit = 0;
    [[nodiscard]] const Circuit& typed() const { return sizing->services.circuits[circuit]; }
    [[nodiscard]] services::NodeId node() const { return sizing->services.places.circuits[circuit]; }
    [[nodiscard]] const Demand& needs() const { return sizing->needs.rooms.asked(node(), typed().carries); }
    [[nodiscard]] const Demand& takes() const { return sizing->needs.taken.asked(node(), typed().carries); }
    [[nodiscard]] const Demand& asks() const { return sizing->needs.full.passed(node(), typed().carries); }
};

/// One step between a circuit and its plant.
struct StepRow {
    std::string way{}, at{};
    std::string what{};
    double factor = 1.0, product = 1.0;
};

std::size_t rooms_on(const CircuitRow& r)
{
    std::size_t out = 0;
    for (const services::Servers& room : r.sizing->services.rooms)
        for (const services::Server& server : room[r.typed().carries]) out += server.circuit == r.circuit ? 1 : 0;
    return out;
}

/// What its sum is worth: "by hour", "typed", or that something in it has no hours.
std::string basis_of(const Demand& demand)
{
    return demand.typed ? "typed" : demand.by_hour ? "by hour" : "not coincident";
}

Cell flow_of(const CircuitRow& c, double services::CircuitWater::*which)
{
    const double kg_per_s = water_of(c.sizing->services, c.circuit, c.takes().peak_W()).*which;
    return std::isnan(kg_per_s) ? Cell{} : Cell{kg_per_s / 1000.0};
}

const figure::TableOf<CircuitRow>& circuit_columns()
{
    using C = CircuitRow;
    static const figure::TableOf<C> all = {
        {"circuit", "Circuits",
         "Pipes between plant and units: what is needed of them, in the largest hour of the sum."},
        {
            {{"circuit", "Circuit", "", "its name", 0}, [](const C& c) -> Cell { return c.typed().name; }},
            {{"carries", "carries", "", "service that it brings", 4},
             [](const C& c) -> Cell { return std::string{name_of(c.typed().carries)}; }},
            {{"supply", "supply", "temperature", "water to the units"},
             [](const C& c) -> Cell { return where(c.typed().has_water(), c.typed().supply_C); }},
            {{"return", "return", "temperature", "water back from them"},
             [](const C& c) -> Cell { return where(c.typed().has_water(), c.typed().return_C); }},
            {{"fed_by", "fed by", "", "plants, or the circuit that it is mixed from", 3},
             [](const C& c) -> Cell { return fed_by(c.sizing->services, c.circuit); }},
            {{"same_pipes", "in the pipes of", "", "circuit of the other service, with which it is changed over", 3,
              Sum::none, Show::if_any},
             [](const C& c) -> Cell {
                 const auto& other = c.typed().same_pipes;
                 return other ? Cell{c.sizing->services.circuits[*other].name} : Cell{};
             }},
            {{"rooms", "rooms", "count", "that it serves"},
             [](const C& c) -> Cell { return figure::whole(rooms_on(c)); }},
            {{"rooms_need", "need", "total_power", "what its rooms need together", 1},
             [](const C& c) -> Cell { return c.needs().peak_W(); }},
            {{"units_take", "units take", "total_power",
              "what its units take for that, with fan heat and what condenses; or what was typed for it", 1},
             [](const C& c) -> Cell { return c.takes().peak_W(); }},
            {{"sum_of_peaks", "Sum of peaks", "total_power", "of its units, each in its own hour", 5, Sum::none,
              Show::data},
             [](const C& c) -> Cell { return c.takes().sum_of_peaks_W; }},
            {{"when", "largest", "", "day and clock hour of that", 3},
             [](const C& c) -> Cell {
                 const figure::When when = c.sizing->leaves.when_largest(c.typed().carries, c.takes());
                 return where(!when.day.empty(), when);
             }},
            {{"basis", "basis", "", "by hour; not coincident where something in it has no hours; typed", 4, Sum::none,
              Show::if_varied},
             [](const C& c) -> Cell { return basis_of(c.takes()); }},
            {{"diversity", "diversity", "share", "share of that which it meets at once", 2, Sum::none, Show::if_any},
             [](const C& c) -> Cell { return where(c.typed().diversity != 1.0, c.typed().diversity); }},
            {{"loss", "loss", "share", "of its pipes, added", 2, Sum::none, Show::if_any},
             [](const C& c) -> Cell { return where(c.typed().loss != 0.0, c.typed().loss); }},
            {{"asks", "asks for", "total_power", "what it asks of what feeds it, with diversity and loss", 1},
             [](const C& c) -> Cell { return c.asks().peak_W(); }},
            {{"water", "water", "water_flow", "through it, for what its units take; not told with glycol in it", 2},
             [](const C& c) -> Cell { return flow_of(c, &services::CircuitWater::flow_kg_per_s); }},
            {{"drawn", "drawn", "water_flow", "from the circuit that it is mixed from", 3, Sum::none, Show::if_any},
             [](const C& c) -> Cell {
                 return c.typed().from ? flow_of(c, &services::CircuitWater::drawn_kg_per_s) : Cell{};
             }},
            {{"glycol", "glycol", "share", "in its water", 3, Sum::none, Show::if_any},
             [](const C& c) -> Cell { return where(c.typed().glycol > 0.0, c.typed().glycol); }},
        }};
    return all;
}

const figure::TableOf<StepRow>& step_columns()
{
    using S = StepRow;
    static const figure::TableOf<S> all = {
        {"allowance", "From rooms to plant",
         "What was added or taken off on the way from the units of a circuit to a plant, and by what that multiplies.",
         3},
        {
            {{"way", "Way", "", "circuits and plants that it passes", 0}, [](const S& s) -> Cell { return s.way; }},
            {{"at", "at", "", "circuit or plant", 0}, [](const S& s) -> Cell { return s.at; }},
            {{"what", "what", "", "diversity, loss, margin, standby; or the size that there was to choose", 0},
             [](const S& s) -> Cell { return s.what; }},
            {{"factor", "factor", "fine_ratio", "that it multiplies with"},
             [](const S& s) -> Cell { return s.factor; }},
            {{"product", "all so far", "fine_ratio", "product of this and those before it on the way"},
             [](const S& s) -> Cell { return s.product; }},
        }};
    return all;
}

std::vector<CircuitRow> circuit_rows(const Sizing& s)
{
    std::vector<CircuitRow> out;
    if (s.services.network.nodes.empty()) return out;
    for (std::size_t c = 0; c < s.services.circuits.size(); ++c) out.push_back({&s, c});
    return out;
}

/// What is to spare in what was chosen for a plant; nothing where nothing is.
std::optional<double> spare_of(const Sizing& s, const services::Node& plant, services::Service service)
{
    const plant::PlantSelection& p = *std::ranges::find_if(s.plants, [&](const plant::PlantSelection& one) {
        return one.plant == plant.record && one.service == service;
    });
    if (p.duty.W <= 0.0 || !p.choice.chosen || p.choice.chosen->refused) return std::nullopt;
    return p.choice.chosen->all().gives_W[p.service] / p.duty.W;
}

std::vector<StepRow> step_rows(const Sizing& s)
{
    std::vector<StepRow> out;
    const Network& n = s.services.network;
    for (const CircuitRow& row : circuit_rows(s)) {
        if (row.takes().peak_W() <= 0.0) continue;
        const services::Ways all = ways_from(n, s.services.places.circuits[row.circuit], row.typed().carries);
        for (std::size_t w = 0; w < all.ways.size(); ++w) {
            std::vector<std::string> names;
            for (const NodeId on : all.ways[w])
                if (n.nodes[on].role != services::Role::plant_group) names.push_back(n.nodes[on].name);
            const std::string way = fmt::format("{}", fmt::join(names, ", "));
            double product = 1.0;
            for (const services::AllowanceOnTheWay& a : all.allowances) {
                if (a.way != w) continue;
                product = a.product;
                out.push_back(
                    {way, n.nodes[a.node].name, std::string{name_of(a.allowance.is)}, a.allowance.factor, product});
            }
            const services::Node& last = n.nodes[all.ways[w].back()];
            if (last.role != services::Role::plant) continue;
            if (const auto spare = spare_of(s, last, row.typed().carries))
                out.push_back({way, last.name, "size chosen", *spare, product * *spare});
        }
    }
    return out;
}

} // namespace

void add_network_tables(figure::TablesOf<Sizing>& tables)
{
    tables.add(circuit_columns(), circuit_rows).add(step_columns(), step_rows);
    tables.add(demand_share_columns(), [](const Sizing& s) {
        return s.services.network.nodes.empty() ? std::vector<DemandShare>{} : demand_shares(s);
    });
}

} // namespace venture::study
