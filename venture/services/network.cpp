#include <venture/services/network.hpp>

#include <algorithm>
#include <limits>
#include <numeric>

#include <boost/graph/compressed_sparse_row_graph.hpp>
#include <boost/graph/strong_components.hpp>

#include <venture/quantity/error.hpp>

namespace venture::services {

double Node::factor() const
{
    return std::accumulate(allowances.begin(), allowances.end(), 1.0,
                           [](double product, const Allowance& a) { return product * a.factor; });
}

NodeId Network::add(Node node)
{
    nodes.push_back(std::move(node));
    return nodes.size() - 1;
}

Network Network::without_allowances() const
{
    Network out = *this;
    for (Node& node : out.nodes) node.allowances.clear();
    return out;
}

namespace {

/// Links by the node that they serve, or by the one that serves.
class LinksOf {
public:
    LinksOf(const Network& n, NodeId Link::*end) : first_(n.nodes.size() + 1), links_(n.links.size())
    {
        for (const Link& link : n.links) ++first_[link.*end + 1];
        std::partial_sum(first_.begin(), first_.end(), first_.begin());
        std::vector<std::size_t> next = first_;
        for (std::size_t i = 0; i < n.links.size(); ++i) links_[next[n.links[i].*end]++] = i;
    }
    [[nodiscard]] std::span<const std::size_t> operator[](NodeId node) const
    {
        return std::span{links_}.subspan(first_[node], first_[node + 1] - first_[node]);
    }

private:
    std::vector<std::size_t> first_, links_;
};

/// Served before their servers.
std::vector<NodeId> from_leaves_on(const Network& n, const LinksOf& to_servers)
{
    std::vector<std::size_t> waits_for(n.nodes.size());
    for (const Link& link : n.links) ++waits_for[link.from];
    std::vector<NodeId> order;
    for (NodeId i = 0; i < n.nodes.size(); ++i)
        if (waits_for[i] == 0) order.push_back(i);
    for (std::size_t done = 0; done < order.size(); ++done)
        for (const std::size_t link : to_servers[order[done]])
            if (--waits_for[n.links[link].from] == 0) order.push_back(n.links[link].from);
    VENTURE_ASSERT(order.size() == n.nodes.size());
    return order;
}

/// Hands what a node passes on to those that serve it.
class Parting {
public:
    Parting(const Network& n, const LinksOf& to_servers, Demands& demands)
        : n_{n},
          to_servers_{to_servers},
          demands_{demands}
    {
    }
    void hand_on(NodeId node, Service service)
    {
        const Demand& all = demands_.passed(node, service);
        if (all.hours() == 0) return;
        if (n_.nodes[node].parted == Parted::in_order) return in_order(node, service, all);
        for (const std::size_t i : to_servers_[node]) {
            const Link& link = n_.links[i];
            if (link.service != service) continue;
            Demand& to = demands_.ask(link.from, service);
            if (link.share == 1.0) {
                to.add(all);
                continue;
            }
            Demand part = all;
            part.scale(link.share);
            to.add(part);
        }
    }

private:
    void in_order(NodeId node, Service service, const Demand& all)
    {
        std::vector<double> left_W(all.hours()), share(all.hours());
        for (std::size_t h = 0; h < left_W.size(); ++h) left_W[h] = all.total_W(h);
        const auto last = std::ranges::find_if(to_servers_[node].rbegin(), to_servers_[node].rend(),
                                               [&](std::size_t i) { return n_.links[i].service == service; });
        for (const std::size_t i : to_servers_[node]) {
            const Link& link = n_.links[i];
            if (link.service != service) continue;
            const double most_W = i == *last ? std::numeric_limits<double>::infinity()
                                             : link.most_W.value_or(std::numeric_limits<double>::infinity());
            for (std::size_t h = 0; h < left_W.size(); ++h) {
                const double takes_W = std::min(left_W[h], most_W), of_W = all.total_W(h);
                share[h] = of_W > 0.0 ? takes_W / of_W : 0.0;
                left_W[h] -= takes_W;
            }
            demands_.ask(link.from, service).add(all.part(share));
        }
    }

    const Network& n_;
    const LinksOf& to_servers_;
    Demands& demands_;
};

} // namespace

std::vector<std::vector<NodeId>> Network::rings() const
{
    std::vector<std::pair<std::size_t, std::size_t>> edges;
    for (const Link& link : links) edges.emplace_back(link.from, link.to);
    const boost::compressed_sparse_row_graph<> graph{boost::edges_are_unsorted_multi_pass, edges.begin(), edges.end(),
                                                     nodes.size()};
    std::vector<int> ring_of(nodes.size());
    const auto id = boost::get(boost::vertex_index, graph);
    const int rings = boost::strong_components(graph, boost::make_iterator_property_map(ring_of.begin(), id));
    std::vector<std::vector<NodeId>> all(static_cast<std::size_t>(rings));
    for (NodeId i = 0; i < nodes.size(); ++i) all[static_cast<std::size_t>(ring_of[i])].push_back(i);
    const auto alone = [&](const std::vector<NodeId>& ring) {
        return ring.size() == 1 && std::ranges::none_of(links, [&](const Link& link) {
                   return link.from == ring.front() && link.to == ring.front();
               });
    };
    std::erase_if(all, alone);
    std::ranges::sort(all);
    return all;
}

Demands demands(const Network& network, std::span<const DemandAt> leaves, std::span<const DemandAt> typed,
                const PassOn& pass_on)
{
    Demands out{network.nodes.size()};
    for (const DemandAt& leaf : leaves) out.ask(leaf.node, leaf.service) = leaf.demand;
    std::vector<std::vector<const DemandAt*>> typed_at(network.nodes.size());
    for (const DemandAt& t : typed) typed_at[t.node].push_back(&t);
    const LinksOf to_servers{network, &Link::to};
    Parting parting{network, to_servers, out};
    for (const NodeId node : from_leaves_on(network, to_servers)) {
        for (const DemandAt* t : typed_at[node]) {
            out.ask(node, t->service) = t->demand;
            out.ask(node, t->service).typed = true;
        }
        const double factor = network.nodes[node].factor();
        for (const Service service : rating::all_services) {
            const Demand& asked = out.asked(node, service);
            if (asked.hours() == 0) continue;
            if (pass_on || factor != 1.0 || asked.typed) {
                Demand passed = asked;
                passed.typed = false;
                if (pass_on) pass_on(node, service, passed);
                passed.scale(factor);
                out.pass(node, service, std::move(passed));
            }
            parting.hand_on(node, service);
        }
    }
    return out;
}

Ways ways_from(const Network& network, NodeId node, Service service)
{
    const LinksOf to_servers{network, &Link::to};
    Ways out;
    std::vector<NodeId> way;
    const std::function<void(NodeId)> go = [&](NodeId at) {
        way.push_back(at);
        bool ends = true;
        for (const std::size_t i : to_servers[at]) {
            if (network.links[i].service != service) continue;
            ends = false;
            go(network.links[i].from);
        }
        if (ends) {
            double product = 1.0;
            for (const NodeId on : way)
                for (const Allowance& a : network.nodes[on].allowances)
                    out.allowances.push_back({out.ways.size(), on, a, product *= a.factor});
            out.ways.push_back(way);
        }
        way.pop_back();
    };
    go(node);
    return out;
}

} // namespace venture::services
