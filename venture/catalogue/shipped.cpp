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

} // namespace venture::catalogue
