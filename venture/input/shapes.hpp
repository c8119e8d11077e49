#pragma once
/// Storeys, and what stands in and round rooms.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/fabric.hpp>
#include <venture/input/given.hpp>

namespace venture::input {

/// What lengths on the plan run to.
enum class PlanDimensions : std::uint8_t { centre_lines, inside_faces, outside_faces };

/// What an opening is.
enum class OpeningKind : std::uint8_t { window, door, roof_window, open };

/// What lies behind a face.
enum class Beyond : std::uint8_t { outdoors, ground, no_exchange, party_wall, temperature, unheated_space, room };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::PlanDimensions> {
    static constexpr std::array<std::string_view, 3> words = {"centre lines", "inside faces", "outside faces"};
};

template <>
struct quantity::WordsOf<input::OpeningKind> {
    static constexpr std::array<std::string_view, 4> words = {"window", "door", "roof window", "open"};
};

template <>
struct quantity::WordsOf<input::Beyond> {
    static constexpr std::array<std::string_view, 7> words = {
        "outdoors", "ground", "no exchange", "party wall", "a temperature", "unheated space", "a room"};
};

} // namespace venture

namespace venture::input {

/// How the plan was drawn.
struct PlanInput {
    Given<std::string> note;
    Given<double> tolerance;
    Choice<PlanDimensions> dimensions;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct StoreyInput {
    Given<std::string> name, repeats, note;
    Given<double> level, height;
    Given<TextList> without;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Rooms that stand on the plan once more, shifted or mirrored.
struct RepeatInput {
    Given<std::string> name, storey, note;
    Given<TextList> rooms;
    Given<QuantityList> shift;
    Given<double> mirror_x, mirror_y;
    Whole times, count_on;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct OpeningInput {
    OpeningInput();
    OpeningInput(const OpeningInput&);
    OpeningInput(OpeningInput&&) noexcept;
    OpeningInput& operator=(const OpeningInput&);
    OpeningInput& operator=(OpeningInput&&) noexcept;
    ~OpeningInput();

    Given<std::string> name, in, to, glazing, shade, note;
    Given<double> width, height, area, share, sill, from_left, from_right, u_value;
    Given<double> opened_per_hour, open_for, air_flow;
    Given<double> reveal, overhang, overhang_above, overhang_beyond, fins, fins_beside;
    Choice<OpeningKind> kind;
    Whole count;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What is said of one face of a room instead of being found; or a face that the room is enclosed by.
struct FaceInput {
    FaceInput();
    FaceInput(const FaceInput&);
    FaceInput(FaceInput&&) noexcept;
    FaceInput& operator=(const FaceInput&);
    FaceInput& operator=(FaceInput&&) noexcept;
    ~FaceInput();

    Given<std::string> name, on, room, sun, build_up, note;
    Given<PointList> corners; ///< in space, above the storey's floor
    Given<double> temperature, reduction_factor, warmer_in_winter, warmer_in_summer, absorptance;
    Choice<Beyond> beyond;
    Choice<Colour> colour;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What stands near the building and takes sun from it: another building, a wall, a tree.
struct ObstructionInput {
    Given<std::string> name, note;
    Given<QuantityList> at, size;
    Given<PointList> corners;
    Given<double> base, top, transmittance, transmittance_bare;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
