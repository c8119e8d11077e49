#pragma once
/// Convection at the faces of walls, and radiation between two temperatures. Fixed films: inside_film() of buildup.hpp.

#include <array>
#include <cstddef>
#include <vector>

#include <venture/fabric/radiation.hpp>

namespace venture::fabric {

/// Laws of natural convection at a face in a room.
enum class NaturalLaw {
    /// Large faces, turbulent: 1.31 d^(1/3) upright; 9.482 d^(1/3) / (7.283 - |c|) where it drives the air away from
    /// the face, 1.810 d^(1/3) / (1.382 + |c|) where it holds it there; c the cosine of the tilt.
    /// Source    ASHRAE Handbook of Fundamentals, natural convection; with tilt Walton, NBSIR 83-2655, 1983
    turbulent,
    /// Faces of rooms, laminar and turbulent together. Upright, of height L: sixth root of
    /// (1.50 (d/L)^(1/4))^6 + (1.23 d^(1/3))^6; level and driven, with L four areas over the perimeter: the same with
    /// 1.40 and 1.63; level and held: 0.60 (d/L2)^(1/5). Between upright and level the nearer one.
    /// Source    Alamdari and Hammond, Building Services Engineering Research and Technology 4 (3), 1983
    room_sized,
};

/// What natural convection at one face follows.
struct NaturalConvection {
    NaturalLaw law = NaturalLaw::turbulent;
    double cos_tilt = 0.0; ///< of the face as seen from the air: 1 a floor, 0 a wall, -1 a ceiling
    double length_m = 2.5; ///< of room_sized alone
};

/// Least film that natural convection is taken as, W/m2K: no air is as still as at no difference (our assumption).
inline constexpr double least_convection_W_per_m2K = 0.1;

/// A law made ready for one face: W/m2K by the difference between face and air.
/// Valid     differences of up to 100 K
/// @throws   quantity::RangeError if the cosine is beyond -1..1 or the length beyond 0.01..200 m
class ConvectionCurve {
public:
    explicit ConvectionCurve(const NaturalConvection& face);
    [[nodiscard]] double at(double face_minus_air_K) const;

private:
    friend class ConvectionCurves;
    struct Side {
        double laminar = 0.0, turbulent = 0.0; ///< sixth powers, of d^(3/2) and d^2
        double held = 0.0;                     ///< of d^(1/5)
    };
    std::array<Side, 2> side_{}; ///< face colder, face warmer
};

/// Many faces at once, laid out so that their films are found side by side; equal to those of each by itself to 1e-12.
class ConvectionCurves {
public:
    void add(const NaturalConvection& face);
    [[nodiscard]] std::size_t size() const { return turbulent_[0].size(); }
    /// Of the faces first to last - 1. @param face_minus_air_K  of every face  @param film_W_per_m2K  of every face
    void at(std::size_t first, std::size_t last, const double* face_minus_air_K, double* film_W_per_m2K) const;

private:
    std::array<std::vector<double>, 2> laminar_{}, turbulent_{}; ///< face colder, face warmer
    std::array<std::vector<double>, 2> turbulent_alone_{};       ///< sixth roots
    bool all_turbulent_ = true;
    std::vector<std::size_t> with_held_{}; ///< faces that one way follow the fifth root
    std::vector<ConvectionCurve> held_curves_{};
};

/// Convection at a face in the wind, W/m2K.
enum class WindLaw {
    iso_6946,   ///< 4 + 4 v (ISO 6946:2017, annex C)
    flat_plate, ///< 5.62 + 3.91 v up to 4.88 m/s, 7.17 v^0.78 above (McAdams, Heat Transmission, 1954, metric)
};
/// @throws quantity::RangeError beyond 0..60 m/s
[[nodiscard]] double wind_convection_W_per_m2K(WindLaw law, double wind_m_per_s);

/// Radiation between a face and black surroundings at t2, over the difference of temperatures, W/m2K:
/// emissivity sigma (T1^2 + T2^2) (T1 + T2).
[[nodiscard]] inline double radiation_W_per_m2K(double emissivity, double t1_C, double t2_C)
{
    constexpr double kelvin = 273.15;
    const double t1 = t1_C + kelvin, t2 = t2_C + kelvin;
    return emissivity * stefan_boltzmann_W_per_m2K4 * (t1 * t1 + t2 * t2) * (t1 + t2);
}

} // namespace venture::fabric
