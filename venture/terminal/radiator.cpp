#include <venture/terminal/radiator.hpp>

#include <array>

#include <fmt/format.h>

#include <venture/rating/coil_conductance.hpp>
#include <venture/rating/emitter_law.hpp>
#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

using rating::At;
using rating::Output;
using rating::Refusal;
using rating::Service;

namespace {

constexpr std::array radiator_needs = {At::water_supply, At::water_return, At::room};

} // namespace

const quantity::RecordSpec& RadiatorData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = RadiatorData;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({
        {name_key(), &T::name},
        {maker_key(), &T::maker},
        {must(number("height", Kind::length, 0.05, 5, "of the body")), &T::height},
        {must(number("length", Kind::length, 0.05, 10, "of the body")), &T::length},
        {must(number("output", Kind::power, 1, largest_W, "at 75/65/20 degC, EN 442")), &T::output},
        {must(number("exponent", Kind::number, 1, 2, "of the characteristic equation")), &T::exponent},
        {note_key(), &T::note},
    });
    return all;
}

Radiator::Radiator(const RadiatorData& d, std::string from)
    : Product{rating::label_of(d, std::move(from))},
      height_m_{*d.height},
      length_m_{*d.length},
      nominal_W_{*d.output},
      exponent_{*d.exponent}
{
    // A wrong unit shows: a square metre of radiator gives some hundreds to some thousands of watts.
    constexpr double least_W_per_m2 = 100.0, most_W_per_m2 = 20e3;
    const double per_area = nominal_W_ / (height_m_ * length_m_);
    if (per_area < least_W_per_m2 || per_area > most_W_per_m2)
        throw quantity::Error{
            fmt::format("{:g} W from {:g} x {:g} m are {:.3g} W/m2, where radiators give 100 to 20000: which "
                        "units are its numbers in?",
                        nominal_W_, height_m_, length_m_, per_area)};
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
    out.gives_W[Service::heating] = rating::emitter_output_W(nominal_W_, exponent_, supply_C, return_C, room_C);
    out.water_return_C = return_C;
    if (supply_C > return_C && at.value_or(At::glycol, 0.0) == 0.0) // what a mixture carries is not known here
        out.water_kg_per_s =
            out.gives_W[Service::heating] / (rating::specific_heat_of_water_J_per_kgK * (supply_C - return_C));
    return out;
}

const rating::Kind radiator = {.key = "radiator",
                               .words = "radiator",
                               .stands = rating::Stands::room,
                               .gives = {Service::heating},
                               .assumed = rating::AssumedWater{70.0, 55.0},
                               .needs = {radiator_needs.begin(), radiator_needs.end()},
                               .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                   return std::make_unique<rating::ShelfOf<RadiatorData, Radiator>>("radiator");
                               }};

} // namespace venture::terminal
