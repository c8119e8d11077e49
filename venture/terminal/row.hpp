#pragma once
/// Radiators of one body, one in each of several places: which lengths, so that together they suffice and are not more than
/// need be.

#include <cstddef>
#include <cstdint>
#include <optional>
#include <span>
#include <vector>

namespace venture::terminal {

/// One of the lengths that a body is made in.
struct Piece {
    double length_m = 0.0, output_W = 0.0;
};

/// Where one of them may stand: lengths from the least to the most, both among them.
struct Place {
    double least_length_m = 0.0, most_length_m = 0.0, most_height_m = 0.0;
};

struct Row {
    std::vector<std::size_t> pieces{}; ///< of each place
    double output_W = 0.0;
};

/// Which of several rows that give the same comes first.
enum class Among : std::uint8_t {
    shorter_first, ///< the one whose places, in their order, have the shorter lengths first
    even           ///< the one that fills its places most alike; of very many, of the first some hundred
};

/// All rows of one body: counted, never listed.
struct Rows {
    std::optional<Row> best{};    ///< of those that suffice the one that gives least
    std::optional<Row> second{};  ///< the next in that order
    double within = 0.0;          ///< that fit into their places
    double suffice = 0.0;         ///< of them
    std::optional<Row> largest{}; ///< that gives most, whether that suffices or not
};

/// Outputs within 1e-9 of the need are equal. Where thousands of sums differ, those are taken as equal that lie within so much
/// of the need as leaves some thousand, at most 1e-4 of it for each place.
/// @param pieces    by length
/// @param height_m  of the body; a place that it is too high for takes none, and then there are no rows
/// @pre need_W above 0
[[nodiscard]] Rows rows_of(std::span<const Piece> pieces, double height_m, std::span<const Place> places, double need_W,
                           Among equals = Among::shorter_first);

} // namespace venture::terminal
