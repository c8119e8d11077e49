#include <venture/loads/load_parts.hpp>

#include <algorithm>
#include <array>
#include <set>

namespace venture::loads {

ThermalModel with_only(const ThermalModel& model, Forcing forcing, double reference_C)
{
    ThermalModel out = model;
    for (Signal& s : out.signals) {
        if (s.forcing == Forcing::coefficient) continue;
        const bool kept = s.forcing == forcing;
        const double less = is_temperature(s.forcing) ? reference_C : 0.0;
        for (auto* values : {&s.start, &s.end})
            for (double& v : *values) v = kept ? v - less : 0.0;
    }
    if (forcing != Forcing::stratification)
        for (Surface& s : out.surfaces)
            for (Face* face : {&s.outside, &s.inside})
                if (auto* zone = std::get_if<ZoneFace>(face)) zone->air_warmer_K = 0.0;
    return out;
}

namespace {

bool is_stratified(const Surface& s)
{
    return std::ranges::any_of(std::array{&s.outside, &s.inside}, [](const Face* face) {
        const auto* zone = std::get_if<ZoneFace>(face);
        return zone != nullptr && zone->air_warmer_K != 0.0;
    });
}

} // namespace

std::vector<LoadPart> load_parts(const ThermalModel& model, const Recording& recorded, double reference_C,
                                 const PeriodicOptions& options)
{
    std::set<Forcing> forcings;
    for (const Signal& s : model.signals)
        if (s.forcing != Forcing::coefficient) forcings.insert(s.forcing);
    if (std::ranges::any_of(model.surfaces, is_stratified)) forcings.insert(Forcing::stratification);
    std::vector<LoadPart> parts;
    for (const Forcing forcing : forcings) {
        PeriodicOptions replayed = options;
        replayed.replay = &recorded;
        const PeriodicDay day = run_periodic_day(with_only(model, forcing, reference_C), replayed);
        LoadPart& part = parts.emplace_back(LoadPart{.forcing = forcing});
        for (const ZoneDay& zone : day.zones) {
            std::vector<double>& load = part.load_W.emplace_back();
            for (std::size_t h = 0; h < zone.heating_W.size(); ++h)
                load.push_back(zone.heating_W[h] - zone.cooling_W[h]);
        }
    }
    return parts;
}

} // namespace venture::loads
