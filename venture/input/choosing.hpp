#pragma once
/// What is wanted of the units that are chosen for rooms.

#include <string>

#include <venture/input/services.hpp>

namespace venture::input {

enum class Alike : std::uint8_t { no, yes };

/// A line for some rooms and one kind of unit, or for all; what later lines say stands over what earlier ones do, key by key.
struct ChoosingInput {
    Given<TextList> rooms, aims, makers, families;
    Given<std::string> type, storey, speed, mounting, note;
    Choice<UnitKind> unit;
    Given<QuantityList> weights;
    Whole most_units;
    Given<double> most_height, most_length, most_depth, most_sound, room_effect, most_over;
    Given<double> connection, cover, finish;
    Given<double> floor_gap, sill_gap, side_gap, window_share, wall_length, warmest_surface, external_pressure;
    Choice<Alike> alike;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input

template <>
struct venture::quantity::WordsOf<venture::input::Alike> {
    static constexpr std::array<std::string_view, 2> words = {"no", "yes"};
};
