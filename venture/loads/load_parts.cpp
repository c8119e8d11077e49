#include <venture/loads/load_parts.hpp>

#include <algorithm>
#include <array>
#include <set>

namespace venture::loads {

balance::ThermalModel with_only(const balance::ThermalModel& model, balance::Forcing forcing, double reference_C)
{
    balance::ThermalModel out = model;
    for (balance::Signal& s : out.signals) {
        if (s.forcing == balance::Forcing::coefficient) continue;
        const bool kept = s.forcing == forcing;
        const double less = is_temperature(s.forcing) ? reference_C : 0.0;
        for (auto* values : {&s.start, &s.end})
            for (double& v : *values) v = kept ? v - less : 0.0;
    }
    if (forcing != balance::Forcing::stratification)
        for (balance::Surface& s : out.surfaces)
            for (balance::Face* face : {&s.outside, &s.inside})
                if (auto* zone = std::get_if<balance::ZoneFace>(face)) zone->air_warmer_K = 0.0;
    return out;
}

namespace {

bool is_stratified(const balance::Surface& s)
{
    return std::ranges::any_of(std::array{&s.outside, &s.inside}, [](const balance::Face* face) {
        const auto* zone = std::get_if<balance::ZoneFace>(face);
        return zone != nullptr && zone->air_warmer_K != 0.0;
    });
}

} // namespace

std::vector<LoadPart> load_parts(const balance::ThermalModel& model, const balance::Recording& recorded,
                                 double reference_C, const balance::PeriodicOptions& options)
{
    std::set<balance::Forcing> forcings;
    for (const balance::Signal& s : model.signals)
        if (s.forcing != balance::Forcing::coefficient) forcings.insert(s.forcing);
    if (std::ranges::any_of(model.surfaces, is_stratified)) forcings.insert(balance::Forcing::stratification);
    std::vector<LoadPart> parts;
    for (const balance::Forcing forcing : forcings) {
        balance::PeriodicOptions replayed = options;
        replayed.replay = &recorded;
        const balance::PeriodicDay day = run_periodic_day(with_only(model, forcing, reference_C), replayed);
        LoadPart& part = parts.emplace_back(LoadPart{.forcing = forcing});
        for (const balance::ZoneDay& zone : day.zones) {
            std::vector<double>& load = part.load_W.emplace_back();
            for (std::size_t h = 0; h < zone.heating_W.size(); ++h)
                load.push_back(zone.heating_W[h] - zone.cooling_W[h]);
        }
    }
    return parts;
}

} // namespace venture::loads
