#pragma once
/// What a plan says of each room: its colour and its label. Internal to draw.

#include <string>
#include <vector>

#include <venture/draw/plan_drawing.hpp>

namespace venture::draw {

/// A colour and what it means.
struct PlanKey {
    Colour colour{};
    std::string words{};
};

/// Colours of rooms, and their legend, which holds only what is drawn.
class RoomColours {
public:
    RoomColours(const building::Building& b, const loads::RoomLoads& loads, const PlanOptions& options);
    [[nodiscard]] Colour of(std::size_t room) const { return keys_[key_of_[room]].colour; }
    [[nodiscard]] const std::vector<PlanKey>& keys() const { return keys_; }

private:
    void by_words(const std::vector<std::string>& words, const std::vector<PlanKey>& wanted);
    void by_steps(const std::vector<double>& per_m2, std::string_view quantity, const quantity::PreferredUnits& units);
    std::vector<PlanKey> keys_{};
    std::vector<std::size_t> key_of_{};
};

/// Lines of a room's label, without its name.
[[nodiscard]] std::vector<std::string> label_lines(const building::Building& b, const loads::RoomLoads& loads,
                                                   std::size_t room, const PlanOptions& options);

/// What the whole building needs, in a line.
[[nodiscard]] std::string totals_line(const building::Building& b, const loads::RoomLoads& loads,
                                      const quantity::PreferredUnits& units);

} // namespace venture::draw
