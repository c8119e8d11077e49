#include <venture/plant/boiler.hpp>

#include <venture/rating/grid_table.hpp>
#include <venture/rating/product_keys.hpp>

namespace venture::plant {

using rating::At;
using rating::Output;
using rating::Refusal;
using rating::Service;

const quantity::RecordSpec& BoilerData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = BoilerData;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({
        {name_key(), &T::name},
        {maker_key(), &T::maker},
        {must(number("output", Kind::power, 1, largest_W, "at full load")), &T::output},
        {must(number("highest_supply", Kind::temperature, 20, 110, "that it can deliver")), &T::highest_supply},
        {note_key(), &T::note},
    });
    return all;
}

Boiler::Boiler(const BoilerData& d, std::string from)
    : Product{rating::label_of(d, std::move(from))},
      output_W_{*d.output},
      highest_supply_C_{*d.highest_supply}
{
}

std::variant<Output, Refusal> Boiler::rate(const rating::Conditions& at) const
{
    if (auto refused = refusal_of(rating::Axis{At::water_supply, {0.0, highest_supply_C_}}, at)) return *refused;
    Output out;
    out.gives_W[Service::heating] = output_W_;
    return out;
}

const rating::Kind boiler = {.key = "boiler",
                             .words = "boiler",
                             .tag = "BLR",
                             .stands = rating::Stands::plant_room,
                             .gives = {Service::heating},
                             .needs = {At::water_supply},
                             .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                 return std::make_unique<rating::ShelfOf<BoilerData, Boiler>>("boiler");
                             }};

} // namespace venture::plant
