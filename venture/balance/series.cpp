#include <venture/balance/series.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>

namespace venture::balance {

namespace {

template <auto Member>
double of_zone(const AfterStep& a, std::size_t z)
{
    return a.result.zones[z].*Member;
}

template <Part Which>
double from_part(const AfterStep& a, std::size_t z)
{
    return a.result.zones[z].from_faces_W[static_cast<std::size_t>(Which)];
}

template <auto Member, std::size_t Face>
double of_surface(const AfterStep& a, std::size_t i)
{
    return (a.result.surfaces[i].*Member)[Face];
}

template <auto Member>
double of_all_zones(const AfterStep& a, std::size_t)
{
    double sum = 0.0;
    for (const ZoneStep& z : a.result.zones) sum += z.*Member;
    return sum;
}

double operative(const AfterStep& a, std::size_t z)
{
    return 0.5 * (a.result.zones[z].air_C + a.result.zones[z].radiant_C);
}

double outdoor_air_changes(const AfterStep& a, std::size_t z)
{
    const ThermalModel& m = a.model;
    const Zone& zone = m.zones[z];
    const double kg_per_s = m.value(zone.infiltration_kg_per_s, a.step, 0.5) +
                            m.value(zone.ventilation_kg_per_s, a.step, 0.5) + a.result.zones[z].supply_air_kg_per_s;
    return zone.dry_air_kg > 0.0 ? 3600.0 * kg_per_s / zone.dry_air_kg : 0.0;
}

/// Mean over a step of what is linear over it.
double mean_of(const ThermalModel& m, const Drives& drives, std::size_t step) { return m.value(drives, step, 0.5); }

template <auto Which>
double of_sun(const AfterStep& a, std::size_t z)
{
    return mean_of(a.model, a.model.zones[z].sun.*Which, a.step);
}

/// Sensible heat of one kind of gains, to air and faces together.
template <Forcing kind>
double gains(const AfterStep& a, std::size_t z)
{
    const ThermalModel& m = a.model;
    double sum = 0.0;
    for (const Drives* drives : {&m.zones[z].convective_gain_W, &m.zones[z].radiant_gain_W})
        for (const Drive& d : *drives) {
            if (a.forcing_of_signal[d.signal.index] != kind) continue;
            double factor = d.factor;
            if (const std::size_t body = a.body_of_signal[d.signal.index]; body != AfterStep::no_body)
                factor *= a.result.sensible_factors[body];
            sum += factor * m.value(d.signal, a.step, 0.5);
        }
    return sum;
}

double outdoor_humidity(const AfterStep& a, std::size_t)
{
    const ThermalModel& m = a.model;
    return 0.5 * (m.value(m.outdoor_humidity_ratio, a.step, 0.0) + m.value(m.outdoor_humidity_ratio, a.step, 1.0));
}

double outdoor_temperature(const AfterStep& a, std::size_t)
{
    const ThermalModel& m = a.model;
    return 0.5 * (m.value(m.outdoor_air_C, a.step, 0.0) + m.value(m.outdoor_air_C, a.step, 1.0));
}

bool has_shade(const ThermalModel& m, std::size_t surface) { return m.surfaces[surface].shade_down.has_value(); }

/// 0 where there is no shade.
double shade_down(const AfterStep& a, std::size_t surface)
{
    const auto& down = a.model.surfaces[surface].shade_down;
    return down ? 0.5 * (a.model.value(*down, a.step, 0.0) + a.model.value(*down, a.step, 1.0)) : 0.0;
}

double closure(const AfterStep& a, std::size_t) { return a.result.closure_W; }

bool supplied(const ThermalModel& m, std::size_t zone) { return m.zones[zone].supply_air.has_value(); }

bool humidified(const ThermalModel& m, std::size_t zone)
{
    return m.zones[zone].wet_below_kg_per_kg || m.zones[zone].wet_below_relative;
}

/// Of some zones or surfaces, in one go: a call for each of them costs more than what it reads.
template <double (*value)(const AfterStep&, std::size_t)>
void add(const AfterStep& after, std::span<const std::size_t> of, double* sums)
{
    for (std::size_t i = 0; i < of.size(); ++i) sums[i] += value(after, of[i]);
}

constexpr SeriesKind kinds[] = {
    {"air temperature", "degC", "of the zone's air", Subject::zone, Account::loads, add<of_zone<&ZoneStep::air_C>>},
    {"radiant temperature", "degC", "of the zone's radiant point", Subject::zone, Account::loads,
     add<of_zone<&ZoneStep::radiant_C>>},
    {"operative temperature", "degC", "mean of air and radiant point", Subject::zone, Account::loads, add<operative>},
    {"humidity ratio", "kg/kg", "of the zone's air, dry basis", Subject::zone, Account::loads,
     add<of_zone<&ZoneStep::humidity_ratio>>},
    {"heating", "W", "given by the supply", Subject::zone, Account::loads, add<of_zone<&ZoneStep::heating_W>>},
    {"cooling", "W", "taken away by the supply, sensible", Subject::zone, Account::loads,
     add<of_zone<&ZoneStep::cooling_W>>},
    {"latent cooling", "W", "moisture taken away, as heat of vaporisation", Subject::zone, Account::loads,
     add<of_zone<&ZoneStep::latent_W>>},
    {"humidifying", "W", "moisture added, as heat of vaporisation", Subject::zone, Account::loads,
     add<of_zone<&ZoneStep::humidifying_W>>, humidified},
    {"supply air", "kg/s", "dry air supplied to the zone, outdoor air and none of its own", Subject::zone,
     Account::loads, add<of_zone<&ZoneStep::supply_air_kg_per_s>>, supplied},
    {"heat of supply air", "W", "brought by it, with what is recovered, before any coil", Subject::zone, Account::loads,
     add<of_zone<&ZoneStep::supply_air_W>>, supplied},
    {"recovered heat", "W", "given to supply air by air that leaves; negative: taken from it", Subject::zone,
     Account::loads, add<of_zone<&ZoneStep::recovered_W>>, supplied},
    {"moisture of supply air", "kg/s", "brought by it, less what leaves with as much air", Subject::zone,
     Account::loads, add<of_zone<&ZoneStep::supply_moisture_kg_per_s>>, supplied},
    {"film residual", "W", "of films that vary: how far the flux used is from that of the temperatures found",
     Subject::zone, Account::loads, add<of_zone<&ZoneStep::film_residual_W>>},
    {"convective gains", "W", "into the air", Subject::zone, Account::flows,
     add<of_zone<&ZoneStep::convective_gain_W>>},
    {"people", "W", "their sensible heat, to air and faces", Subject::zone, Account::flows,
     add<gains<Forcing::people>>},
    {"lighting", "W", "its heat in the room, to air and faces", Subject::zone, Account::flows,
     add<gains<Forcing::lighting>>},
    {"equipment", "W", "its sensible heat in the room, cooking too, to air and faces", Subject::zone, Account::flows,
     add<gains<Forcing::equipment>>},
    {"sun through glass, beam", "W", "light straight from the sun that windows let in", Subject::zone, Account::loads,
     add<of_sun<&SunThroughGlass::beam>>},
    {"sun through glass, diffuse", "W", "light of sky and ground that windows let in", Subject::zone, Account::loads,
     add<of_sun<&SunThroughGlass::diffuse>>},
    {"sun taken up at windows", "W", "heat that sun sets free on inner faces of panes and in shades inside",
     Subject::zone, Account::loads, add<of_sun<&SunThroughGlass::taken_up>>},
    {"infiltration", "W", "into the air, by leakage", Subject::zone, Account::flows,
     add<of_zone<&ZoneStep::infiltration_W>>},
    {"ventilation", "W", "into the air, by outdoor air straight into the room", Subject::zone, Account::flows,
     add<of_zone<&ZoneStep::ventilation_W>>},
    {"transfer air", "W", "into the air, by air from other zones", Subject::zone, Account::flows,
     add<of_zone<&ZoneStep::transfer_W>>},
    {"thermal bridges", "W", "into the air", Subject::zone, Account::flows, add<of_zone<&ZoneStep::thermal_bridges_W>>},
    {"from outside walls", "W", "into the air, by convection", Subject::zone, Account::flows,
     add<from_part<Part::outside_wall>>},
    {"from roofs", "W", "into the air, by convection", Subject::zone, Account::flows, add<from_part<Part::roof>>},
    {"from windows", "W", "into the air, by convection", Subject::zone, Account::flows, add<from_part<Part::window>>},
    {"from doors", "W", "into the air, by convection", Subject::zone, Account::flows, add<from_part<Part::door>>},
    {"from ground", "W", "into the air, by convection from floors and walls in the ground", Subject::zone,
     Account::flows, add<from_part<Part::ground>>},
    {"from inner surfaces", "W", "into the air, by convection", Subject::zone, Account::flows,
     add<from_part<Part::inner>>},
    {"into air and furniture", "W", "stored by them", Subject::zone, Account::flows,
     add<of_zone<&ZoneStep::into_air_capacity_W>>},
    {"outdoor air changes", "1/h", "leakage, ventilation and supply air together", Subject::zone, Account::loads,
     add<outdoor_air_changes>},
    {"inside face temperature", "degC", "of the surface", Subject::surface, Account::faces,
     add<of_surface<&SurfaceStep::temperature_C, 1>>},
    {"outside face temperature", "degC", "of the surface, or its face in the other zone", Subject::surface,
     Account::faces, add<of_surface<&SurfaceStep::temperature_C, 0>>},
    {"inside face flux", "W/m2", "into the wall at its inside face", Subject::surface, Account::faces,
     add<of_surface<&SurfaceStep::flux_W_per_m2, 1>>},
    {"outside face flux", "W/m2", "into the wall at its outside face", Subject::surface, Account::faces,
     add<of_surface<&SurfaceStep::flux_W_per_m2, 0>>},
    {"shade down", "1", "share of a window's shade that is down", Subject::surface, Account::loads, add<shade_down>,
     has_shade},
    {"outdoor temperature", "degC", "of the outdoor air", Subject::whole, Account::loads, add<outdoor_temperature>},
    {"outdoor humidity ratio", "kg/kg", "of the outdoor air", Subject::whole, Account::loads, add<outdoor_humidity>},
    {"total heating", "W", "of all zones", Subject::whole, Account::loads, add<of_all_zones<&ZoneStep::heating_W>>},
    {"total cooling", "W", "of all zones, sensible", Subject::whole, Account::loads,
     add<of_all_zones<&ZoneStep::cooling_W>>},
    {"total latent cooling", "W", "of all zones", Subject::whole, Account::loads,
     add<of_all_zones<&ZoneStep::latent_W>>},
    {"closure", "W", "heat in less heat stored, of the whole: nil but for rounding", Subject::whole, Account::loads,
     add<closure>},
};

const SeriesKind& kind_called(const std::string& name)
{
    const auto at = std::ranges::find(kinds, std::string_view{name}, &SeriesKind::name);
    if (at != std::end(kinds)) return *at;
    std::vector<std::string> names;
    for (const SeriesKind& k : kinds) names.emplace_back(k.name);
    const auto near = quantity::nearest_name(name, names);
    throw quantity::Error{"no series is called '" + name + "'" +
                          (near ? "; did you mean '" + *near + "'?" : "; series_kinds() lists them all")};
}

} // namespace

std::span<const SeriesKind> series_kinds() { return kinds; }

SeriesGatherer::SeriesGatherer(const ThermalModel& model, const std::vector<Ask>& asks, std::size_t steps_per_value)
    : model_{model},
      steps_per_value_{steps_per_value}
{
    VENTURE_ASSERT(steps_per_value > 0);
    body_of_signal_.assign(model.signals.size(), AfterStep::no_body);
    for (std::size_t b = 0; b < model.bodies.size(); ++b) body_of_signal_[model.bodies[b].sensible.index] = b;
    for (const Signal& signal : model.signals) forcing_of_signal_.push_back(signal.forcing);
    for (const Ask& ask : asks) {
        const SeriesKind& kind = kind_called(ask.kind);
        needs_ = std::max(needs_, kind.needs);
        const std::size_t count = kind.subject == Subject::whole  ? 1
                                  : kind.subject == Subject::zone ? model.zones.size()
                                                                  : model.surfaces.size();
        std::vector<std::size_t> of = ask.of;
        if (of.empty())
            for (std::size_t i = 0; i < count; ++i)
                if (kind.has == nullptr || kind.has(model, i)) of.push_back(i);
        for (const std::size_t i : of) {
            quantity::check_range("series '" + ask.kind + "'", "number of what it is of", static_cast<double>(i),
                                  {0.0, static_cast<double>(count) - 1.0}, "");
            const std::string id = kind.subject == Subject::whole  ? std::string{}
                                   : kind.subject == Subject::zone ? model.zones[i].id
                                                                   : model.surfaces[i].id;
            series_.push_back({std::string{kind.name}, std::string{kind.unit}, id, {}});
            series_.back().values.reserve(model.steps / steps_per_value);
        }
        asked_.push_back({&kind, std::move(of)});
    }
    sums_.resize(series_.size());
}

void SeriesGatherer::take(const StepResult& result, std::size_t step)
{
    if (asked_.empty()) return;
    const AfterStep after{model_, result, step, body_of_signal_, forcing_of_signal_};
    if (taken_++ % steps_per_value_ == 0) std::ranges::fill(sums_, 0.0);
    double* sums = sums_.data();
    for (const Asked& asked : asked_) {
        asked.kind->add(after, asked.of, sums);
        sums += asked.of.size();
    }
    if (taken_ % steps_per_value_ != 0) return;
    const auto steps = static_cast<double>(steps_per_value_);
    for (const double sum : sums_) waiting_.push_back(sum / steps);
    if (waiting_.size() >= most_waiting * sums_.size()) hand_out();
}

void SeriesGatherer::hand_out()
{
    if (sums_.empty()) return;
    const std::size_t rows = waiting_.size() / sums_.size();
    for (std::size_t i = 0; i < series_.size(); ++i)
        for (std::size_t row = 0; row < rows; ++row) series_[i].values.push_back(waiting_[row * sums_.size() + i]);
    waiting_.clear();
}

std::vector<Series> SeriesGatherer::series() &&
{
    hand_out();
    return std::move(series_);
}

} // namespace venture::balance
