#pragma once
/// The radiant time series method: gains first, then the delay of what radiates, each from 24 numbers.

#include <string>
#include <vector>

#include <venture/loads/hourly_day.hpp>

namespace venture::loads {

/// A wall, roof, floor or window to outdoors or to a given temperature.
struct SeriesSurface {
    std::string id{};
    double area_m2 = 0.0;
    HourlyDay factors_W_per_m2K{}; ///< of conduction: fabric::daily_response_factors()
    HourlyDay beyond_C{};          ///< outdoor, sol-air or ground temperature
    double radiant_share = 0.46;   ///< of its conduction
};
struct SeriesGain {
    std::string id{};
    HourlyDay gain_W{};
    double radiant_share = 0.0;
};
/// One kind throughout: values at the hours with loads at the hours, or means of the hours with such loads.
struct SeriesRoom {
    double set_point_C = 24.0;
    double outdoor_air_W_per_K = 0.0; ///< air that comes in, times its specific heat
    HourlyDay outdoor_C{};
    std::vector<SeriesSurface> surfaces{};
    std::vector<SeriesGain> gains{};
    HourlyDay beam_W{}, diffuse_W{}; ///< sun through glass
    HourlyDay by_area{}, by_beam{};  ///< series of 24 shares: of radiation on all faces, and of beam where it falls
};

struct SeriesLoad {
    std::vector<HourlyDay> conduction_W{}; ///< gain by surface, not delayed yet
    HourlyDay outdoor_air_W{};
    HourlyDay convective_W{}; ///< all that is load at once, outdoor air too
    HourlyDay radiant_W{};    ///< all that is shared by area, before its delay
    HourlyDay delayed_W{}, delayed_beam_W{};
    HourlyDay load_W{}; ///< cooling positive
};

/// Source    radiant time series method, ASHRAE Handbook - Fundamentals, chapter on nonresidential loads; departing in that the
///           series are generated from this room's own heat balance (response_terms.hpp), and that series with losses may be given
/// Accuracy  with series that sum to one: load at the peak too high by 1 % in insulated opaque rooms, 4 to 6 % with ordinary
///           windows, up to 19 % in glazed corners, since radiation that leaves outwards is given back; with losses and the
///           split by films: within 0.1 %
[[nodiscard]] SeriesLoad series_load(const SeriesRoom& room);

} // namespace venture::loads
