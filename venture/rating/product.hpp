#pragma once
/// A product as all that choose, keep and report see it: something that is rated.

#include <cmath>
#include <limits>
#include <optional>
#include <string>
#include <variant>

#include <venture/rating/condition.hpp>
#include <venture/rating/service.hpp>

namespace venture::rating {

inline constexpr double unknown = std::numeric_limits<double>::quiet_NaN(); ///< of what a maker does not say

/// What one product does at some conditions, and what it takes for that. Numbers only.
struct Output {
    PerService<double> gives_W{}; ///< to what it serves, net of fan heat; cooling: sensible and latent
    double sensible_W = 0.0;      ///< of cooling, net of fan heat
    double fan_W = 0.0;           ///< heat of the fan, which has been taken off cooling and added to heating
    bool dry = false;             ///< a coil on which nothing condenses
    double water_kg_per_s = unknown, water_return_C = unknown, water_pressure_drop_Pa = unknown;
    double electric_W = unknown, sound_power_dBA = unknown;
    double condensate_kg_per_s = 0.0;
    /// Of cooling. The fan warms the air and takes no moisture into it.
    [[nodiscard]] double latent_W() const { return gives_W[Service::cooling] - sensible_W; }
    /// What its water carries off or brings while it cools or heats to the full.
    [[nodiscard]] double taken_from_water_W(Service service) const
    {
        return service == Service::cooling ? gives_W[service] + fan_W : gives_W[service] - fan_W;
    }
};

class Product {
public:
    Product(std::string name, std::string maker, std::string from)
        : name_{std::move(name)},
          maker_{std::move(maker)},
          from_{std::move(from)}
    {
    }
    virtual ~Product() = default;
    Product(const Product&) = delete;
    Product& operator=(const Product&) = delete;

    /// @throws nothing: what cannot be is a refusal
    [[nodiscard]] virtual std::variant<Output, Refusal> rate(const Conditions& at) const = 0;
    [[nodiscard]] const std::string& name() const { return name_; }
    [[nodiscard]] const std::string& maker() const { return maker_; }
    [[nodiscard]] const std::string& from() const { return from_; } ///< where its data stand

private:
    std::string name_, maker_, from_;
};

} // namespace venture::rating
