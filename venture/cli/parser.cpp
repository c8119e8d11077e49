#include <venture/cli/parser.hpp>

#include <CLI/CLI.hpp>

namespace venture::cli {

Argument& Argument::required(bool must)
{
    option_->required(must);
    return *this;
}

Argument& Argument::one_of(const std::vector<std::string>& words)
{
    option_->check(CLI::IsMember(words));
    return *this;
}

Argument& Argument::one_of_numbers(const std::vector<int>& numbers)
{
    option_->check(CLI::IsMember(numbers));
    return *this;
}

Argument& Argument::between(int least, int most)
{
    option_->check(CLI::Range(least, most));
    return *this;
}

Argument& Argument::shows_default()
{
    option_->capture_default_str();
    return *this;
}

Argument& Argument::one_each()
{
    option_->allow_extra_args(false);
    return *this;
}

Argument& Argument::takes(int least, int most)
{
    option_->expected(least, most);
    return *this;
}

Argument& Argument::split_at(char separator)
{
    option_->delimiter(separator);
    return *this;
}

Argument& Argument::value_called(const std::string& name)
{
    option_->type_name(name);
    return *this;
}

Argument Parser::add(const std::string& names, std::string& into, const std::string& help)
{
    return Argument{app_->add_option(names, into, help)};
}

Argument Parser::add(const std::string& names, std::filesystem::path& into, const std::string& help)
{
    return Argument{app_->add_option(names, into, help)};
}

Argument Parser::add(const std::string& names, std::vector<std::string>& into, const std::string& help)
{
    return Argument{app_->add_option(names, into, help)};
}

Argument Parser::add(const std::string& names, int& into, const std::string& help)
{
    return Argument{app_->add_option(names, into, help)};
}

Argument Parser::add(const std::string& names, double& into, const std::string& help)
{
    return Argument{app_->add_option(names, into, help)};
}

Argument Parser::flag(const std::string& names, bool& into, const std::string& help)
{
    return Argument{app_->add_flag(names, into, help)};
}

Argument Parser::operator[](const std::string& name) const { return Argument{app_->get_option(name)}; }

bool Parser::was_given(const std::string& name) const { return app_->count(name) > 0; }

} // namespace venture::cli
