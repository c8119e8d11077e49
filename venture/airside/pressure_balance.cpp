#include <venture/airside/pressure_balance.hpp>

#include <algorithm>
#include <cmath>

#include <Eigen/Dense>

#include <venture/quantity/error.hpp>

namespace venture::airside {

using quantity::check_range;

namespace {

constexpr const char* of_balance = "air balance of rooms";

void check_flow(const char* what, double m3_per_s) { check_range(of_balance, what, m3_per_s, {0.0, 1e6}, "m3/s"); }

void check_crack(const Crack& crack)
{
    check_flow("leakage coefficient", crack.coefficient_m3_per_s);
    check_range(of_balance, "exponent", crack.exponent, {0.5, 1.0}, "");
}

void check_ends(std::size_t rooms, std::size_t from, std::size_t to)
{
    for (const std::size_t end : {from, to})
        check_range(of_balance, "room of a transfer", static_cast<double>(end), {0.0, static_cast<double>(rooms) - 1.0},
                    "");
}

double flow_through(const Crack& crack, double difference_Pa)
{
    return std::copysign(crack.coefficient_m3_per_s * std::pow(std::abs(difference_Pa), crack.exponent), difference_Pa);
}
/// Its integral over the difference of pressure.
double potential_of(const Crack& crack, double difference_Pa)
{
    return crack.coefficient_m3_per_s * std::pow(std::abs(difference_Pa), crack.exponent + 1.0) /
           (crack.exponent + 1.0);
}
/// Without bound at no difference; held there, which changes the way to the answer and not the answer.
double slope_of(const Crack& crack, double difference_Pa)
{
    constexpr double least_Pa = 1e-8;
    return crack.exponent * crack.coefficient_m3_per_s *
           std::pow(std::max(std::abs(difference_Pa), least_Pa), crack.exponent - 1.0);
}

void leak(RoomBalance& room)
{
    room.infiltration_m3_per_s = std::max(0.0, -room.surplus_m3_per_s);
    room.exfiltration_m3_per_s = std::max(0.0, room.surplus_m3_per_s);
}

/// Rooms and openings as one function of pressures.
class Network {
public:
    Network(std::span<const RoomAir> rooms, std::span<const TransferOpening> openings)
        : rooms_{rooms},
          openings_{openings}
    {
    }
    [[nodiscard]] double potential(const Eigen::VectorXd& p) const
    {
        double sum = 0.0;
        for (std::size_t i = 0; i < rooms_.size(); ++i) {
            const double at = p[static_cast<Eigen::Index>(i)];
            sum += potential_of(crack_of(i), at) - given(i) * at;
        }
        for (const TransferOpening& o : openings_) sum += potential_of(o.crack, across(o, p));
        return sum;
    }
    /// What leaves each room less what is given to it.
    [[nodiscard]] Eigen::VectorXd excess(const Eigen::VectorXd& p) const
    {
        Eigen::VectorXd out(p.size());
        for (Eigen::Index i = 0; i < p.size(); ++i) {
            const auto room = static_cast<std::size_t>(i);
            out[i] = flow_through(crack_of(room), p[i]) - given(room);
        }
        for (const TransferOpening& o : openings_) {
            const double flow = flow_through(o.crack, across(o, p));
            out[static_cast<Eigen::Index>(o.from)] += flow;
            out[static_cast<Eigen::Index>(o.to)] -= flow;
        }
        return out;
    }
    [[nodiscard]] Eigen::MatrixXd slopes(const Eigen::VectorXd& p) const
    {
        Eigen::MatrixXd out = Eigen::MatrixXd::Zero(p.size(), p.size());
        for (Eigen::Index i = 0; i < p.size(); ++i) out(i, i) = slope_of(crack_of(static_cast<std::size_t>(i)), p[i]);
        for (const TransferOpening& o : openings_) {
            const double slope = slope_of(o.crack, across(o, p));
            const auto from = static_cast<Eigen::Index>(o.from), to = static_cast<Eigen::Index>(o.to);
            out(from, from) += slope;
            out(to, to) += slope;
            out(from, to) -= slope;
            out(to, from) -= slope;
        }
        return out;
    }
    [[nodiscard]] double across(const TransferOpening& o, const Eigen::VectorXd& p) const
    {
        return p[static_cast<Eigen::Index>(o.from)] - p[static_cast<Eigen::Index>(o.to)];
    }
    [[nodiscard]] Crack crack_of(std::size_t room) const { return rooms_[room].leakage.value_or(Crack{}); }

private:
    [[nodiscard]] double given(std::size_t room) const
    {
        return rooms_[room].supply_m3_per_s - rooms_[room].extract_m3_per_s;
    }
    std::span<const RoomAir> rooms_;
    std::span<const TransferOpening> openings_;
};

/// A room without any way to outdoors has a pressure that nothing tells.
void check_reach(std::span<const RoomAir> rooms, std::span<const TransferOpening> openings)
{
    std::vector<bool> reaches(rooms.size(), false);
    for (std::size_t i = 0; i < rooms.size(); ++i)
        reaches[i] = rooms[i].leakage && rooms[i].leakage->coefficient_m3_per_s > 0.0;
    for (bool more = true; more;) {
        more = false;
        for (const TransferOpening& o : openings) {
            if (o.crack.coefficient_m3_per_s <= 0.0 || reaches[o.from] == reaches[o.to]) continue;
            reaches[o.from] = reaches[o.to] = more = true;
        }
    }
    if (std::ranges::find(reaches, false) != reaches.end())
        throw quantity::Error{"air balance of rooms: a room leaks nowhere, by itself or through others"};
}

} // namespace

int pressure_sign(double surplus_m3_per_s)
{
    constexpr double none_m3_per_s = 1e-9;
    return std::abs(surplus_m3_per_s) <= none_m3_per_s ? 0 : surplus_m3_per_s > 0.0 ? 1 : -1;
}

std::vector<RoomBalance> balance_of(std::span<const RoomAir> rooms, std::span<const TransferOfAir> transfers)
{
    std::vector<RoomBalance> out(rooms.size());
    for (const TransferOfAir& t : transfers) {
        check_ends(rooms.size(), t.from, t.to);
        check_flow("transfer air", t.m3_per_s);
        out[t.from].transfer_out_m3_per_s += t.m3_per_s;
        out[t.to].transfer_in_m3_per_s += t.m3_per_s;
    }
    for (std::size_t i = 0; i < rooms.size(); ++i) {
        check_flow("supply air", rooms[i].supply_m3_per_s);
        check_flow("extract air", rooms[i].extract_m3_per_s);
        RoomBalance& room = out[i];
        room.surplus_m3_per_s = rooms[i].supply_m3_per_s + room.transfer_in_m3_per_s - rooms[i].extract_m3_per_s -
                                room.transfer_out_m3_per_s;
        leak(room);
        if (!rooms[i].leakage) continue;
        const Crack& crack = *rooms[i].leakage;
        check_crack(crack);
        if (crack.coefficient_m3_per_s > 0.0)
            room.over_outdoors_Pa = std::copysign(
                std::pow(std::abs(room.surplus_m3_per_s) / crack.coefficient_m3_per_s, 1.0 / crack.exponent),
                room.surplus_m3_per_s);
    }
    return out;
}

NetworkBalance balance_of(std::span<const RoomAir> rooms, std::span<const TransferOpening> openings)
{
    for (const RoomAir& room : rooms)
        if (room.leakage) check_crack(*room.leakage);
    for (const TransferOpening& o : openings) {
        check_ends(rooms.size(), o.from, o.to);
        check_crack(o.crack);
    }
    check_reach(rooms, openings);
    const Network network{rooms, openings};
    Eigen::VectorXd p = Eigen::VectorXd::Zero(static_cast<Eigen::Index>(rooms.size())), excess = network.excess(p);
    constexpr double still_m3_per_s = 1e-12;
    constexpr int most_rounds = 500;
    NetworkBalance out;
    for (int round = 0; round < most_rounds && !out.settled; ++round) {
        const Eigen::VectorXd step = network.slopes(p).ldlt().solve(-excess);
        const double here = network.potential(p), falls = excess.dot(step);
        // As far as the potential falls by a part of what its slope promises; where rounding hides that, the excess.
        const auto is_better = [&](double share) {
            const Eigen::VectorXd there = p + share * step;
            return network.potential(there) <= here + 0.1 * share * falls ||
                   network.excess(there).norm() <= (1.0 - 0.1 * share) * excess.norm();
        };
        double share = 1.0;
        while (share > 1e-12 && !is_better(share)) share *= 0.5;
        p += share * step;
        excess = network.excess(p);
        out.settled = excess.lpNorm<Eigen::Infinity>() <= still_m3_per_s;
        if (share <= 1e-12) break;
    }
    std::vector<TransferOfAir> transfers;
    for (const TransferOpening& o : openings) {
        const double flow = flow_through(o.crack, network.across(o, p));
        out.transfer_m3_per_s.push_back(flow);
        transfers.push_back(flow >= 0.0 ? TransferOfAir{o.from, o.to, flow} : TransferOfAir{o.to, o.from, -flow});
    }
    out.rooms = balance_of(rooms, transfers);
    for (std::size_t i = 0; i < rooms.size(); ++i) out.rooms[i].over_outdoors_Pa = p[static_cast<Eigen::Index>(i)];
    return out;
}

} // namespace venture::airside
