#include <venture/building/overlay.hpp>

#include <algorithm>
#include <type_traits>
#include <vector>

#include <fmt/format.h>

#include <venture/building/chosen_units.hpp>
#include <venture/building/key_value.hpp>
#include <venture/building/keys.hpp>

namespace venture::building {

using quantity::OriginId;
using quantity::Problem;
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
        std::vector<std::string> tables;
        for_each_table(input_, [&](std::string_view name, auto& records) {
            tables.emplace_back(name);
            if (name == table) into(table, records, rest);
        });
        if (!found_table_) fail("table", table, tables);
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
    template <class Records>
    void into(const std::string& table, Records& records, const std::string& rest)
    {
        found_table_ = true;
        if constexpr (requires { records.begin(); }) {
            typename Records::value_type* best = nullptr;
            std::vector<std::string> labels;
            std::size_t length = 0;
            for (std::size_t i = 0; i < records.size(); ++i) {
                labels.push_back(label_of(records[i], i));
                const std::string& label = labels.back();
                const bool fits = rest == label || rest.starts_with(label + "/");
                if (!fits || (best != nullptr && label.size() <= length)) continue;
                best = &records[i];
                length = label.size();
            }
            if (best == nullptr) return fail(table, cut(rest).first, labels);
            key_of(*best, rest.substr(std::min(length + 1, rest.size())));
        } else {
            key_of(records, rest);
        }
    }

    template <class Record>
    void key_of(Record& record, const std::string& path)
    {
        const auto [typed, rest] = cut(path);
        bool done = false;
        std::vector<std::string> names;
        for_each_key_set(record, [&](auto& object, auto keys) {
            for (const auto& key : keys) {
                names.emplace_back(key.spec.name);
                if (key.spec.name != typed || !rest.empty()) continue; // nothing stands inside a value
                done = true;
                std::visit([&](auto field) { assign(object.*field, key.spec); }, key.field);
            }
        });
        for_each_nested_table(record, [&](std::string_view name, auto& nested) {
            if (done || name != typed) return;
            done = true;
            into(typed, nested, rest);
        });
        if (!done) fail("key", path, names);
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
    bool found_table_ = false;
    std::optional<Problem> problem_{};
};

} // namespace

std::optional<Problem> apply_overlay(Input& input, std::string_view path, std::string_view text)
{
    return Overlay{input, path, text}.run();
}

} // namespace venture::building
