#pragma once
/// The admittance method: a day as its mean and one swing, rooms as an environmental node and an air node.

#include <complex>
#include <optional>
#include <string>
#include <vector>

#include <venture/fabric/buildup.hpp>
#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

struct AdmittanceSurface {
    std::string id{};
    double area_m2 = 0.0;
    fabric::Buildup layers{};                     ///< outside to inside; nothing else than resistances: a window
    double inside_m2K_per_W = 0.13;               ///< film
    std::optional<double> outside_m2K_per_W = {}; ///< nothing: no heat flows at its far side
    HourlyDay beyond_C{};                         ///< sol-air temperature
    bool sun_falls_on = false;
};

struct AdmittanceRoom {
    std::vector<AdmittanceSurface> surfaces{};
    double environment_to_air_W_per_m2K = 4.5; ///< for each square metre of surface
    double ventilation_W_per_K = 0.0;          ///< outdoor air in all
    HourlyDay outdoor_C{};
    HourlyDay sun_W{};        ///< taken up at faces, shared by area among those it falls on
    HourlyDay radiant_W{};    ///< into the environmental node
    HourlyDay convective_W{}; ///< into the air
};

/// Of a wave of 24 h.
struct SurfaceAnswers {
    std::complex<double> admittance{};     ///< W/m2K; leads
    std::complex<double> surface_factor{}; ///< share of heat at the face that enters the room; lags
    double u_W_per_m2K = 0.0;              ///< nil where nothing flows at the far side
    std::complex<double> decrement{};      ///< of the swing beyond, over U; lags
};
[[nodiscard]] double lead_h(std::complex<double> answer); ///< -12 to 12
[[nodiscard]] double lag_h(std::complex<double> answer);  ///< 0 to 24

/// What the method makes of a room.
class AdmittanceMethod {
public:
    /// Source    admittance procedure as in CIBSE Guide A and the simple methods of ISO 13792; matrices after ISO 13786
    /// @throws   quantity::RangeError for areas, conductances or build-ups that are none
    explicit AdmittanceMethod(AdmittanceRoom room);

    std::vector<SurfaceAnswers> surfaces{}; ///< in the order of the room's
    double area_m2 = 0.0, sum_au_W_per_K = 0.0, sum_ay_W_per_K = 0.0, to_air_W_per_K = 0.0;
    double ventilation_from_environment_W_per_K = 0.0; ///< through the air
    double convective_at_environment = 0.0;            ///< share of a convective gain that acts there
    double of_mean_gain = 0.0, of_swing_gain = 0.0;    ///< shares that reach an air that is held
    std::complex<double> sun_factor{};                 ///< surface factor of where the sun falls

    struct Floating {
        double mean_C = 0.0; ///< environmental
        HourlyDay swing_gain_W{}, environment_C{}, air_C{};
    };
    [[nodiscard]] Floating floating() const;
    struct Held {
        HourlyDay at_environment_W{}; ///< what comes to the environmental node
        HourlyDay cooling_W{};        ///< of a convective plant; negative: heating
        HourlyDay air_C{};
    };
    [[nodiscard]] Held environment_held(double at_C) const;
    [[nodiscard]] HourlyDay air_held_W(double at_C) const; ///< the same with the air held
    /// The same network with complex numbers, at 24 h alone: how far the environmental temperature swings, and when it is warmest.
    struct FirstHarmonic {
        double amplitude_K = 0.0, warmest_h = 0.0;
    };
    [[nodiscard]] FirstHarmonic first_harmonic() const;
    /// The same network with exact walls at all harmonics, signals straight between hours: environmental temperature.
    [[nodiscard]] HourlyDay exact_environment_C() const;

private:
    [[nodiscard]] HourlyDay delayed_conduction_W() const;
    [[nodiscard]] HourlyDay delayed_sun_W() const;
    [[nodiscard]] double mean_conductance_W_per_K_C() const; ///< sum of AU times the mean beyond

    AdmittanceRoom room_;
};

} // namespace venture::loads
