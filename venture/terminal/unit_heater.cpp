#include <venture/terminal/unit_heater.hpp>

namespace venture::terminal {

using rating::At;
using rating::Output;
using rating::Refusal;
using rating::Service;

namespace {

constexpr double printed_density_kg_per_m3 = 1.2, standard_pressure_Pa = 101325.0; ///< that catalogues speak of

} // namespace

const quantity::RecordSpec& UnitHeaterData::spec()
{
    static const quantity::RecordSpec all = quantity::RecordSpec::of<UnitHeaterData>(keys_of<UnitHeaterData>());
    return all;
}

UnitHeater::UnitHeater(const UnitHeaterData& d, std::string from) : UnitHeater{d, rating::label_of(d, std::move(from))}
{
}

UnitHeater::UnitHeater(const UnitHeaterData& d, rating::Label of)
    : Product{std::move(of)},
      dry_air_kg_per_s_{printed_density_kg_per_m3 * *d.air_flow},
      fan_W_{d.fan_power.value.value_or(0.0)},
      sound_dBA_{d.sound.value.value_or(rating::unknown)},
      coil_{*d.heating, dry_air_kg_per_s_, *d.heating_air, *d.heating_supply, *d.heating_return}
{
}

std::variant<Output, Refusal> UnitHeater::rate(const rating::Conditions& at) const
{
    for (const At needed : unit_heater_needs)
        if (!at.has(needed)) return Refusal{Refusal::Why::not_given, needed};
    const double thinner =
        at.value_or(At::air_pressure, standard_pressure_Pa) / standard_pressure_Pa; // the same volume
    const auto heat = coil_.heats_to(at[At::entering_dry_bulb], dry_air_kg_per_s_ * thinner, at[At::water_supply],
                                     at[At::water_return]);
    if (const auto* refused = std::get_if<Refusal>(&heat)) return *refused;
    const auto& coil = std::get<rating::CoilOutput>(heat);
    return rating::with_fan(coil, coil.total_W, fan_W_ * thinner, sound_dBA_, at);
}

const rating::Kind unit_heater = {.key = "unit_heater",
                                  .words = "unit heater",
                                  .tag = "UH",
                                  .stands = rating::Stands::room,
                                  .gives = {Service::heating},
                                  .needs = {unit_heater_needs.begin(), unit_heater_needs.end()},
                                  .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                      return std::make_unique<rating::ShelfOf<UnitHeaterData, UnitHeater>>(
                                          "unit_heater");
                                  }};

} // namespace venture::terminal
