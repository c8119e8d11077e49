#pragma once
/// Panes of glass, alone and behind one another: what passes, what comes back, what stays.

#include <vector>

namespace venture::fabric {

/// What a pane does with light that falls on it, each 0..1. Transmission is the same from either side.
struct PaneOptics {
    double transmittance = 0.0;
    double reflectance_front = 0.0, reflectance_back = 0.0; ///< front: towards the sun
    [[nodiscard]] double absorptance_front() const { return 1.0 - transmittance - reflectance_front; }
    [[nodiscard]] double absorptance_back() const { return 1.0 - transmittance - reflectance_back; }
};

/// Glass without a coating.
struct ClearPane {
    double thickness_m = 0.004;
    double refractive_index = 1.526;
    double extinction_per_m = 20.0; ///< 4 for water-white, 20 for clear, over 100 for absorbing glass
};

enum class Polarisation { across, along }; ///< to the plane of incidence

/// Reflection at both faces and absorption on the way, all passes added up.
/// Source    Fresnel, Snell and Bouguer, as in Duffie and Beckman, Solar Engineering of Thermal Processes, chapter 5
/// @param cos_incidence  0..1
/// @throws   quantity::RangeError for a pane that is none, or an angle outside the range
[[nodiscard]] PaneOptics pane_optics(const ClearPane& pane, double cos_incidence, Polarisation polarisation);

/// What a row of panes does with light that falls on the first.
struct StackOptics {
    double transmittance = 0.0, reflectance = 0.0;
    std::vector<double> absorptance{}; ///< of each pane; with the other two they add up to 1
};

/// All reflections to and fro between panes.
/// @param panes  the first is outermost
/// @throws   quantity::RangeError for panes that send off more than arrives, or no pane
[[nodiscard]] StackOptics stack_optics(const std::vector<PaneOptics>& panes);

/// Unpolarised light on clear panes: each polarisation by itself, then the mean of both.
[[nodiscard]] StackOptics stack_optics(const std::vector<ClearPane>& panes, double cos_incidence);

/// The same for light from a uniform half-space: the mean over directions, each weighted by what it brings.
[[nodiscard]] StackOptics hemispherical_optics(const std::vector<ClearPane>& panes);

/// Glass with or without a coating, by what it does at normal incidence.
struct BandOptics {
    double transmittance = 0.0;
    double reflectance_outside = 0.0, reflectance_inside = 0.0; ///< of light that comes from there
};

/// The same pane for slanting light. Uncoated glass (little reflectance, the same from both sides) is the slab of that
/// transmittance and reflectance, so its answer is exact. A coating keeps its normal values in the shape of clear glass:
/// transmittance in proportion, and of either side the share that is not sent back. Absorption stays positive at every
/// angle; that coatings follow this shape is our assumption.
/// Source    inversion of a slab's normal transmittance and reflectance: Siegel and Howell, Thermal Radiation Heat
///           Transfer, partially transmitting media
/// @throws   quantity::RangeError for a pane that sends off more than arrives
[[nodiscard]] PaneOptics pane_optics(const BandOptics& normal, double cos_incidence, Polarisation polarisation);

/// Unpolarised light on panes known at normal incidence; the first is outermost.
[[nodiscard]] StackOptics stack_optics(const std::vector<BandOptics>& panes, double cos_incidence);
[[nodiscard]] StackOptics hemispherical_optics(const std::vector<BandOptics>& panes);

/// Share of the sun that comes in: what passes, and of what each pane takes up the share that flows inwards.
/// @param inward_share  of each pane, 0..1
[[nodiscard]] double solar_gain_share(const StackOptics& stack, const std::vector<double>& inward_share);

} // namespace venture::fabric
