#include <venture/resolve/leakage.hpp>

#include <array>
#include <cmath>
#include <set>

#include <venture/plan/walls.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;

namespace {

class Leakage : Pass {
public:
    explicit Leakage(Work& work) : Pass{work} {}
    void add_leakage();

private:
    using SomeSurfaces = std::vector<const Surface*>;
    struct Leaks {
        SomeSurfaces to_outdoors{};
        double envelope_m2 = 0.0; ///< between what is heated or cooled and what is not
    };
    [[nodiscard]] std::vector<Leaks> leaks_of_rooms() const;
    [[nodiscard]] double leaks_at_50_Pa_m_per_s(const std::vector<Leaks>& of_rooms);
    void set_infiltration(std::size_t room, const Leaks& of, double leaks_m_per_s);
    [[nodiscard]] double through_doors_m3_per_s(const Use& use, const SomeSurfaces& to_outdoors, bool winter) const;
};

constexpr double hour_s = 3600.0;

/// Share of the flow at 50 Pa that wind and stack drive through a room in design, by shielding (none, moderate, heavy).
/// Source    EN 12831:2003, 7.2.1: 2 e, and table D.8 for one and for several exposed facades
double share_of_test_flow(std::size_t facades, std::size_t shielding)
{
    constexpr std::array<double, 3> one = {0.06, 0.04, 0.02}, several = {0.10, 0.06, 0.04};
    if (facades == 0) return 0.0;
    return facades == 1 ? one[shielding] : several[shielding];
}

/// How much more wind finds the upper storeys.
/// Source    EN 12831:2003, table D.9
double height_correction(double over_ground_m)
{
    return over_ground_m <= 10.0 ? 1.0 : over_ground_m <= 30.0 ? 1.2 : 1.5;
}

/// Air that changes places through an open door for a difference of temperature, each way.
/// Source    Brown and Solvason 1962, natural convection through rectangular openings: C A / 3 sqrt(g H dT / T),
///           discharge coefficient 0.65
double through_open_door_m3_per_s(double width_m, double height_m, double warmer_K, double mean_C)
{
    constexpr double discharge = 0.65, gravity = 9.81;
    return discharge / 3.0 * width_m * height_m *
           std::sqrt(gravity * height_m * std::abs(warmer_K) / (mean_C + 273.15));
}

bool is_conditioned(const Room& room)
{
    return !room.left_out && (room.use.heating_setpoint_C || room.use.cooling_setpoint_C);
}

} // namespace

/// Parts of the envelope that a room leaks through: to outdoors, and to what nobody heats or cools. An attic or garage lies
/// outside of it, and states its own air.
std::vector<Leakage::Leaks> Leakage::leaks_of_rooms() const
{
    std::vector<Leaks> out(building_.rooms.size());
    const auto add = [&](const Surface& s, std::size_t room) {
        if (is_conditioned(building_.rooms[room])) out[room].envelope_m2 += s.gross_m2;
    };
    for (const Surface& s : building_.surfaces) {
        if (s.beyond.kind == Neighbour::Kind::outdoors) out[s.room].to_outdoors.push_back(&s);
        if (s.beyond.kind == Neighbour::Kind::outdoors || s.beyond.kind == Neighbour::Kind::unheated) add(s, s.room);
        if (s.beyond.kind != Neighbour::Kind::room) continue;
        if (!is_conditioned(building_.rooms[s.beyond.room])) add(s, s.room);
        if (!is_conditioned(building_.rooms[s.room])) add(s, s.beyond.room);
    }
    return out;
}

/// Of the whole envelope, for each square metre. Air changes are those of what it encloses.
double Leakage::leaks_at_50_Pa_m_per_s(const std::vector<Leaks>& of_rooms)
{
    const AirtightnessInput& given = input_.airtightness;
    const int ways = (given.permeability ? 1 : 0) + (given.air_changes ? 1 : 0) + (given.tightness ? 1 : 0);
    if (ways > 1)
        problem(codes::contradiction, given.permeability ? given.permeability.origin : given.air_changes.origin,
                "[airtightness] is said in more than one way", "keep one of permeability, air_changes and tightness");
    if (const auto tightness = given.tightness.which()) {
        constexpr std::array<double, 4> of_class = {1.0, 3.0, 6.0, 12.0}; // m3/h for each m2
        return of_class[static_cast<std::size_t>(*tightness)] / hour_s;
    }
    const double to_50_Pa = std::pow(50.0 / value_of(given.test_pressure), value_of(given.flow_exponent));
    if (given.permeability) return *given.permeability * to_50_Pa;
    double volume_m3 = 0.0, envelope_m2 = 0.0;
    for (std::size_t r = 0; r < of_rooms.size(); ++r) {
        if (is_conditioned(building_.rooms[r])) volume_m3 += building_.rooms[r].volume_m3;
        envelope_m2 += of_rooms[r].envelope_m2;
    }
    return envelope_m2 > 0.0 ? value_of(given.air_changes) / hour_s * volume_m3 / envelope_m2 * to_50_Pa : 0.0;
}

