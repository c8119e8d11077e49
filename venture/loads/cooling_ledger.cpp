#include <venture/loads/cooling_ledger.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/building/surface_names.hpp>
#include <venture/loads/compiler.hpp>
#include <venture/loads/hourly_day.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

using building::Building;
using building::Opening;
using building::Surface;
using quantity::Ledger;
using quantity::LedgerOf;

/// Of people, lighting, equipment.
void write_gains(const Building& b, std::size_t room, const climate::DesignDay& day, std::size_t hour, Ledger& ledger)
{
    const auto clock = static_cast<std::size_t>(clock_hour(day.clock_ahead_h, hour));
    for (const building::Gain& gain : b.rooms[room].use.gains) {
        const double share = b.calendars[gain.profile].on_design_day(day.month).fraction[clock];
        if (gain.sensible_W() <= 0.0) continue;
        const std::string from = b.origins.describe(gain.origin);
        LedgerOf{ledger, gain.name}.write(
            {.what = gain.at_room_C ? fmt::format("sensible heat, in a room at {:g} degC", *gain.at_room_C)
                                    : std::string{"sensible heat"},
             .symbol = "Q",
             .formula = "(convective + radiant)*share",
             .inputs = {{"convective", gain.convective_W, "W", from},
                        {"radiant", gain.radiant_W, "W", from},
                        {"share", share, "1",
                         fmt::format("profile '{}', {}-{} h", b.calendars[gain.profile].name, clock, clock + 1)}},
             .value = gain.sensible_W() * share,
             .unit = "W"});
    }
}

/// Of windows to outdoors.
class Windows {
public:
    Windows(const Building& b, std::size_t room, const climate::DesignDay& day, std::size_t hour, Ledger& ledger)
        : b_{b},
          room_{room},
          day_{day},
          hour_{hour},
          spell_{spell_of(b.site, day)},
          compiler_{b, spell_, options_},
          ledger_{ledger}
    {
        compiler_.look_at_shadows();
    }

    void run()
    {
        for (const Surface& s : b_.surfaces) {
            if (s.room != room_ || s.beyond.kind != building::Neighbour::Kind::outdoors) continue;
            for (const Opening& o : s.openings)
                if (o.kind == Opening::Kind::window) write(s, o);
        }
    }

private:
    [[nodiscard]] bool is_day(std::size_t point) const { return day_.sun[point].elevation_deg() > 0.0; }

    /// What comes through at the beginning or end of the hour.
    detail::Compiler::LightThrough at(const Surface& s, const Opening& window, std::size_t point, const std::string& of)
    {
        if (!is_day(point)) return {};
        const LedgerOf told{ledger_, fmt::format("{}, {:02}:00 standard time", of, point)};
        const auto month = std::ranges::find(b_.site.months, day_.month, &climate::CoolingMonth::month);
        VENTURE_ASSERT(month != b_.site.months.end());
        const int number = climate::day_of_year({day_.month, climate::design_day_of_month});
        const double outside = climate::extraterrestrial_W_per_m2(number, 1367.0, &told);
        const climate::ClearSky sky =
            clear_sky(climate::Angle::degrees(day_.sun[point].elevation_deg()), outside, month->beam_depth,
                      month->diffuse_depth, climate::ClearSkyEdition::of_2013, &told);
        const climate::PlaneIrradiance open =
            clear_sky_on_plane(sky, day_.sun[point], climate::Angle::degrees(s.tilt_deg),
                               climate::Angle::degrees(s.azimuth_deg), day_.ground_reflectance, &told);
        return compiler_.write_light(s, window, point, open, told);
    }

    void write(const Surface& s, const Opening& window)
    {
        const std::string of = seen_from(b_, s, window, room_);
        if (!is_day(hour_) && !is_day(hour_ + 1)) return;
        const auto begins = at(s, window, hour_, of), ends = at(s, window, hour_ + 1, of);
        const double frame = b_.glazings[window.glazing].values.frame_share,
                     glass_m2 = window.area_m2() * (1.0 - frame);
        const LedgerOf told{ledger_, of};
        const std::string shape = b_.origins.describe(b_.rooms[s.room].origin);
        told.write(
            {.what = "glass",
             .symbol = "A",
             .formula = "w*h*n*(1 - frame)",
             .inputs = {{"w", window.width_m, "m", shape},
                        {"h", window.height_m, "m", shape},
                        {"n", static_cast<double>(window.from_left_m.size()), "1", shape},
                        {"frame", frame, "1", fmt::format("glazing '{}'", b_.glazings[window.glazing].values.name)}},
             .value = glass_m2,
             .unit = "m2"});
        write_mean(told, "beam", glass_m2, begins.beam, ends.beam);
        write_mean(told, "diffuse", glass_m2, begins.diffuse, ends.diffuse);
    }

    static void write_mean(const LedgerOf& told, const char* what, double glass_m2, double begins, double ends)
    {
        told.write({.what = fmt::format("{} that comes in, mean of the hour", what),
                    .symbol = what,
                    .formula = "A*0.5*(G0 + G1)",
                    .inputs = {{"A", glass_m2, "m2", "above"},
                               {"G0", begins, "W/m2", "as the hour begins"},
                               {"G1", ends, "W/m2", "as it ends"}},
                    .value = glass_m2 * 0.5 * (begins + ends),
                    .unit = "W"});
    }

    const Building& b_;
    std::size_t room_;
    const climate::DesignDay& day_;
    std::size_t hour_;
    Spell spell_;
    CompileOptions options_{};
    detail::Compiler compiler_;
    Ledger& ledger_;
};

} // namespace

Ledger ledger_of_gains(const Building& b, std::size_t room, const climate::DesignDay& day, std::size_t hour)
{
    quantity::check_range("ledger_of_gains", "hour", static_cast<double>(hour), {0.0, 23.0}, "h");
    Ledger out;
    if (day.month == 0) return out;
    write_gains(b, room, day, hour, out);
    Windows{b, room, day, hour, out}.run();
    return out;
}

} // namespace venture::loads
