#pragma once
/// Few value types, for arguments of public functions that could be swapped. Series and solver internals are doubles.

#include <compare>

namespace venture::quantity {

/// A difference of two temperatures.
class TemperatureDifference {
public:
    [[nodiscard]] static constexpr TemperatureDifference kelvin(double dt_K) { return TemperatureDifference{dt_K}; }
    [[nodiscard]] constexpr double kelvin() const noexcept { return dt_K_; }
    friend constexpr auto operator<=>(TemperatureDifference, TemperatureDifference) = default;

private:
    explicit constexpr TemperatureDifference(double dt_K) : dt_K_{dt_K} {}
    double dt_K_;
};

/// A temperature on a scale. Two temperatures can be subtracted, never added.
class Temperature {
public:
    [[nodiscard]] static constexpr Temperature celsius(double t_C) { return Temperature{t_C}; }
    [[nodiscard]] constexpr double celsius() const noexcept { return t_C_; }
    [[nodiscard]] constexpr double kelvin() const noexcept { return t_C_ + 273.15; }
    friend constexpr auto operator<=>(Temperature, Temperature) = default;
    friend constexpr TemperatureDifference operator-(Temperature a, Temperature b)
    {
        return TemperatureDifference::kelvin(a.t_C_ - b.t_C_);
    }
    friend constexpr Temperature operator+(Temperature t, TemperatureDifference d)
    {
        return Temperature{t.t_C_ + d.kelvin()};
    }

private:
    explicit constexpr Temperature(double t_C) : t_C_{t_C} {}
    double t_C_;
};

/// An absolute pressure.
class Pressure {
public:
    [[nodiscard]] static constexpr Pressure pascal(double p_Pa) { return Pressure{p_Pa}; }
    [[nodiscard]] constexpr double pascal() const noexcept { return p_Pa_; }
    friend constexpr auto operator<=>(Pressure, Pressure) = default;

private:
    explicit constexpr Pressure(double p_Pa) : p_Pa_{p_Pa} {}
    double p_Pa_;
};

/// A plane angle or a bearing.
class Angle {
public:
    [[nodiscard]] static constexpr Angle degrees(double deg) { return Angle{deg}; }
    [[nodiscard]] constexpr double degrees() const noexcept { return deg_; }
    [[nodiscard]] constexpr double radians() const noexcept { return deg_ * 0.017453292519943295; }
    friend constexpr auto operator<=>(Angle, Angle) = default;

private:
    explicit constexpr Angle(double deg) : deg_{deg} {}
    double deg_;
};

} // namespace venture::quantity
