#pragma once
/// An assumed air supply that gives exactly what a zone asks for, within bounds: the quickest honest answer before any
/// system is drawn. Balances per kg of dry air, steady: a room whose air stores heat is asked for what it needs at that
/// moment.

#include <cstdint>
#include <optional>
#include <string_view>

#include <venture/air/point.hpp>

namespace venture::airside {

/// What the supply air may be; what is not given has no bound.
struct SupplyBounds {
    double coldest_C = 13.0, warmest_C = 40.0; ///< counts while heat is taken away, while it is given
    double driest = 0.0, wettest = 1.0;        ///< kg/kg: counts while moisture is taken away, while it is given
    std::optional<double> most_dry_air_kg_per_s{};
    std::optional<double> most_heating_W{}; ///< sensible, of the handler
    std::optional<double> most_cooling_W{}; ///< total, of the handler
    friend bool operator==(const SupplyBounds&, const SupplyBounds&) = default;
};

/// What a zone asks for in one state of its own.
struct ZoneAsks {
    air::Point zone{};
    double sensible_W = 0.0;        ///< to be given to it; negative: taken away
    double moisture_kg_per_s = 0.0; ///< likewise
    double outdoor_kg_per_s = 0.0;  ///< dry air that it must get from outdoors
    air::Point outdoor_air{};       ///< as it is behind any recovery
    SupplyBounds bounds{};
};

struct UnsizedSupply {
    enum class FlowBy : std::uint8_t { outdoor_air, supply_temperature, supply_humidity, most_flow };
    enum class Limit : std::uint8_t { none, heating, cooling };
    FlowBy flow_by = FlowBy::outdoor_air;
    Limit limit = Limit::none;
    double dry_air_kg_per_s = 0.0;
    air::Point mixed{};                      ///< outdoor air and air of the zone, on its way to the handler
    air::Point wanted{}, supply{};           ///< before and with the limits of capacity
    double sensible_W = 0.0, latent_W = 0.0; ///< of the handler, positive where it gives
    double outdoor_air_load_W = 0.0;         ///< of them, what brings outdoor air to the state of the zone
    double given_sensible_W = 0.0, given_moisture_kg_per_s = 0.0; ///< to the zone
    double unmet_sensible_W = 0.0, unmet_moisture_kg_per_s = 0.0; ///< asked less given
    [[nodiscard]] double total_W() const { return sensible_W + latent_W; }
};
/// "outdoor air", "supply temperature", "supply humidity", "maximum flow"; "none", "heating", "cooling".
[[nodiscard]] std::string_view name_of(UnsizedSupply::FlowBy by);
[[nodiscard]] std::string_view name_of(UnsizedSupply::Limit limit);

/// The smallest flow that is not below the outdoor air and keeps the supply air within its bounds; what the handler does
/// to the mixture of outdoor air and air of the zone, sensible heat at the leaving moisture. Where a capacity falls short
/// the flow stays: heating gives less, cooling goes a part of the straight way in enthalpy and moisture.
/// Without outdoor air and bounds that act, the handler does exactly what the zone asks for.
/// @throws quantity::RangeError  flows or capacities below 0, bounds that cross
[[nodiscard]] UnsizedSupply unsized_supply(const ZoneAsks& asked);

/// Vapour that enters or leaves a zone brings or takes this. W
[[nodiscard]] double latent_of_moisture_W(double moisture_kg_per_s, double zone_C);

} // namespace venture::airside
