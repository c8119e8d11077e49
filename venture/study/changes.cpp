#include <venture/study/changes.hpp>

#include <string_view>

#include <fmt/format.h>

#include <venture/input/overlay.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::study {

namespace {

/// Whether a change would name a file, which is read before: it would change nothing, without a word.
bool names_a_file(std::string_view change)
{
    const std::string_view table = change.substr(0, change.find('/'));
    return table == "library" || table == "table" || table == "loads" ||
           change.substr(0, change.find('=')).ends_with("/file");
}

} // namespace

void lay_over(input::Input& input, const std::vector<std::string>& changes, quantity::Problems& problems)
{
    for (const std::string& change : changes) {
        const auto equals = change.find('=');
        const auto refuse = [&](std::string message, const char* hint) {
            problems.add({quantity::Severity::error, quantity::codes::overlay,
                          input.origins.add({.kind = quantity::OriginKind::overlay, .text = change}),
                          std::move(message), hint});
        };
        if (names_a_file(change))
            refuse(fmt::format("[{}] names files, which are read before changes are laid over",
                               std::string_view{change}.substr(0, change.find('/'))),
                   "change it in the project");
        else if (equals == std::string::npos)
            refuse("no '=' in it", "write --set \"room/Boat hall/height=5 m\"");
        else if (auto wrong = input::apply_overlay(input, change.substr(0, equals), change.substr(equals + 1)))
            problems.add(std::move(*wrong));
    }
}

} // namespace venture::study
