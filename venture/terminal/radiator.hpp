#pragma once
/// Radiators, rated after EN 442.

#include <venture/quantity/record.hpp>
#include <venture/rating/kind.hpp>

namespace venture::terminal {

/// A radiator as a catalogue holds it.
struct RadiatorData {
    quantity::Given<std::string> name, maker, note;
    quantity::Given<double> height, length, output, exponent;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Gives what its characteristic equation says at supply, return and room; the flow follows.
class Radiator : public rating::Product {
public:
    Radiator(const RadiatorData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;
    [[nodiscard]] double height_m() const { return height_m_; }
    [[nodiscard]] double length_m() const { return length_m_; }

private:
    double height_m_, length_m_, nominal_W_, exponent_;
};

extern const rating::Kind radiator;

} // namespace venture::terminal
