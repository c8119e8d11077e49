#pragma once
/// Where a value came from. An origin is an index into an append-only pool, so it costs four bytes to carry.

#include <concepts>
#include <cstdint>
#include <deque>
#include <optional>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

namespace venture::quantity {

/// Index of an origin in its pool; 0 means "not stated".
struct OriginId {
    std::uint32_t index = 0;
    friend bool operator==(OriginId, OriginId) = default;
};

enum class OriginKind : std::uint8_t {
    unknown,
    file,          ///< typed in a file of the project
    library,       ///< typed in a library: `parent` is the place in it
    code,          ///< set by a program
    overlay,       ///< set for one run
    default_value, ///< nobody said otherwise
    inherited,     ///< taken from a room type, a storey ...: `parent` is what it says there
    computed,      ///< from other values: `parent` is the first of them
};

/// The word for a kind, as it may be asked for: "typed", "default", "inherited" ...
[[nodiscard]] std::string_view name_of(OriginKind kind);

/// One place that a value can come from.
struct Origin {
    OriginKind kind = OriginKind::unknown;
    std::string_view text{};  ///< file, library, source of a default, "room type 'office'", or key path of an overlay
    std::uint32_t line = 0;   ///< from 1; 0 where there is none
    std::uint32_t column = 0; ///< from 1, in letters; 0 where there is none
    OriginId parent{};        ///< what this was derived from, e.g. the line behind a room type
    std::string_view unit{};  ///< that a bare number was read in; empty where it is the plain one, or is typed with it
};

/// "project.toml:12:5", of an origin of kind `file`.
[[nodiscard]] std::string place_in_file(const Origin& origin);

/// Append-only store of origins: 24 bytes each, texts kept once.
class OriginPool {
public:
    OriginPool();
    /// Keeps its own copy of the text.
    OriginId add(const Origin& origin);
    /// The text stays valid as long as the pool.
    [[nodiscard]] Origin at(OriginId id) const;
    /// "project.toml:12:5", "project.toml:12:5, read in ft", "default: EN 12831-1, annex B", "room type 'office' (project.toml:40:3)".
    [[nodiscard]] std::string describe(OriginId id) const;
    /// The place in a file that an origin goes back to; of kind `file`, or whatever stands at the end.
    [[nodiscard]] Origin place_behind(OriginId id) const { return at(place_id_behind(id)); }
    [[nodiscard]] OriginId place_id_behind(OriginId id) const;
    [[nodiscard]] std::size_t size() const { return entries_.size(); }

private:
    [[nodiscard]] std::uint32_t index_of(std::string_view text);

    struct Entry {
        OriginKind kind;
        std::uint32_t text, line, column;
        OriginId parent;
        std::uint32_t unit;
    };
    std::vector<Entry> entries_;
    std::deque<std::string> texts_; ///< never moved, so that views of them stay valid
    std::unordered_map<std::string, std::uint32_t> text_index_;
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
    /// A text given in code.
    Given(const char* text) // NOLINT(google-explicit-constructor): the same
        requires std::same_as<T, std::string>
        : value{text}
    {
    }
    Given(T v, OriginId from) : value{std::move(v)}, origin{from} {}
    explicit operator bool() const noexcept { return value.has_value(); }
    /// Nothing was said that could not be read either.
    [[nodiscard]] bool is_open() const noexcept { return !value && !refused; }
    const T& operator*() const { return *value; }
};

/// A value that is there, with its origin.
template <class T>
struct Sourced {
    T value{};
    OriginId origin{};
};

} // namespace venture::quantity
