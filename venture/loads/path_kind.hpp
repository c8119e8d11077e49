#pragma once
/// Kinds of paths by which heat comes over a room's edge.

#include <cstdint>
#include <string>
#include <string_view>

namespace venture::loads {

enum class PathKind : std::uint8_t {
    outside_wall,
    roof,
    floor,  ///< to ground or a given temperature
    window, ///< through its glass and frame, without sun
    door,
    partition, ///< from a room beside, above or below, as warm as it was
    sun_on_outside,
    sun_beam, ///< through windows, where it falls
    sun_diffuse,
    sun_in_panes,   ///< taken up in panes and shades
    sun_from_rooms, ///< through glass inside
    people,
    lighting,
    equipment,
    infiltration,
    ventilation,
    transfer_air,
    thermal_bridges,
    set_point, ///< its departure from the reference
    warm_ceiling,
    other,
};
[[nodiscard]] std::string_view in_words(PathKind kind);
/// "sun on the outside, roof to outdoors"; "roof to outdoors" where that says the kind by itself.
[[nodiscard]] std::string in_words(PathKind kind, const std::string& through);

/// Kinds that are told together.
enum class PathGroup : std::uint8_t { sun, gains, air, neighbours, envelope, control };
inline constexpr std::size_t path_groups = 6;
[[nodiscard]] PathGroup group_of(PathKind kind);
/// "sun through glass", "walls, roofs, floors, windows".
[[nodiscard]] std::string_view in_words(PathGroup group);

} // namespace venture::loads
