#pragma once
/// What serves the rooms: circuits and plants as they were typed or assumed, and the network that they make. What nobody serves,
/// or what serves nobody, is a finding.

#include <memory>
#include <optional>
#include <span>
#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/rating/kind.hpp>
#include <venture/services/network.hpp>

namespace venture::services {

using quantity::name_of;
using rating::Kind;

/// The kinds that there are, of units and of plants; each in the order of its list.
struct Kinds {
    std::span<const Kind* const> units{}, plants{};
};

struct Circuit {
    std::string name{};
    Service carries = Service::heating;
    rating::Medium medium = rating::Medium::water;
    double supply_C = rating::unknown, return_C = rating::unknown; ///< of its water
    double glycol = 0.0;                                           ///< share in its water
    double radiant_share = 0.0;                                    ///< of what its units give in heating
    std::string valve{};                                           ///< at each of its units; empty: nobody says
    double pressure_difference_Pa = 0.0;                           ///< for a unit and its valve together
    const Kind* unit = nullptr;              ///< null where its demand is typed and nobody said which
    std::vector<std::size_t> plants{};       ///< that feed it, in order; none if it is mixed from another circuit
    std::vector<double> shares{};            ///< of those plants; empty: in order
    std::optional<std::size_t> from{};       ///< circuit that it is mixed from
    std::optional<std::size_t> same_pipes{}; ///< circuit of the other service that runs in the same pipes
    double diversity = 1.0;                  ///< share of what its rooms need together that it meets at once
    double loss = 0.0;                       ///< of its pipes, as a share of what it brings
    std::optional<double> demand_W{};        ///< typed instead of the sum of its rooms
    quantity::OriginId origin{}, diversity_origin{}, loss_origin{}, demand_origin{}, valve_origin{};
    [[nodiscard]] bool has_water() const { return medium == rating::Medium::water; }
};

struct Plant {
    std::string name{};
    const Kind* kind = nullptr;
    double margin = 0.0;        ///< fraction added to what the rooms need together
    int units = 1, standby = 0; ///< equal units that share the duty; of them so many may fail
    double diversity = 1.0;     ///< share of what its circuits need together that it meets at once; before the margin
    double air_warmer_K = 0.0;  ///< than outdoors, where it takes its air
    std::optional<double> at_most_W{}; ///< that it is asked where plants stand in order
    std::optional<double> demand_W{};  ///< typed instead of the sum of its circuits
    quantity::OriginId origin{}, margin_origin{}, diversity_origin{}, standby_origin{}, demand_origin{};
};

/// A product settled on for a room or a plant.
struct Kept {
    std::string serves{};
    Service duty = Service::heating;
    std::string product{};
    int count = 1;
    std::optional<double> chosen_for_W{};
    quantity::OriginId origin{};
    std::shared_ptr<const rating::Product> typed{}; ///< what it gives was typed: it need not be in a catalogue
};

/// A room as services see it.
struct Client {
    std::string room{}, type{}, storey{};
    std::string heated_by{}, cooled_by{}; ///< circuit, "nothing", or empty if not said
    quantity::OriginId origin{}, heated_by_origin{}, cooled_by_origin{};
    bool heated = false, cooled = false; ///< has set-points
};

/// Of what a room needs of a service, how much a circuit gives.
struct Server {
    std::size_t circuit = 0;
    double share = 1.0;
};
/// Those of one room; none if nobody serves it.
using Servers = PerService<std::vector<Server>>;

/// A room's units of one kind: of one circuit, or of two that carry two services to the same units (four pipes).
struct UnitPlace {
    std::size_t room = 0;
    NodeId node = 0;
    PerService<std::optional<Server>> servers{};
};

/// Where rooms, circuits and plants stand in the network.
struct Places {
    std::vector<NodeId> rooms{}, circuits{}, plants{};
    std::vector<UnitPlace> units{};
};

struct Services {
    std::vector<Circuit> circuits{};
    std::vector<Plant> plants{};
    std::vector<Servers> rooms{}; ///< in the order of the clients
    std::vector<Kept> kept{};
    Network network{};
    Places places{};
    quantity::Problems problems{}; ///< errors and findings
    [[nodiscard]] const Kept* find_kept(std::string_view serves, Service duty) const;
    /// Rooms that hang on a plant with a service.
    [[nodiscard]] std::vector<std::size_t> rooms_of_plant(std::size_t plant, Service service) const;
    /// Circuits that a plant feeds itself with a service; not those that are mixed from them.
    [[nodiscard]] std::vector<std::size_t> circuits_of_plant(std::size_t plant, Service service) const;
    /// What was typed at nodes, in as many hours as the services have.
    [[nodiscard]] std::vector<DemandAt> typed_demands(const PerService<std::size_t>& hours) const;
};

/// Connects rooms to circuits and circuits to plants.
/// A room is served as the last line says that speaks of it, else by the circuit that it names, else by the only one that
/// carries what it needs; with several, that is a finding. A circuit that names no plant is fed by the only one that makes
/// what it carries.
/// An input without circuits gets assumed ones, of the first kinds that do what is asked (Kind::assumed), and a note that
/// says so.
[[nodiscard]] Services connect(const input::Input& input, const std::vector<Client>& clients, const Kinds& kinds);

} // namespace venture::services
