#pragma once
/// Which body, and which of its lengths, for the radiators of one room.

#include <string>
#include <vector>

#include <venture/rating/choosing.hpp>
#include <venture/terminal/row.hpp>

namespace venture::terminal {

/// Products that differ in length alone: of one maker, family and height.
struct Body {
    std::string maker{}, family{};
    double height_m = 0.0, depth_m = 0.0; ///< a depth that nobody tells is no number, and comes last
    std::vector<Piece> pieces{};          ///< by length
    std::vector<rating::Units> units{};   ///< the same pieces as products, rated; may be empty
};

struct BodyRow {
    std::size_t body = 0;
    Row row{};
};

struct RowChoice {
    std::optional<BodyRow> best{}, second{};    ///< of all rows
    std::optional<BodyRow> other{};             ///< the best of another body
    std::optional<BodyRow> largest{};           ///< that gives most
    std::optional<rating::Aim> decided_by{};    ///< aim in which the other one lost
    double best_worth = 0.0, other_worth = 0.0; ///< by that aim, less is better
    double within = 0.0, suffice = 0.0;         ///< rows of all bodies, as in Rows
};

/// Of each body the row that gives least while it suffices; between bodies the aims decide, then what gives least, the least
/// depth, the least height, the shorter lengths first.
[[nodiscard]] RowChoice choose_row(std::span<const Body> bodies, std::span<const Place> places, double need_W,
                                   std::span<const rating::Aim> aims, Among equals = Among::shorter_first);

/// What stands in a row, as products with their number, the longest first.
[[nodiscard]] rating::Rated rated(const Body& body, const Row& row, const rating::Duty& duty);

} // namespace venture::terminal
