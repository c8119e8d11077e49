#pragma once
/// A room.

#include <array>
#include <cstdint>
#include <string_view>
#include <vector>

#include <venture/input/air.hpp>
#include <venture/input/ground.hpp>
#include <venture/input/shapes.hpp>
#include <venture/input/use.hpp>

namespace venture::input {

/// Whether a room stands in both phases of a project.
enum class RoomStatus : std::uint8_t { as_it_is, added, to_be_removed };

/// Whether a room has loads.
enum class LeaveOut : std::uint8_t { no, yes };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::RoomStatus> {
    static constexpr std::array<std::string_view, 3> words = {"as it is", "new", "to be removed"};
};

template <>
struct quantity::WordsOf<input::LeaveOut> {
    static constexpr std::array<std::string_view, 2> words = {"no", "yes"};
};

} // namespace venture

namespace venture::input {

struct RoomInput {
    RoomInput();
    RoomInput(const RoomInput&);
    RoomInput(RoomInput&&) noexcept;
    RoomInput& operator=(const RoomInput&);
    RoomInput& operator=(RoomInput&&) noexcept;
    ~RoomInput();

    Given<std::string> name, storey, type, like, walk, place, thermostat_in, void_room, note;
    Given<QuantityList> at, size;
    Given<PointList> corners;
    Given<double> height, ceiling_void, floor_void, perimeter;
    Given<double> heating_load, sensible_load, latent_load; ///< that stand instead of the computed ones
    Given<std::string> load_reason;
    Given<TextList> slopes, perimeter_on;
    UseInput use{};
    std::vector<OpeningInput> openings{};
    std::vector<FaceInput> faces{};
    std::vector<TransferAirInput> transfer_air{};
    std::vector<GainInput> gains{};
    Choice<RoomStatus> status;
    Choice<LeaveOut> leave_out;
    Choice<UnderFloor> under_floor;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// The column that says whose a line is, in a file of what rooms have: "room", or "of room" where the lines have a room of
/// their own. @param lines  what a line is
[[nodiscard]] const quantity::KeySpec& whose_room(const quantity::RecordSpec& lines);

} // namespace venture::input
