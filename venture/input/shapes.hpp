#pragma once
/// Storeys, and what stands in and round rooms.

#include <venture/input/given.hpp>

namespace venture::input {

/// How the plan was drawn.
struct PlanInput {
    Given<std::string> dimensions, note;
    Given<double> tolerance;
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
    Given<double> times, count_on, mirror_x, mirror_y;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct OpeningInput {
    OpeningInput();
    OpeningInput(const OpeningInput&);
    OpeningInput(OpeningInput&&) noexcept;
    OpeningInput& operator=(const OpeningInput&);
    OpeningInput& operator=(OpeningInput&&) noexcept;
    ~OpeningInput();

    Given<std::string> name, in, to, kind, glazing, shade, note;
    Given<double> width, height, area, share, sill, from_left, from_right, count, u_value;
    Given<double> opened_per_hour, open_for;
    Given<double> reveal, overhang, overhang_above, overhang_beyond, fins, fins_beside;
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

    Given<std::string> name, on, beyond, room, sun, build_up, colour, note;
    Given<PointList> corners; ///< in space, above the storey's floor
    Given<double> temperature, reduction_factor, warmer_in_winter, warmer_in_summer, absorptance;
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
