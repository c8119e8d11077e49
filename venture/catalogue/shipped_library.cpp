#include <venture/catalogue/shipped_library.hpp>

#include <venture/catalogue/shipped.hpp>
#include <venture/project/library.hpp>

namespace venture::catalogue {

namespace {

project::LibraryFile shipped(std::string_view file)
{
    return {"shipped", std::string{file}, std::string{shipped_file(file)}};
}

} // namespace

void take_from_shipped_library(input::Input& input, quantity::Problems& problems, const std::vector<std::string>& also)
{
    for (const std::string_view file : shipped_library())
        project::take_from_library(input, problems, shipped(file), also);
}

void read_shipped_library(input::Input& input, quantity::Problems& problems)
{
    for (const std::string_view file : shipped_library()) project::read_whole_library(input, problems, shipped(file));
}

} // namespace venture::catalogue
