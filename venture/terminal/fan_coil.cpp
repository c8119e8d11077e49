#include <venture/terminal/fan_coil.hpp>

#include <algorithm>
#include <array>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/air/point.hpp>
#include <venture/air/processes.hpp>
#include <venture/air/root.hpp>
#include <venture/rating/point_grid.hpp>
#include <venture/rating/printed_capacity.hpp>
#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

using quantity::Pressure;
using quantity::Temperature;
using rating::At;
using rating::CoilHeat;
using rating::Output;
using rating::Refusal;
using rating::Service;

namespace {

constexpr double density_kg_per_m3 = 1.2, specific_heat_J_per_kgK = 1005.0; ///< that tables of air flow speak of
constexpr double at_sea_Pa = 101325.0;
constexpr std::size_t most_columns = 64;
constexpr std::array fan_coil_needs = {At::water_supply, At::water_return, At::entering_dry_bulb,
                                       At::entering_wet_bulb};
constexpr std::array heating_needs = {At::water_supply, At::water_return, At::entering_dry_bulb};

/// Below 0 where not even dry air has so low a wet bulb.
double humidity_at(double dry_bulb_C, double wet_bulb_C, double pressure_Pa)
{
    return air::humidity_ratio_by_wet_bulb(Temperature::celsius(dry_bulb_C), Temperature::celsius(wet_bulb_C),
                                           Pressure::pascal(pressure_Pa));
}

} // namespace

FanCoil::FanCoil(const FanCoilData& d, std::string from)
    : Product{rating::label_of(d, std::move(from))},
      air_flow_m3_per_s_{*d.air_flow},
      dry_bulb_C_{*d.entering_dry_bulb},
      rise_K_{*d.water_rise},
      fan_W_{d.fan_power.value.value_or(0.0)},
      sound_dBA_{d.sound.value.value_or(rating::unknown)},
      pressure_drop_Pa_{d.pressure_drop.value.value_or(rating::unknown)},
      electric_heating_W_{d.electric_heating.value.value_or(0.0)},
      bypass_factor_{d.bypass_factor.value.value_or(rating::unknown)},
      with_glycol_{At::glycol, "glycol and glycol_factors", d.glycol, d.glycol_factors}
{
    if (d.heating) {
        if (!d.heating_air || !d.heating_supply || !d.heating_return)
            throw quantity::Error{"heating needs heating_air, heating_supply and heating_return beside it"};
        heating_.emplace(*d.heating, density_kg_per_m3 * air_flow_m3_per_s_, *d.heating_air, *d.heating_supply,
                         *d.heating_return);
    }
    if (!d.at_water.empty()) {
        take_table(d);
        rating::check_coil_units(*std::ranges::max_element(total_W_), air_flow_m3_per_s_);
        check_slopes();
        find_conductances(middle());
        return;
    }
    if (!d.total || !d.sensible || !d.entering_wet_bulb || !d.supply)
        throw quantity::Error{"give wet_bulbs and [[fan_coil.at_water]] tables, or one rated point with total, "
                              "sensible, entering_wet_bulb and supply"};
    rating::check_coil_units(*d.total, air_flow_m3_per_s_);
    find_conductances({*d.supply, *d.entering_wet_bulb, *d.total, *d.sensible});
}

void FanCoil::take_table(const FanCoilData& d)
{
    if (!d.wet_bulbs) throw quantity::Error{"the columns of its table have no wet_bulbs"};
    wet_bulbs_C_ = *d.wet_bulbs;
    for (const FanCoilRow& row : d.at_water) {
        supplies_C_.push_back(*row.supply);
        total_W_.insert(total_W_.end(), (*row.total).begin(), (*row.total).end());
        sensible_W_.insert(sensible_W_.end(), (*row.sensible).begin(), (*row.sensible).end());
    }
    const std::vector<rating::Axis> axes = {{At::water_supply, supplies_C_}, {At::entering_wet_bulb, wet_bulbs_C_}};
    (void)rating::GridTable{axes, total_W_};
    (void)rating::GridTable{axes, sensible_W_};
    if (wet_bulbs_C_.size() < 2 || wet_bulbs_C_.size() > most_columns)
        throw quantity::Error{fmt::format("a table has 2 to {} wet bulbs", most_columns)};
    rating::check_points(supplies_C_, "water", wet_bulbs_C_, "a wet bulb", total_W_);
    rating::check_points(supplies_C_, "water", wet_bulbs_C_, "a wet bulb", sensible_W_);
    for (std::size_t i = 0; i < total_W_.size(); ++i)
        if (sensible_W_[i] > total_W_[i])
            throw quantity::Error{fmt::format("with water at {:g} degC and a wet bulb of {:g} degC more is sensible "
                                              "({:g} W) than total ({:g} W): were they swapped?",
                                              supplies_C_[i / wet_bulbs_C_.size()],
                                              wet_bulbs_C_[i % wet_bulbs_C_.size()], sensible_W_[i], total_W_[i])};
}

