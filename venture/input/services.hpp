#pragma once
/// What serves the rooms, until it is told as a network.

#include <array>
#include <cstdint>
#include <string_view>

#include <venture/input/delimited.hpp>
#include <venture/input/given.hpp>
#include <venture/rating/kind_list.hpp>

namespace venture::input {

/// What a room, a circuit or a plant is for.
enum class Duty : std::uint8_t { heating, cooling };

/// What a circuit brings it with.
enum class CircuitMedium : std::uint8_t { water, electricity };

/// Kinds of terminal unit that rooms can have, and of plant; by name, in the order of the lists that they come from.
#define VENTURE_ENUMERATOR(kind, words) kind,
enum class UnitKind : std::uint8_t { VENTURE_UNIT_KINDS(VENTURE_ENUMERATOR) };
enum class PlantKind : std::uint8_t { VENTURE_PLANT_KINDS(VENTURE_ENUMERATOR) };
enum class ProductKind : std::uint8_t {
    VENTURE_UNIT_KINDS(VENTURE_ENUMERATOR) VENTURE_PLANT_KINDS(VENTURE_ENUMERATOR)
        VENTURE_FITTING_KINDS(VENTURE_ENUMERATOR)
};
#undef VENTURE_ENUMERATOR

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::Duty> {
    static constexpr std::array<std::string_view, 2> words = {"heating", "cooling"};
};

template <>
struct quantity::WordsOf<input::CircuitMedium> {
    static constexpr std::array<std::string_view, 2> words = {"water", "electricity"};
};

#define VENTURE_WORDS(kind, words) std::string_view{words},
template <>
struct quantity::WordsOf<input::UnitKind> {
    static constexpr std::array words = {VENTURE_UNIT_KINDS(VENTURE_WORDS)};
};

template <>
struct quantity::WordsOf<input::PlantKind> {
    static constexpr std::array words = {VENTURE_PLANT_KINDS(VENTURE_WORDS)};
};

template <>
struct quantity::WordsOf<input::ProductKind> {
    static constexpr std::array words = {VENTURE_UNIT_KINDS(VENTURE_WORDS) VENTURE_PLANT_KINDS(VENTURE_WORDS)
                                             VENTURE_FITTING_KINDS(VENTURE_WORDS)};
};
#undef VENTURE_WORDS

} // namespace venture

namespace venture::input {

/// What a column of a maker's sheet is.
struct CatalogueColumnInput {
    Given<std::string> holds, column, unit, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A file of products that one buys; read, never written.
struct CatalogueInput {
    Given<std::string> file, note;
    Choice<ProductKind> kind;
    Choice<Separator> separator;
    Choice<DecimalMark> decimal_mark;
    Choice<Encoding> encoding;
    Whole header_rows;
    std::vector<CatalogueColumnInput> columns{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Pipes between plants and the terminal units of rooms, or mixed from another circuit.
struct CircuitInput {
    Given<std::string> name, plant, from, same_pipes_as, valve, note;
    Given<TextList> plants;
    Given<QuantityList> plant_shares;
    Choice<Duty> carries;
    Choice<UnitKind> unit;
    Choice<CircuitMedium> medium;
    Given<double> supply, back, glycol, diversity, loss, demand, pressure_difference, radiant_share;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What makes heat or cold.
struct PlantInput {
    Given<std::string> name, note;
    Choice<PlantKind> kind;
    Given<double> margin, diversity, air_warmer, demand, at_most;
    Whole units, standby_units;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A line that says which rooms a circuit serves; later lines stand over earlier ones, and all of them over what rooms say.
struct ServeInput {
    Given<TextList> rooms;
    Given<std::string> type, storey, by, note;
    Choice<Duty> service;
    Given<double> share;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A product that someone has settled on: rated, not chosen.
struct KeptInput {
    Given<std::string> serves, product, note;
    Choice<Duty> duty;
    Whole count;
    Given<double> chosen_for, gives, gives_sensible, sound;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// Loads typed in a table instead of, or beside, computed ones.
struct LoadsInput {
    Given<std::string> table, note;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
