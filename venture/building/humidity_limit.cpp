#include <venture/building/humidity_limit.hpp>

#include <venture/air/moist_air.hpp>

namespace venture::building {

double HumidityLimit::humidity_ratio(double air_C, quantity::Pressure pressure) const
{
    switch (by) {
    case By::relative:
        return air::humidity_ratio_at(value, quantity::Temperature::celsius(at_C.value_or(air_C)), pressure);
    case By::dew_point:
        return air::humidity_ratio_at(1.0, quantity::Temperature::celsius(value), pressure);
    case By::ratio:
        break;
    }
    return value;
}

std::string in_words(const HumidityLimit& limit, const quantity::PreferredUnits& units)
{
    switch (limit.by) {
    case HumidityLimit::By::relative:
        return units.text(limit.value, quantity::Kind::fraction) +
               (limit.at_C ? " at " + units.text(*limit.at_C, quantity::Kind::temperature) : std::string{});
    case HumidityLimit::By::dew_point:
        return "dew point " + units.text(limit.value, quantity::Kind::temperature);
    case HumidityLimit::By::ratio:
        break;
    }
    return units.text(limit.value, quantity::Kind::humidity_ratio);
}

} // namespace venture::building
