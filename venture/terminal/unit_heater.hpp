#pragma once
/// Unit heaters: a fan, and a coil that water heats, for halls.

#include <array>

#include <venture/quantity/record.hpp>
#include <venture/rating/heating_coil.hpp>
#include <venture/rating/kind.hpp>
#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

/// A unit heater as a catalogue holds it: one rated point for each speed.
struct UnitHeaterData {
    quantity::Given<std::string> name, maker, family, speed, note;
    quantity::Given<double> air_flow, heating, heating_air, heating_supply, heating_return, fan_power, sound, cost;
    [[nodiscard]] static const quantity::RecordSpec& spec();
    /// Of a record that is one, and more.
    template <class T>
    [[nodiscard]] static std::vector<quantity::Key> keys_of();
};

/// Heats as much air as its fan moves, of whatever density; the heat of the fan helps.
class UnitHeater : public rating::Product {
public:
    /// @throws quantity::Error for a rating that no coil could have
    UnitHeater(const UnitHeaterData& data, std::string from);
    UnitHeater(const UnitHeaterData& data, rating::Label label);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;

private:
    double dry_air_kg_per_s_, fan_W_, sound_dBA_; ///< air at the sea
    rating::HeatingCoil coil_;
};

template <class T>
std::vector<quantity::Key> UnitHeaterData::keys_of()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    return {
        {name_key(), &T::name},
        {maker_key(), &T::maker},
        {family_key(), &T::family},
        {speed_key(), &T::speed},
        {must(number("air_flow", Kind::air_flow, 0.01, 100, "through the coil")), &T::air_flow},
        {must(number("heating", Kind::power, 1, largest_W, "of the coil at the rated point")), &T::heating},
        {must(number("heating_air", Kind::temperature, -20, 40, "air that enters it then")), &T::heating_air},
        {must(number("heating_supply", Kind::temperature, 20, 120, "water that comes to it then")), &T::heating_supply},
        {must(number("heating_return", Kind::temperature, 15, 110, "water that it gives back then")),
         &T::heating_return},
        {fan_power_key("all of which heats the air; heating does not hold it"), &T::fan_power},
        {sound_key(), &T::sound},
        {cost_key(), &T::cost},
        {note_key(), &T::note},
    };
}

/// What their rating needs.
inline constexpr std::array unit_heater_needs = {rating::At::water_supply, rating::At::water_return,
                                                 rating::At::entering_dry_bulb};

extern const rating::Kind unit_heater;

} // namespace venture::terminal
