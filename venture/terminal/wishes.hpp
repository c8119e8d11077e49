#pragma once
/// What is wanted of the units of each room, from the lines that speak of it.

#include <optional>
#include <span>
#include <vector>

#include <venture/rating/kind.hpp>
#include <venture/rating/wish.hpp>
#include <venture/services/room_lines.hpp>

namespace venture::terminal {

/// Usually most units of one product in one room.
inline constexpr int usual_most_units = 8;

/// For units of one kind in one room.
struct RoomWish {
    rating::Wish wish{};
    bool counted = false;       ///< someone said how many there may be
    double output_factor = 1.0; ///< of connection, cover and finish
    double floor_gap_m = 0.10, sill_gap_m = 0.10, side_gap_m = 0.05, window_share = 0.75;
    std::optional<double> wall_length_m{}, room_effect_dB{};
    std::optional<quantity::Sourced<double>> most_sound_dB{}, warmest_surface_C{};
    bool alike = false; ///< as others of its type and size
    /// Whether anything but capacity may rule a product out.
    [[nodiscard]] bool is_limited() const;
};

class Wishes {
public:
    /// Nothing wanted of any.
    Wishes() = default;
    /// @param clients  rooms, in the order in which of() counts them   @param problems  take what cannot be read
    Wishes(const input::Input& input, const std::vector<services::Client>& clients,
           std::span<const rating::Kind* const> kinds, quantity::Problems& problems);
    [[nodiscard]] RoomWish of(std::size_t client, const rating::Kind& kind) const;

private:
    struct Line {
        input::ChoosingInput said{};
        const rating::Kind* only = nullptr; ///< null: of any kind
        std::vector<rating::Aim> aims{};
    };
    void read(const input::ChoosingInput& said, std::span<const rating::Kind* const> kinds,
              quantity::Problems& problems);
    std::vector<Line> lines_{};
    services::RoomLines room_lines_{};
};

} // namespace venture::terminal