/// Total capacity falls with warmer water and rises with the wet bulb; what does not was typed in the wrong order.
void FanCoil::check_slopes() const
{
    const std::size_t columns = wet_bulbs_C_.size();
    for (std::size_t i = 0; i < total_W_.size(); ++i) {
        const std::size_t row = i / columns, column = i % columns;
        if (row > 0 && total_W_[i] > total_W_[i - columns])
            throw quantity::Error{fmt::format(
                "with a wet bulb of {:g} degC total capacity rises from {:g} W with water at {:g} "
                "degC to {:g} W at {:g} degC",
                wet_bulbs_C_[column], total_W_[i - columns], supplies_C_[row - 1], total_W_[i], supplies_C_[row])};
        if (column > 0 && total_W_[i] < total_W_[i - 1])
            throw quantity::Error{fmt::format(
                "with water at {:g} degC total capacity falls from {:g} W at a wet bulb of {:g} "
                "degC to {:g} W at {:g} degC",
                supplies_C_[row], total_W_[i - 1], wet_bulbs_C_[column - 1], total_W_[i], wet_bulbs_C_[column])};
    }
}

FanCoil::Point FanCoil::middle() const
{
    const std::size_t row = (supplies_C_.size() - 1) / 2, columns = wet_bulbs_C_.size();
    std::vector<std::size_t> wet;
    for (std::size_t i = 0; i < columns; ++i)
        if (sensible_W_[row * columns + i] < total_W_[row * columns + i]) wet.push_back(i);
    const std::size_t column = wet.empty() ? columns / 2 : wet[wet.size() / 2];
    return {supplies_C_[row], wet_bulbs_C_[column], total_W_[row * columns + column],
            sensible_W_[row * columns + column]};
}

rating::CoilFlows FanCoil::flows_at(const rating::Conditions& at, double pressure_Pa) const
{
    const double dry_bulb_C = at[At::entering_dry_bulb];
    return flows_at(at[At::water_supply], dry_bulb_C, std::min(at[At::entering_wet_bulb], dry_bulb_C), pressure_Pa);
}

rating::CoilFlows FanCoil::flows_at(double supply_C, double dry_bulb_C, double wet_bulb_C, double pressure_Pa) const
{
    return {.air_C = dry_bulb_C,
            // at the sea a wet bulb may be too low that is not so high up
            .humidity_ratio = std::max(0.0, humidity_at(dry_bulb_C, wet_bulb_C, pressure_Pa)),
            .dry_air_kg_per_s = density_kg_per_m3 * air_flow_m3_per_s_ * pressure_Pa / at_sea_Pa, // the same volume
            .water_in_C = supply_C,
            .pressure = Pressure::pascal(pressure_Pa)};
}

void FanCoil::find_conductances(const Point& p)
{
    printed_water_kg_per_s_ = p.total_W / (rating::specific_heat_of_water_J_per_kgK * rise_K_);
    rating::CoilFlows flows = flows_at(p.supply_C, dry_bulb_C_, p.wet_bulb_C, at_sea_Pa);
    flows.water_kg_per_s = printed_water_kg_per_s_;
    try {
        coil_ = rating::CoilConductances::of({flows, p.total_W, p.sensible_W});
    } catch (const quantity::Error& wrong) {
        throw quantity::Error{fmt::format("with water at {:g} degC, {:g} degC dry and {:g} degC wet bulb: {}",
                                          p.supply_C, dry_bulb_C_, p.wet_bulb_C, wrong.what())};
    }
    if (std::isnan(bypass_factor_))
        bypass_factor_ = std::exp(-coil_->air_side_W_per_K() / (flows.dry_air_kg_per_s * specific_heat_J_per_kgK));
}

