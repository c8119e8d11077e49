#pragma once
/// What a key of the project is, as plain data: the one declaration that reading, checking and help are driven by.

#include <cstdint>
#include <span>
#include <string>
#include <string_view>
#include <type_traits>
#include <variant>
#include <vector>

#include <venture/quantity/error.hpp>
#include <venture/quantity/origin.hpp>
#include <venture/quantity/units.hpp>

namespace venture::quantity {

/// A piece of text in a list, with its own place.
struct PlacedText {
    std::string text;
    OriginId origin{};
};
using TextList = std::vector<PlacedText>;
using QuantityList = std::vector<double>; ///< SI
struct Point {
    double x_m = 0.0, y_m = 0.0;
    double z_m = 0.0; ///< of points in space
};
using PointList = std::vector<Point>;

/// What becomes of a value when a room is cut into parts: each has the whole of it, or its share by floor area.
enum class WhenCut : std::uint8_t { same, by_floor_area };

/// Name, kind of quantity, default with its source, bounds and meaning of one key.
struct KeySpec {
    std::string_view name;
    std::string_view text;                    ///< meaning, in one line
    Kind kind = Kind::number;                 ///< for numbers and lists of numbers
    Range allowed = {-1e12, 1e12};            ///< bounds on numbers, SI
    std::vector<std::string> choices = {};    ///< allowed words; empty if any
    std::optional<double> default_value = {}; ///< of a number, SI; nothing if there is none
    std::string_view default_word = {};       ///< of a text; empty if there is none
    std::string_view default_source = {};     ///< where the default comes from
    bool required = false;
    bool from_weather = false; ///< of what is required: a weather year stands in for it
    bool whole = false;        ///< only whole numbers
    std::size_t count = 0;     ///< how many numbers a list must hold; 0 = any. Of points: 3 in space, else on the plan
    WhenCut when_cut = WhenCut::same;
    /// Says who works on it, how results are told, or from which files values come: no result follows from it.
    bool of_document = false;
    std::string_view outside = {}; ///< what is often typed when a number is outside its bounds, as a question
};

/// A key and the member of `Table` that it fills.
template <class Table>
struct Key {
    KeySpec spec;
    std::variant<Given<double> Table::*, Given<std::string> Table::*, Given<TextList> Table::*,
                 Given<QuantityList> Table::*, Given<PointList> Table::*>
        field;
};

/// The keys of a table; specialised where the table is declared.
template <class Table>
[[nodiscard]] std::span<const Key<Table>> keys();

/// The key of a member; every member that the library reads has one.
template <class Table, class T>
[[nodiscard]] const KeySpec& spec_of(Given<T> Table::*field)
{
    for (const Key<Table>& key : keys<Table>())
        if (const auto* member = std::get_if<Given<T> Table::*>(&key.field))
            if (*member == field) return key.spec;
    assertion_failed("every member has a key", __FILE__, __LINE__);
}

/// Calls `visit(object, keys)` for a record and for each part that shares its table (a room's use, say).
template <class Record, class Visit>
void for_each_key_set(Record& record, Visit visit)
{
    using Table = std::remove_const_t<Record>;
    visit(record, keys<Table>());
    if constexpr (requires { Table::for_each_part(record, [](auto&) {}); })
        Table::for_each_part(record, [&](auto& part) { visit(part, keys<std::remove_cvref_t<decltype(part)>>()); });
}

/// Calls `visit(name, records)` for each list of tables nested in a record.
template <class Record, class Visit>
void for_each_nested_table(Record& record, Visit visit)
{
    using Table = std::remove_const_t<Record>;
    if constexpr (requires { Table::for_each_nested(record, [](std::string_view, auto&) {}); })
        Table::for_each_nested(record, visit);
}

} // namespace venture::quantity
