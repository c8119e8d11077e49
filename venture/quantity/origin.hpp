#pragma once
/// Where a value came from. An origin is an index into an append-only pool, so it costs four bytes to carry.

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace venture::quantity {

/// Index of an origin in its pool; 0 means "not stated".
struct OriginId {
    std::uint32_t index = 0;
    friend bool operator==(OriginId, OriginId) = default;
};

enum class OriginKind { unknown, file, code, overlay, default_value, room_type, computed };

/// One place that a value can come from.
struct Origin {
    OriginKind kind = OriginKind::unknown;
    std::string text;         ///< file name, source of a default, name of a room type, or key path of an overlay
    std::uint32_t line = 0;   ///< from 1; 0 where there is none
    std::uint32_t column = 0; ///< from 1; 0 where there is none
    OriginId parent{};        ///< what this was derived from, e.g. the line behind a room type
};

/// Append-only store of origins.
class OriginPool {
public:
    OriginPool() : origins_(1) {}
    OriginId add(Origin origin);
    [[nodiscard]] const Origin& at(OriginId id) const;
    /// "project.toml:12:5", "default: EN 12831-1, annex B", "room type 'office' (project.toml:40:3)".
    [[nodiscard]] std::string describe(OriginId id) const;

private:
    std::vector<Origin> origins_;
};

/// A value that may have been given, and by whom.
template <class T>
struct Given {
    std::optional<T> value{};
    OriginId origin{};
    bool refused = false; ///< something was typed that could not be read; that has been told already

    Given() = default;
    /// A value given in code.
    Given(T v) : value{std::move(v)} {} // NOLINT(google-explicit-constructor): reads as an assignment of the value
    Given(T v, OriginId from) : value{std::move(v)}, origin{from} {}
    explicit operator bool() const noexcept { return value.has_value(); }
    const T& operator*() const { return *value; }
};

/// A value that is there, with its origin.
template <class T>
struct Sourced {
    T value{};
    OriginId origin{};
};

} // namespace venture::quantity