std::variant<CoilHeat, Refusal> FanCoil::read(const rating::Conditions& at) const
{
    const rating::Axis supplies{At::water_supply, supplies_C_};
    if (auto refused = refusal_of(supplies, at)) return *refused;
    const rating::Place place = rating::place_in(supplies_C_, at[At::water_supply]);
    const std::size_t columns = wet_bulbs_C_.size(), low = place.cell * columns,
                      high = supplies_C_.size() > 1 ? low + columns : low;
    const double more =
        rating::dry_bulb_correction_W(density_kg_per_m3 * specific_heat_J_per_kgK * (1.0 - bypass_factor_),
                                      air_flow_m3_per_s_, at[At::entering_dry_bulb], dry_bulb_C_, 1.0);
    std::array<double, most_columns> total{}, sensible{};
    std::array<bool, most_columns> wet{};
    for (std::size_t i = 0; i < columns; ++i) {
        total[i] = std::lerp(total_W_[low + i], total_W_[high + i], place.share);
        sensible[i] = std::lerp(sensible_W_[low + i], sensible_W_[high + i], place.share) + more;
        // A row counts where something of it is used.
        wet[i] = (place.share >= 1.0 || sensible_W_[low + i] < total_W_[low + i]) &&
                 (place.share <= 0.0 || sensible_W_[high + i] < total_W_[high + i]);
    }
    return rating::read_columns(
        {wet_bulbs_C_, {total.data(), columns}, {sensible.data(), columns}, {wet.data(), columns}},
        at[At::entering_wet_bulb]);
}

std::variant<CoilHeat, Refusal> FanCoil::coil_heat(const rating::Conditions& at) const
{
    const double supply_C = at[At::water_supply], dry_bulb_C = at[At::entering_dry_bulb],
                 pressure_Pa = at.value_or(At::air_pressure, at_sea_Pa), rise_K = at[At::water_return] - supply_C;
    constexpr double same = 1e-9, nearly_K = 0.01;
    const bool has_table = !supplies_C_.empty(),
               as_printed = std::abs(rise_K - rise_K_) < nearly_K && std::abs(pressure_Pa / at_sea_Pa - 1.0) < same;
    if (!(supply_C < dry_bulb_C))
        return Refusal{Refusal::Why::no_difference, At::water_supply, supply_C, {dry_bulb_C, dry_bulb_C}};
    if (has_table && as_printed) return read(at);
    if (!has_table) {
        const auto now = coil_->cools_to(flows_at(at, pressure_Pa), at[At::water_return]);
        if (const auto* refused = std::get_if<Refusal>(&now)) return *refused;
        return CoilHeat{std::get<rating::CoilOutput>(now)};
    }
    const auto printed = read(at);
    if (std::holds_alternative<Refusal>(printed)) return printed;
    const auto moved = moved_from_print(std::get<CoilHeat>(printed), at);
    if (std::holds_alternative<Refusal>(moved) || std::get<CoilHeat>(moved).dry) return moved;
    // With other water than printed the same coil may take more where it is dry: it takes whichever is more, and condenses
    // what it does, so that nothing jumps.
    constexpr double driest_C = -100.0;
    rating::Conditions dry_air = at;
    const auto branch = read(dry_air.set(At::entering_wet_bulb, driest_C));
    if (std::holds_alternative<Refusal>(branch)) return moved; // the table has none
    const auto dry = moved_from_print(std::get<CoilHeat>(branch), at);
    CoilHeat heat = std::get<CoilHeat>(moved);
    if (const auto* other = std::get_if<CoilHeat>(&dry); other != nullptr && other->total_W > heat.total_W) {
        heat.sensible_W += other->total_W - heat.total_W;
        heat.total_W = other->total_W;
    }
    return heat;
}

