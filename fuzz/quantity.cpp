/// Any bytes as a quantity of every kind, as a range of hours and as days; what is read prints and reads back.
#include <cmath>
#include <cstdint>
#include <string>

#include <venture/calendar/days.hpp>
#include <venture/calendar/profile.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/units.hpp>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    using namespace venture;
    const std::string text{reinterpret_cast<const char*>(data), size};
    for (const quantity::Kind kind : quantity::all_kinds()) {
        const auto parsed = quantity::parse_quantity(text, kind);
        if (const double* value = std::get_if<double>(&parsed)) {
            if (std::isfinite(*value)) (void)quantity::parse_quantity(quantity::print_quantity(*value, kind), kind);
        }
    }
    const auto hours = calendar::parse_hour_range(text);
    if (const auto* ranges = std::get_if<std::vector<calendar::HourRange>>(&hours))
        for (const auto& r : *ranges) VENTURE_ASSERT(r.from_min >= 0 && r.from_min < r.to_min && r.to_min <= 24 * 60);
    (void)calendar::parse_days(text, {.year = 2027});
    return 0;
}
