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
    static const auto files = [] {
        std::vector<std::string_view> out;
        for (const ShippedFile& file : shipped_files())
            if (file.path.starts_with("library/")) out.push_back(file.path);
        return out;
    }();
    return files;
}

} // namespace venture::catalogue
