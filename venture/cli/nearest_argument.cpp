#include <venture/cli/nearest_argument.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>

namespace venture::cli {

namespace {

std::vector<std::string> commands_of(const CLI::App& app)
{
    std::vector<std::string> out;
    for (const CLI::App* command : app.get_subcommands([](const CLI::App*) { return true; }))
        out.push_back(command->get_name());
    return out;
}

std::vector<std::string> options_of(const CLI::App& app)
{
    std::vector<std::string> out;
    for (const CLI::Option* option : app.get_options())
        for (const std::string& name : option->get_lnames()) out.push_back("--" + name);
    return out;
}

} // namespace

std::string with_nearest(std::string said, const CLI::App& app, const std::vector<std::string>& arguments)
{
    const CLI::App* command = &app;
    for (const std::string& argument : arguments) {
        const bool is_option = argument.starts_with('-');
        const std::vector<std::string> known = is_option ? options_of(*command) : commands_of(*command);
        if (std::ranges::find(known, argument) != known.end()) {
            if (!is_option) command = command->get_subcommand(argument);
            continue;
        }
        if (!is_option && known.empty()) continue; // a value
        if (const auto near = quantity::nearest_name(argument.substr(0, argument.find('=')), known))
            said += fmt::format("'{}': did you mean '{}'?\n", argument, *near);
    }
    return said;
}

} // namespace venture::cli
