#include <venture/resolve/air_supplies.hpp>

#include <algorithm>
#include <array>

#include <venture/building/air_balance.hpp>
#include <venture/resolve/calendars.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using input::Fixture;
using quantity::Kind;
using quantity::Severity;

namespace {

class AirSupplies : Pass {
public:
    explicit AirSupplies(Work& work) : Pass{work} {}
    void add_air_supplies();
    std::optional<std::size_t> air_supply_called(const Given<std::string>& name);
    void add_ways_out();
    void check_air_balance();

private:
    void check_bounds(const input::AirSupplyInput& given);
    void add_extract(const input::ExtractInput& given);
    [[nodiscard]] std::vector<std::size_t> parts_of(const Given<std::string>& room);
    [[nodiscard]] std::optional<double> flow_of(const input::ExtractInput& given);
};

/// Of one, m3/s; in the order of Fixture. Source: ASHRAE 62.1, minimum exhaust rates, rounded. 0: none is usual.
constexpr std::array<double, 8> usual_flow_m3_per_s = {0.0, 25e-3, 25e-3, 10e-3, 15e-3, 25e-3, 30e-3, 0.0};

} // namespace

void AirSupplies::check_bounds(const input::AirSupplyInput& given)
{
    const auto crossed = [&](const Given<double>& least, const Given<double>& most, std::string_view what, Kind kind) {
        if (!least || !most || *least <= *most) return;
        problem(codes::contradiction, most.origin,
                fmt::format("air supply '{}': the least {} of its air, {}, is above the most, {}", *given.name, what,
                            units_.text(*least, kind), units_.text(*most, kind)),
                "swap the two, or mend one");
    };
    crossed(given.coldest_supply, given.warmest_supply, "temperature", Kind::temperature);
    crossed(given.driest_supply, given.wettest_supply, "humidity", Kind::humidity_ratio);
}

void AirSupplies::add_air_supplies()
{
    for (const input::AirSupplyInput& given : input_.air_supplies) {
        if (!given.name || !is_sound(given)) { // told already; its place is kept for who names it
            building_.air_supplies.push_back({.name = value_of(given.name)});
            continue;
        }
        check_bounds(given);
        const auto if_typed = [](const Given<double>& v) { return v ? std::optional{*v} : std::nullopt; };
        const auto with_source = [](const Given<double>& v) { return v ? std::optional{sourced(v)} : std::nullopt; };
        building_.air_supplies.push_back({.name = *given.name,
                                          .gives_everything = given.gives == input::SupplyGives::everything,
                                          .free_cooling = given.free_cooling.which().value_or(input::FreeCooling::none),
                                          .greatest_outdoor_share = value_of(given.greatest_outdoor_share),
                                          .fan_pressure_Pa = value_of(given.fan_pressure),
                                          .fan_efficiency = value_of(given.fan_efficiency),
                                          .heat_recovery = value_of(given.heat_recovery),
                                          .moisture_recovery = value_of(given.moisture_recovery),
                                          .bypass = given.bypass != input::Bypass::no,
                                          .coldest_exhaust_C = if_typed(given.coldest_exhaust),
                                          .coldest_supply_C = value_of(given.coldest_supply),
                                          .warmest_supply_C = value_of(given.warmest_supply),
                                          .driest_supply = if_typed(given.driest_supply),
                                          .wettest_supply = if_typed(given.wettest_supply),
                                          .greatest_heating_W_per_m2 = with_source(given.greatest_heating),
                                          .greatest_cooling_W_per_m2 = with_source(given.greatest_cooling),
                                          .origin = given.name.origin});
    }
}

std::optional<std::size_t> AirSupplies::air_supply_called(const Given<std::string>& name)
{
    if (!name || *name == "windows") return std::nullopt;
    const auto at = std::ranges::find(building_.air_supplies, *name, &building::AirSupply::name);
    if (at == building_.air_supplies.end()) return std::nullopt; // told where references are checked
    return static_cast<std::size_t>(at - building_.air_supplies.begin());
}

