#include <venture/terminal/air_curtain.hpp>

namespace venture::terminal {

const quantity::RecordSpec& AirCurtainData::spec()
{
    using namespace rating::keys; // NOLINT(google-build-using-namespace): words that only declare keys
    using T = AirCurtainData;
    static const quantity::RecordSpec all = [] {
        std::vector<quantity::Key> keys = UnitHeaterData::keys_of<T>();
        keys.emplace_back(must(number("length", Kind::length, 0.3, 20, "width of the door that it covers")),
                          &T::length);
        keys.emplace_back(must(number("reach", Kind::length, 1.5, 15, "height of the door that its air reaches down")),
                          &T::reach);
        return quantity::RecordSpec::of<T>(std::move(keys));
    }();
    return all;
}

AirCurtain::AirCurtain(const AirCurtainData& data, std::string from)
    : UnitHeater{data, rating::label_of(data, std::move(from))}
{
}

const rating::Kind air_curtain = {.key = "air_curtain",
                                  .words = "air curtain",
                                  .tag = "AC",
                                  .stands = rating::Stands::room,
                                  .along = rating::Along::doors,
                                  .gives = {rating::Service::heating},
                                  .needs = {unit_heater_needs.begin(), unit_heater_needs.end()},
                                  .shelf = []() -> std::unique_ptr<rating::Shelf> {
                                      return std::make_unique<rating::ShelfOf<AirCurtainData, AirCurtain>>(
                                          "air_curtain");
                                  }};

} // namespace venture::terminal
