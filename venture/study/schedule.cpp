#include <venture/study/schedule.hpp>

#include <algorithm>
#include <cmath>
#include <map>

#include <fmt/format.h>

#include <venture/rating/choosing.hpp>

namespace venture::study {

using figure::Cell;
using figure::Show;
using figure::Sum;
using rating::Service;
using terminal::RoomSelection;

namespace {

constexpr std::array both = {Service::heating, Service::cooling};

Cell known(double value) { return std::isnan(value) ? Cell{} : Cell{value}; }

/// Units of one room that hang on the same pipes, made items.
class UnitItems {
public:
    UnitItems(const Sizing& sizing, std::vector<ScheduleItem>& into) : sizing_{sizing}, into_{into} {}

    void add(const RoomSelection& s)
    {
        if (!s.choice.chosen || s.choice.chosen->refused) {
            ScheduleItem& item = begin(s);
            item.product = s.choice.chosen ? &s.choice.chosen->product() : nullptr;
            item.needs_W[s.duty.service] = s.duty.W;
            return;
        }
        const rating::Output all = s.choice.chosen->all();
        std::size_t n = 0;
        for (const rating::Units& some : s.choice.chosen->units)
            for (int i = 0; i < some.count; ++i, ++n) {
                ScheduleItem& item = begin(s);
                item.product = some.product;
                take(item, s, some, all);
            }
        place(s, n);
    }
    /// The same units for another service.
    void add_to_last(const RoomSelection& s)
    {
        const rating::Output all = s.choice.chosen->all();
        const rating::Units& some = s.choice.chosen->units.front();
        for (std::size_t i = into_.size() - static_cast<std::size_t>(some.count); i < into_.size(); ++i) {
            into_[i].circuit += ", " + circuit_of(s).name;
            into_[i].met = into_[i].met && s.met();
            take(into_[i], s, some, all);
        }
    }

private:
    [[nodiscard]] const services::Circuit& circuit_of(const RoomSelection& s) const
    {
        return sizing_.services.circuits[s.circuit];
    }

    ScheduleItem& begin(const RoomSelection& s)
    {
        const loads::RoomLoad& load = sizing_.loads.rooms[s.room];
        return into_.emplace_back(ScheduleItem{.kind = circuit_of(s).unit,
                                               .place = load.room,
                                               .storey = load.storey,
                                               .kept = s.kept.has_value(),
                                               .met = s.met(),
                                               .circuit = circuit_of(s).name,
                                               .supply_C = s.at[rating::At::water_supply]});
    }

    /// Its share of what all of them need, and what its water does then.
    static void take(ScheduleItem& item, const RoomSelection& s, const rating::Units& some, const rating::Output& all)
    {
        const Service service = s.duty.service;
        item.gives_W[service] = some.one.gives_W[service];
        item.needs_W[service] = s.duty.W * some.one.gives_W[service] / all.gives_W[service];
        const auto throttled = some.product->giving(s.at, item.needs_W[service]);
        const rating::Output& water = throttled ? *throttled : some.one;
        // Of two services the larger flow is what its pipes are for.
        if (!(water.water_kg_per_s <= item.water_kg_per_s)) {
            item.water_kg_per_s = water.water_kg_per_s;
            item.return_C = water.water_return_C;
            item.supply_C = s.at[rating::At::water_supply];
            item.pressure_drop_Pa = some.one.water_pressure_drop_Pa;
        }
        item.electric_W = some.one.electric_W;
        item.sound_power_dB = some.one.sound_power_dBA;
        item.room_sound_dB = all.sound_power_dBA - s.wish.wish.room_effect_dB;
        if (service == Service::heating) item.surface_C = rating::surface_C(some.product->label(), s.at);
    }

    /// The last n items get the places of a selection, product by product.
    void place(const RoomSelection& s, std::size_t n)
    {
        std::vector<bool> used(s.standing.size());
        for (std::size_t i = into_.size() - n; i < into_.size(); ++i)
            for (std::size_t k = 0; k < used.size(); ++k)
                if (!used[k] && s.standing[k].product == into_[i].product) {
                    used[k] = true;
                    into_[i].standing = &s.standing[k];
                    into_[i].where = s.standing[k].spot.called;
                    break;
                }
    }

