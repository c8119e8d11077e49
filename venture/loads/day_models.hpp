#pragma once
/// Design days of one building as the heat balance sees them: what is the same on every day is found once, and where days
/// that were run began is kept, so that running one again, more exactly or watched, starts there.

#include <map>
#include <memory>
#include <string>
#include <vector>

#include <venture/balance/periodic_day.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/scenes.hpp>

namespace venture::loads {

struct DesignOptions;

class DayModels {
public:
    /// @param step_s  60 to 3600, a divisor of an hour
    DayModels(const building::Building& building, double step_s);

    [[nodiscard]] bool is_of(const building::Building& building, double step_s) const;
    /// @param building  the one that it is of   @param setbacks  CompileOptions::setbacks
    [[nodiscard]] Compiled compile(const building::Building& building, const climate::DesignDay& day,
                                   bool setbacks = true) const;
    [[nodiscard]] Compiled compile(const building::Building& building, const Spell& spell, bool setbacks = true) const;
    /// Where the day began when it was run with its set-backs; null if it was not.
    [[nodiscard]] const balance::PeriodBegin* begin_of(const climate::DesignDay& day) const;
    void keep(const climate::DesignDay& day, balance::PeriodBegin begin);

private:
    std::uint64_t building_ = 0; ///< fingerprint
    double step_s_ = 0.0;
    std::vector<fabric::WallModes> modes_;
    Scenes scenes_;
    std::map<std::string, balance::PeriodBegin> begins_{}; ///< by the day's name
};

/// Those that the options know if they are of this building and step, else new ones.
[[nodiscard]] std::shared_ptr<const DayModels> models_of(const building::Building& building,
                                                         const DesignOptions& options);

} // namespace venture::loads
