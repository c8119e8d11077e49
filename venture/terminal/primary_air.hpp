#pragma once
/// Outdoor air that is treated elsewhere and comes to rooms through their units or beside them.

#include <optional>
#include <vector>

#include <venture/input/input.hpp>
#include <venture/loads/room_loads.hpp>
#include <venture/rating/condition.hpp>
#include <venture/rating/service.hpp>
#include <venture/services/room_lines.hpp>

namespace venture::terminal {

/// Of one room.
struct PrimaryAir {
    bool through_units = false;
    double flow_m3_per_s = 0.0;
    std::optional<double> heating_C{}, cooling_C{},
        cooling_humidity{}; ///< nothing: it does not come then, or nobody says
    quantity::OriginId origin{};

    /// What it adds to what units must give, or takes off it (negative), W; against the room's own air in the hour of its
    /// peak, all hours alike.
    struct Part {
        double sensible_W = 0.0, latent_W = 0.0;
        [[nodiscard]] double total_W() const { return sensible_W + latent_W; }
    };
    [[nodiscard]] Part part(rating::Service service, const loads::RoomLoad& load, double pressure_Pa) const;
    /// Sets what a unit that it comes through must know of it.
    void say_to(rating::Conditions& at, rating::Service service, const loads::RoomLoad& load, double pressure_Pa) const;
};

/// By room; nothing where none comes.
using PrimaryAirs = std::vector<std::optional<PrimaryAir>>;

/// @param pressure_Pa  of the site
/// @param problems     take what speaks of no room, and air that cannot hold so much water
[[nodiscard]] PrimaryAirs read_primary_air(const input::Input& input, const std::vector<services::Client>& clients,
                                           double pressure_Pa, quantity::Problems& problems);

/// The same loads with what primary air adds or takes off, at their peaks and in every hour; never below nothing.
[[nodiscard]] loads::RoomLoads with_primary_air(loads::RoomLoads loads, const PrimaryAirs& airs);

} // namespace venture::terminal
