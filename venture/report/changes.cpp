#include <venture/report/changes.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <numeric>

#include <fmt/format.h>

#include <venture/report/text.hpp>

namespace venture::report {

using quantity::name_of;
using quantity::PreferredUnits;

namespace {

std::string shown(const Figure& f, const PreferredUnits& units)
{
    return f.quantity.empty() ? f.words : units.text(f.si, f.quantity);
}

std::string by_how_much(const Figure& before, const Figure& after)
{
    if (before.quantity.empty() || before.si == 0.0) return {};
    return fmt::format("{:+.1f} %", 100.0 * (after.si - before.si) / std::abs(before.si));
}

} // namespace

Figures figures_of(const building::Building& b)
{
    Figures out;
    for (const building::Room& room : b.rooms) {
        out.push_back({room.name + ", floor area", room.floor_area_m2, "area", {}});
        out.push_back({room.name + ", volume", room.volume_m3, "volume", {}});
        out.push_back({room.name + ", outdoor air", room.outdoor_air_by_plan_m3_per_s(), "air_flow", {}});
    }
    for (const building::Surface& s : b.surfaces) {
        const std::string name = b.rooms[s.room].name + ", " + s.name;
        out.push_back({name + ", net area", s.net_m2(), "area", {}});
        out.push_back({name + ", U", building::u_value(b, s), "heat_transfer", {}});
    }
    return out;
}

Figures figures_of(const loads::RoomLoads& loads)
{
    Figures out;
    std::vector<std::size_t> heated, cooled;
    for (std::size_t r = 0; r < loads.rooms.size(); ++r) {
        const loads::RoomLoad& room = loads.rooms[r];
        if (room.heated) {
            heated.push_back(r);
            out.push_back({room.room + ", heating", room.heating_W, "power", {}});
        }
        if (room.cooled) {
            cooled.push_back(r);
            out.push_back({room.room + ", cooling", room.cooling_W, "power", {}});
        }
    }
    out.push_back({"all rooms, heating", loads::heating_together_W(loads, heated), "total_power", {}});
    out.push_back({"all rooms, cooling together", loads::coincident_cooling(loads, cooled).total_W, "total_power", {}});
    return out;
}

Figures figures_of(const Sizing& sizing)
{
    const auto choice = [](const auto& selection) {
        const auto& chosen = selection.choice.chosen;
        if (!chosen) return std::string{"nothing suffices"};
        const std::string product =
            chosen->count == 1 ? chosen->product : fmt::format("{} x {}", chosen->count, chosen->product);
        return chosen->suffices() ? product : product + ", " + chosen->in_words();
    };
    Figures out;
    for (const terminal::RoomSelection& u : sizing.units)
        out.push_back(
            {fmt::format("{}, unit for {}", sizing.loads.rooms[u.room].room, name_of(u.duty)), 0.0, {}, choice(u)});
    for (const plant::PlantSelection& p : sizing.plants)
        if (p.duty_W > 0.0) out.push_back({sizing.services.plants[p.plant].name + ", plant", 0.0, {}, choice(p)});
    return out;
}

Text moved_text(const Figures& before, const Figures& after, const PreferredUnits& units)
{
    std::map<std::string_view, const Figure*> old;
    for (const Figure& f : before) old[f.what] = &f;
    TextTable table;
    table.add_column("Moved", Align::left);
    for (const char* heading : {"from", "to", "by"}) table.add_column(heading);
    bool any = false;
    const auto row = [&](std::vector<std::string> cells) {
        any = true;
        table.add_row(std::move(cells));
    };
    for (const Figure& f : after) {
        const auto found = old.find(f.what);
        if (found == old.end()) {
            row({f.what, "(new)", shown(f, units), ""});
            continue;
        }
        const std::string was = shown(*found->second, units), is = shown(f, units);
        if (was != is) row({f.what, was, is, by_how_much(*found->second, f)});
        old.erase(found);
    }
    for (const Figure& f : before)
        if (old.contains(f.what)) row({f.what, shown(f, units), "(gone)", ""});
    return any ? Text{std::move(table)} : Text{};
}

} // namespace venture::report