std::variant<CoilHeat, Refusal> FanCoil::moved_from_print(CoilHeat heat, const rating::Conditions& at) const
{
    // Like with like: what the table says is wet is compared as a wet coil, so that nothing jumps with the rise.
    const rating::CoilFace face = heat.dry ? rating::CoilFace::dry : rating::CoilFace::wet;
    const auto now =
        coil_->cools_to(flows_at(at, at.value_or(At::air_pressure, at_sea_Pa)), at[At::water_return], face);
    const auto base = coil_->cools_to(flows_at(at, at_sea_Pa), at[At::water_supply] + rise_K_, face);
    for (const auto* one : {&now, &base})
        if (const auto* refused = std::get_if<Refusal>(one)) return *refused;
    const CoilHeat there = std::get<rating::CoilOutput>(now), as_printed_for = std::get<rating::CoilOutput>(base);
    heat.total_W *= there.total_W / as_printed_for.total_W;
    heat.sensible_W *= there.sensible_W / as_printed_for.sensible_W;
    heat.dry = heat.dry || there.dry; // so little water that its coil can no longer be wet
    if (heat.dry) heat.total_W = heat.sensible_W;
    heat.sensible_W = std::min(heat.sensible_W, heat.total_W);
    return heat;
}

/// Primary air that comes through it, mixed with as much of the room's as makes up its own air flow; by enthalpy.
std::variant<rating::Conditions, Refusal> FanCoil::mixed(const rating::Conditions& at) const
{
    const double pressure_Pa = at.value_or(At::air_pressure, at_sea_Pa),
                 all_kg_per_s = density_kg_per_m3 * air_flow_m3_per_s_ * pressure_Pa / at_sea_Pa,
                 part = at[At::primary_flow] / all_kg_per_s;
    if (part > 1.0) return Refusal{Refusal::Why::too_little_air, At::air_flow, all_kg_per_s};
    const double room_C = at[At::entering_dry_bulb], primary_C = at[At::primary_dry_bulb];
    rating::Conditions out = at;
    if (!at.has(At::entering_wet_bulb)) { // it heats
        out.set(At::entering_dry_bulb, room_C + part * (primary_C - room_C));
        return out;
    }
    const Pressure pressure = Pressure::pascal(pressure_Pa);
    const double room_w = std::max(0.0, humidity_at(room_C, std::min(at[At::entering_wet_bulb], room_C), pressure_Pa));
    const air::MixedAir mixture = air::mixed(
        {air::MoistAir::from_humidity_ratio(Temperature::celsius(room_C), room_w, pressure),
         (1.0 - part) * all_kg_per_s},
        {air::MoistAir::from_humidity_ratio(Temperature::celsius(primary_C), at[At::primary_humidity], pressure),
         part * all_kg_per_s});
    out.set(At::entering_dry_bulb, mixture.air.dry_bulb().celsius())
        .set(At::entering_wet_bulb, air::wet_bulb(mixture.air).celsius());
    return out;
}

std::variant<Output, Refusal> FanCoil::rate(const rating::Conditions& at) const
{
    if (at.has(At::primary_flow)) {
        auto with_primary = mixed(at);
        if (const auto* refused = std::get_if<Refusal>(&with_primary)) return *refused;
        return rate_in(std::get<rating::Conditions>(with_primary));
    }
    return rate_in(at);
}

std::variant<Output, Refusal> FanCoil::rate_in(const rating::Conditions& at) const
{
    if (electric_heating_W_ > 0.0 && !at.has(At::water_supply)) return heats_with_electricity(at);
    for (const At needed : heating_needs)
        if (!at.has(needed)) return Refusal{Refusal::Why::not_given, needed};
    return at[At::water_supply] > at[At::water_return] ? heats(at) : cools(at);
}

std::variant<Output, Refusal> FanCoil::heats(const rating::Conditions& at) const
{
    if (!heating_) return Refusal{Refusal::Why::not_rated, At::water_supply, at[At::water_supply]};
    const double thinner = at.value_or(At::air_pressure, at_sea_Pa) / at_sea_Pa; // the same volume
    const auto heat = heating_->heats_to(at[At::entering_dry_bulb], density_kg_per_m3 * air_flow_m3_per_s_ * thinner,
                                         at[At::water_supply], at[At::water_return]);
    if (const auto* refused = std::get_if<Refusal>(&heat)) return *refused;
    const auto factor = with_glycol_.factor(at);
    if (const auto* refused = std::get_if<Refusal>(&factor)) return *refused;
    const auto& coil = std::get<rating::CoilOutput>(heat);
    return rating::with_fan(coil, std::get<double>(factor) * coil.total_W, fan_W_ * thinner, sound_dBA_, at);
}

