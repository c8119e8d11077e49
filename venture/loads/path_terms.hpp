#pragma once
/// The 24 hours that one path's load adds up from: what acted in each, and what of it is felt in the hour asked for.

#include <array>

#include <venture/figure/table.hpp>
#include <venture/loads/room_parts.hpp>

namespace venture::loads {

struct PathTerm {
    double acted = 0.0; ///< mean over its hour: heat that came in, W, or by what it was warmer than the reference, K
    double felt =
        0.0; ///< what is felt of it in the hour asked for: load, W; of a room that floats, by what it is warmer, K
};

struct PathTerms {
    std::string room{};
    PathKind kind = PathKind::other;
    std::string through{};
    figure::When when{};
    double clock_ahead_h = 0.0;
    std::size_t hour = 0; ///< of local standard time, that is asked for
    bool heat = false;    ///< whether it acts as heat; else as a temperature
    bool floats = false;  ///< neither heated nor cooled in that hour: warmth is what is felt
    double sign = 1.0;    ///< -1: of heating
    std::array<PathTerm, 24>
        terms{}; ///< by hour of local standard time; what acted longer ago than a day is in the same hour's
    [[nodiscard]] double felt() const;
};

/// The day replayed with what acts in one hour alone, 24 times: films, neighbours and the plant's hours as they were, so that what
/// is felt is proportional to what acted, and all together are the path's load.
/// @returns nothing for a path that is no forcing of its own (warmer air under a ceiling, a limit), or that the room does not have
[[nodiscard]] std::optional<PathTerms> terms_of_path(const building::Building& building, std::size_t room,
                                                     const climate::DesignDay& day, std::size_t hour,
                                                     double reference_C, PathKind kind, const std::string& through,
                                                     const DesignOptions& options = {});

/// One of the terms, to be told.
struct TermRow {
    const PathTerms* of = nullptr;
    std::size_t hours_ago = 0; ///< 23 to 0
    [[nodiscard]] const PathTerm& term() const { return of->terms[(of->hour + 24 - hours_ago) % 24]; }
};
/// The oldest first.
[[nodiscard]] std::vector<TermRow> term_rows(const PathTerms& terms);
[[nodiscard]] const figure::TableOf<TermRow>& path_term_columns();

} // namespace venture::loads
