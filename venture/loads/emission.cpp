#include <venture/loads/emission.hpp>

#include <venture/climate/design_day.hpp>
#include <venture/loads/day_models.hpp>
#include <venture/loads/design_day_run.hpp>

namespace venture::loads {

std::vector<std::vector<double>> heating_with_radiant_shares(const building::Building& building,
                                                             const std::vector<double>& radiant_share,
                                                             const DesignOptions& options)
{
    const auto models = models_of(building, options);
    building::Building radiating = building;
    for (std::size_t r = 0; r < radiating.rooms.size(); ++r)
        radiating.rooms[r].use.radiant_share.value = radiant_share[r];
    const climate::DesignDay winter = climate::winter_design_day(building.site);
    const Compiled compiled = models->compile(radiating, winter);
    // From the steady state: most rooms come back to it at once, which days that begin elsewhere only come near to.
    const balance::PeriodicDay run = detail::run_with_films(compiled.model, {});
    std::vector<std::vector<double>> out;
    for (std::size_t r = 0; r < building.rooms.size(); ++r)
        out.push_back(run.zones[compiled.zone_of_room[r]].heating_W);
    return out;
}

} // namespace venture::loads
