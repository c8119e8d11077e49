#pragma once
/// Walks through plain data down to its numbers, words and flags, so that whoever must see all of it cannot leave out what
/// is added to it later. Costly to compile: for sources, not for headers.

#include <array>
#include <optional>
#include <string>
#include <type_traits>
#include <variant>
#include <vector>

#include <boost/pfr/core.hpp>

namespace venture::quantity {

/// Calls `visit(leaf)` for every arithmetic value, enumeration and text in `data`, in the order of declaration. Before
/// what there may be more or less of, `visit` gets how many there are of it, or which alternative it is, as std::size_t.
/// @param data  aggregates, vectors, arrays, optionals and variants of such, nested at will
template <class T, class Visit>
void each_field(T& data, Visit& visit);

namespace detail {

template <class T>
inline constexpr bool is_list = false;
template <class T, class A>
inline constexpr bool is_list<std::vector<T, A>> = true;
template <class T>
inline constexpr bool is_array = false;
template <class T, std::size_t n>
inline constexpr bool is_array<std::array<T, n>> = true;
template <class T>
inline constexpr bool is_optional = false;
template <class T>
inline constexpr bool is_optional<std::optional<T>> = true;
template <class T>
inline constexpr bool is_variant = false;
template <class... T>
inline constexpr bool is_variant<std::variant<T...>> = true;

} // namespace detail

template <class T, class Visit>
void each_field(T& data, Visit& visit)
{
    using Plain = std::remove_const_t<T>;
    if constexpr (std::is_arithmetic_v<Plain> || std::is_enum_v<Plain> || std::is_same_v<Plain, std::string>) {
        visit(data);
    } else if constexpr (detail::is_list<Plain>) {
        const std::size_t count = data.size();
        visit(count);
        for (auto& one : data) each_field(one, visit);
    } else if constexpr (detail::is_array<Plain>) {
        for (auto& one : data) each_field(one, visit);
    } else if constexpr (detail::is_optional<Plain>) {
        const std::size_t count = data ? 1 : 0;
        visit(count);
        if (data) each_field(*data, visit);
    } else if constexpr (detail::is_variant<Plain>) {
        const std::size_t which = data.index();
        visit(which);
        std::visit([&](auto& one) { each_field(one, visit); }, data);
    } else {
        static_assert(std::is_aggregate_v<Plain>, "only plain data can be walked through");
        boost::pfr::for_each_field(data, [&](auto& field) { each_field(field, visit); });
    }
}

} // namespace venture::quantity
