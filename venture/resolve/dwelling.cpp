#include <venture/resolve/dwelling.hpp>

#include <algorithm>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;
using quantity::OriginKind;
using quantity::Severity;

namespace {

class Dwelling : Pass {
public:
    explicit Dwelling(Work& work) : Pass{work} {}
    void spread_dwelling();

private:
    struct OfDwelling {
        double whole = 0.0;
        Given<double> UseInput::*key;
        Sourced<double> Use::*onto;
        bool per_m2 = false; ///< the key is for each square metre
        quantity::Kind kind; ///< of the whole
        std::string what{};
        quantity::OriginId from{};
    };
    [[nodiscard]] std::vector<std::size_t> rooms_of_dwelling();
    [[nodiscard]] bool room_says_itself(quantity::OriginId origin) const;
    void spread(const OfDwelling& of, const std::vector<std::size_t>& rooms);
};

} // namespace

/// The rooms that [dwelling] names, else every heated one.
std::vector<std::size_t> Dwelling::rooms_of_dwelling()
{
    const DwellingInput& dwelling = input_.dwelling;
    std::vector<std::size_t> rooms;
    for (std::size_t r = 0; r < building_.rooms.size(); ++r)
        if (!dwelling.rooms && building_.rooms[r].use.heating_setpoint_C) rooms.push_back(r);
    if (!dwelling.rooms) return rooms;
    for (const quantity::PlacedText& name : *dwelling.rooms)
        if (const auto r = find_room(Given<std::string>{name.text, name.origin})) rooms.push_back(*r);
    return rooms;
}

/// Whether a value was said for the room itself, and not by its type or by nobody.
bool Dwelling::room_says_itself(quantity::OriginId id) const
{
    const quantity::Origin origin = input_.origins.at(id);
    if (origin.kind == OriginKind::default_value) return false;
    if (origin.kind == OriginKind::inherited && origin.text.starts_with("room type")) return false;
    const bool derived = origin.kind == OriginKind::inherited || origin.kind == OriginKind::computed;
    return !derived || origin.parent == quantity::OriginId{} || room_says_itself(origin.parent);
}

/// What rooms say themselves stands and is taken off the whole; the rest goes by floor area over the others, whatever their
/// types say.
void Dwelling::spread(const OfDwelling& of, const std::vector<std::size_t>& rooms)
{
    const auto in_room = [&](std::size_t r) {
        const Given<double>& value = input_.rooms[r].use.*of.key;
        return value_of(value) * (of.per_m2 ? building_.rooms[r].floor_area_m2 : 1.0);
    };
    double left = of.whole, area_m2 = 0.0;
    std::vector<std::size_t> others;
    std::vector<std::string> by_type;
    for (const std::size_t r : rooms) {
        const Given<double>& value = input_.rooms[r].use.*of.key;
        if (value && room_says_itself(value.origin)) {
            left -= in_room(r);
            continue;
        }
        others.push_back(r);
        area_m2 += building_.rooms[r].floor_area_m2;
        if (value && in_room(r) > 0.0 && input_.origins.at(value.origin).kind != OriginKind::default_value)
            by_type.push_back(fmt::format("{} ({})", building_.rooms[r].name, units_.text(in_room(r), of.kind, 3)));
    }
    constexpr double rounding = 1e-9;
    if (left < -rounding * of.whole)
        finding(Severity::warning, codes::overruled, of.from, "dwelling",
                fmt::format("rooms say {} {} themselves, more than the {} of [dwelling]",
                            units_.text(of.whole - left, of.kind), of.what, units_.text(of.whole, of.kind)),
                "mend what rooms say, or [dwelling]");
    const double rest = std::max(0.0, left);
    for (const std::size_t r : others) {
        const double share = of.per_m2 ? rest / area_m2 : rest * building_.rooms[r].floor_area_m2 / area_m2;
        Given<double>& value = work_.input.rooms[r].use.*of.key;
        value = computed(
            share, fmt::format("{} {} of the dwelling, by floor area", units_.text(rest, of.kind), of.what), of.from);
        building_.rooms[r].use.*of.onto = sourced(value);
    }
    if (!by_type.empty())
        finding(Severity::note, codes::overruled, of.from, "dwelling",
                fmt::format("[dwelling] governs: {} {} by floor area, instead of what room types bring to {}",
                            units_.text(rest, of.kind), of.what, quantity::listed(by_type, 6)),
                "what a room says itself would stand; leave this out of [dwelling] to go by the types");
}

void Dwelling::spread_dwelling()
{
    const DwellingInput& dwelling = input_.dwelling;
    if (!dwelling.is_used()) return;
    if (dwelling.bedrooms && dwelling.people)
        problem(codes::contradiction, dwelling.people.origin, "[dwelling] has bedrooms and people",
                "keep one of them: one more person than bedrooms lives here");
    const std::vector<std::size_t> rooms = rooms_of_dwelling();
    if (rooms.empty()) return;
    if (dwelling.people || dwelling.bedrooms)
        spread({.whole = dwelling.people ? *dwelling.people : *dwelling.bedrooms + 1.0,
                .key = &UseInput::people,
                .onto = &Use::people,
                .kind = Kind::number,
                .what = "people",
                .from = dwelling.people ? dwelling.people.origin : dwelling.bedrooms.origin},
               rooms);
    double all_m2 = 0.0;
    for (const std::size_t r : rooms) all_m2 += building_.rooms[r].floor_area_m2;
    if (dwelling.appliances) {
        constexpr double fixed_W = 136.0, each_W_per_m2 = 2.2;
        const double level = dwelling.appliances == Appliances::few    ? 0.6
                             : dwelling.appliances == Appliances::many ? 1.5
                                                                       : 1.0;
        spread({.whole = level * (fixed_W + each_W_per_m2 * all_m2),
                .key = &UseInput::equipment,
                .onto = &Use::equipment_W_per_m2,
                .per_m2 = true,
                .kind = Kind::power,
                .what = fmt::format("of {} appliances", *dwelling.appliances),
                .from = dwelling.appliances.origin},
               rooms);
    }
    if (dwelling.plants) {
        constexpr double each_kg_per_s = 0.010 / 3600.0;
        spread({.whole = *dwelling.plants * each_kg_per_s,
                .key = &UseInput::moisture,
                .onto = &Use::moisture_kg_per_s,
                .kind = Kind::moisture_flow,
                .what = fmt::format("of water by {:g} plants", *dwelling.plants),
                .from = dwelling.plants.origin},
               rooms);
    }
}

void spread_dwelling(Work& work) { Dwelling{work}.spread_dwelling(); }

} // namespace venture::resolve
