#include <venture/terminal/electric_heater.hpp>

#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

using rating::Output;
using rating::Service;

const quantity::RecordSpec& ElectricHeaterData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = ElectricHeaterData;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({
        {name_key(), &T::name},
        {maker_key(), &T::maker},
        {family_key(), &T::family},
        {must(height_key()), &T::height},
        {must(length_key()), &T::length},
        {depth_key(), &T::depth},
        {must(number("output", Kind::power, 1, largest_W, "that it gives, and takes of electricity")), &T::output},
        {number("surface", Kind::temperature, 20, 300, "the warmest of it that can be touched"), &T::surface},
        {cost_key(), &T::cost},
        {note_key(), &T::note},
    });
    return all;
}

ElectricHeater::ElectricHeater(const ElectricHeaterData& d, std::string from)
    : Product{rating::label_of(d, std::move(from))},
      output_W_{*d.output}
{
}

std::variant<Output, rating::Refusal> ElectricHeater::rate(const rating::Conditions& /*at*/) const
{
    Output out;
    out.gives_W[Service::heating] = out.electric_W = output_W_;
    return out;
}

const rating::Kind electric_heater = {.key = "electric_heater",
                                      .words = "electric heater",
                                      .tag = "EH",
                                      .stands = rating::Stands::room,
                                      .along = rating::Along::windows,
                                      .radiant_share = 0.30,
                                      .gives = {Service::heating},
                                      .medium = rating::Medium::electricity,
                                      .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                          return std::make_unique<rating::ShelfOf<ElectricHeaterData, ElectricHeater>>(
                                              "electric_heater");
                                      }};

} // namespace venture::terminal
