#include <venture/loads/day_models.hpp>

#include <utility>

#include <venture/loads/design_loads.hpp>

namespace venture::loads {

DayModels::DayModels(const building::Building& b, double step_s)
    : building_{b.fingerprint},
      step_s_{step_s},
      modes_{build_up_modes(b, step_s)},
      scenes_{b}
{
}

bool DayModels::is_of(const building::Building& b, double step_s) const
{
    return building_ != 0 && building_ == b.fingerprint && step_s_ == step_s; // 0: made by hand
}

Compiled DayModels::compile(const building::Building& b, const climate::DesignDay& day, bool setbacks) const
{
    return compile(b, spell_of(b.site, day), setbacks);
}

Compiled DayModels::compile(const building::Building& b, const Spell& spell, bool setbacks) const
{
    return loads::compile(b, spell,
                          {.step_s = step_s_, .setbacks = setbacks, .build_up_modes = modes_, .scenes = &scenes_});
}

const balance::PeriodBegin* DayModels::begin_of(const climate::DesignDay& day) const
{
    const auto at = begins_.find(day.name);
    return at != begins_.end() ? &at->second : nullptr;
}

void DayModels::keep(const climate::DesignDay& day, balance::PeriodBegin begin)
{
    begins_.insert_or_assign(day.name, std::move(begin));
}

std::shared_ptr<const DayModels> models_of(const building::Building& b, const DesignOptions& options)
{
    if (options.known && options.known->is_of(b, options.step_s)) return options.known;
    return std::make_shared<const DayModels>(b, options.step_s);
}

} // namespace venture::loads
