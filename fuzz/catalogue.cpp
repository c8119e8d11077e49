/// Any bytes as a product file.
#include <cstdint>
#include <string>

#include <venture/catalogue/read_catalogue.hpp>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    venture::catalogue::Catalogue products;
    venture::catalogue::read_catalogue_text({reinterpret_cast<const char*>(data), size}, "fuzz.toml", products);
    return 0;
}
