#include <venture/airside/air_year.hpp>

#include <algorithm>
#include <cmath>

#include <venture/air/room_density.hpp>
#include <venture/airside/coil_loads.hpp>
#include <venture/airside/coil_process.hpp>
#include <venture/airside/handled_hour.hpp>
#include <venture/loads/compile.hpp>

namespace venture::airside {

namespace {

constexpr double hour_s = 3600.0;

/// A series of the sums of hours.
struct AirSeries {
    balance::SeriesKind is{};
    double (*joules)(const loads::MonthAir& hour) = nullptr;
};
constexpr AirSeries air_series[] = {
    {{"free cooling", "W", "by recovery that is passed by, and by outdoor air beyond the least"},
     [](const loads::MonthAir& h) { return h.free_cooling_J; }},
    {{"fans", "W", "electricity of supply and extract fans"}, [](const loads::MonthAir& h) { return h.fan_J; }},
    {{"coil heating", "W", "of a supply that gives everything, outdoor air and reheat with it"},
     [](const loads::MonthAir& h) { return h.heating_J; }},
    {{"reheat", "W", "of it, of air that was cooled to be dried"}, [](const loads::MonthAir& h) { return h.reheat_J; }},
    {{"coil cooling", "W", "of a supply that gives everything, sensible and latent"},
     [](const loads::MonthAir& h) { return h.cooling_sensible_J + h.cooling_latent_J; }},
    {{"coil humidifying", "W", "moisture put in, as heat of vaporisation"},
     [](const loads::MonthAir& h) { return h.humidifying_J; }},
};

double watts(std::string_view kind, const loads::MonthAir& hour)
{
    return std::ranges::find(air_series, kind, [](const AirSeries& s) { return s.is.name; })->joules(hour) / hour_s;
}

} // namespace

std::span<const balance::SeriesKind> air_series_kinds()
{
    static const auto all = [] {
        std::vector<balance::SeriesKind> out;
        for (const AirSeries& kind : air_series) out.push_back(kind.is);
        return out;
    }();
    return all;
}

std::vector<balance::SeriesKind> year_series_kinds()
{
    const auto of_balance = balance::series_kinds();
    std::vector<balance::SeriesKind> out{of_balance.begin(), of_balance.end()};
    const auto of_air = air_series_kinds();
    out.insert(out.end(), of_air.begin(), of_air.end());
    return out;
}

AirYear::AirYear(const building::Building& building, const std::vector<std::string>& series)
    : b_{building},
      hour_(building.rooms.size()),
      rooms_(building.rooms.size()),
      series_of_room_(building.rooms.size()),
      told_(building.rooms.size(), false)
{
    for (std::size_t r = 0; r < rooms_.size(); ++r) {
        const auto& supply = b_.rooms[r].use.air_supply;
        rooms_[r].supply = supply ? b_.air_supplies[*supply].name : std::string{};
        rooms_[r].everything = supply && b_.air_supplies[*supply].gives_everything;
    }
    for (const std::string& kind : series)
        for (const AirSeries& known : air_series)
            for (std::size_t r = 0; known.is.name == kind && r < rooms_.size(); ++r) {
                if (rooms_[r].supply.empty()) continue;
                series_.push_back({kind, std::string{known.is.unit}, b_.rooms[r].name, {}});
                series_of_room_[r].push_back(series_.size() - 1);
            }
}

void AirYear::begin(const loads::Compiled& compiled, const loads::Spell& spell)
{
    compiled_ = &compiled;
    spell_ = &spell;
    per_hour_ = compiled.model.steps / spell.month.size();
    density_kg_per_m3_ = air::room_density_kg_per_m3(spell.pressure);
    const balance::ThermalModel& m = compiled.model;
    by_hour_.clear();
    for (const std::size_t z : compiled.zone_of_room) {
        bool alike = true; // over each hour
        for (const balance::Drives* drives : {&m.zones[z].infiltration_kg_per_s, &m.zones[z].ventilation_kg_per_s})
            for (const balance::Drive& d : *drives) {
                const balance::Signal& s = m.signals[d.signal.index];
                alike &= s.is_constant() || (s.level && s.steps_per_value % per_hour_ == 0);
            }
        by_hour_.push_back(alike);
    }
    in_step_.emplace(m);
    signals_.clear();
    for (const std::size_t z : compiled.zone_of_room) {
        const balance::Zone& zone = m.zones[z];
        AirSignals& room = signals_.emplace_back();
        room.infiltration = in_step_->add(zone.infiltration_kg_per_s);
        room.ventilation = in_step_->add(zone.ventilation_kg_per_s);
        if (!zone.supply_air) continue;
        room.least_supply = in_step_->add(zone.supply_air->least_kg_per_s);
        room.outdoor_C = in_step_->add(zone.supply_air->temperature_C);
    }
}

void AirYear::end(loads::BuildingYear& year)
{
    for (std::size_t r = 0; r < rooms_.size(); ++r) year.rooms[r].air = std::move(rooms_[r]);
    year.series.insert(year.series.end(), std::move_iterator{series_.begin()}, std::move_iterator{series_.end()});
}

void AirYear::take(std::size_t step, const balance::StepResult& result)
{
    in_step_->read(step, 0.5);
    for (std::size_t r = 0; r < rooms_.size(); ++r)
        if (!by_hour_[r] || step % per_hour_ == 0 || !rooms_[r].supply.empty()) take_room(r, step, result);
    if ((step + 1) % per_hour_ == 0)
        for (std::size_t r = 0; r < rooms_.size(); ++r) end_hour(r, step / per_hour_);
}

void AirYear::take_room(std::size_t r, std::size_t step, const balance::StepResult& result)
{
    const balance::ThermalModel& m = compiled_->model;
    const std::size_t z = compiled_->zone_of_room[r];
    const balance::Zone& zone = m.zones[z];
    const balance::ZoneStep& now = result.zones[z];
    const double step_s = m.step_s;
    const AirSignals& signals = signals_[r];
    Hour& h = hour_[r];
    if (!by_hour_[r] || step % per_hour_ == 0) {
        const double for_s = by_hour_[r] ? hour_s : step_s;
        h.outdoor_kg += for_s * (in_step_->sum(signals.infiltration) + in_step_->sum(signals.ventilation));
    }
    if (!zone.supply_air) return;
    h.outdoor_kg += step_s * now.supply_air_kg_per_s;
    const balance::SupplyAir& air = *zone.supply_air;
    const double outdoor_C = (*in_step_)[signals.outdoor_C], least = in_step_->sum(signals.least_supply),
                 leaves_C = result.zones[air.leaves_from.value_or(z)].air_C, cp = m.air_specific_heat_J_per_kgK;
    double recovers = air.recovers_heat;
    if (air.coldest_exhaust_C && leaves_C > outdoor_C)
        recovers = std::clamp((leaves_C - *air.coldest_exhaust_C) / (leaves_C - outdoor_C), 0.0, recovers);
    h.supplied_kg += step_s * now.supply_air_kg_per_s;
    h.supply_J += step_s * now.supply_air_W;
    h.base_J += step_s * least * cp * (outdoor_C - now.air_C + recovers * (leaves_C - outdoor_C));
    h.recovered_J += step_s * now.recovered_W;
    if (now.cooling_W > 0.0 && now.recovered_W > 0.0) {
        h.heats_then_cools_J += step_s * std::min(now.cooling_W, now.recovered_W);
        h.heats_then_cools_s += step_s;
    }
    h.heating_J += step_s * now.heating_W;
    h.cooling_J += step_s * now.cooling_W;
    h.humidifying_J += step_s * now.humidifying_W;
    h.latent_J += step_s * now.latent_W;
    h.supply_moisture_kg += step_s * now.supply_moisture_kg_per_s;
    h.air_C_s += step_s * now.air_C;
    h.humidity_s += step_s * now.humidity_ratio;
}

void AirYear::end_hour(std::size_t r, std::size_t hour)
{
    loads::MonthAir& out = rooms_[r].months.at(static_cast<std::size_t>(spell_->month[hour] - 1));
    out.hours += 1.0;
    out.outdoor_air_m3 += hour_[r].outdoor_kg / density_kg_per_m3_;
    if (const auto& supply = b_.rooms[r].use.air_supply) {
        const loads::MonthAir now = supplied(r, b_.air_supplies[*supply], hour_[r]);
        out += now;
        out.heats_then_cools_h += now.heats_then_cools_h;
        for (const std::size_t s : series_of_room_[r]) series_[s].values.push_back(watts(series_[s].kind, now));
    }
    hour_[r] = {};
}

/// What a supply did in an hour.
loads::MonthAir AirYear::supplied(std::size_t r, const building::AirSupply& supply, const Hour& h)
{
    loads::MonthAir out;
    out.recovered_heat_J = std::max(0.0, h.recovered_J);
    out.recovered_cold_J = std::max(0.0, -h.recovered_J);
    out.free_cooling_J = std::max(0.0, h.base_J - h.supply_J);
    out.heats_then_cools_J = h.heats_then_cools_J;
    out.heats_then_cools_h = h.heats_then_cools_s / hour_s;
    if (!supply.gives_everything)
        out.fan_J = supply.fan_power_W_per_m3_per_s() * h.supplied_kg / density_kg_per_m3_;
    else if (!told_[r])
        try {
            add_coils(r, supply, h, out);
        } catch (const quantity::RangeError& wrong) {
            tell(r, supply, wrong.what());
        }
    return out;
}

void AirYear::tell(std::size_t r, const building::AirSupply& supply, std::string_view why)
{
    problems_.push_back(supply_serves_no_room(supply, b_.rooms[r].name, why));
    told_[r] = true;
}

namespace {

/// Bounds of temperature are for what coils do: where none cools, outdoor air may come as cold as it is into a room that is
/// never cooled or just being heated, and a little colder than any other room; so with warmth.
void relax(const building::Use& use, bool heats, bool cools, double zone_C, SupplyBounds& bounds)
{
    constexpr double a_little_K = 1.0, any_cold_C = -100.0, any_warm_C = 200.0;
    if (!cools)
        bounds.coldest_C =
            std::min(bounds.coldest_C, heats || !use.cooling_setpoint_C ? any_cold_C : zone_C - a_little_K);
    if (!heats)
        bounds.warmest_C =
            std::max(bounds.warmest_C, cools || !use.heating_setpoint_C ? any_warm_C : zone_C + a_little_K);
}

} // namespace

/// By means over the hour. Heat is that of the balance; how cold the coil must make the air to dry it, and so what is heated
/// again, follows from the states.
void AirYear::add_coils(std::size_t r, const building::AirSupply& supply, const Hour& h, loads::MonthAir& out) const
{
    const double cp = compiled_->model.air_specific_heat_J_per_kgK, outdoor = h.supplied_kg / hour_s,
                 supply_W = h.supply_J / hour_s, supply_moisture = h.supply_moisture_kg / hour_s;
    const air::Point zone{h.air_C_s / hour_s, h.humidity_s / hour_s};
    ZoneAsks asks{.zone = zone,
                  .sensible_W = (h.heating_J - h.cooling_J) / hour_s + supply_W,
                  .moisture_kg_per_s =
                      (h.humidifying_J - h.latent_J) / air::latent_heat_of_vaporisation_J_per_kg / hour_s +
                      supply_moisture,
                  .outdoor_kg_per_s = outdoor,
                  .outdoor_air = zone};
    if (outdoor > 0.0) {
        asks.outdoor_air.dry_bulb_C += supply_W / (outdoor * cp);
        asks.outdoor_air.humidity_ratio += supply_moisture / outdoor;
    }
    asks.bounds = bounds_of(supply, zone, asks.outdoor_air, spell_->pressure);
    relax(b_.rooms[r].use, h.heating_J > 0.0, h.cooling_J > 0.0, zone.dry_bulb_C, asks.bounds);
    const UnsizedSupply s = unsized_supply(asks);
    const CoilProcess coils = coil_process(s.mixed, s.supply, s.dry_air_kg_per_s, spell_->pressure);
    const double reheat_J = coils.reheat_W * hour_s;
    out.reheat_J += reheat_J;
    out.heating_J += h.heating_J + reheat_J;
    out.cooling_sensible_J += h.cooling_J + reheat_J;
    out.humidifying_J += h.humidifying_J;
    out.cooling_latent_J += h.latent_J;
    out.fan_J += supply.fan_power_W_per_m3_per_s() * s.dry_air_kg_per_s / density_kg_per_m3_ * hour_s;
}

} // namespace venture::airside
