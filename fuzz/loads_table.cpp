/// Any bytes as a table of typed loads; what is read without a complaint is written and read back.
#include <cstdint>
#include <string>

#include <venture/exchange/loads_table.hpp>
#include <venture/quantity/error.hpp>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    using namespace venture;
    quantity::OriginPool origins;
    quantity::Problems problems;
    const auto table =
        exchange::read_loads_table({reinterpret_cast<const char*>(data), size}, "fuzz.csv", origins, problems);
    if (problems.empty()) {
        const auto again =
            exchange::read_loads_table(exchange::write_loads_table(table.loads), "again.csv", origins, problems);
        VENTURE_ASSERT(problems.empty() && again.loads.rooms.size() == table.loads.rooms.size());
    }
    return 0;
}
