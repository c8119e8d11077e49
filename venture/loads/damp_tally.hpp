#pragma once
/// Damp at inside faces, added up while a year is run. Internal to loads.

#include <array>
#include <vector>

#include <venture/balance/heat_balance.hpp>
#include <venture/building/cold_faces.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/damp.hpp>

namespace venture::loads::detail {

/// Rooms' air and their coldest openings, at the end of every hour.
class DampTally {
public:
    /// All outlive it.
    DampTally(const building::Building& building, const Compiled& compiled, const Spell& spell);
    void take(std::size_t step, const balance::StepResult& result);
    /// Of one room.
    [[nodiscard]] std::array<MonthDamp, 12> months(std::size_t room) const;

private:
    std::vector<building::ColdestFaces> coldest_;
    const std::vector<std::size_t>& zone_of_room_;
    const Spell& spell_;
    std::size_t per_hour_;
    std::vector<std::array<MonthDamp, 12>> rooms_;
};

} // namespace venture::loads::detail
