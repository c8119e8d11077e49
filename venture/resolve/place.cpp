#include <venture/resolve/place.hpp>

#include <algorithm>
#include <cmath>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::Severity;

namespace {

class PlaceFindings : Pass {
public:
    explicit PlaceFindings(Work& work) : Pass{work} {}
    void look_at_place();
    void look_at_seasons();
};

constexpr double tropics_deg = 15.0; ///< between them no season is winter

} // namespace

/// Latitude and longitude of each other, a longitude of the other sign, metres that were feet.
void PlaceFindings::look_at_place()
{
    const SiteInput& s = input_.site;
    if (!s.latitude || !s.longitude || !s.time_zone) return;
    constexpr double per_hour_deg = 15.0, far_deg = 30.0, near_deg = 20.0, highest_m = 4500.0;
    const auto off_deg = [&](double longitude) {
        return std::abs(std::remainder(longitude - per_hour_deg * *s.time_zone, 360.0));
    };
    const bool turned_fits = std::abs(*s.longitude) <= 90.0 && off_deg(*s.latitude) <= near_deg;
    if (std::abs(*s.latitude) > 90.0) return; // is told
    if (off_deg(*s.longitude) > far_deg) {
        const double noon_h = 12.0 + *s.time_zone - *s.longitude / per_hour_deg;
        const int minutes = static_cast<int>(std::lround(60.0 * (noon_h - 24.0 * std::floor(noon_h / 24.0))));
        finding(
            Severity::warning, codes::odd_place, s.longitude.origin, "site",
            fmt::format("at longitude {:g} deg and {:+g} h from universal time the sun stands highest at {}:{:02} h",
                        *s.longitude, *s.time_zone, minutes / 60, minutes % 60),
            turned_fits                          ? "were latitude and longitude swapped?"
            : off_deg(-*s.longitude) <= near_deg ? "longitude is positive east: is its sign right?"
                                                 : "mend longitude or time_zone; few clocks are so far from the sun")
            .inputs = fmt::format("{} {}", *s.longitude, *s.time_zone);
    }
    if (value_of(s.height) > highest_m)
        finding(Severity::warning, codes::odd_place, s.height.origin, "site/height",
                fmt::format("the site lies {} above the sea; hardly anyone builds above {}",
                            units_.text(*s.height, Kind::length), units_.text(highest_m, Kind::length)),
                "check the unit: metres or feet?")
            .inputs = fmt::format("{}", *s.height);
}

/// Summer time in winter, and cooling that is designed for winter alone.
void PlaceFindings::look_at_seasons()
{
    const double latitude = building_.site.place.latitude_deg;
    if (std::abs(latitude) < tropics_deg) return;
    const bool south = latitude < 0.0;
    const climate::MonthDay midsummer = south ? climate::MonthDay{1, 1} : climate::MonthDay{7, 1},
                            midwinter = south ? climate::MonthDay{7, 1} : climate::MonthDay{1, 1};
    if (const auto& ahead = building_.site.summer_time;
        ahead && is_between(midwinter, ahead->first, ahead->last) && !is_between(midsummer, ahead->first, ahead->last))
        finding(Severity::warning, codes::odd_season, input_.site.summer_time_first.origin, "site",
                fmt::format("clocks are ahead from {} to {}, which is winter {} of the equator", in_words(ahead->first),
                            in_words(ahead->last), south ? "south" : "north"),
                "give the days of this hemisphere, or leave both out");
    const auto& months = building_.site.months;
    const auto in_winter = [&](const climate::CoolingMonth& m) { return !climate::is_summer_half(m.month, south); };
    if (months.empty() || !std::ranges::all_of(months, in_winter)) return;
    std::vector<std::string> names;
    for (const climate::CoolingMonth& m : months) names.push_back(climate::month_name(m.month));
    finding(Severity::warning, codes::odd_season, input_.site.months.front().month.origin, "site/month",
            fmt::format("cooling is designed for {} alone, in the winter half of the year {} of the equator",
                        quantity::listed(names, 12), south ? "south" : "north"),
            "add the months of summer");
}

void look_at_place(Work& work) { PlaceFindings{work}.look_at_place(); }

void look_at_seasons(Work& work) { PlaceFindings{work}.look_at_seasons(); }

} // namespace venture::resolve
