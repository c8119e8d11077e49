#pragma once
/// Which path over a room's edge something in the model is. Internal to loads.

#include <venture/balance/thermal_model.hpp>
#include <venture/loads/path_kind.hpp>

namespace venture::loads::detail {

/// A face that looks into a zone; nothing if it looks elsewhere.
[[nodiscard]] inline const balance::ZoneFace* face_in(const balance::Face& face, std::size_t zone)
{
    const auto* in = std::get_if<balance::ZoneFace>(&face);
    return in != nullptr && in->zone == zone ? in : nullptr;
}

/// A surface that a zone sees. @param far  its face away from the zone
[[nodiscard]] PathKind kind_of(const balance::Surface& surface, const balance::Face& far);
[[nodiscard]] PathKind kind_of_gain(balance::Forcing forcing);
/// Sun that a face of a zone takes up.
[[nodiscard]] PathKind kind_of_light(const balance::Zone& zone, balance::SignalId signal);

} // namespace venture::loads::detail
