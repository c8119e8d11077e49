#pragma once
/// A room.

#include <vector>

#include <venture/input/air.hpp>
#include <venture/input/shapes.hpp>
#include <venture/input/use.hpp>

namespace venture::input {

struct RoomInput {
    RoomInput();
    RoomInput(const RoomInput&);
    RoomInput(RoomInput&&) noexcept;
    RoomInput& operator=(const RoomInput&);
    RoomInput& operator=(RoomInput&&) noexcept;
    ~RoomInput();

    Given<std::string> name, storey, type, like, walk, place, thermostat_in, status, leave_out, void_room, note;
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
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// The column that says whose a line is, in a file of what rooms have.
[[nodiscard]] const quantity::KeySpec& whose_room();

} // namespace venture::input
