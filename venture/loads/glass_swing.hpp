#pragma once
/// The swing of the glass load: whether one zone of constant flow can serve rooms through whose windows the sun goes round.

#include <optional>

#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

struct GlassSwing {
    double mean_W = 0.0, peak_W = 0.0;      ///< of the hours 8 to 19, each from its full hour to the next
    double mean_of_day_W = 0.0;             ///< of all 24
    std::optional<std::size_t> peak_hour{}; ///< nothing where there is no load
    /// What one zone may have: more asks for zones of their own, or for capacity that varies.
    double limit_W = 0.0;
    [[nodiscard]] bool is_above() const { return peak_W > limit_W; }
    [[nodiscard]] double excess_W() const { return is_above() ? peak_W - limit_W : 0.0; }
    [[nodiscard]] std::optional<double> peak_over_mean() const
    {
        return mean_W > 0.0 ? std::optional{peak_W / mean_W} : std::nullopt;
    }
};

inline constexpr double swing_of_one_zone = 1.3; ///< peak over mean; our choice, as the trade uses it

/// @param glass_load_W  heat through glass that becomes load, means of each hour
[[nodiscard]] GlassSwing glass_swing(const HourlyDay& glass_load_W);

} // namespace venture::loads
