#pragma once
/// Declaring a command's options and arguments, without what reads them.

#include <filesystem>
#include <stdexcept>
#include <string>
#include <vector>

namespace CLI {
class App;
class Option;
} // namespace CLI

namespace venture::cli {

/// A command line that does not say what to do.
struct Misuse : std::runtime_error {
    using std::runtime_error::runtime_error;
};

/// An option or argument that was declared, to say more of it.
class Argument {
public:
    explicit Argument(CLI::Option* option) : option_{option} {}
    Argument& required(bool must = true);
    Argument& one_of(const std::vector<std::string>& words);
    Argument& one_of_numbers(const std::vector<int>& numbers);
    Argument& between(int least, int most);
    /// Help shows what it holds without being given.
    Argument& shows_default();
    /// May be repeated, with one value each time.
    Argument& one_each();
    /// So many values.
    Argument& takes(int least, int most);
    Argument& split_at(char separator);
    /// What help calls its value.
    Argument& value_called(const std::string& name);

private:
    CLI::Option* option_;
};

/// Options and arguments of one command. What they are read into must outlive the reading.
class Parser {
public:
    explicit Parser(CLI::App& app) : app_{&app} {}
    /// @param names  "--set", "-o,--output", or "PROJECT" for what needs no name
    Argument add(const std::string& names, std::string& into, const std::string& help);
    Argument add(const std::string& names, std::filesystem::path& into, const std::string& help);
    Argument add(const std::string& names, std::vector<std::string>& into, const std::string& help);
    Argument add(const std::string& names, int& into, const std::string& help);
    Argument add(const std::string& names, double& into, const std::string& help);
    Argument flag(const std::string& names, bool& into, const std::string& help);
    /// One that was declared already.
    [[nodiscard]] Argument operator[](const std::string& name) const;
    [[nodiscard]] bool was_given(const std::string& name) const;
    [[nodiscard]] CLI::App& app() const { return *app_; }

private:
    CLI::App* app_;
};

} // namespace venture::cli
