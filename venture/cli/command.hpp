#pragma once
/// A command of the program: each is declared in a file of its own and stands in the list of them.

#include <cstdint>
#include <functional>
#include <span>
#include <string_view>

#include <venture/cli/exit_code.hpp>
#include <venture/cli/parser.hpp>

namespace venture::cli {

/// What --help puts together, in the order of the work.
enum class Group : std::uint8_t { begin, understand, compute, draw, exchange };
[[nodiscard]] std::string_view heading_of(Group group);

struct Command {
    std::string_view name; ///< "loads"; "draw plan" is a command of "draw"
    Group group{};
    std::string_view help;
    /// Declares options and arguments on the parser; what it returns runs the command with them.
    std::function<ExitCode()> (*declare)(Parser& parser) = nullptr;
};

/// All of them, as --help lists them.
[[nodiscard]] std::span<const Command* const> commands();

} // namespace venture::cli
