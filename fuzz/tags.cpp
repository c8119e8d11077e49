// Reads any bytes as a list of tags; what was read comes back as it was written.

#include <cstdint>
#include <cstdlib>
#include <string>

#include <venture/exchange/tags_file.hpp>
#include <venture/quantity/error.hpp>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    using namespace venture;
    const std::string text{reinterpret_cast<const char*>(data), size};
    try {
        study::Tags tags = exchange::tags_in(text, "tags.csv");
        (void)tags.give_to({{"radiator", "Hall", "window", "RAD-0"}, {"radiator", "Hall", "", "RAD-0"}});
        const std::string once = exchange::text_of(tags);
        if (exchange::text_of(exchange::tags_in(once, "tags.csv")) != once) std::abort();
    } catch (const quantity::Error&) { // what is no list says so
    }
    return 0;
}
