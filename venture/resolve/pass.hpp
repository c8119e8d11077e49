#pragma once
/// What every pass can do: look at what was given, add to the building, say what is wrong. Internal to resolve.

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// The value; nothing typed where something must be is told elsewhere, and stands as 0 or no text here.
template <class T>
[[nodiscard]] T value_of(const Given<T>& given)
{
    return given ? *given : T{};
}

/// The same with its origin.
template <class T>
[[nodiscard]] Sourced<T> sourced(const Given<T>& given)
{
    return {value_of(given), given.origin};
}

/// Whether nothing of a record was refused or lies outside its bounds, which is told by itself.
[[nodiscard]] bool is_sound(const ConstRecord& record);

class Pass {
protected:
    explicit Pass(Work& work);
    Pass(const Pass&) = delete;
    Pass& operator=(const Pass&) = delete;
    ~Pass() = default;

    quantity::Problem& problem(std::string_view code, quantity::OriginId where, std::string message,
                               std::string hint = {});
    /// What is no error, about something.
    quantity::Problem& finding(quantity::Severity severity, std::string_view code, quantity::OriginId where,
                               const std::string& subject, std::string message, std::string hint);
    void tell_missing(std::string_view table, const ConstRecord& record, std::string_view keys, std::string hint,
                      std::string cause);
    /// Index of a name in a list of named things; complains if it is not there.
    template <class Range, class Name>
    std::optional<std::size_t> find(std::string_view what, const Given<std::string>& name, const Range& range,
                                    Name name_of)
    {
        for (std::size_t i = 0; i < std::size(range); ++i)
            if (const auto& called = name_of(range[i]); called == *name) return i;
        std::vector<std::string> names;
        for (const auto& item : range) names.push_back(name_of(item));
        tell_unknown(what, name, names);
        return std::nullopt;
    }
    void tell_unknown(std::string_view what, const Given<std::string>& name, const std::vector<std::string>& there);
    std::optional<std::size_t> find_room(const Given<std::string>& name);
    std::optional<std::size_t> find_build_up(const Given<std::string>& name);
    /// A room that another one names, and that is not itself.
    std::optional<std::size_t> other_room(std::string_view key, const Given<std::string>& name, std::size_t room);
    /// Marks a value as computed from another one.
    template <class T>
    Given<T> computed(T value, std::string_view how, quantity::OriginId from)
    {
        return {std::move(value),
                work_.input.origins.add({.kind = quantity::OriginKind::computed, .text = how, .parent = from})};
    }

    Work& work_;
    const Input& input_;
    const quantity::PreferredUnits& units_;
    Building& building_;
    quantity::Problems& problems_;
};

} // namespace venture::resolve
