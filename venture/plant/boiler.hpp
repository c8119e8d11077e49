#pragma once
/// Boilers, by their output at full load.

#include <venture/quantity/record.hpp>
#include <venture/rating/kind.hpp>

namespace venture::plant {

/// A boiler as a catalogue holds it.
struct BoilerData {
    quantity::Given<std::string> name, maker, note;
    quantity::Given<double> output, highest_supply;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

class Boiler : public rating::Product {
public:
    Boiler(const BoilerData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;

private:
    double output_W_, highest_supply_C_;
};

extern const rating::Kind boiler;

} // namespace venture::plant
