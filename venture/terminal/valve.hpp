#pragma once
/// Valves at units, set once so that each unit gets its flow.

#include <optional>

#include <venture/quantity/record.hpp>
#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// A valve as a catalogue holds it.
struct ValveData {
    quantity::Given<std::string> name, maker, family, note;
    quantity::Given<quantity::QuantityList> settings, flow_coefficients;
    quantity::Given<double> most_pressure, cost;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// How a valve is set for a flow.
struct ValveSetting {
    double setting = 0.0;
    double needed_m3_per_h = 0.0; ///< flow at 1 bar that would take the available pressure just up
    double has_m3_per_h = 0.0;    ///< that of the setting
    double drop_Pa = 0.0;         ///< at the flow asked for
    double authority = 0.0;       ///< drop over the pressure difference that there is
    bool suffices = true;         ///< false: wide open it still lets too little through
};

/// Known by its flow coefficients: m3/h of water of 1000 kg/m3 at a drop of 1 bar (IEC 60534-2-1, there Kv).
class Valve : public rating::Product {
public:
    /// @throws quantity::Error  settings and coefficients that are not as many, or do not rise together
    Valve(const ValveData& data, std::string from);
    /// A valve gives a room nothing.
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;
    /// The lowest setting that lets the flow through.
    /// @param unit_Pa        that the unit behind it takes of the difference; less than it
    /// @pre flow and difference above 0
    [[nodiscard]] ValveSetting set_for(double water_kg_per_s, double difference_Pa, double unit_Pa) const;
    /// Above which it whistles; nothing where its maker does not say.
    [[nodiscard]] std::optional<double> most_pressure_Pa() const { return most_pressure_Pa_; }

private:
    quantity::QuantityList settings_, coefficients_m3_per_h_;
    std::optional<double> most_pressure_Pa_;
};

extern const rating::Kind valve;

/// Null where the stock has none of that name.
[[nodiscard]] const Valve* find_valve(const rating::Stocks& stocks, std::string_view name);

} // namespace venture::terminal
