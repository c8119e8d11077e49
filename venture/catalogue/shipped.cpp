#include <venture/catalogue/shipped.hpp>

#include <string>

#include <venture/quantity/error.hpp>

namespace venture::catalogue {

std::string_view shipped_file(std::string_view path)
{
    for (const ShippedFile& file : shipped_files())
        if (file.path == path) return file.text;
    throw quantity::Error{"no data file called '" + std::string{path} + "' ships with Venture"};
}

const std::vector<std::string_view>& shipped_library()
{
    static const std::vector<std::string_view> files = {
        "library/build_ups.toml",
        "library/glass.toml",
        "library/materials.toml",
        "library/room_types_europe.toml",
        "library/room_types_north_america.toml",
        "library/hours.toml", // after the types, which name them
    };
    return files;
}

} // namespace venture::catalogue
