#include <venture/resolve/resolve.hpp>

#include <venture/input/fingerprint.hpp>
#include <venture/resolve/air_supplies.hpp>
#include <venture/resolve/build_ups.hpp>
#include <venture/resolve/calendars.hpp>
#include <venture/resolve/findings.hpp>
#include <venture/resolve/glass.hpp>
#include <venture/resolve/ground.hpp>
#include <venture/resolve/leakage.hpp>
#include <venture/resolve/outlines.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/record_checks.hpp>
#include <venture/resolve/references.hpp>
#include <venture/resolve/repetitions.hpp>
#include <venture/resolve/rooms.hpp>
#include <venture/resolve/site.hpp>
#include <venture/resolve/solids.hpp>
#include <venture/resolve/surfaces.hpp>
#include <venture/resolve/thermal_bridges.hpp>
#include <venture/resolve/types.hpp>

namespace venture::resolve {

namespace {

void add_project_and_storeys(Work& work)
{
    const ProjectInput& p = work.input.project;
    work.building.project = {value_of(p.name), value_of(p.client), value_of(p.number), value_of(p.author),
                             value_of(p.revision)};
    for (const StoreyInput& given : work.input.storeys)
        work.building.storeys.push_back({value_of(given.name), value_of(given.level), value_of(given.height)});
}

/// What surfaces and windows are made of, and the hours that shades go by.
void add_fabric(Work& work)
{
    check_materials(work);
    add_build_ups(work);
    add_glazings(work);
    add_profiles(work);
    add_calendars(work);
    add_shades(work);
}

/// What rooms are laid out from, before any of them is looked at.
void check_plan(Work& work)
{
    check_repetitions(work);
    add_air_supplies(work);
    check_face_keys(work);
    check_ground_is_whole(work);
    RoomTypes{work}.check();
}

/// Rooms, and what encloses them. Shapes are only worth matching when every room has one, and tables by themselves are
/// sound: a name that nothing bears hides no other mistake.
void add_rooms_and_surfaces(Work& work)
{
    const bool tables_sound = work.problems.count_errors() == work.broken_references;
    add_rooms(work);
    add_obstructions(work);
    const std::size_t rooms = work.building.rooms.size();
    const bool all_there = rooms == work.input.rooms.size(), all_shaped = work.numbers_sound && all_there && rooms > 0;
    if (all_shaped && (tables_sound || !work.problems.has_error())) add_surfaces(work);
    if (all_shaped && !work.problems.has_error()) add_leakage(work);
    if (all_there) check_air_balance(work);
    if (all_there) add_thermal_bridges(work, all_shaped && !work.problems.has_error());
    if (all_shaped && !work.problems.has_error()) add_ground(work);
    if (all_shaped && !work.problems.has_error()) look_over_building(work);
}

} // namespace

Resolved resolve(const Input& input)
{
    Work work{input};
    check_records(work, Of::all);
    check_names(work);
    check_references(work, Of::all);
    add_site(work);
    add_project_and_storeys(work);
    add_fabric(work);
    check_plan(work);
    add_rooms_and_surfaces(work);
    Resolved out;
    if (!work.problems.has_error() && work.numbers_sound) {
        work.building.origins = work.input.origins;
        work.building.fingerprint = fingerprint_of(work.input);
        out.building = std::move(work.building);
    }
    out.problems = std::move(work.problems).all();
    out.effective = std::move(work.input);
    return out;
}

ResolvedFabric resolve_fabric(const Input& input)
{
    Work work{input};
    check_records(work, Of::fabric);
    check_references(work, Of::fabric);
    add_fabric(work);
    return {.fabric = std::move(work.building),
            .problems = std::move(work.problems).all(),
            .effective = std::move(work.input)};
}

ResolvedSite resolve_site(const Input& input)
{
    Work work{input};
    check_records(work, Of::site);
    add_site(work);
    ResolvedSite out;
    if (!work.problems.has_error() && work.numbers_sound) out.site = std::move(work.building.site);
    out.problems = std::move(work.problems).all();
    out.effective = std::move(work.input);
    return out;
}

} // namespace venture::resolve
