#pragma once
/// Radiators, rated after EN 442.

#include <array>

#include <venture/quantity/record.hpp>
#include <venture/rating/kind.hpp>
#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

/// A radiator as a catalogue holds it.
struct RadiatorData {
    quantity::Given<std::string> name, maker, family, note;
    quantity::Given<double> height, length, depth, output, exponent, surface_share, cost;
    [[nodiscard]] static const quantity::RecordSpec& spec();
    /// Of a record that is one, and more.
    template <class T>
    [[nodiscard]] static std::vector<quantity::Key> keys_of();
};

/// Gives what its characteristic equation says at supply, return and room, times what connection, cover and finish leave of
/// it; the flow follows.
class Radiator : public rating::Product {
public:
    Radiator(const RadiatorData& data, std::string from);
    Radiator(const RadiatorData& data, rating::Label label);
    [[nodiscard]] std::variant<rating::Output, rating::Refusal> rate(const rating::Conditions& at) const override;
    [[nodiscard]] std::optional<rating::Output> giving(const rating::Conditions& at, double W) const override;

private:
    [[nodiscard]] double nominal_W(const rating::Conditions& at) const;
    double nominal_W_, exponent_;
};

template <class T>
std::vector<quantity::Key> RadiatorData::keys_of()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    return {
        {name_key(), &T::name},
        {maker_key(), &T::maker},
        {family_key(), &T::family},
        {must(height_key()), &T::height},
        {must(length_key()), &T::length},
        {depth_key(), &T::depth},
        {must(number("output", Kind::power, 1, largest_W, "at 75/65/20 degC, EN 442")), &T::output},
        {must(number("exponent", Kind::number, 1, 2, "of the characteristic equation")), &T::exponent},
        {surface_share_key(), &T::surface_share},
        {cost_key(), &T::cost},
        {note_key(), &T::note},
    };
}

/// What their rating needs.
inline constexpr std::array radiator_needs = {rating::At::water_supply, rating::At::water_return, rating::At::room};

extern const rating::Kind radiator;

} // namespace venture::terminal
