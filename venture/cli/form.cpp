#include <venture/cli/form.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/cli/parser.hpp>
#include <venture/quantity/names.hpp>

namespace venture::cli {

const std::vector<std::string>& forms()
{
    static const std::vector<std::string> all = {"text", "json", "csv", "html", "xlsx"};
    return all;
}

Form form_of(const std::string& word, const std::filesystem::path& output)
{
    const std::string ending = quantity::lower_case(output.extension().string());
    std::string by_ending = ending.empty() ? "" : ending.substr(1);
    if (by_ending == "txt") by_ending = "text";
    if (!output.empty() && word.empty() && std::ranges::find(forms(), by_ending) == forms().end())
        throw Misuse{fmt::format("'{}' does not say what to write: let it end in .txt, .json, .csv, .html or "
                                 ".xlsx, or say it with --as",
                                 output.string())};
    const bool ending_is_a_form = std::ranges::find(forms(), by_ending) != forms().end();
    if (!word.empty() && ending_is_a_form && word != by_ending)
        throw Misuse{
            fmt::format("--as {} and --output {}: the file's ending says another form; leave --as out, or change "
                        "one of them",
                        word, output.string())};
    const std::string& asked = word.empty() ? by_ending : word;
    if (asked.empty()) return Form::text;
    return static_cast<Form>(std::ranges::find(forms(), asked) - forms().begin());
}

} // namespace venture::cli
