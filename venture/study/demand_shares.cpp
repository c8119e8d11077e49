#include <venture/study/demand_shares.hpp>

#include <algorithm>

namespace venture::study {

using figure::Cell;
using figure::Show;
using figure::Sum;
using rating::Demand;
using services::Link;
using services::NodeId;
using services::Role;
using services::Service;

namespace {

class Shares {
public:
    explicit Shares(const Sizing& s) : s_{s}, links_from_(s.services.network.nodes.size())
    {
        for (const Link& link : s.services.network.links) links_from_[link.from].push_back(&link);
    }

    std::vector<DemandShare> run()
    {
        for (const NodeId circuit : s_.services.places.circuits) add(circuit);
        for (const NodeId plant : s_.services.places.plants) add(plant);
        return std::move(out_);
    }

private:
    [[nodiscard]] const services::Node& node(NodeId id) const { return s_.services.network.nodes[id]; }

    void add(NodeId of)
    {
        for (const Service service : rating::all_services) {
            const Demand& all = s_.needs.full.asked(of, service);
            if (all.hours() == 0 || all.typed || all.peak_W() <= 0.0) continue;
            const auto first = static_cast<std::ptrdiff_t>(out_.size());
            hour_ = all.hour_of_peak();
            for (const Link* link : links_from_[of]) {
                if (link->service != service) continue;
                if (node(link->to).role == Role::plant_group)
                    add_group(of, *link, all);
                else
                    add_one(of, *link, 1.0, all);
            }
            std::ranges::stable_sort(out_.begin() + first, out_.end(), std::greater{}, &DemandShare::asks_W);
        }
    }

    /// Circuits that several plants feed: each asks a plant for the part that this one has of all in that hour.
    void add_group(NodeId plant, const Link& of_plant, const Demand& all)
    {
        const double whole_W = s_.needs.full.asked(of_plant.to, of_plant.service).total_W(hour_);
        if (whole_W <= 0.0) return;
        for (const Link* link : links_from_[of_plant.to])
            if (link->service == of_plant.service) add_one(plant, *link, all.total_W(hour_) / whole_W, all);
    }

    void add_one(NodeId of, const Link& link, double part, const Demand& all)
    {
        const Demand& asks = s_.needs.full.passed(link.to, link.service);
        if (asks.hours() == 0) return;
        DemandShare share{.of = node(of).name, .served = node(link.to).name, .service = link.service};
        const Demand* needs = &s_.needs.rooms.asked(link.to, link.service);
        if (node(link.to).role == Role::unit)
            share.served = s_.loads.rooms[s_.services.places.units[node(link.to).record].room].room;
        if (needs->hours() > 0) share.needs_W = needs->total_W(hour_);
        share.asks_W = part * link.share * asks.total_W(hour_);
        share.of_all = share.asks_W / all.total_W(hour_);
        share.peak_W = part * link.share * asks.peak_W();
        out_.push_back(std::move(share));
    }

    const Sizing& s_;
    std::vector<std::vector<const Link*>> links_from_;
    std::size_t hour_ = 0;
    std::vector<DemandShare> out_{};
};

} // namespace

std::vector<DemandShare> demand_shares(const Sizing& sizing) { return Shares{sizing}.run(); }

const figure::TableOf<DemandShare>& demand_share_columns()
{
    using D = DemandShare;
    static const figure::TableOf<D> all = {
        {"demand_share", "What makes up the largest hour",
         "A room or circuit in the hour in which what is asked of a circuit or plant is largest.", 3,
         figure::Told::data},
        {
            {{"of", "Of", "", "circuit or plant", 0, Sum::none, Show::if_varied},
             [](const D& d) -> Cell { return d.of; }},
            {{"served", "Room or circuit", "", "that it serves", 0}, [](const D& d) -> Cell { return d.served; }},
            {{"service", "Service", "", "heating or cooling", 0, Sum::none, Show::if_varied},
             [](const D& d) -> Cell { return std::string{quantity::name_of(d.service)}; }},
            {{"needs", "rooms need", "total_power", "in that hour", 1, Sum::added},
             [](const D& d) -> Cell { return figure::where(d.needs_W > 0.0, d.needs_W); }},
            {{"asks", "asks for", "total_power",
              "with fan heat and what condenses, diversity and losses of what lies between", 1, Sum::added},
             [](const D& d) -> Cell { return d.asks_W; }},
            {{"share", "of all", "share", "of that hour", 2, Sum::added}, [](const D& d) -> Cell { return d.of_all; }},
            {{"peak", "own peak", "total_power", "the most that it asks, in whichever hour", 3, Sum::added},
             [](const D& d) -> Cell { return d.peak_W; }},
        }};
    return all;
}

} // namespace venture::study
