#include <venture/study/schedule.hpp>

#include <algorithm>
#include <cctype>
#include <cmath>
#include <map>
#include <utility>

#include <fmt/format.h>

#include <venture/plant/kinds.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::study {

using figure::Cell;
using figure::Show;
using figure::Sum;
using rating::Service;
using terminal::RoomSelection;

namespace {

/// What is asked of it for a service, and what it can do; of services that anything here gives.
template <Service S>
void add_service_columns(std::vector<figure::ColumnOf<ScheduleItem>>& columns)
{
    using I = ScheduleItem;
    bool any = false;
    for (const auto kinds : {terminal::unit_kinds(), plant::plant_kinds()})
        any = any || std::ranges::any_of(kinds, [](const rating::Kind* kind) { return kind->does(S); });
    if (!any) return;
    std::string key{quantity::name_of(S)}, words = key;
    std::ranges::replace(key, ' ', '_');
    words.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(words.front())));
    columns.push_back({{key + "_needs", words + "\nneeds", "total_power",
                        "its share of what is asked; of cooling sensible and latent", 1, Sum::added, Show::if_any},
                       [](const I& i) -> Cell { return figure::where(i.needs_W[S] > 0.0, i.needs_W[S]); }});
    columns.push_back(
        {{key + "_gives", words + "\ncan do", "total_power", "at the job's temperatures", 1, Sum::added, Show::if_any},
         [](const I& i) -> Cell { return figure::where(i.gives_W[S] > 0.0, i.gives_W[S]); }});
}

template <std::size_t... i>
void add_columns_of_services(std::vector<figure::ColumnOf<ScheduleItem>>& columns, std::index_sequence<i...> /*all*/)
{
    (add_service_columns<rating::all_services[i]>(columns), ...);
}

double of_largest(const ScheduleItem& item, double terminal::ValveSetting::*what)
{
    double out = 0.0;
    for (const ItemValve& v : item.valves) out = std::max(out, v.set.*what);
    return out;
}

/// Of the valves at a thing, one a circuit.
template <class Of>
Cell of_valves(const ScheduleItem& item, Of of)
{
    std::vector<std::string> out;
    for (const ItemValve& v : item.valves) out.push_back(of(v));
    return figure::where(!out.empty(), fmt::format("{}", fmt::join(out, ", ")));
}

Cell known(double value) { return std::isnan(value) ? Cell{} : Cell{value}; }

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
                     return i.kind->in_rows() ? Cell{"not placed"} : Cell{};
                 }},
                {{"kind", "Kind", "", "of thing", 5, Sum::none, Show::if_varied},
                 [](const I& i) -> Cell { return std::string{i.kind->words}; }},
                {{"product", "Product", "", "as the catalogue calls it", 0},
                 [](const I& i) -> Cell { return i.product != nullptr ? i.product->name() : "NOTHING SUFFICES"; }},
                {{"maker", "Maker", "", "of it", 6, Sum::none, Show::data},
                 [](const I& i) -> Cell { return i.product != nullptr ? Cell{i.product->maker()} : Cell{}; }},
            }};
        add_columns_of_services(out.columns, std::make_index_sequence<rating::number_of_services>{});
        const std::vector<figure::ColumnOf<I>> more = {
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
            {{"valve", "Valve", "", "at it, as the catalogue calls it", 4, Sum::none, Show::if_any},
             [](const I& i) -> Cell { return of_valves(i, [](const ItemValve& v) { return v.valve->name(); }); }},
            {{"valve_setting", "set to", "", "the lowest setting of the valve that lets its flow through", 3, Sum::none,
              Show::if_any},
             [](const I& i) -> Cell {
                 return of_valves(i, [](const ItemValve& v) {
                     return v.set.suffices ? fmt::format("{:g}", v.set.setting) : std::string{"TOO SMALL"};
                 });
             }},
            {{"valve_drop", "Valve\ndrop", "pressure", "of the valve at that setting; of several the largest", 4,
              Sum::none, Show::if_any},
             [](const I& i) -> Cell {
                 return figure::where(!i.valves.empty(), of_largest(i, &terminal::ValveSetting::drop_Pa));
             }},
            {{"authority", "Authority", "share", "of the valve: its drop over the circuit's pressure difference", 5,
              Sum::none, Show::if_any},
             [](const I& i) -> Cell {
                 return figure::where(!i.valves.empty(), of_largest(i, &terminal::ValveSetting::authority));
             }},
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
            {{"tags", "Tags", "", "of all of it; of a valve those of its units", 1},
             [](const O& o) -> Cell { return fmt::format("{}", fmt::join(o.tags, ", ")); }},
        }};
    return all;
}

} // namespace

void give_tags(std::vector<ScheduleItem>& items, Tags& tags, const building::Building* building, const TagRule& rule)
{
    const auto codes = storey_codes(building);
    std::vector<Tagged> things;
    std::vector<std::size_t> tagged; // where nothing suffices there is nothing to order
    for (std::size_t i = 0; i < items.size(); ++i) {
        const ScheduleItem& item = items[i];
        if (item.product == nullptr) continue;
        tagged.push_back(i);
        const auto code = codes.find(item.storey);
        Tagged& thing = things.emplace_back(
            Tagged{.kind = std::string{item.kind->words}, .place = item.place, .where = item.where});
        rule.say_to(thing, item.kind->words, item.kind->tag, code != codes.end() ? code->second : item.storey);
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
        for (const ItemValve& v : item.valves) {
            auto of = std::ranges::find(rows, v.valve, &OrderRow::product);
            if (of == rows.end()) of = rows.insert(rows.end(), {&terminal::valve, v.valve, {}});
            of->tags.push_back(item.tag);
        }
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
