#include <venture/building/overlay.hpp>

#include <algorithm>
#include <type_traits>
#include <vector>

#include <fmt/format.h>

#include <venture/building/key_value.hpp>
#include <venture/building/keys.hpp>

namespace venture::building {

using quantity::OriginId;
using quantity::Problem;
namespace codes = quantity::codes;

namespace {

std::vector<std::string> split_path(std::string_view path)
{
    std::vector<std::string> parts;
    while (true) {
        const auto slash = path.find('/');
        parts.emplace_back(quantity::trimmed(path.substr(0, slash)));
        if (slash == std::string_view::npos) return parts;
        path.remove_prefix(slash + 1);
    }
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

/// What a record is called in a path.
template <class Record>
std::string label_of(const Record& record)
{
    if constexpr (requires { record.month; })
        return record.month ? fmt::format("{:g}", *record.month) : "";
    else if constexpr (requires { record.name; })
        return record.name ? *record.name : "";
    else if constexpr (requires { record.on; })
        return record.on ? *record.on : "";
    else
        return "";
}

class Overlay {
public:
    Overlay(Input& input, std::string_view path, std::string_view text)
        : input_{input},
          parts_{split_path(path)},
          text_{text},
          origin_{input.origins.add({.kind = quantity::OriginKind::overlay, .text = fmt::format("{}={}", path, text)})}
    {
    }

    std::optional<Problem> run()
    {
        std::vector<std::string> tables;
        for_each_table(input_, [&](std::string_view name, auto& records) {
            tables.emplace_back(name);
            if (name == parts_.front()) into(records, 1);
        });
        if (!found_table_) fail("table", parts_.front(), tables);
        return problem_;
    }

private:
    void fail(std::string_view what, const std::string& typed, const std::vector<std::string>& allowed)
    {
        const auto near = quantity::nearest_name(typed, allowed);
        problem_ = Problem{quantity::Severity::error, codes::overlay, origin_,
                           fmt::format("no {} is called '{}'; there are {}", what, typed, quantity::listed(allowed)),
                           near ? fmt::format("did you mean '{}'?", *near) : std::string{}};
    }

    template <class Records>
    void into(Records& records, std::size_t at)
    {
        found_table_ = true;
        if constexpr (requires { records.begin(); }) {
            std::vector<std::string> labels;
            for (auto& record : records) {
                labels.push_back(label_of(record));
                if (at < parts_.size() && labels.back() == parts_[at]) return key_of(record, at + 1);
            }
            fail(parts_[at - 1], at < parts_.size() ? parts_[at] : "", labels);
        } else {
            key_of(records, at);
        }
    }

    template <class Record>
    void key_of(Record& record, std::size_t at)
    {
        const std::string typed = at < parts_.size() ? parts_[at] : "";
        bool done = false;
        std::vector<std::string> names;
        for_each_key_set(record, [&](auto& object, auto keys) {
            for (const auto& key : keys) {
                names.emplace_back(key.spec.name);
                if (key.spec.name != typed) continue;
                done = true;
                std::visit([&](auto field) { assign(object.*field, key.spec); }, key.field);
            }
        });
        for_each_nested_table(record, [&](std::string_view name, auto& nested) {
            if (done || name != typed) return;
            done = true;
            into(nested, at + 1);
        });
        if (!done) fail("key", typed, names);
    }

    template <class T>
    void assign(quantity::Given<T>& given, const KeySpec& spec)
    {
        T value{};
        if constexpr (std::is_same_v<T, double>) {
            problem_ = read_number(text_, spec, origin_, value);
        } else if constexpr (std::is_same_v<T, std::string>) {
            problem_ = read_word(text_, spec, origin_, value);
        } else if constexpr (std::is_same_v<T, TextList>) {
            for (auto& item : split_list(text_)) value.push_back({item, origin_});
        } else if constexpr (std::is_same_v<T, QuantityList>) {
            for (const auto& item : split_list(text_)) {
                value.push_back(0.0);
                if (!problem_) problem_ = read_number(item, spec, origin_, value.back());
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
    std::vector<std::string> parts_;
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
