#include <venture/resolve/thermal_bridges.hpp>

#include <venture/building/junctions.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class ThermalBridges : Pass {
public:
    explicit ThermalBridges(Work& work) : Pass{work} {}
    void add_thermal_bridges(bool shaped);

private:
    [[nodiscard]] static std::string wrong_bridge(const ThermalBridgeInput& given);
    void add_bridge(const ThermalBridgeInput& given, std::size_t room);
};

} // namespace

/// What is wrong with a thermal bridge that is neither a junction nor a fixing; empty if nothing is.
std::string ThermalBridges::wrong_bridge(const ThermalBridgeInput& given)
{
    const bool linear = given.psi.value.has_value(), point = given.chi.value.has_value();
    if (linear == point || (point && (given.length || given.at)))
        return "a junction has psi and length (or `at`, which finds it), a fixing chi";
    if (linear && static_cast<bool>(given.length) == static_cast<bool>(given.at))
        return "a junction has a length, or `at` says where it is measured; not both";
    if (!given.at && !given.room) return "say the room that loses heat through it, or measure it everywhere with `at`";
    return {};
}

void ThermalBridges::add_bridge(const ThermalBridgeInput& given, std::size_t room)
{
    double length = value_of(given.length);
    if (given.at) {
        const auto all = junction_lengths_m(building_, room);
        length = all.at(static_cast<std::size_t>(given.at.which().value_or(fabric::Junction::opening_edge)));
        if (length <= 0.0) return;
    }
    const double one = given.psi ? *given.psi * length : *given.chi;
    building_.thermal_bridges.push_back({*given.name, room, one * value_of(given.count), given.psi ? length : 0.0});
}

void ThermalBridges::add_thermal_bridges(bool shaped)
{
    for (const ThermalBridgeInput& given : input_.thermal_bridges) {
        if (!given.name || !is_sound(given)) continue; // said already
        if (const std::string wrong = wrong_bridge(given); !wrong.empty()) {
            problem(codes::contradiction, given.name.origin,
                    fmt::format("thermal bridge '{}' is not complete, or says too much", *given.name), wrong);
            continue;
        }
        const auto room = given.room ? find_room(given.room) : std::nullopt;
        if (!shaped) continue;
        const std::size_t before = building_.thermal_bridges.size();
        for (std::size_t r = 0; r < building_.rooms.size(); ++r)
            if (given.room ? room == r : true) add_bridge(given, r);
        if (given.at && before == building_.thermal_bridges.size())
            problem(codes::unused, given.at.origin,
                    fmt::format("thermal bridge '{}': there is no {} here", *given.name, *given.at))
                .severity = quantity::Severity::warning;
    }
    std::vector<double> of_room(building_.rooms.size(), 0.0);
    for (const ThermalBridge& bridge : building_.thermal_bridges) of_room[bridge.room] += bridge.heat_loss_W_per_K;
    for (std::size_t r = 0; r < of_room.size(); ++r)
        if (of_room[r] < 0.0)
            problem(codes::physics, building_.rooms[r].origin,
                    fmt::format("the thermal bridges of '{}' add {:.3g} W/K, less than nothing",
                                building_.rooms[r].name, of_room[r]),
                    "corners with a negative psi go with the junctions beside them; add those, or leave both out");
}

void add_thermal_bridges(Work& work, bool shaped) { ThermalBridges{work}.add_thermal_bridges(shaped); }

} // namespace venture::resolve
