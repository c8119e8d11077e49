#pragma once
/// Who serves whom, as nodes and links, and what is needed where: demand flows from the rooms to the plants, hour by hour.

#include <array>
#include <cstdint>
#include <functional>
#include <optional>
#include <span>
#include <string>
#include <string_view>
#include <vector>

#include <venture/quantity/choice.hpp>
#include <venture/quantity/origin.hpp>
#include <venture/rating/demand.hpp>
#include <venture/rating/medium.hpp>
#include <venture/rating/service.hpp>

namespace venture::services {

using rating::Demand;
using rating::Medium;
using rating::PerService;
using rating::Service;

using NodeId = std::size_t;

enum class Role : std::uint8_t { room, zone, unit, circuit, leg, coil, air_handler, plant_group, plant };

/// What someone chose to add or take off on the way; always shown apart.
struct Allowance {
    enum class Is : std::uint8_t { diversity, margin, loss, standby };
    Is is = Is::margin;
    double factor = 1.0; ///< that it multiplies with
    quantity::OriginId origin{};
};

/// How a node's demand is parted among several that serve it.
enum class Parted : std::uint8_t {
    by_shares, ///< of its links
    in_order,  ///< each link takes what the ones before it leave, up to its most
};

struct Node {
    std::string name{};
    Role role = Role::room;
    std::size_t record = 0; ///< its place among things of that role
    quantity::OriginId origin{};
    Parted parted = Parted::by_shares;
    std::vector<Allowance> allowances{}; ///< on the sum below it, one after another
    [[nodiscard]] double factor() const;
};

struct Link {
    NodeId from = 0, to = 0; ///< server, served
    Service service = Service::heating;
    Medium medium = Medium::water;
    double share = 1.0;             ///< shares of one node's service add up to 1
    std::optional<double> most_W{}; ///< in order: no more than that in any hour; the last takes what is left
};

struct Network {
    std::vector<Node> nodes{};
    std::vector<Link> links{};

    NodeId add(Node node);
    void connect(Link link) { links.push_back(link); }
    /// Nodes that serve one another in a ring, each ring once, from its first node on.
    [[nodiscard]] std::vector<std::vector<NodeId>> rings() const;
    /// The same without what someone added or took off.
    [[nodiscard]] Network without_allowances() const;
};

/// A demand at a node: of a leaf, or typed instead of the sum below.
struct DemandAt {
    NodeId node = 0;
    Service service = Service::heating;
    Demand demand{};
};

/// Hour by hour at every node.
class Demands {
public:
    explicit Demands(std::size_t nodes) : asked_(nodes), changed_(nodes) {}
    /// The sum of what those that it serves pass on, or what was typed. No hours: nothing of that service.
    [[nodiscard]] const Demand& asked(NodeId node, Service service) const { return asked_[node][service]; }
    /// That with its allowances and with what it adds itself: what it asks of those that serve it, or must itself deliver.
    [[nodiscard]] const Demand& passed(NodeId node, Service service) const
    {
        const std::optional<Demand>& changed = changed_[node][service];
        return changed ? *changed : asked_[node][service];
    }
    [[nodiscard]] Demand& ask(NodeId node, Service service) { return asked_[node][service]; }
    void pass(NodeId node, Service service, Demand demand) { changed_[node][service] = std::move(demand); }

private:
    std::vector<PerService<Demand>> asked_;
    std::vector<PerService<std::optional<Demand>>> changed_; ///< where it is not what was asked
};

/// What a node adds of itself to what it was asked: a coil condenses, a fan warms.
using PassOn = std::function<void(NodeId node, Service service, Demand& demand)>;

/// @param leaves  of nodes that serve nobody; of one service all with the same hours
/// @param typed  stand instead of the sum below their node
/// @pre there are no rings, no share or factor is negative
[[nodiscard]] Demands demands(const Network& network, std::span<const DemandAt> leaves,
                              std::span<const DemandAt> typed = {}, const PassOn& pass_on = {});

/// One allowance on the way from a node to where nobody serves any more.
struct AllowanceOnTheWay {
    std::size_t way = 0; ///< ways are counted from 0: a node that several serve has several
    NodeId node = 0;
    Allowance allowance{};
    double product = 1.0; ///< of this and all before it on the way
};
/// The ways of a service from a node on, nodes in order; and the allowances on them.
struct Ways {
    std::vector<std::vector<NodeId>> ways{};
    std::vector<AllowanceOnTheWay> allowances{};
};
/// @pre there are no rings
[[nodiscard]] Ways ways_from(const Network& network, NodeId node, Service service);

} // namespace venture::services

template <>
struct venture::quantity::WordsOf<venture::services::Role> {
    static constexpr std::array<std::string_view, 9> words = {"room", "zone",        "terminal unit", "circuit", "leg",
                                                              "coil", "air handler", "set of plants", "plant"};
};

template <>
struct venture::quantity::WordsOf<venture::services::Allowance::Is> {
    static constexpr std::array<std::string_view, 4> words = {"diversity", "margin", "loss", "standby"};
};
