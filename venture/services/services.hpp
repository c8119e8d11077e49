#pragma once
/// Who serves whom: room - unit - circuit - plant. Each room's duty has one server; what no one serves is a finding.

#include <optional>
#include <span>
#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/rating/kind.hpp>

namespace venture::services {

using quantity::name_of;
using rating::Kind;
using rating::Service;

/// The kinds that there are, of units and of plants; each in the order of its list.
struct Kinds {
    std::span<const Kind* const> units{}, plants{};
};

struct Circuit {
    std::string name{};
    Service carries = Service::heating;
    double supply_C = 0.0, return_C = 0.0;
    const Kind* unit = nullptr;
    std::size_t plant = 0;  ///< index into Services::plants
    double diversity = 1.0; ///< share of what its rooms need together that it meets at once
};

struct Plant {
    std::string name{};
    const Kind* kind = nullptr;
    double margin = 0.0;       ///< fraction added to what the rooms need together
    int units = 1;             ///< equal units that share the duty
    double diversity = 1.0;    ///< share of what its circuits need together that it meets at once; before the margin
    double air_warmer_K = 0.0; ///< than outdoors, where it takes its air
};

/// A product settled on for a room or a plant.
struct Kept {
    std::string serves{};
    Service duty = Service::heating;
    std::string product{};
    int count = 1;
    std::optional<double> chosen_for_W{};
    quantity::OriginId origin{};
};

/// A room as services see it.
struct Client {
    std::string room{};
    std::string heated_by{}, cooled_by{}; ///< circuit, "nothing", or empty if not said
    quantity::OriginId origin{}, heated_by_origin{}, cooled_by_origin{};
    bool heated = false, cooled = false; ///< has set-points
};

/// Circuit of a room, service by service; nothing if none serves it.
using Link = rating::PerService<std::optional<std::size_t>>;

struct Services {
    std::vector<Circuit> circuits{};
    std::vector<Plant> plants{};
    std::vector<Link> rooms{}; ///< in the order of the clients
    std::vector<Kept> kept{};
    quantity::Problems problems{}; ///< errors and findings
    [[nodiscard]] const Kept* find_kept(std::string_view serves, Service duty) const;
    /// Rooms that hang on a plant.
    [[nodiscard]] std::vector<std::size_t> rooms_of_plant(std::size_t plant) const;
};

/// Connects rooms to circuits and circuits to plants.
/// A room that names no circuit for a duty hangs on the only circuit that carries it; with several, that is a finding.
/// An input without circuits gets assumed ones, of the first kinds that do what is asked (Kind::assumed), and a note that
/// says so.
[[nodiscard]] Services connect(const input::Input& input, const std::vector<Client>& clients, const Kinds& kinds);

} // namespace venture::services
