#include <venture/input/overlay.hpp>

#include <algorithm>
#include <vector>

#include <fmt/format.h>

#include <venture/input/chosen_units.hpp>
#include <venture/input/key_value.hpp>
#include <venture/quantity/record.hpp>

namespace venture::input {

using quantity::Key;
using quantity::KeySpec;
using quantity::Nested;
using quantity::OriginId;
using quantity::Problem;
using quantity::Record;
using quantity::Records;
namespace codes = quantity::codes;

namespace {

/// A path in parts, with blanks around each taken away.
std::string tidied(std::string_view path)
{
    std::string out;
    while (true) {
        const auto slash = path.find('/');
        out += quantity::trimmed(path.substr(0, slash));
        if (slash == std::string_view::npos) return out;
        out += '/';
        path.remove_prefix(slash + 1);
    }
}

/// The part of a path before its first slash, and what follows it.
std::pair<std::string, std::string> cut(const std::string& path)
{
    const auto slash = path.find('/');
    if (slash == std::string::npos) return {path, {}};
    return {path.substr(0, slash), path.substr(slash + 1)};
}

std::vector<std::string> split_list(std::string_view text)
{
    std::vector<std::string> items;
    while (true) {
        const auto comma = text.find(',');
        items.emplace_back(quantity::trimmed(text.substr(0, comma)));
        if (comma == std::string_view::npos) return items;
        text.remove_prefix(comma + 1);
    }
}

class Overlay {
public:
    Overlay(Input& input, std::string_view path, std::string_view text)
        : input_{input},
          path_{tidied(path)},
          text_{text},
          origin_{input.origins.add({.kind = quantity::OriginKind::overlay, .text = fmt::format("{}={}", path, text)})}
    {
    }

    std::optional<Problem> run()
    {
        const auto [table, rest] = cut(path_);
        const Record all{input_};
        if (const Nested* found = Input::spec().find_nested(table))
            into(all.records(*found), rest);
        else
            fail("table", table, Input::spec().names());
        return problem_;
    }

private:
    void fail(std::string_view what, const std::string& typed, const std::vector<std::string>& allowed)
    {
        const auto near = quantity::nearest_name(typed, allowed);
        problem_ = Problem{quantity::Severity::error, codes::overlay, origin_,
                           fmt::format("no {} is called '{}'; there {}", what, typed,
                                       allowed.empty() ? "is none" : "are " + quantity::listed(allowed)),
                           near ? fmt::format("did you mean '{}'?", *near) : std::string{}};
    }

    /// A list of tables wants a name next, which may hold slashes itself: the longest name that fits is taken.
    void into(const Records& records, const std::string& rest)
    {
        if (!records.table().is_list()) return key_of(records[0], rest);
        if (const auto [name, inside] = cut(rest); name == "*" && records.size() > 0) {
            for (std::size_t i = 0; i < records.size() && !problem_; ++i) key_of(records[i], inside);
            return;
        }
        std::optional<std::size_t> best;
        std::vector<std::string> labels;
        for (std::size_t i = 0; i < records.size(); ++i) {
            labels.push_back(label_of(records[i], i));
            const std::string& label = labels.back();
            const bool fits = rest == label || rest.starts_with(label + "/");
            if (fits && (!best || label.size() > labels[*best].size())) best = i;
        }
        if (!best) return fail(records.table().name, cut(rest).first, labels);
        key_of(records[*best], rest.substr(std::min(labels[*best].size() + 1, rest.size())));
    }

    void key_of(const Record& record, const std::string& path)
    {
        const auto [typed, rest] = cut(path);
        const Key* key = record.spec().find_key(typed);
        if (&record.spec() == &UnitsInput::spec() && typed == "typed") {
            problem_ = Problem{quantity::Severity::error, codes::overlay, origin_,
                               "what bare numbers are read in holds for the file that states it alone",
                               "write the unit behind the number: --set \"room/Hall/height=10 ft\""};
            return;
        }
        if (key != nullptr && rest.empty()) // nothing stands inside a value
            return record.visit(*key, [&](auto& given) { assign(given, key->spec); });
        if (const Nested* nested = record.spec().find_nested(typed)) return into(record.records(*nested), rest);
        fail("key", path, record.spec().names());
    }

    template <class T>
    void assign(quantity::Given<T>& given, const KeySpec& spec)
    {
        T value{};
        if constexpr (std::is_same_v<T, double>) {
            problem_ = read_number(text_, spec, origin_, value, chosen_units(input_.units));
        } else if constexpr (std::is_same_v<T, std::string>) {
            problem_ = read_word(text_, spec, origin_, value);
        } else if constexpr (std::is_same_v<T, TextList>) {
            for (auto& item : split_list(text_)) value.push_back({item, origin_});
        } else if constexpr (std::is_same_v<T, QuantityList>) {
            for (const auto& item : split_list(text_)) {
                value.push_back(0.0);
                if (!problem_) problem_ = read_number(item, spec, origin_, value.back(), chosen_units(input_.units));
            }
            if (!problem_ && spec.count != 0 && value.size() != spec.count)
                problem_ =
                    key_problem(codes::wrong_type, origin_, spec, fmt::format("{} numbers expected", spec.count));
        } else {
            problem_ = key_problem(codes::overlay, origin_, spec, "corners cannot be set from the command line",
                                   "set at and size, or edit the file");
        }
        if (!problem_) given = quantity::Given<T>{std::move(value), origin_};
    }

    Input& input_;
    std::string path_;
    std::string_view text_;
    OriginId origin_;
    std::optional<Problem> problem_{};
};

} // namespace

std::optional<Problem> apply_overlay(Input& input, std::string_view path, std::string_view text)
{
    if (path.find('*') == std::string_view::npos) return Overlay{input, path, text}.run();
    Input changed = input; // of several records, none is changed where one cannot be
    auto problem = Overlay{changed, path, text}.run();
    if (problem)
        problem->where = input.origins.add(changed.origins.at(problem->where));
    else
        input = std::move(changed);
    return problem;
}

} // namespace venture::input
