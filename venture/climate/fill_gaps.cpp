#include <venture/climate/fill_gaps.hpp>

#include <algorithm>

#include <fmt/format.h>

namespace venture::climate::detail {

namespace {

using Series = std::vector<std::optional<double>>;

/// A run of records without a value; it may run on from the end of the year to its beginning.
struct Gap {
    std::size_t first = 0, length = 0;
};

/// All gaps of a series that has at least one value.
std::vector<Gap> gaps_of(const Series& series)
{
    const std::size_t n = series.size();
    const auto from =
        static_cast<std::size_t>(std::ranges::find_if(series, [](auto& v) { return v.has_value(); }) - series.begin());
    std::vector<Gap> gaps;
    for (std::size_t i = from; i < from + n; ++i) {
        if (series[i % n]) continue;
        if (gaps.empty() || (gaps.back().first + gaps.back().length) % n != i % n) gaps.push_back({i % n, 0});
        ++gaps.back().length;
    }
    return gaps;
}

/// What share of the sun outside the atmosphere comes through, where the sun is high enough to tell.
std::optional<double> share_through(const Series& series, const std::vector<StepSun>& suns, std::size_t i,
                                    bool on_horizontal)
{
    constexpr double high_enough = 0.05; // sine of 3 degrees
    if (!series[i] || suns[i].mean_sine < high_enough) return std::nullopt;
    return *series[i] / (suns[i].beyond_W_per_m2 * (on_horizontal ? suns[i].mean_sine : 1.0));
}

void fill_states(Series& series, const Gap& gap, bool direction)
{
    const std::size_t n = series.size();
    const double before = *series[(gap.first + n - 1) % n], after = *series[(gap.first + gap.length) % n];
    for (std::size_t k = 0; k < gap.length; ++k) {
        const double share = static_cast<double>(k + 1) / static_cast<double>(gap.length + 1);
        series[(gap.first + k) % n] = direction ? before : before + share * (after - before);
    }
}

void fill_sun(Series& series, const Gap& gap, const std::vector<StepSun>& suns, bool on_horizontal)
{
    const std::size_t n = series.size();
    const auto nearest = [&](bool back) -> std::optional<double> {
        for (std::size_t k = 1; k < n; ++k) {
            const std::size_t i = back ? (gap.first + n - k) % n : (gap.first + gap.length - 1 + k) % n;
            if (auto share = share_through(series, suns, i, on_horizontal)) return share;
        }
        return std::nullopt;
    };
    const double before = nearest(true).value_or(0.0), after = nearest(false).value_or(0.0);
    std::vector<double> filled;
    for (std::size_t k = 0; k < gap.length; ++k) {
        const StepSun& sun = suns[(gap.first + k) % n];
        const double share =
            before + (after - before) * static_cast<double>(k + 1) / static_cast<double>(gap.length + 1);
        const double beyond = !sun.up ? 0.0 : sun.beyond_W_per_m2 * (on_horizontal ? sun.mean_sine : 1.0);
        filled.push_back(share * beyond);
    }
    for (std::size_t k = 0; k < gap.length; ++k) series[(gap.first + k) % n] = filled[k];
}

std::string hours_in_words(const Readings& readings, std::size_t steps)
{
    return fmt::format("{:g} h", static_cast<double>(steps) / readings.steps_per_hour);
}

void tell_long(const Readings& readings, const ReadingSpec& spec, const Gap& gap, const GapRule& rule,
               std::vector<WeatherRemark>& remarks)
{
    remarks.push_back(
        {RemarkKind::long_gap, true, spec.reading, gap.first,
         fmt::format("{}: nothing for {} from {}; gaps up to {:g} h are filled", spec.key,
                     hours_in_words(readings, gap.length), when_in_words(readings, gap.first), rule.longest_h),
         "find the missing records, or allow longer gaps (longest_gap) and answer for what is made up"});
}

void fill(Readings& readings, const ReadingSpec& spec, Series& series, const std::vector<StepSun>& suns,
          const GapRule& rule, std::vector<WeatherRemark>& remarks)
{
    if (std::ranges::none_of(series, [](auto& v) { return v.has_value(); })) {
        remarks.push_back({RemarkKind::missing_reading, true, spec.reading, std::nullopt,
                           fmt::format("{}: not one value", spec.key), "leave the column out, or mend it"});
        return;
    }
    const std::vector<Gap> gaps = gaps_of(series);
    const auto is_long = [&](const Gap& g) {
        return static_cast<double>(g.length) > rule.longest_h * readings.steps_per_hour + 1e-9;
    };
    std::size_t steps = 0, count = 0;
    Gap longest;
    for (const Gap& gap : gaps) {
        if (is_long(gap)) {
            tell_long(readings, spec, gap, rule, remarks);
            continue;
        }
        if (spec.irradiance)
            fill_sun(series, gap, suns, spec.reading != Reading::beam_normal);
        else
            fill_states(series, gap, spec.reading == Reading::wind_direction);
        steps += gap.length;
        ++count;
        if (gap.length > longest.length) longest = gap;
    }
    if (count > 0)
        remarks.push_back(
            {RemarkKind::filled,
             false,
             spec.reading,
             longest.first,
             fmt::format("{}: {} in {} gap{} filled; the longest, {}, from {}", spec.key,
                         hours_in_words(readings, steps), count, count == 1 ? "" : "s",
                         hours_in_words(readings, longest.length), when_in_words(readings, longest.first)),
             {}});
}

} // namespace

void fill_gaps(Readings& readings, const std::vector<StepSun>& suns, const GapRule& rule,
               std::vector<WeatherRemark>& remarks)
{
    for (auto& [reading, series] : readings.series) fill(readings, spec_of(reading), series, suns, rule, remarks);
}

} // namespace venture::climate::detail
