/// Laws of the network: demand is the sum of its leaves hour by hour, with allowances taken out.

#include <venture/services/network.hpp>

#include <algorithm>
#include <numeric>
#include <random>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

namespace venture::services {
namespace {

using testing::ElementsAre;

Demand hours(std::vector<double> sensible_W)
{
    Demand out{.sensible_W = std::move(sensible_W)};
    out.sum_of_peaks_W = out.peak_W();
    return out;
}

/// Two rooms on a circuit with diversity and losses, which a plant with a margin feeds.
struct Small {
    Network n{};
    NodeId east = n.add({.name = "East"}), west = n.add({.name = "West"});
    NodeId circuit = n.add({.name = "warm",
                            .role = Role::circuit,
                            .allowances = {{Allowance::Is::diversity, 0.8, {}}, {Allowance::Is::loss, 1.05, {}}}});
    NodeId plant = n.add({.name = "boiler", .role = Role::plant, .allowances = {{Allowance::Is::margin, 1.1, {}}}});
    std::vector<DemandAt> leaves{{east, Service::heating, hours({3, 1, 0})},
                                 {west, Service::heating, hours({0, 1, 4})}};
    Small()
    {
        n.connect({.from = circuit, .to = east});
        n.connect({.from = circuit, .to = west});
        n.connect({.from = plant, .to = circuit});
    }
    [[nodiscard]] const Demand& asked(const Demands& d, NodeId node) const { return d.asked(node, Service::heating); }
};

TEST(Demands, AddUpHourByHourAndMultiplyOnTheWay)
{
    const Small s;
    const Demands d = demands(s.n, s.leaves);
    EXPECT_THAT(s.asked(d, s.circuit).sensible_W, ElementsAre(3, 2, 4));
    EXPECT_DOUBLE_EQ(s.asked(d, s.circuit).sum_of_peaks_W, 7.0);
    EXPECT_NEAR(s.asked(d, s.plant).sensible_W[2], 4 * 0.8 * 1.05, 1e-12);
    EXPECT_NEAR(d.passed(s.plant, Service::heating).peak_W(), 4 * 0.8 * 1.05 * 1.1, 1e-12);
    EXPECT_EQ(d.asked(s.plant, Service::cooling).hours(), 0U);
    EXPECT_THAT(demands(s.n.without_allowances(), s.leaves).passed(s.plant, Service::heating).sensible_W,
                ElementsAre(3, 2, 4));
}

TEST(Demands, StandAsTheyWereTypedInsteadOfTheSumBelow)
{
    const Small s;
    const std::vector<DemandAt> typed = {{s.circuit, Service::heating, Demand::of_peak(10.0, 0.0, 3)}};
    const Demands d = demands(s.n, s.leaves, typed);
    EXPECT_TRUE(s.asked(d, s.circuit).typed);
    EXPECT_FALSE(s.asked(d, s.plant).typed);
    EXPECT_FALSE(s.asked(d, s.plant).by_hour); // a sum in which something has no hours
    EXPECT_NEAR(s.asked(d, s.plant).sensible_W[1], 10.0 * 0.8 * 1.05, 1e-12);
}

TEST(Demands, CountAPeakWithoutHoursInEveryHour)
{
    Small s;
    s.leaves[0].demand = Demand::of_peak(3.0, 0.0, 3);
    const Demands d = demands(s.n, s.leaves);
    EXPECT_THAT(s.asked(d, s.circuit).sensible_W, ElementsAre(3, 4, 7));
    EXPECT_FALSE(s.asked(d, s.circuit).by_hour);
}

TEST(Demands, HoldWhatANodeAddsItself)
{
    const Small s;
    const Demands d = demands(s.n, s.leaves, {}, [&](NodeId node, Service, Demand& demand) {
        if (node == s.east) demand.sensible_W[0] += 0.5;
    });
    EXPECT_THAT(s.asked(d, s.east).sensible_W, ElementsAre(3, 1, 0));
    EXPECT_THAT(s.asked(d, s.circuit).sensible_W, ElementsAre(3.5, 2, 4));
}

/// The first plant takes up to 2 W, the second what is left; or 30 % and 70 %.
TEST(Demands, AreTakenInOrderOrByShares)
{
    Small s;
    const NodeId group = s.n.add({.role = Role::plant_group, .parted = Parted::in_order}),
                 first = s.n.add({.role = Role::plant}), second = s.n.add({.role = Role::plant});
    s.n.links.back() = {.from = group, .to = s.circuit};
    s.n.nodes[s.circuit].allowances.clear();
    s.n.connect({.from = first, .to = group, .share = 0.3, .most_W = 2.0});
    s.n.connect({.from = second, .to = group, .share = 0.7});
    const Demands in_order = demands(s.n, s.leaves);
    EXPECT_THAT(s.asked(in_order, first).sensible_W, ElementsAre(2, 2, 2));
    EXPECT_THAT(s.asked(in_order, second).sensible_W, ElementsAre(1, 0, 2));
    s.n.nodes[group].parted = Parted::by_shares;
    const Demands shared = demands(s.n, s.leaves);
    EXPECT_NEAR(s.asked(shared, first).sensible_W[2], 1.2, 1e-12);
    EXPECT_NEAR(s.asked(shared, second).sensible_W[2], 2.8, 1e-12);
}

TEST(Ways, TellEveryAllowanceWithTheProductSoFar)
{
    const Small s;
    const Ways all = ways_from(s.n, s.circuit, Service::heating);
    ASSERT_EQ(all.ways.size(), 1U);
    EXPECT_THAT(all.ways[0], ElementsAre(s.circuit, s.plant));
    ASSERT_EQ(all.allowances.size(), 3U);
    EXPECT_NEAR(all.allowances[1].product, 0.84, 1e-12);
    EXPECT_NEAR(all.allowances[2].product, 0.924, 1e-12);
    EXPECT_EQ(all.allowances[2].node, s.plant);
    EXPECT_TRUE(ways_from(s.n, s.circuit, Service::cooling).allowances.size() == 2); // its own, and nobody above
}

TEST(Network, FindsRings)
{
    Network n;
    for (int i = 0; i < 5; ++i) n.add({});
    n.connect({.from = 0, .to = 1});
    n.connect({.from = 1, .to = 2});
    n.connect({.from = 2, .to = 0});
    n.connect({.from = 3, .to = 2});
    n.connect({.from = 4, .to = 4});
    EXPECT_THAT(n.rings(), ElementsAre(ElementsAre(0U, 1U, 2U), ElementsAre(4U)));
}

/// Any tree of circuits, sub-circuits, shares and plants, with any allowances.
class RandomNetwork {
public:
    explicit RandomNetwork(unsigned seed) : random_{seed}
    {
        const std::size_t circuits = 1 + random_() % 6, plants = 1 + random_() % 3;
        for (std::size_t p = 0; p < plants; ++p) plants_.push_back(n.add({.role = Role::plant, .allowances = some()}));
        for (std::size_t c = 0; c < circuits; ++c) {
            const NodeId circuit = n.add({.role = Role::circuit, .allowances = some()});
            if (c > 0 && random_() % 3 == 0) // mixed from an earlier one
                n.connect({.from = circuits_[random_() % c], .to = circuit});
            else
                share_among(plants_, circuit);
            circuits_.push_back(circuit);
        }
        for (std::size_t r = 0; r < 1 + random_() % 12; ++r) {
            const NodeId room = n.add({});
            share_among(circuits_, room);
            Demand demand;
            for (int h = 0; h < 24; ++h) {
                demand.sensible_W.push_back(number());
                demand.latent_W.push_back(number());
            }
            leaves.push_back({room, Service::heating, demand});
        }
    }

