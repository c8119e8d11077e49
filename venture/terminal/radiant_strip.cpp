#include <venture/terminal/radiant_strip.hpp>

#include <cmath>

#include <venture/rating/emitter_law.hpp>
#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

namespace {

/// As a radiator that lies under the ceiling: its height is the width of the strip.
RadiatorData as_radiator(const RadiantStripData& d)
{
    constexpr double nominal_excess_K = 55.0; // EN 14037-1
    RadiatorData out;
    out.name = d.name;
    out.maker = d.maker;
    out.family = d.family;
    out.height = *d.width;
    out.length = *d.length;
    out.output = *d.output * std::pow(rating::standard_excess_K() / nominal_excess_K, *d.exponent);
    out.exponent = *d.exponent;
    out.cost = d.cost;
    return out;
}

} // namespace

const quantity::RecordSpec& RadiantStripData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = RadiantStripData;
    static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({
        {name_key(), &T::name},
        {maker_key(), &T::maker},
        {family_key(), &T::family},
        {must(number("length", Kind::length, 0.5, 60, "of the strip")), &T::length},
        {must(number("width", Kind::length, 0.1, 3, "of the strip")), &T::width},
        {must(number("output", Kind::power, 1, largest_W, "with water 55 K above the room in the mean, EN 14037")),
         &T::output},
        {must(number("exponent", Kind::number, 1, 2, "of the characteristic equation")), &T::exponent},
        {cost_key(), &T::cost},
        {note_key(), &T::note},
    });
    return all;
}

RadiantStrip::RadiantStrip(const RadiantStripData& data, std::string from)
    : Radiator{as_radiator(data), std::move(from)}
{
}

const rating::Kind radiant_strip = {.key = "radiant_strip",
                                    .words = "radiant strip",
                                    .tag = "RST",
                                    .stands = rating::Stands::room,
                                    .radiant_share = 0.60,
                                    .gives = {rating::Service::heating},
                                    .needs = {radiator_needs.begin(), radiator_needs.end()},
                                    .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                        return std::make_unique<rating::ShelfOf<RadiantStripData, RadiantStrip>>(
                                            "radiant_strip");
                                    }};

} // namespace venture::terminal
