#pragma once
/// Who serves whom: room - unit - circuit - plant. Each room's duty has one server; what no one serves is a finding.

#include <optional>
#include <string>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::services {

using input::Duty;
using input::PlantKind;
using input::UnitKind;
using quantity::name_of;

struct Circuit {
    std::string name{};
    Duty carries = Duty::heating;
    double supply_C = 0.0, return_C = 0.0;
    UnitKind unit = UnitKind::radiator;
    std::size_t plant = 0;  ///< index into Services::plants
    double diversity = 1.0; ///< share of what its rooms need together that it meets at once
};

struct Plant {
    std::string name{};
    PlantKind kind = PlantKind::boiler;
    double margin = 0.0;    ///< fraction added to what the rooms need together
    int units = 1;          ///< equal units that share the duty
    double diversity = 1.0; ///< share of what its circuits need together that it meets at once; before the margin
};

/// A product settled on for a room or a plant.
struct Kept {
    std::string serves{};
    Duty duty = Duty::heating;
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

/// Circuit of each room by duty; nothing if none serves it.
struct Link {
    std::optional<std::size_t> heating{}, cooling{};
};

struct Services {
    std::vector<Circuit> circuits{};
    std::vector<Plant> plants{};
    std::vector<Link> rooms{}; ///< in the order of the clients
    std::vector<Kept> kept{};
    quantity::Problems problems{}; ///< errors and findings
    [[nodiscard]] const Kept* find_kept(std::string_view serves, Duty duty) const;
    /// Rooms that hang on a plant.
    [[nodiscard]] std::vector<std::size_t> rooms_of_plant(std::size_t plant) const;
};

/// Connects rooms to circuits and circuits to plants.
/// A room that names no circuit for a duty hangs on the only circuit that carries it; with several, that is a finding.
/// An input without circuits gets assumed ones (radiators 70/55 degC on a boiler, fan coils 7/12 degC on a chiller),
/// and a note that says so.
[[nodiscard]] Services connect(const input::Input& input, const std::vector<Client>& clients);

} // namespace venture::services
