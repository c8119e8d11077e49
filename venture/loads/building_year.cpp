#include <venture/loads/building_year.hpp>

#include <algorithm>
#include <cmath>
#include <functional>

#include <venture/loads/compile.hpp>
#include <venture/loads/damp_tally.hpp>
#include <venture/loads/room_parts.hpp>
#include <venture/loads/room_year_account.hpp>
#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

/// Adds months and the hours of the sums while a run goes on.
class Tally {
public:
    Tally(const balance::ThermalModel& model, const std::vector<int>& month_of_hour, BuildingYear& out)
        : model_{model},
          month_{month_of_hour},
          out_{out},
          by_zone_(model.zones.size()),
          per_hour_{model.steps / month_of_hour.size()}
    {
    }

    void take(std::size_t step, const balance::StepResult& r)
    {
        const std::size_t hour = step / per_hour_;
        const auto month = static_cast<std::size_t>(month_[hour] - 1);
        for (std::size_t z = 0; z < by_zone_.size(); ++z) {
            const balance::ZoneStep& now = r.zones[z];
            MonthHeat& heat = by_zone_[z].at(month);
            heat.heating_J += now.heating_W * model_.step_s;
            heat.cooling_J += now.cooling_W * model_.step_s;
            heat.latent_J += now.latent_W * model_.step_s;
            heat.humidifying_J += now.humidifying_W * model_.step_s;
            heating_W_ += now.heating_W / static_cast<double>(per_hour_);
            cooling_W_ += (now.cooling_W + now.latent_W) / static_cast<double>(per_hour_);
        }
        if ((step + 1) % per_hour_ != 0) return;
        heating_hours_W_.push_back(heating_W_);
        cooling_hours_W_.push_back(cooling_W_);
        if (heating_W_ > out_.heating_peak_W) {
            out_.heating_peak_W = heating_W_;
            out_.heating_peak_hour = hour;
        }
        if (cooling_W_ > out_.cooling_peak_W) {
            out_.cooling_peak_W = cooling_W_;
            out_.cooling_peak_hour = hour;
        }
        heating_W_ = cooling_W_ = 0.0;
    }
    [[nodiscard]] const std::array<MonthHeat, 12>& months(std::size_t zone) const { return by_zone_[zone]; }
    [[nodiscard]] std::vector<DurationPoint> duration() &&
    {
        std::ranges::sort(heating_hours_W_, std::greater{});
        std::ranges::sort(cooling_hours_W_, std::greater{});
        const std::size_t all = heating_hours_W_.size();
        std::vector<DurationPoint> out;
        for (const std::size_t count : {1U, 10U, 20U, 50U, 100U, 200U, 500U, 1000U, 2000U, 3000U, 4000U, 6000U})
            if (count < all) out.push_back(at(count));
        out.push_back(at(all));
        return out;
    }

private:
    [[nodiscard]] DurationPoint at(std::size_t count) const
    {
        return {static_cast<double>(count), heating_hours_W_[count - 1], cooling_hours_W_[count - 1]};
    }

    const balance::ThermalModel& model_;
    const std::vector<int>& month_;
    BuildingYear& out_;
    std::vector<std::array<MonthHeat, 12>> by_zone_;
    std::size_t per_hour_;
    double heating_W_ = 0.0, cooling_W_ = 0.0;
    std::vector<double> heating_hours_W_{}, cooling_hours_W_{};
};

} // namespace

MonthAir& operator+=(MonthAir& sum, const MonthAir& m)
{
    for (double MonthAir::*const member :
         {&MonthAir::outdoor_air_m3, &MonthAir::recovered_heat_J, &MonthAir::recovered_cold_J,
          &MonthAir::free_cooling_J, &MonthAir::heats_then_cools_J, &MonthAir::fan_J, &MonthAir::heating_J,
          &MonthAir::reheat_J, &MonthAir::cooling_sensible_J, &MonthAir::cooling_latent_J, &MonthAir::humidifying_J})
        sum.*member += m.*member;
    return sum;
}

BuildingYear run_year(const building::Building& b, const climate::WeatherYear& year, const BuildingYearOptions& o)
{
    quantity::check_range("year", "first day", o.first_day, {1.0, static_cast<double>(year.days())}, "");
    const int days = o.days > 0 ? o.days : year.days() - o.first_day + 1;
    quantity::check_range("year", "days", days, {1.0, static_cast<double>(year.days() - o.first_day + 1)}, "");
    const Spell spell = spell_of(b.site, year, 1, year.days());
    const Compiled compiled = compile(b, spell, {.step_s = o.step_s, .limits = true});
    const std::size_t per_day = compiled.model.steps / static_cast<std::size_t>(year.days());
    BuildingYear out{.weather = year.name, .synthetic = year.synthetic, .first_day = o.first_day, .days = days};
    out.step_s = o.step_s;
    out.run_in_days = o.run_in_days;
    Tally tally{compiled.model, spell.month, out};
    detail::DampTally damp{b, compiled, spell};
    balance::RunOptions options{.first_step = static_cast<std::size_t>(o.first_day - 1) * per_day,
                                .steps = static_cast<std::size_t>(days) * per_day,
                                .run_in_days = o.run_in_days};
    for (const std::string& kind : o.series) options.asks.push_back({kind});
    std::optional<detail::RoomYearAccount> account;
    if (o.room) {
        account.emplace(compiled.model, compiled.zone_of_room.at(*o.room), naming(b, compiled, *o.room));
        options.account = balance::Account::faces;
    }
    const std::size_t per_hour = compiled.model.steps / spell.month.size();
    options.watch = [&, done = std::size_t{0}](std::size_t step, const balance::StepResult& r) mutable {
        tally.take(step, r);
        damp.take(step, r);
        if (o.watcher != nullptr) o.watcher->take(step, r);
        if (account) account->take(step, static_cast<std::size_t>(spell.month[step / per_hour] - 1), r);
        if (o.progress && ++done % per_day == 0)
            o.progress(static_cast<double>(done) / static_cast<double>(options.steps));
    };
    if (o.watcher != nullptr) o.watcher->begin(compiled, spell);
    balance::RunResult r = run(compiled.model, options);
    for (std::size_t i = 0; i < b.rooms.size(); ++i) {
        const building::Room& room = b.rooms[i];
        const std::size_t z = compiled.zone_of_room[i];
        const balance::ZoneRun& zone = r.zones[z];
        out.rooms.push_back({room.name,
                             b.storeys[room.storey].name,
                             room.floor_area_m2,
                             room.volume_m3,
                             room.use.heating_setpoint_C.has_value(),
                             room.use.cooling_setpoint_C.has_value(),
                             compiled.model.zones[z].has_limited_moisture(),
                             zone,
                             tally.months(z),
                             damp.months(i),
                             {}});
        const double peak = std::max(zone.heating_peak_W, zone.cooling_peak_W);
        if (peak > 0.0) out.film_residual = std::max(out.film_residual, zone.film_residual_W / peak);
    }
    out.duration = std::move(tally).duration();
    if (account) out.parts = std::move(*account).parts();
    out.series = std::move(r.series);
    out.worst_closure = r.worst_closure;
    out.unsettled_steps = r.unsettled_steps;
    if (o.watcher != nullptr) o.watcher->end(out);
    return out;
}

} // namespace venture::loads
