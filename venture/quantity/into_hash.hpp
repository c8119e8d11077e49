#pragma once
/// Numbers, words and flags into a fingerprint: what each_field() visits.

#include <string>
#include <type_traits>

#include <venture/quantity/hash.hpp>

namespace venture::quantity {

struct IntoHash {
    Hash& hash;
    void operator()(double value) const { hash.add(value); }
    void operator()(const std::string& text) const { hash.add(text); }
    template <class T>
        requires(std::is_integral_v<T> || std::is_enum_v<T>)
    void operator()(T value) const
    {
        hash.add_bits(static_cast<std::uint64_t>(value));
    }
};

} // namespace venture::quantity
