/// Any bytes as a project file and as a product file: read, resolve, connect, tell; never crash.
#include <cstdint>
#include <string>

#include <venture/building/overlay.hpp>
#include <venture/building/resolve.hpp>
#include <venture/catalogue/read_catalogue.hpp>
#include <venture/project/read_project.hpp>
#include <venture/services/services.hpp>

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    using namespace venture;
    const std::string text{reinterpret_cast<const char*>(data), size};
    project::ProjectFile file = project::read_project_text(text, "fuzz.toml");
    (void)building::apply_overlay(file.input, text.substr(0, 40), text.substr(0, 20));
    building::Resolved resolved = building::resolve(file.input);
    for (const auto& problem : project::in_reading_order(resolved.problems, resolved.effective.origins))
        (void)project::in_words(problem, resolved.effective.origins, file.sources);
    (void)services::connect(file.input, {});
    catalogue::Catalogue products;
    catalogue::read_catalogue_text(text, "fuzz.toml", products);
    return 0;
}