/// The room, or all that it was cut into.
std::vector<std::size_t> AirSupplies::parts_of(const Given<std::string>& name)
{
    if (const auto room = work_.room_called(*name)) return {*room};
    std::vector<std::size_t> out;
    for (std::size_t r = 0; r < building_.rooms.size(); ++r)
        if (work_.typed_names[work_.cut_from[r]] == *name) out.push_back(r);
    if (out.empty()) (void)find_room(name);
    return out;
}

std::optional<double> AirSupplies::flow_of(const input::ExtractInput& given)
{
    if (given.flow) return *given.flow;
    const auto fixture = given.fixture.which().value_or(Fixture::other);
    const double usual = usual_flow_m3_per_s.at(static_cast<std::size_t>(fixture));
    if (usual > 0.0) return usual;
    problem(codes::missing, given.room.origin,
            fmt::format("[[extract]] of '{}' has no flow, and '{}' has none by itself", *given.room,
                        quantity::name_of(fixture)),
            "type its flow, or name a fixture that has one: `venture explain extract/fixture`");
    return std::nullopt;
}

void AirSupplies::add_extract(const input::ExtractInput& given)
{
    if (!given.room || !is_sound(given)) return; // told already
    const auto flow = flow_of(given);
    const std::vector<std::size_t> rooms = parts_of(given.room);
    if (!flow || rooms.empty()) return;
    double floor_m2 = 0.0;
    for (const std::size_t r : rooms) floor_m2 += building_.rooms[r].floor_area_m2;
    for (const std::size_t r : rooms)
        building_.extracts.push_back(
            {.name = given.name ? *given.name : std::string{value_of(given.fixture)},
             .room = r,
             .flow_m3_per_s = *flow * value_of(given.count) * building_.rooms[r].floor_area_m2 / floor_m2,
             .profile = profile_called(work_, given.profile),
             .origin = given.room.origin});
}

void AirSupplies::add_ways_out()
{
    for (std::size_t i = 0; i < input_.air_supplies.size(); ++i)
        if (const Given<std::string>& through = input_.air_supplies[i].returns_through)
            building_.air_supplies[i].returns_through = find_room(through);
    for (const input::ExtractInput& given : input_.extracts) add_extract(given);
}

void AirSupplies::check_air_balance()
{
    constexpr double rounding = 1e-9;
    const auto balances = building::air_balances(building_);
    for (std::size_t r = 0; r < building_.rooms.size(); ++r) {
        const building::RoomAirBalance& b = balances[r];
        const std::string& name = building_.rooms[r].name;
        const double leaks = building_.rooms[r].use.infiltration_per_h.value * building_.rooms[r].volume_m3 / 3600.0,
                     short_of = b.leaves_m3_per_s() - b.enters_m3_per_s();
        if (short_of <= rounding) continue;
        if (b.extract_m3_per_s > 0.0)
            finding(
                Severity::note, codes::air_balance, b.last_out, "room/" + name,
                fmt::format("room '{}': {} leave by plan and {} come in; {} are drawn in through leaks, from outdoors, "
                            "beside its infiltration",
                            name, units_.text(b.leaves_m3_per_s(), Kind::air_flow),
                            units_.text(b.enters_m3_per_s(), Kind::air_flow), units_.text(short_of, Kind::air_flow)),
                "the room is then below the pressure outdoors; give it make-up air (ventilation_flow) or transfer_air "
                "if that is not meant");
        else if (short_of > leaks + rounding)
            finding(Severity::warning, codes::air_balance, b.last_out, "room/" + name,
                    fmt::format("room '{}' passes {} on to other rooms, but only {} come into it", name,
                                units_.text(b.leaves_m3_per_s(), Kind::air_flow),
                                units_.text(b.enters_m3_per_s() + leaks, Kind::air_flow)),
                    "give it the ventilation, leakage or transfer air that it passes on, or mend the flow");
    }
}

void add_air_supplies(Work& work) { AirSupplies{work}.add_air_supplies(); }
std::optional<std::size_t> air_supply_called(Work& work, const Given<std::string>& name)
{
    return AirSupplies{work}.air_supply_called(name);
}
void add_ways_out(Work& work) { AirSupplies{work}.add_ways_out(); }
void check_air_balance(Work& work) { AirSupplies{work}.check_air_balance(); }

} // namespace venture::resolve