    Network n{};
    std::vector<DemandAt> leaves{};
    [[nodiscard]] const std::vector<NodeId>& plants() const { return plants_; }

private:
    double number() { return std::uniform_real_distribution<>{0.0, 1000.0}(random_); }
    std::vector<Allowance> some()
    {
        std::vector<Allowance> out(random_() % 3);
        for (Allowance& a : out) a.factor = 0.5 + number() / 1000.0;
        return out;
    }
    void share_among(const std::vector<NodeId>& servers, NodeId node)
    {
        const std::size_t first = random_() % servers.size(), second = random_() % servers.size();
        if (first == second) return n.connect({.from = servers[first], .to = node});
        const double share = number() / 1000.0;
        n.connect({.from = servers[first], .to = node, .share = share});
        n.connect({.from = servers[second], .to = node, .share = 1.0 - share});
    }
    std::mt19937 random_;
    std::vector<NodeId> plants_{}, circuits_{};
};

class OfRandomNetworks : public testing::TestWithParam<unsigned> {};
INSTANTIATE_TEST_SUITE_P(Seeds, OfRandomNetworks, testing::Range(1U, 101U));

TEST_P(OfRandomNetworks, DemandIsTheSumOfItsLeavesHourByHour)
{
    const RandomNetwork r{GetParam()};
    const Demands d = demands(r.n.without_allowances(), r.leaves);
    for (std::size_t h = 0; h < 24; ++h) {
        double sensible_W = 0.0, latent_W = 0.0, given_W = 0.0, given_latent_W = 0.0;
        for (const DemandAt& leaf : r.leaves) {
            sensible_W += leaf.demand.sensible_W[h];
            latent_W += leaf.demand.latent_W[h];
        }
        for (const NodeId plant : r.plants())
            if (const Demand& passed = d.passed(plant, Service::heating); passed.hours() > 0) {
                given_W += passed.sensible_W[h];
                given_latent_W += passed.latent_W[h];
            }
        EXPECT_NEAR(given_W, sensible_W, 1e-9 * sensible_W);
        EXPECT_NEAR(given_latent_W, latent_W, 1e-9 * latent_W);
    }
}

TEST_P(OfRandomNetworks, NoDemandDependsOnTheOrderOfLinksAndLeaves)
{
    RandomNetwork r{GetParam()};
    const Demands before = demands(r.n, r.leaves);
    std::mt19937 other{7};
    std::ranges::shuffle(r.n.links, other);
    std::ranges::shuffle(r.leaves, other);
    const Demands after = demands(r.n, r.leaves);
    for (const NodeId plant : r.plants()) {
        const Demand &was = before.passed(plant, Service::heating), &is = after.passed(plant, Service::heating);
        ASSERT_EQ(was.hours(), is.hours());
        for (std::size_t h = 0; h < was.hours(); ++h) EXPECT_NEAR(is.total_W(h), was.total_W(h), 1e-9 * was.total_W(h));
    }
}

/// What reaches all plants is each leaf over each of its ways, times shares and allowances.
TEST_P(OfRandomNetworks, WaysAndTheirProductsLeadToTheSameDemand)
{
    const RandomNetwork r{GetParam()};
    const Demands d = demands(r.n, r.leaves);
    double by_ways_W = 0.0, by_plants_W = 0.0;
    for (const DemandAt& leaf : r.leaves) {
        const Ways all = ways_from(r.n, leaf.node, Service::heating);
        for (std::size_t w = 0; w < all.ways.size(); ++w) {
            double product = 1.0;
            for (const AllowanceOnTheWay& a : all.allowances)
                if (a.way == w) product = a.product;
            for (std::size_t i = 0; i + 1 < all.ways[w].size(); ++i)
                product *= std::ranges::find_if(r.n.links, [&](const Link& link) {
                               return link.to == all.ways[w][i] && link.from == all.ways[w][i + 1];
                           })->share;
            by_ways_W += product * leaf.demand.total_W(5);
        }
    }
    for (const NodeId plant : r.plants())
        if (const Demand& passed = d.passed(plant, Service::heating); passed.hours() > 0)
            by_plants_W += passed.total_W(5);
    EXPECT_NEAR(by_ways_W, by_plants_W, 1e-9 * by_plants_W);
}

} // namespace
} // namespace venture::services