std::variant<Output, Refusal> FanCoil::heats_with_electricity(const rating::Conditions& at) const
{
    const double thinner = at.value_or(At::air_pressure, at_sea_Pa) / at_sea_Pa;
    Output out;
    out.fan_W = fan_W_ * thinner;
    out.gives_W[Service::heating] = out.electric_W = electric_heating_W_ + out.fan_W;
    out.sound_power_dBA = sound_dBA_;
    return out;
}

std::variant<Output, Refusal> FanCoil::cools(const rating::Conditions& at) const
{
    for (const At needed : fan_coil_needs)
        if (!at.has(needed)) return Refusal{Refusal::Why::not_given, needed};
    const double pressure_Pa = at.value_or(At::air_pressure, at_sea_Pa), dry_bulb_C = at[At::entering_dry_bulb];
    const double humidity = humidity_at(dry_bulb_C, std::min(at[At::entering_wet_bulb], dry_bulb_C), pressure_Pa);
    if (humidity < 0.0)
        return Refusal{
            Refusal::Why::no_such_air, At::entering_wet_bulb, at[At::entering_wet_bulb], {dry_bulb_C, dry_bulb_C}};
    const auto heat = coil_heat(at);
    if (const auto* refused = std::get_if<Refusal>(&heat)) return *refused;
    const auto factor = with_glycol_.factor(at);
    if (const auto* refused = std::get_if<Refusal>(&factor)) return *refused;
    CoilHeat coil = std::get<CoilHeat>(heat);
    coil.total_W *= std::get<double>(factor);
    coil.sensible_W *= std::get<double>(factor);
    // No face of the coil is colder than its water: where the dew point is not above it nothing condenses, whatever lines
    // through a table say.
    if (humidity <=
        air::saturation_humidity_ratio(Temperature::celsius(at[At::water_supply]), Pressure::pascal(pressure_Pa))) {
        coil.total_W = coil.sensible_W;
        coil.dry = true;
    }
    coil.sensible_W = std::max(0.0, coil.sensible_W);
    Output out;
    out.fan_W = fan_W_ * pressure_Pa / at_sea_Pa; // the same volume of thinner air
    out.gives_W[Service::cooling] = coil.total_W - out.fan_W;
    out.sensible_W = coil.sensible_W - out.fan_W;
    out.dry = coil.dry;
    out.water_return_C = at[At::water_return];
    take_water(at, coil.total_W, out);
    if (fan_W_ > 0.0) out.electric_W = out.fan_W;
    out.sound_power_dBA = sound_dBA_;
    out.condensate_kg_per_s = coil.latent_W() / (air::latent_heat_of_vaporisation_J_per_kg + air::specific_heat_of_vapour_J_per_kgK * dry_bulb_C);
    return out;
}

/// Of plain water: of a mixture no maker's pressure drop is printed, and its specific heat is not known here.
void FanCoil::take_water(const rating::Conditions& at, double coil_W, Output& out) const
{
    if (at.value_or(At::glycol, 0.0) > 0.0) return;
    const double rise_K = at[At::water_return] - at[At::water_supply];
    out.water_kg_per_s = coil_W / (rating::specific_heat_of_water_J_per_kgK * rise_K);
    const double printed_kg_per_s = supplies_C_.empty() ? printed_water_kg_per_s_
                                                        : *std::ranges::max_element(total_W_) /
                                                              (rating::specific_heat_of_water_J_per_kgK * rise_K_);
    out.water_pressure_drop_Pa = pressure_drop_Pa_ * std::pow(out.water_kg_per_s / printed_kg_per_s, 2.0);
}

const rating::Kind fan_coil = {.key = "fan_coil",
                               .words = "fan coil",
                               .tag = "FC",
                               .stands = rating::Stands::room,
                               .passes_air = true,
                               .gives = {Service::cooling, Service::heating},
                               .also_takes = rating::Medium::electricity,
                               .assumed = rating::AssumedWater{7.0, 12.0},
                               .needs = {fan_coil_needs.begin(), fan_coil_needs.end()},
                               .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                   return std::make_unique<rating::ShelfOf<FanCoilData, FanCoil>>("fan_coil");
                               }};

} // namespace venture::terminal