    const Sizing& sizing_;
    std::vector<ScheduleItem>& into_;
};

/// One product in the same number for both services of a node.
bool are_the_same_units(const RoomSelection& a, const RoomSelection& b)
{
    return a.node == b.node && a.choice.chosen && b.choice.chosen && !a.choice.chosen->refused &&
           !b.choice.chosen->refused && a.choice.chosen->called() == b.choice.chosen->called();
}

void add_plants(const Sizing& s, std::vector<ScheduleItem>& out)
{
    std::size_t last_plant = s.services.plants.size();
    for (const plant::PlantSelection& p : s.plants) {
        if (p.duty.W <= 0.0) continue;
        const services::Plant& plant = s.services.plants[p.plant];
        const bool again = p.plant == last_plant; // its other service
        last_plant = p.plant;
        const int count = p.choice.chosen ? p.choice.chosen->count() : plant.units;
        for (int i = 0; i < count; ++i) {
            if (!again)
                out.push_back({.kind = plant.kind, .place = plant.name, .kept = p.kept.has_value(), .met = p.met()});
            ScheduleItem& item = out[out.size() - static_cast<std::size_t>(again ? count - i : 1)];
            item.met = item.met && p.met();
            item.needs_W[p.service] = p.duty.W / count;
            item.supply_C = p.supply_C;
            if (!p.choice.chosen || p.choice.chosen->refused) continue;
            const rating::Units& some = p.choice.chosen->units.front();
            item.product = some.product;
            item.gives_W[p.service] = some.one.gives_W[p.service];
            item.electric_W = some.one.electric_W;
            item.sound_power_dB = some.one.sound_power_dBA;
        }
    }
}

/// Numbers of storeys from the ground up: "0", "1", below it "B1".
std::map<std::string, std::string> storey_codes(const building::Building* building)
{
    std::map<std::string, std::string> out;
    if (building == nullptr) return out;
    std::vector<std::pair<double, std::string>> storeys;
    for (const building::Storey& s : building->storeys) storeys.emplace_back(s.level_m, s.name);
    std::ranges::sort(storeys);
    constexpr double at_grade_m = -0.8; // half sunk floors still count as the ground floor
    const auto below = std::ranges::count_if(storeys, [](const auto& s) { return s.first < at_grade_m; });
    for (std::ptrdiff_t i = 0; i < std::ssize(storeys); ++i)
        out[storeys[static_cast<std::size_t>(i)].second] =
            i < below ? fmt::format("B{}", below - i) : fmt::format("{}", i - below);
    return out;
}

const figure::TableOf<ScheduleItem>& columns()
{
    using I = ScheduleItem;
    static const figure::TableOf<I> all = [] {
        figure::TableOf<I> out = {
            {"schedule", "Schedule", "One unit or piece of plant, as it is ordered."},
            {
                {{"tag", "Tag", "", "issued once and kept", 0}, [](const I& i) -> Cell { return i.tag; }},
                {{"place", "Room or plant", "", "that it stands in, or that it is", 0},
                 [](const I& i) -> Cell { return i.place; }},
                {{"storey", "Storey", "", "of the room", 4, Sum::none, Show::if_varied},
                 [](const I& i) -> Cell { return figure::where(!i.storey.empty(), i.storey); }},
                {{"where", "Where", "", "in the room", 2, Sum::none, Show::if_any},
                 [](const I& i) -> Cell {
                     if (!i.where.empty()) return i.where;
                     return i.kind->in_rows ? Cell{"not placed"} : Cell{};
                 }},
                {{"kind", "Kind", "", "of thing", 5, Sum::none, Show::if_varied},
                 [](const I& i) -> Cell { return std::string{i.kind->words}; }},
                {{"product", "Product", "", "as the catalogue calls it", 0},
                 [](const I& i) -> Cell { return i.product != nullptr ? i.product->name() : "NOTHING SUFFICES"; }},
                {{"maker", "Maker", "", "of it", 6, Sum::none, Show::data},
                 [](const I& i) -> Cell { return i.product != nullptr ? Cell{i.product->maker()} : Cell{}; }},
            }};
        static_assert(both.size() == 2); // a pair of columns for each service
        const std::vector<figure::ColumnOf<I>> more = {
            {{"heating_needs", "Heating\nneeds", "total_power", "its share of what is asked", 1, Sum::added,
              Show::if_any},
             [](const I& i) -> Cell {
                 return figure::where(i.needs_W[Service::heating] > 0.0, i.needs_W[Service::heating]);
             }},
            {{"heating_gives", "Heating\ncan do", "total_power", "at the job's temperatures", 1, Sum::added,
              Show::if_any},
             [](const I& i) -> Cell {
                 return figure::where(i.gives_W[Service::heating] > 0.0, i.gives_W[Service::heating]);
             }},
            {{"cooling_needs", "Cooling\nneeds", "total_power", "its share of what is asked, sensible and latent", 1,
              Sum::added, Show::if_any},
             [](const I& i) -> Cell {
                 return figure::where(i.needs_W[Service::cooling] > 0.0, i.needs_W[Service::cooling]);
             }},
            {{"cooling_gives", "Cooling\ncan do", "total_power", "at the job's temperatures", 1, Sum::added,
              Show::if_any},
             [](const I& i) -> Cell {
                 return figure::where(i.gives_W[Service::cooling] > 0.0, i.gives_W[Service::cooling]);
             }},
            {{"circuit", "Circuit", "", "that it hangs on", 5, Sum::none, Show::if_varied},
             [](const I& i) -> Cell { return figure::where(!i.circuit.empty(), i.circuit); }},
            {{"supply", "Water\nsupply", "temperature", "that comes to it", 4, Sum::none, Show::if_varied},
             [](const I& i) -> Cell { return known(i.supply_C); }},
            {{"return", "Water\nreturn", "temperature", "found for its share of what is asked, where it is throttled",
              3, Sum::none, Show::if_any},
             [](const I& i) -> Cell { return known(i.return_C); }},
            {figure::finer({"water", "Water\nflow", "water_flow",
                            "for its share of what is asked, where it is throttled; else in full", 3, Sum::added,
                            Show::if_any},
                           1),
             [](const I& i) -> Cell { return known(i.water_kg_per_s / 1000.0); }},
            {{"pressure_drop", "Water\ndrop", "pressure", "through it, where its maker says", 5, Sum::none,
              Show::if_any},
             [](const I& i) -> Cell { return known(i.pressure_drop_Pa); }},
            {{"sound", "Sound", "sound_power", "power level of it alone", 4, Sum::none, Show::if_any},
             [](const I& i) -> Cell { return known(i.sound_power_dB); }},
            {{"room_sound", "in the room", "sound_pressure", "level of all of them together", 4, Sum::none,
              Show::if_any},
             [](const I& i) -> Cell { return known(i.room_sound_dB); }},
            {{"electricity", "Electricity", "total_power", "that it takes", 5, Sum::added, Show::if_any},
             [](const I& i) -> Cell { return known(i.electric_W); }},
            {{"height", "Height", "length", "of the body", 6, Sum::none, Show::data},
             [](const I& i) -> Cell { return i.product != nullptr ? known(i.product->label().height_m) : Cell{}; }},
            {{"length", "Length", "length", "of the body", 6, Sum::none, Show::data},
             [](const I& i) -> Cell { return i.product != nullptr ? known(i.product->label().length_m) : Cell{}; }},
            {{"depth", "Depth", "length", "of the body", 6, Sum::none, Show::data},
             [](const I& i) -> Cell { return i.product != nullptr ? known(i.product->label().depth_m) : Cell{}; }},
            {{"surface", "Surface", "temperature", "the warmest that can be touched", 6, Sum::none, Show::data},
             [](const I& i) -> Cell { return known(i.surface_C); }},
            {{"cost", "Cost", "count", "as its catalogue counts", 6, Sum::added, Show::data},
             [](const I& i) -> Cell { return i.product != nullptr ? known(i.product->label().cost) : Cell{}; }},
            {{"kept", "Kept", "", "settled on before: rated, not chosen", 6, Sum::none, Show::data},
             [](const I& i) -> Cell { return i.kept; }},
            {{"met", "Met", "", "whether what the room or plant has suffices", 6, Sum::none, Show::data},
             [](const I& i) -> Cell { return i.met; }},
        };
        out.columns.insert(out.columns.end(), more.begin(), more.end());
        return out;
    }();
    return all;
}

/// Some of one product.
struct OrderRow {
    const rating::Kind* kind = nullptr;
    const rating::Product* product = nullptr;
    std::vector<std::string> tags{};
};

const figure::TableOf<OrderRow>& order_columns()
{
    using O = OrderRow;
    static const figure::TableOf<O> all = {
        {"order", "Order", "One product, with how many of it."},
        {
            {{"product", "Product", "", "as the catalogue calls it", 0},
             [](const O& o) -> Cell { return o.product->name(); }},
            {{"maker", "Maker", "", "of it", 2}, [](const O& o) -> Cell { return o.product->maker(); }},
            {{"kind", "Kind", "", "of thing", 2, Sum::none, Show::if_varied},
             [](const O& o) -> Cell { return std::string{o.kind->words}; }},
            {{"number", "Number", "count", "of it", 0, Sum::added},
             [](const O& o) -> Cell { return figure::whole(o.tags.size()); }},
            {{"cost", "Cost", "count", "of all of it, as its catalogue counts", 2, Sum::added, Show::if_any},
             [](const O& o) -> Cell { return known(static_cast<double>(o.tags.size()) * o.product->label().cost); }},
            {{"tags", "Tags", "", "of all of it", 1},
             [](const O& o) -> Cell { return fmt::format("{}", fmt::join(o.tags, ", ")); }},
        }};
    return all;
}

} // namespace

std::vector<ScheduleItem> schedule_items(const Sizing& sizing, const building::Building* building)
{
    std::vector<ScheduleItem> out;
    UnitItems units{sizing, out};
    for (std::size_t i = 0; i < sizing.units.size(); ++i) {
        if (i > 0 && are_the_same_units(sizing.units[i - 1], sizing.units[i]))
            units.add_to_last(sizing.units[i]);
        else
            units.add(sizing.units[i]);
    }
    add_plants(sizing, out);
    if (building != nullptr)
        for (ScheduleItem& item : out)
            if (const auto room = building->find_room(item.place); room && item.storey.empty())
                item.storey = building->storeys[building->rooms[*room].storey].name;
    return out;
}

void give_tags(std::vector<ScheduleItem>& items, Tags& tags, const building::Building* building)
{
    const auto codes = storey_codes(building);
    std::vector<Tagged> things;
    std::vector<std::size_t> tagged; // where nothing suffices there is nothing to order
    for (std::size_t i = 0; i < items.size(); ++i) {
        const ScheduleItem& item = items[i];
        if (item.product == nullptr) continue;
        tagged.push_back(i);
        const auto code = codes.find(item.storey);
        const std::string storey = code != codes.end()   ? "-" + code->second
                                   : item.storey.empty() ? ""
                                                         : "-" + item.storey;
        things.push_back({std::string{item.kind->words}, item.place, item.where, std::string{item.kind->tag} + storey});
    }
    const std::vector<std::string> given = tags.give_to(things);
    for (std::size_t i = 0; i < tagged.size(); ++i) items[tagged[i]].tag = given[i];
}

figure::Table schedule_table(const std::vector<ScheduleItem>& items, const Tags& tags)
{
    figure::Table out = figure::table_of(columns(), items);
    for (std::size_t c = 0; c < tags.own_columns.size(); ++c) {
        out.columns.push_back({.key = tags.own_columns[c],
                               .heading = tags.own_columns[c],
                               .meaning = "kept beside the tags by whoever uses them",
                               .rank = 3});
        for (std::size_t i = 0; i < items.size(); ++i) {
            const IssuedTag* issued = tags.find(items[i].tag);
            const bool says = issued != nullptr && c < issued->own.size() && !issued->own[c].empty();
            out.rows[i].push_back(says ? Cell{issued->own[c]} : Cell{});
        }
    }
    std::map<std::string_view, std::vector<std::size_t>> by_kind;
    for (std::size_t i = 0; i < items.size(); ++i) by_kind[items[i].kind->words].push_back(i);
    for (auto& [kind, rows] : by_kind) {
        const std::size_t n = rows.size();
        out.add_total(fmt::format("{} {}{}", n, kind, n == 1 ? "" : "s"), std::move(rows));
    }
    return out;
}

figure::Table order_table(const std::vector<ScheduleItem>& items)
{
    std::vector<OrderRow> rows;
    for (const ScheduleItem& item : items) {
        if (item.product == nullptr) continue;
        auto row = std::ranges::find(rows, item.product, &OrderRow::product);
        if (row == rows.end()) row = rows.insert(rows.end(), {item.kind, item.product, {}});
        row->tags.push_back(item.tag);
    }
    std::ranges::stable_sort(rows, [](const OrderRow& a, const OrderRow& b) {
        return std::pair{a.kind->words, a.product->name()} < std::pair{b.kind->words, b.product->name()};
    });
    figure::Table out = figure::table_of(order_columns(), rows);
    out.add_total("together");
    return out;
}

std::vector<figure::Declaration> schedule_declarations()
{
    return {columns().declaration(), order_columns().declaration()};
}

} // namespace venture::study
