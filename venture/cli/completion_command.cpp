/// `venture completion`: what a shell offers while a command is typed.

#include <algorithm>
#include <memory>
#include <string>
#include <vector>

#include <CLI/CLI.hpp>
#include <fmt/format.h>

#include <venture/cli/command.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>

namespace venture::cli::of_completion {

namespace {

/// What may follow some words: commands, options, or the values of one option.
struct Offer {
    std::string after{}; ///< "draw plan", "draw plan --fill"
    std::vector<std::string> words{};
};

std::vector<CLI::App*> commands_of(CLI::App& parser)
{
    return parser.get_subcommands([](const CLI::App*) { return true; });
}

/// "TEXT:{svg,png,pdf}": the words that an option takes, where they are few.
std::vector<std::string> choices_of(const CLI::Option& option)
{
    const std::string type = option.get_type_name();
    const auto open = type.find('{'), close = type.find('}');
    std::vector<std::string> out;
    if (open == std::string::npos || close == std::string::npos) return out;
    std::string words = type.substr(open + 1, close - open - 1);
    std::ranges::replace(words, ',', ' ');
    std::istringstream in{words};
    for (std::string word; in >> word;) out.push_back(word);
    return out;
}

void add_offers(CLI::App& parser, const std::string& path, std::vector<Offer>& out)
{
    Offer here{path, {}};
    for (const CLI::App* command : commands_of(parser)) here.words.push_back(command->get_name());
    std::vector<Offer> values;
    for (const CLI::Option* option : parser.get_options()) {
        const std::vector<std::string> choices = choices_of(*option);
        if (option->get_positional()) here.words.insert(here.words.end(), choices.begin(), choices.end());
        for (const std::string& name : option->get_lnames()) {
            here.words.push_back("--" + name);
            if (!choices.empty()) values.push_back({fmt::format("{} --{}", path, name), choices});
        }
    }
    out.push_back(std::move(here));
    std::ranges::move(values, std::back_inserter(out));
    for (CLI::App* command : commands_of(parser))
        add_offers(*command, path.empty() ? command->get_name() : path + " " + command->get_name(), out);
}

/// One branch of a shell's case for each offer.
std::string cases(const std::vector<Offer>& offers)
{
    std::string out;
    for (const Offer& offer : offers)
        out += fmt::format("        '{}') offered='{}' ;;\n", offer.after, fmt::join(offer.words, " "));
    return out;
}

/// The words so far that are commands, as a shell finds them.
constexpr const char* walk = R"(    local command='' offered='' word
    for word in "${typed[@]}"; do
        case "$command $word" in
%KNOWN%        esac
    done
    case "$command $previous" in *' --'*) command="$command $previous" ;; esac
    command="${command# }"
    case "$command" in
%OFFERS%    esac
)";

std::string with(std::string text, const std::string& mark, const std::string& instead)
{
    return text.replace(text.find(mark), mark.size(), instead);
}

std::string script(CLI::App& program, const std::string& shell)
{
    std::vector<Offer> offers;
    add_offers(program, "", offers);
    std::string known;
    for (const Offer& offer : offers)
        if (!offer.after.empty() && offer.after.find(" --") == std::string::npos)
            known += fmt::format("            {}'{}') command='{}' ;;\n",
                                 offer.after.find(' ') == std::string::npos ? "' '" : "", offer.after, offer.after);
    const std::string body = with(with(walk, "%KNOWN%", known), "%OFFERS%", cases(offers));
    if (shell == "bash")
        return "# Completion of venture for bash.\n_venture() {\n"
               "    local -a typed=(\"${COMP_WORDS[@]:1:COMP_CWORD-1}\")\n"
               "    local current=\"${COMP_WORDS[COMP_CWORD]}\" previous=\"${COMP_WORDS[COMP_CWORD-1]}\"\n" +
               body +
               "    COMPREPLY=($(compgen -W \"$offered\" -- \"$current\"))\n"
               "    [[ $command == *' --'* && -n $offered ]] || COMPREPLY+=($(compgen -f -- \"$current\"))\n}\n"
               "complete -o filenames -F _venture venture\n";
    return "#compdef venture\n# Completion of venture for zsh.\n_venture() {\n"
           "    local -a typed=(\"${(@)words[2,CURRENT-1]}\")\n"
           "    local previous=\"${words[CURRENT-1]}\"\n" +
           body + "    compadd -- ${=offered}\n    _files\n}\n_venture \"$@\"\n";
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto shell = std::make_shared<std::string>();
    parser.add("SHELL", *shell, "bash or zsh").required().one_of({"bash", "zsh"});
    return [shell, &parser] {
        print(script(*parser.app().get_parent(), *shell));
        return ExitCode::done;
    };
}

} // namespace

} // namespace venture::cli::of_completion

namespace venture::cli {

extern const Command completion_command;
const Command completion_command = {"completion", Group::exchange,
                                    "print what makes a shell complete commands and options: bash, zsh",
                                    of_completion::declare};

} // namespace venture::cli
