/// Any bytes as a weather file. Few inputs are a year long, so one that begins with Y has its last line repeated until
/// it is one; what is read without an error is written and read back.
#include <cstdint>
#include <string>

#include <venture/exchange/weather_file.hpp>
#include <venture/quantity/error.hpp>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    using namespace venture;
    std::string text{reinterpret_cast<const char*>(data), size};
    constexpr std::size_t longest_line = 120;
    if (text.starts_with('Y')) {
        text.erase(0, 1);
        const auto from = text.rfind('\n');
        const std::string line = from == std::string::npos ? text : text.substr(from);
        for (int i = 1; i < 8760 && line.size() < longest_line; ++i) text += line;
    }
    quantity::OriginPool origins;
    quantity::Problems problems;
    const climate::Place site{.latitude_deg = 50.0, .longitude_deg = 8.0, .time_zone_h = 1.0};
    const auto year = exchange::read_weather(text, "fuzz.csv", {}, site, origins, problems);
    if (!year) return 0;
    quantity::Problems none;
    const auto again = exchange::read_weather(exchange::write_weather(*year), "again.csv", {}, {}, origins, none);
    VENTURE_ASSERT(again && again->size() == year->size());
    return 0;
}