/// Through doors to outdoors that people or goods go through, in the mean.
double Leakage::through_doors_m3_per_s(const Use& use, const SomeSurfaces& to_outdoors, bool winter) const
{
    const double usual_C = winter ? 20.0 : 24.0;
    const auto& held = winter ? use.heating_setpoint_C : use.cooling_setpoint_C;
    double outdoor_C = building_.site.winter.dry_bulb_C;
    if (!winter) {
        outdoor_C = usual_C;
        for (const auto& month : building_.site.months) outdoor_C = std::max(outdoor_C, month.dry_bulb_C);
    }
    const double inside_C = held ? held->value : usual_C, mean_C = 0.5 * (inside_C + outdoor_C);
    double flow = 0.0;
    for (const Surface* s : to_outdoors)
        for (const Opening& o : s->openings)
            flow += o.open_share * static_cast<double>(o.from_left_m.size()) *
                    through_open_door_m3_per_s(o.width_m, o.height_m, inside_C - outdoor_C, mean_C);
    return flow;
}

void Leakage::set_infiltration(std::size_t r, const Leaks& of, double leaks_m_per_s)
{
    Room& room = building_.rooms[r];
    UseInput& given = work_.input.rooms[r].use;
    const SomeSurfaces& to_outdoors = of.to_outdoors;
    std::set<std::string> facades;
    for (const Surface* s : to_outdoors)
        facades.insert(s->attitude == Attitude::wall ? compass_word(s->azimuth_deg) : std::string{"above or below"});
    if (facades.empty() && of.envelope_m2 > 0.0) facades.insert("to an unheated space");
    const double envelope_m2 = of.envelope_m2;
    const bool by_envelope = input_.airtightness.is_used() && is_conditioned(room) &&
                             input_.origins.at(given.infiltration.origin).kind == quantity::OriginKind::default_value;
    constexpr double vent = 10.0 / hour_s, flue = 20.0 / hour_s, chimney = 80.0 / hour_s; // SAP 2012, table 2.1
    const double per_m3 = hour_s / room.volume_m3,
                 added = (value_of(given.vents) * vent + value_of(given.flues) * flue +
                          value_of(given.chimneys) * chimney) *
                         per_m3,
                 doors_winter = through_doors_m3_per_s(room.use, to_outdoors, true) * per_m3,
                 doors_summer = through_doors_m3_per_s(room.use, to_outdoors, false) * per_m3;
    if (!by_envelope && added + doors_winter + doors_summer <= 0.0) return;
    double winter = *given.infiltration, summer = given.infiltration_summer ? *given.infiltration_summer : winter;
    std::string how = "as stated";
    quantity::OriginId from = given.infiltration.origin;
    if (by_envelope) {
        const auto shielding =
            static_cast<std::size_t>(input_.airtightness.shielding.which().value_or(Shielding::moderate));
        double ground_m = building_.rooms.front().floor_m;
        for (const Room& other : building_.rooms) ground_m = std::min(ground_m, other.floor_m);
        if (input_.ground.level) ground_m = *input_.ground.level;
        const double middle_m = room.floor_m + 0.5 * room.height_m - ground_m;
        const double share = share_of_test_flow(facades.size(), shielding) * height_correction(middle_m);
        winter = summer = share * leaks_m_per_s * envelope_m2 * per_m3;
        how = fmt::format("{} at 50 Pa over {} of envelope, {:g} % of it by wind and stack",
                          units_.text(leaks_m_per_s * envelope_m2, Kind::air_flow, 3),
                          units_.text(envelope_m2, Kind::area, 3), 100.0 * share);
        const AirtightnessInput& tight = input_.airtightness;
        from = tight.permeability  ? tight.permeability.origin
               : tight.air_changes ? tight.air_changes.origin
                                   : tight.tightness.origin;
    }
    if (added > 0.0) how += fmt::format(", and {:.2g} 1/h by vents, flues and chimneys", added);
    if (doors_winter + doors_summer > 0.0)
        how += fmt::format(", and {:.2g} 1/h by doors in winter, {:.2g} in summer", doors_winter, doors_summer);
    winter += added + doors_winter;
    summer += added + doors_summer;
    given.infiltration = computed(winter, how, from);
    room.use.infiltration_per_h = sourced(given.infiltration);
    if (summer != winter) given.infiltration_summer = computed(summer, how, from);
    room.use.infiltration_summer_per_h = {summer, given.infiltration.origin};
}

void Leakage::add_leakage()
{
    const std::vector<Leaks> of_rooms = leaks_of_rooms();
    const double leaks_m_per_s = input_.airtightness.is_used() ? leaks_at_50_Pa_m_per_s(of_rooms) : 0.0;
    for (std::size_t r = 0; r < building_.rooms.size(); ++r) set_infiltration(r, of_rooms[r], leaks_m_per_s);
}

void add_leakage(Work& work) { Leakage{work}.add_leakage(); }

} // namespace venture::resolve
