#include <venture/loads/glass_swing.hpp>

#include <algorithm>

namespace venture::loads {

GlassSwing glass_swing(const HourlyDay& glass_load_W)
{
    constexpr std::size_t first = 8, count = 12;
    const auto from = glass_load_W.begin() + first;
    const auto largest = std::max_element(from, from + count);
    GlassSwing out{.mean_W = std::accumulate(from, from + count, 0.0) / count,
                   .peak_W = *largest,
                   .mean_of_day_W = mean_of(glass_load_W)};
    if (out.peak_W > 0.0) out.peak_hour = first + static_cast<std::size_t>(largest - from);
    out.limit_W = swing_of_one_zone * out.mean_W;
    return out;
}

} // namespace venture::loads
