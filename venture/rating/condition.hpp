#pragma once
/// What a product is rated at, and why it may refuse to be.

#include <array>
#include <cstdint>
#include <limits>
#include <optional>
#include <span>
#include <string>
#include <string_view>

#include <venture/quantity/error.hpp>
#include <venture/quantity/units.hpp>

namespace venture::rating {

/// An input of a rating: of its tables, laws and corrections. rating_inputs() tells the key and quantity of each.
enum class At : std::uint8_t {
    water_supply,
    water_return,
    water_flow,
    air_flow,
    entering_dry_bulb,
    entering_wet_bulb,
    entering_humidity,
    outdoor_dry_bulb,
    outdoor_wet_bulb,
    room,
    height_above_sea,
    glycol,
    air_pressure,
    output_factor, ///< what connection, cover and finish leave of a radiator's nominal output
    primary_flow,  ///< outdoor air that comes through a unit, kg/s of dry air
    primary_dry_bulb,
    primary_humidity,
};
inline constexpr std::size_t number_of_inputs = 17;

struct RatingInput {
    std::string_view key;   ///< "water_supply": in catalogues
    std::string_view words; ///< "water supply": for people
    quantity::Kind kind;    ///< values are held in its SI unit
};
/// In the order of At.
[[nodiscard]] std::span<const RatingInput, number_of_inputs> rating_inputs();
[[nodiscard]] const RatingInput& input_of(At what);
[[nodiscard]] std::optional<At> input_called(std::string_view key);

/// A value, or nothing, for each input. SI; temperatures in degC.
class Conditions {
public:
    Conditions() { values_.fill(std::numeric_limits<double>::quiet_NaN()); }
    Conditions& set(At what, double value)
    {
        values_[static_cast<std::size_t>(what)] = value;
        return *this;
    }
    [[nodiscard]] bool has(At what) const { return values_[static_cast<std::size_t>(what)] == (*this)[what]; }
    /// Not a number if there is none.
    [[nodiscard]] double operator[](At what) const { return values_[static_cast<std::size_t>(what)]; }
    [[nodiscard]] double value_or(At what, double otherwise) const { return has(what) ? (*this)[what] : otherwise; }

private:
    std::array<double, number_of_inputs> values_{};
};

/// Why there is no number. A value, not an exception: most products of a catalogue refuse most duties.
struct Refusal {
    enum class Why : std::uint8_t {
        outside,        ///< of what `allowed` says
        not_given,      ///< an input that is needed
        no_difference,  ///< water is no warmer (heating) or colder (cooling) than what it is to heat or cool
        too_few_wet,    ///< fewer than two wet columns: no line to follow
        never_wet,      ///< sensible above total even at the wettest column
        not_reached,    ///< a required output, at any flow; `value` is the most, W
        too_little_air, ///< `value`: kg/s
        no_such_air,    ///< not even dry air has so low a wet bulb; `allowed`: its dry bulb
        no_factors,     ///< the maker says nothing of how the input changes its capacity
        not_rated       ///< the maker says nothing of it with such water
    };
    Why why = Why::outside;
    At what = At::water_supply;
    double value = 0.0;
    quantity::Range allowed{};
};
/// "water supply of 4 degC lies outside 5 to 12 degC".
[[nodiscard]] std::string in_words(const Refusal& refusal);

/// Whether a value belongs to a range whose ends belong to it, give or take the last digits.
[[nodiscard]] bool is_within(double value, quantity::Range range);

} // namespace venture::rating
