#include <venture/cli/picture_kind.hpp>

#include <algorithm>
#include <array>

#include <CLI/CLI.hpp>
#include <fmt/format.h>

#include <venture/quantity/names.hpp>

namespace venture::cli {

draw::Picture kind_of_picture(const std::string& asked, const std::filesystem::path& output)
{
    constexpr std::array kinds = {"svg", "png", "pdf"}; // in the order of draw::Picture
    const std::string ending = quantity::lower_case(output.extension().string());
    const auto by_ending =
        std::ranges::find_if(kinds, [&](const char* kind) { return ending == std::string{"."} + kind; });
    if (!asked.empty() && by_ending != kinds.end() && asked != *by_ending)
        throw CLI::ValidationError{
            fmt::format("--as {} and --output {}: the file's ending says another kind of picture; "
                        "leave --as out, or change one of them",
                        asked, output.string())};
    const std::string kind = !asked.empty() ? asked : by_ending != kinds.end() ? *by_ending : kinds.front();
    return static_cast<draw::Picture>(std::ranges::find(kinds, kind) - kinds.begin());
}

} // namespace venture::cli
