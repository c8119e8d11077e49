#pragma once
/// Walls between rooms: which way round they stand, and how far those go that are shared with a neighbour's like room. Internal to resolve.

#include <map>
#include <string>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

class Partitions : Pass {
public:
    explicit Partitions(Work& work) : Pass{work} {}
    /// Layers run from outside to inside of the room that names the build-up, whichever of the two the surface stands in.
    void set_build_up_as_seen_from(std::size_t room, std::size_t build_up, Surface& surface,
                                   const Given<std::string>& typed);
    /// Two rooms without a place that name each other share one wall.
    void join_stated_pairs();
    /// Build-ups that [fabric] names. A wall between two rooms that differs from side to side and of which nobody said
    /// which way it faces has one half of its area each way, so that nothing hangs on which room is looked at first.
    void give_both_ways();
    /// Behind a party wall stands a room like this one: nothing flows through its middle, and each side counts its half.
    void end_party_walls_in_the_middle();

private:
    [[nodiscard]] std::size_t turned_round(std::size_t build_up);
    [[nodiscard]] bool name_each_other(const Surface& a, const Surface& b) const;
    void join_sides(Surface& stays, const Surface& goes);

    std::map<std::size_t, std::size_t> turned_{}; ///< build-ups and the same the other way round
};

} // namespace venture::resolve
