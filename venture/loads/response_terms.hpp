#pragma once
/// How the load of a zone follows one forcing over the next 24 hours: terms that a pocket calculator can sum, from the heat
/// balance itself.

#include <cstdint>

#include <venture/balance/thermal_model.hpp>
#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

/// Where something acts on a building whose zones are held.
struct Source {
    enum class Kind : std::uint8_t {
        beyond,    ///< temperature beyond a surface: outdoor air, sol-air, ground; K above the zone
        face,      ///< heat taken up on the inside face of a surface, W
        far_face,  ///< the same on its outside face
        by_area,   ///< radiation shared by area among the faces of a zone, W
        into_air,  ///< heat into the air of a zone, W
        set_point, ///< temperature that another zone is held at, K above this one
    };
    Kind kind = Kind::by_area;
    std::size_t index = 0; ///< of the surface or the zone
};

/// Load of hour h = sum over k of term[k] signal[h - k], of a signal that repeats every day; cooling positive.
struct ResponseTerms {
    /// Signal straight between its hours and load at the hour, or signal held over the hour and load as its mean: the same
    /// numbers.
    HourlyDay equal_kind{};
    /// Signal straight, load as the mean of the hour; the last term carries the end of the hour beside what is 23 h old.
    HourlyDay straight_to_mean{};
    [[nodiscard]] double sum() const { return std::accumulate(equal_kind.begin(), equal_kind.end(), 0.0); }
};

/// What of a room's losses the terms know.
enum class Losses : std::uint8_t {
    as_they_are,
    none, ///< whatever faces outdoors or a given temperature is insulated there: all heat comes back as load
};

/// The answer of a zone whose air is held, all else at its temperature. Zones without a set-point float.
/// @param model  its films must not vary; signals that are forcings are taken as nil. Fine steps: 300 s
/// @returns per K or per W, good to 1e-3 of the sum
[[nodiscard]] ResponseTerms response_terms(const balance::ThermalModel& model, std::size_t zone, const Source& source,
                                           Losses losses = Losses::as_they_are);

/// Those of what becomes load at once: heat into the zone's own air, outdoor air that comes into it.
[[nodiscard]] ResponseTerms immediate_terms(double load_per_unit);

} // namespace venture::loads
