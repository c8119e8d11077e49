#include <venture/terminal/radiator.hpp>

#include <fmt/format.h>

#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/emitter_law.hpp>

namespace venture::terminal {

using rating::At;
using rating::Output;
using rating::Refusal;
using rating::Service;

const quantity::RecordSpec& RadiatorData::spec()
{
    static const quantity::RecordSpec all = quantity::RecordSpec::of<RadiatorData>(keys_of<RadiatorData>());
    return all;
}

Radiator::Radiator(const RadiatorData& d, std::string from) : Radiator{d, rating::label_of(d, std::move(from))} {}

Radiator::Radiator(const RadiatorData& d, rating::Label of)
    : Product{std::move(of)},
      nominal_W_{*d.output},
      exponent_{*d.exponent}
{
    // A wrong unit shows: a square metre of radiator gives some hundreds to some thousands of watts.
    constexpr double least_W_per_m2 = 100.0, most_W_per_m2 = 20e3;
    const double per_area = nominal_W_ / (label().height_m * label().length_m);
    if (per_area < least_W_per_m2 || per_area > most_W_per_m2)
        throw quantity::Error{
            fmt::format("{:g} W from {:g} x {:g} m are {:.3g} W/m2, where radiators give 100 to 20000: which "
                        "units are its numbers in?",
                        nominal_W_, label().height_m, label().length_m, per_area)};
}

std::variant<Output, Refusal> Radiator::rate(const rating::Conditions& at) const
{
    for (const At needed : radiator_needs)
        if (!at.has(needed)) return Refusal{Refusal::Why::not_given, needed};
    constexpr double least_K = 1e-6;
    const double supply_C = at[At::water_supply], return_C = at[At::water_return], room_C = at[At::room];
    if (!(return_C - room_C > least_K))
        return Refusal{Refusal::Why::no_difference, At::water_return, return_C, {room_C, room_C}};
    if (!(supply_C >= return_C))
        return Refusal{Refusal::Why::no_difference, At::water_supply, supply_C, {return_C, return_C}};
    Output out;
    out.gives_W[Service::heating] = rating::emitter_output_W(nominal_W(at), exponent_, supply_C, return_C, room_C);
    out.water_return_C = return_C;
    if (supply_C > return_C && at.value_or(At::glycol, 0.0) == 0.0) // what a mixture carries is not known here
        out.water_kg_per_s =
            out.gives_W[Service::heating] / (rating::specific_heat_of_water_J_per_kgK * (supply_C - return_C));
    return out;
}

double Radiator::nominal_W(const rating::Conditions& at) const
{
    return nominal_W_ * at.value_or(At::output_factor, 1.0);
}

std::optional<Output> Radiator::giving(const rating::Conditions& at, double W) const
{
    if (!at.has(At::water_supply) || !at.has(At::room) || !(at[At::water_supply] > at[At::room]) || !(W > 0.0))
        return std::nullopt;
    const auto state = rating::emitter_giving(nominal_W(at), exponent_, at[At::water_supply], at[At::room], W);
    if (!state) return std::nullopt;
    Output out;
    out.gives_W[Service::heating] = W;
    out.water_return_C = state->return_C;
    if (at.value_or(At::glycol, 0.0) == 0.0) out.water_kg_per_s = state->water_kg_per_s;
    return out;
}

const rating::Kind radiator = {.key = "radiator",
                               .words = "radiator",
                               .tag = "RAD",
                               .stands = rating::Stands::room,
                               .along = rating::Along::windows,
                               .radiant_share = 0.30,
                               .gives = {Service::heating},
                               .assumed = rating::AssumedWater{70.0, 55.0},
                               .needs = {radiator_needs.begin(), radiator_needs.end()},
                               .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                   return std::make_unique<rating::ShelfOf<RadiatorData, Radiator>>("radiator");
                               }};

} // namespace venture::terminal
