#include <venture/resolve/phases.hpp>

#include <algorithm>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Severity;

namespace {

class Phases : Pass {
public:
    explicit Phases(Work& work) : Pass{work} {}
    void drop_absent_rooms(std::vector<RoomOutline>& outlines);
};

} // namespace

/// Takes out the rooms that do not stand in the project's phase; walls to where they would be are to outdoors.
void Phases::drop_absent_rooms(std::vector<RoomOutline>& outlines)
{
    const bool existing = input_.project.phase == Phase::existing;
    const RoomStatus absent = existing ? RoomStatus::added : RoomStatus::to_be_removed;
    std::vector<std::string> gone;
    quantity::OriginId where{};
    std::vector<RoomInput> rooms;
    std::vector<RoomOutline> kept;
    std::vector<std::size_t> cut_from;
    for (std::size_t r = 0; r < input_.rooms.size(); ++r) {
        if (input_.rooms[r].status == absent) {
            if (gone.empty()) where = input_.rooms[r].status.origin;
            gone.push_back(value_of(input_.rooms[r].name));
            continue;
        }
        rooms.push_back(std::move(work_.input.rooms[r]));
        kept.push_back(std::move(outlines[r]));
        cut_from.push_back(work_.cut_from[r]);
    }
    work_.cut_from = std::move(cut_from);
    work_.input.rooms = std::move(rooms);
    outlines = std::move(kept);
    if (gone.empty()) return;
    finding(Severity::note, codes::other_phase, where, "project",
            fmt::format("{} room{} not there in the phase '{}': {}", gone.size(), gone.size() == 1 ? " is" : "s are",
                        existing ? "existing" : "planned", quantity::listed(gone, 6)),
            existing ? "they are new; [project] phase = \"planned\" has them"
                     : "they are to be removed; [project] phase = \"existing\" has them");
}

/// A room left out stands as a shell: leaky, furnished, and nothing else.
void leave_out(const RoomInput& given, Room& room)
{
    if (given.leave_out != LeaveOut::yes) return;
    room.left_out = true;
    Use& use = room.use;
    use.heating_setpoint_C.reset();
    use.cooling_setpoint_C.reset();
    use.humidity_limit.reset();
    use.least_humidity.reset();
    use.carbon_dioxide_limit.reset();
    use.ventilation_control = input::VentilationControl::constant;
    use.air_supply.reset();
    use.heating_setback.reset();
    use.cooling_setback.reset();
    for (Sourced<double>* value :
         {&use.people, &use.lighting_W_per_m2, &use.equipment_W_per_m2, &use.equipment_W, &use.moisture_kg_per_s,
          &use.ventilation_per_person_m3_per_s, &use.ventilation_per_area_m_per_s, &use.ventilation_per_h,
          &use.ventilation_m3_per_s})
        *value = {0.0, given.leave_out.origin};
}

void drop_absent_rooms(Work& work, std::vector<RoomOutline>& outlines) { Phases{work}.drop_absent_rooms(outlines); }

} // namespace venture::resolve
