#pragma once
/// Radiators whose fans blow air through them.

#include <venture/terminal/radiator.hpp>

namespace venture::terminal {

/// A fan-assisted radiator as a catalogue holds it: one rating for each speed of its fans.
struct FanRadiatorData : RadiatorData {
    quantity::Given<std::string> speed;
    quantity::Given<double> fan_power, sound;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Follows the characteristic equation of its speed; the heat of its fans helps.
class FanRadiator : public Radiator {
public:
    FanRadiator(const FanRadiatorData& data, std::string from);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;
    [[nodiscard]] std::optional<rating::Output> giving(const rating::Conditions& at, double W) const override;

private:
    void add_fan(rating::Output& out) const;
    double fan_W_, sound_dBA_;
};

extern const rating::Kind fan_radiator;

} // namespace venture::terminal
