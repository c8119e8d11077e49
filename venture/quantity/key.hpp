#pragma once
/// What a key of the project is, as plain data: the one declaration that reading, checking and help are driven by.

#include <cstdint>
#include <span>
#include <string>
#include <string_view>
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

/// What becomes of a value, or of a list, when a room is cut into parts: each has the whole of it, or its share by floor
/// area; or one alone has it: the part with the wall that it is in, else the largest.
enum class WhenCut : std::uint8_t { same, by_floor_area, one_part };

/// A default that goes by the word of another key of the same table.
struct DefaultBy {
    struct Case {
        std::string_view word;
        double value; ///< SI
    };
    std::string_view key = {}; ///< empty: there is none
    std::vector<Case> cases = {};
};

/// Name, kind of quantity, default with its source, bounds and meaning of one key.
/// A key beside which another one says something: where it is one of some words, or, without any, a number above 0.
struct SaysWith {
    std::string_view key;
    std::vector<std::string_view> words = {};
};
/// "gives = "everything" or heat_recovery above 0".
[[nodiscard]] std::string in_words(std::span<const SaysWith> any_of);

struct KeySpec {
    std::string_view name;
    std::string_view text;                    ///< meaning, in one line
    Kind kind = Kind::number;                 ///< for numbers and lists of numbers
    std::string_view printed_as = {};         ///< one of printed_quantities(); empty: the first of its kind
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
    /// Tables of whose records the text gives a name; those may hold the name among other words if `names_within`.
    std::vector<std::string_view> names = {};
    bool names_within = false;
    std::vector<std::string_view> or_words = {};   ///< that may stand instead of such a name
    bool or_hours = false;                         ///< hours may: "08-18", so that what begins with a digit is no name
    std::vector<std::string_view> instead_of = {}; ///< keys of the same table that say the same in another way
    std::string_view taken_from = {};              ///< key of the same table that speaks for it where it is not typed
    std::string_view default_with = {};            ///< key of the same table without which the default says nothing
    std::vector<SaysWith> says_with = {};          ///< it says nothing unless one of these holds; empty: always
    DefaultBy default_by = {};                     ///< instead of `default_value`
    std::string_view outside = {}; ///< what is often typed when a number is outside its bounds, as a question
};

} // namespace venture::quantity
