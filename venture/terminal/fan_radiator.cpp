#include <venture/terminal/fan_radiator.hpp>

#include <venture/rating/product_keys.hpp>

namespace venture::terminal {

using rating::Output;
using rating::Refusal;
using rating::Service;

const quantity::RecordSpec& FanRadiatorData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = FanRadiatorData;
    static const quantity::RecordSpec all = [] {
        std::vector<quantity::Key> keys = RadiatorData::keys_of<T>();
        keys.emplace_back(speed_key(), &T::speed);
        keys.emplace_back(fan_power_key("all of which heats the room; output does not hold it"), &T::fan_power);
        keys.emplace_back(sound_key(), &T::sound);
        return quantity::RecordSpec::of<T>(std::move(keys));
    }();
    return all;
}

FanRadiator::FanRadiator(const FanRadiatorData& d, std::string from)
    : Radiator{d, rating::label_of(d, std::move(from))},
      fan_W_{d.fan_power.value.value_or(0.0)},
      sound_dBA_{d.sound.value.value_or(rating::unknown)}
{
}

std::variant<Output, Refusal> FanRadiator::rate(const rating::Conditions& at) const
{
    auto rated = Radiator::rate(at);
    if (auto* out = std::get_if<Output>(&rated)) add_fan(*out);
    return rated;
}

std::optional<Output> FanRadiator::giving(const rating::Conditions& at, double W) const
{
    auto out = Radiator::giving(at, W - fan_W_);
    if (out) add_fan(*out);
    return out;
}

void FanRadiator::add_fan(Output& out) const
{
    out.gives_W[Service::heating] += fan_W_;
    out.fan_W = fan_W_;
    if (fan_W_ > 0.0) out.electric_W = fan_W_;
    out.sound_power_dBA = sound_dBA_;
}

const rating::Kind fan_radiator = {.key = "fan_radiator",
                                   .words = "fan radiator",
                                   .tag = "FRD",
                                   .stands = rating::Stands::room,
                                   .along = rating::Along::windows,
                                   .radiant_share = 0.10,
                                   .gives = {Service::heating},
                                   .needs = {radiator_needs.begin(), radiator_needs.end()},
                                   .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                       return std::make_unique<rating::ShelfOf<FanRadiatorData, FanRadiator>>(
                                           "fan_radiator");
                                   }};

} // namespace venture::terminal
