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

/// What a product is called and how large it is, as far as its maker says.
struct Label {
    std::string name{}, maker{};
    std::string from{};     ///< where its data stand
    std::string family{};   ///< "Lean": products that differ in size alone
    std::string speed{};    ///< of its fan, where the maker rates several
    std::string mounting{}; ///< "cassette"
    double height_m = unknown, length_m = unknown, depth_m = unknown;
    double cost = unknown;        ///< in whatever its catalogue counts: an index, or money
    double surface_share = 1.0;   ///< by how much of what its water is warmer than the room its surface is
    double surface_C = unknown;   ///< the warmest that can be touched, where no water decides it
    double external_Pa = unknown; ///< that its fan overcomes outside of it, at this rating
    double reach_m = unknown;     ///< height of a door that it shields
};

class Product {
public:
    explicit Product(Label label) : label_{std::move(label)} {}
    virtual ~Product() = default;
    Product(const Product&) = delete;
    Product& operator=(const Product&) = delete;

    /// @throws nothing: what cannot be is a refusal
    [[nodiscard]] virtual std::variant<Output, Refusal> rate(const Conditions& at) const = 0;
    /// Throttled until it gives no more than that, with the same supply: what its water does then.
    /// @returns nothing of products that are not throttled, or where it cannot
    [[nodiscard]] virtual std::optional<Output> giving(const Conditions& /*at*/, double /*W*/) const
    {
        return std::nullopt;
    }
    [[nodiscard]] const Label& label() const { return label_; }
    [[nodiscard]] const std::string& name() const { return label_.name; }
    [[nodiscard]] const std::string& maker() const { return label_.maker; }
    [[nodiscard]] const std::string& from() const { return label_.from; }

private:
    Label label_;
};

} // namespace venture::rating
