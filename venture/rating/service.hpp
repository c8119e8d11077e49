#pragma once
/// What can be asked of a unit, a circuit or a plant.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/quantity/choice.hpp>

namespace venture::rating {

enum class Service : std::uint8_t { heating, cooling, drying, humidifying, outdoor_air, hot_water };
inline constexpr std::size_t number_of_services = 6;
inline constexpr std::array all_services = {Service::heating,     Service::cooling,     Service::drying,
                                            Service::humidifying, Service::outdoor_air, Service::hot_water};
static_assert(all_services.size() == number_of_services);

/// One value for each service.
template <class T>
class PerService {
public:
    [[nodiscard]] T& operator[](Service s) { return values_[static_cast<std::size_t>(s)]; }
    [[nodiscard]] const T& operator[](Service s) const { return values_[static_cast<std::size_t>(s)]; }
    [[nodiscard]] auto begin() const { return values_.begin(); }
    [[nodiscard]] auto end() const { return values_.end(); }

private:
    std::array<T, number_of_services> values_{};
};

} // namespace venture::rating

template <>
struct venture::quantity::WordsOf<venture::rating::Service> {
    static constexpr std::array<std::string_view, venture::rating::number_of_services> words = {
        "heating", "cooling", "drying", "humidifying", "outdoor air", "hot water"};
};
