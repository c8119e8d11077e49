#include <venture/loads/load_figures.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/loads/load_shares.hpp>

namespace venture::loads {

using figure::Cell;
using figure::ratio;
using figure::Show;
using figure::Sum;
using figure::Told;
using figure::where;

const figure::TableOf<GroupLoad>& building_load_columns()
{
    using G = GroupLoad;
    static const figure::TableOf<G> all = {
        {"building_load", "Loads of the building",
         "Rooms together: what they need in the largest hour of their sum, without "
         "margins, pipes or ducts.",
         1, Told::data},
        {
            {{"of", "Of", "", "all rooms, or those of a storey", 0}, [](const G& g) -> Cell { return g.of; }},
            {{"rooms", "Rooms", "count", "how many"}, [](const G& g) -> Cell { return figure::whole(g.rooms); }},
            {{"heated_rooms", "heated", "count", "of them with a heating load"},
             [](const G& g) -> Cell { return figure::whole(g.heated.size()); }},
            {{"heating", "Heating", "total_power", "largest hour of their sum in winter design"},
             [](const G& g) -> Cell { return where(!g.heated.empty(), g.heating_W); }},
            {{"heated_area", "Heated", "area", "floor area of heated rooms"},
             [](const G& g) -> Cell { return where(g.heated_m2 > 0.0, g.heated_m2); }},
            {{"heating_per_area", "Heating", "power_per_area", "heating for each square metre of heated floor"},
             [](const G& g) -> Cell { return ratio(g.heating_W, g.heated_m2); }},
            {{"cooled_rooms", "cooled", "count", "rooms with a cooling load"},
             [](const G& g) -> Cell { return figure::whole(g.cooled.size()); }},
            {{"cooling", "Cooling", "total_power", "largest hour of their sum, sensible and latent together"},
             [](const G& g) -> Cell { return where(!g.cooled.empty(), g.cooling.total_W); }},
            {{"cooling_sensible", "sensible", "total_power", "sensible part in that hour"},
             [](const G& g) -> Cell { return where(!g.cooled.empty(), g.cooling.sensible_W); }},
            {{"cooling_latent", "latent", "total_power", "latent part in that hour"},
             [](const G& g) -> Cell { return where(!g.cooled.empty(), g.cooling.latent_W); }},
            {{"cooling_when", "at", "", "day and clock hour of it; not known where a load is typed"},
             [](const G& g) -> Cell { return where(!g.cooled.empty(), g.cooling.when); }},
            {{"single_peaks", "Single peaks", "total_power", "sum of the rooms' coolings, each at its own hour"},
             [](const G& g) -> Cell { return where(!g.cooled.empty(), g.cooling.sum_of_peaks_W); }},
            {{"cooled_area", "Cooled", "area", "floor area of cooled rooms"},
             [](const G& g) -> Cell { return where(g.cooled_m2 > 0.0, g.cooled_m2); }},
            {{"cooling_per_area", "Cooling", "power_per_area", "cooling for each square metre of cooled floor"},
             [](const G& g) -> Cell { return ratio(g.cooling.total_W, g.cooled_m2); }},
            {{"fingerprint", "Fingerprint", "", "of all that the loads follow from"},
             [](const G& g) -> Cell { return fmt::format("{:016x}", g.fingerprint); }},
        }};
    return all;
}

const figure::TableOf<PaperRow>& steady_loss_columns()
{
    using P = PaperRow;
    static const figure::TableOf<P> all = {
        {"steady_loss", "Steady loss by hand",
         "A room's loss at winter design without sun, gains or storage, line by line: area x U x difference, or flow x "
         "capacity x difference.",
         2},
        {
            {{"room", "Room", "", "name of the room", 0, Sum::none, Show::if_varied},
             [](const P& p) -> Cell { return p.load->room; }},
            {{"part", "Steady loss by hand", "", "surface, opening, bridge or air", 0},
             [](const P& p) -> Cell { return p.term->what; }},
            {{"area", "Area", "area", "along wall centre lines, from floor to floor"},
             [](const P& p) -> Cell { return where(p.term->area_m2 > 0.0, p.term->area_m2); }},
            {{"u", "U", "heat_transfer", "thermal transmittance"},
             [](const P& p) -> Cell { return where(p.term->area_m2 > 0.0, p.term->u_W_per_m2K); }},
            {{"h", "H", "heat_loss", "area x U, or flow x capacity"},
             [](const P& p) -> Cell { return p.term->h_W_per_K; }},
            {{"far_side", "far side", "temperature", "of what is beyond"},
             [](const P& p) -> Cell { return p.term->far_side_C; }},
            {{"loss", "loss", "power", "H x (room - far side)", 1, Sum::added},
             [](const P& p) -> Cell { return p.term->loss_W; }},
        }};
    return all;
}

const figure::TableOf<AirBalanceRow>& air_balance_columns()
{
    using A = AirBalanceRow;
    static const figure::TableOf<A> all = {
        {"air_balance", "Into the air in the hour of the cooling peak",
         "What flows into a room's air in the hour of its cooling; the supply takes their sum away.", 2},
        {
            {{"room", "Room", "", "name of the room", 0, Sum::none, Show::if_varied},
             [](const A& a) -> Cell { return a.room; }},
            {{"part", "Into the air in that hour", "", "where it comes from", 0},
             [](const A& a) -> Cell { return std::string{a.part}; }},
            {{"flow", "", "power", "into the air", 1, Sum::added}, [](const A& a) -> Cell { return a.flow_W; }},
        }};
    return all;
}

const figure::TableOf<CauseRow>& load_cause_columns()
{
    using C = CauseRow;
    static const figure::TableOf<C> all = {
        {"load_cause", "Loads by cause",
         "What a load is made of, counted from the room's set-point: the day of its peak, replayed with one cause at a "
         "time.",
         3},
        {
            {{"room", "Room", "", "name of the room", 0, Sum::none, Show::if_varied},
             [](const C& c) -> Cell { return c.room; }},
            {{"of", "Load", "", "heating, or the sensible part of cooling", 0, Sum::none, Show::data},
             [](const C& c) -> Cell { return std::string{c.of}; }},
            {{"cause", "Cause", "", "what acts", 0}, [](const C& c) -> Cell { return c.cause; }},
            {{"load", "", "power", "of this cause alone; negative: it lessens the load", 1, Sum::added},
             [](const C& c) -> Cell { return c.load_W; }},
        }};
    return all;
}

namespace {

const figure::TableOf<TypedOverRow>& typed_over_columns()
{
    using T = TypedOverRow;
    static const figure::TableOf<T> all = {
        {"typed_over", "Typed over computed loads", "A load that somebody typed instead of the computed one.", 2,
         Told::data},
        {
            {{"room", "Room", "", "name of the room", 0}, [](const T& t) -> Cell { return t.room; }},
            {{"of", "Load", "", "heating or cooling", 0}, [](const T& t) -> Cell { return std::string{t.of}; }},
            {{"typed", "Typed", "power", "what counts"}, [](const T& t) -> Cell { return t.typed_W; }},
            {{"computed", "Computed", "power", "what would have counted"},
             [](const T& t) -> Cell { return t.over->computed_W; }},
            {{"reason", "Reason", "", "why, as it was given"},
             [](const T& t) -> Cell { return where(!t.over->reason.empty(), t.over->reason); }},
            {{"from", "From", "", "where it was typed"}, [](const T& t) -> Cell { return t.from; }},
        }};
    return all;
}

const figure::TableOf<RunNote>& design_run_columns()
{
    using N = RunNote;
    static const figure::TableOf<N> all = {
        {"design_run", "How the days were solved", "A design day and how exactly it was solved.", 1, Told::data},
        {
            {{"day", "Design day", "", "winter design, or a month by its highest dry bulb, wet bulb or dew point", 0},
             [](const N& n) -> Cell { return n.day; }},
            {{"held_at_saturation", "Saturated", "",
              "whether some of its hours would be more than saturated, and are taken as saturated"},
             [](const N& n) -> Cell { return n.humidity_capped_at_saturation; }},
            {{"repetitions", "Repetitions", "count", "of the day, until it became periodic"},
             [](const N& n) -> Cell { return figure::whole(n.days); }},
            {{"residual", "Residual", "residual_temperature", "largest difference between the last two repetitions"},
             [](const N& n) -> Cell { return n.residual_K; }},
            {{"closure", "Closure", "residual", "what is missing in the heat balance, as a share of throughput"},
             [](const N& n) -> Cell { return n.worst_closure; }},
            {{"periodic", "Periodic", "", "whether it became so; if not, do not use it"},
             [](const N& n) -> Cell { return n.converged; }},
            {{"unsettled_steps", "Unsettled", "count", "steps in which a thermostat found no consistent state"},
             [](const N& n) -> Cell { return figure::whole(n.unsettled_steps); }},
            {{"film_residual", "Films", "residual",
              "what is left between films and temperatures, as a share of a room's peak"},
             [](const N& n) -> Cell { return n.film_residual; }},
            {{"share_kept", "Memory", "share", "of warmth that is still felt on the next day"},
             [](const N& n) -> Cell { return n.share_kept; }},
        }};
    return all;
}

} // namespace

std::vector<GroupLoad> group_loads(const RoomLoads& loads, const std::vector<RoomList>& lists)
{
    std::vector<GroupLoad> out;
    const auto add = [&](const std::string& name, const auto& belongs) {
        GroupLoad group{.of = name, .fingerprint = loads.fingerprint};
        for (std::size_t r = 0; r < loads.rooms.size(); ++r) {
            const RoomLoad& room = loads.rooms[r];
            if (!belongs(room)) continue;
            ++group.rooms;
            if (room.heated) {
                group.heated.push_back(r);
                group.heated_m2 += room.floor_area_m2;
            }
            if (room.cooled) {
                group.cooled.push_back(r);
                group.cooled_m2 += room.floor_area_m2;
            }
        }
        group.heating_hour = hour_of_heating(loads, group.heated);
        group.heating_W = heating_in_W(loads, group.heated, group.heating_hour);
        group.cooling = coincident_cooling(loads, group.cooled);
        out.push_back(std::move(group));
    };
    add("all rooms", [](const RoomLoad&) { return true; });
    std::vector<std::string> storeys;
    for (const RoomLoad& room : loads.rooms)
        if (!room.storey.empty() && std::ranges::find(storeys, room.storey) == storeys.end())
            storeys.push_back(room.storey);
    if (storeys.size() > 1)
        for (const std::string& storey : storeys) add(storey, [&](const RoomLoad& r) { return r.storey == storey; });
    for (const RoomList& list : lists)
        add(list.of, [&](const RoomLoad& r) { return std::ranges::find(list.rooms, r.room) != list.rooms.end(); });
    return out;
}

std::vector<AirBalanceRow> parts_of(const std::string& room, const AirBalance& b)
{
    return {{room, "windows (inside face, with sun taken up)", b.windows_W},
            {room, "outside walls", b.outside_walls_W},
            {room, "roof", b.roof_W},
            {room, "doors", b.doors_W},
            {room, "ground floor", b.ground_W},
            {room, "inner walls and floors (with sun and radiant gains stored there)", b.inner_W},
            {room, "thermal bridges", b.thermal_bridges_W},
            {room, "convective gains, and what shades inside give to the air", b.convective_gains_W},
            {room, "infiltration", b.infiltration_W},
            {room, "ventilation", b.ventilation_W},
            {room, "air from other rooms", b.transfer_air_W},
            {room, "released by air and furniture", b.released_by_air_W}};
}

std::vector<TypedOverRow> typed_over(const RoomLoads& loads, const quantity::OriginPool& origins)
{
    std::vector<TypedOverRow> out;
    for (const RoomLoad& r : loads.rooms) {
        const auto add = [&](std::string_view of, double typed_W, const std::optional<Overruled>& over) {
            if (over) out.push_back({r.room, of, typed_W, &*over, origins.describe(over->origin)});
        };
        add("heating", r.heating_W, r.heating_overruled);
        add("cooling", r.cooling_W, r.cooling_overruled);
    }
    return out;
}

std::string in_words(balance::Forcing cause)
{
    using balance::Forcing;
    switch (cause) {
    case Forcing::outdoor_air:
        return "outdoor air, through fabric and as leakage and ventilation";
    case Forcing::set_point:
        return "set-points of other rooms, and own where it is not held, or is raised for layers of air";
    case Forcing::given_temperature:
        return "stated temperatures of neighbours";
    case Forcing::sky:
        return "sky, by long wave";
    case Forcing::stratification:
        return "warmer air under ceilings, cooler air at floors";
    case Forcing::limit:
        return "limits of supplies";
    default:
        return std::string{balance::forcing_names()[static_cast<std::size_t>(cause)]};
    }
}

namespace {

std::vector<PaperRow> paper_rows(const RoomLoads& all)
{
    std::vector<PaperRow> out;
    for (const RoomLoad& r : all.rooms)
        for (const PaperTerm& term : r.paper) out.push_back({&r, &term});
    return out;
}

std::vector<AirBalanceRow> air_balances(const RoomLoads& all)
{
    std::vector<AirBalanceRow> out;
    for (const RoomLoad& r : all.rooms)
        if (r.cooled && !r.typed)
            for (AirBalanceRow& part : parts_of(r.room, r.cooling_balance)) out.push_back(std::move(part));
    return out;
}

/// A table that only data have here: rooms one by one have it in their own documents.
figure::Table for_data(figure::Table table)
{
    table.told = Told::data;
    return table;
}

} // namespace

const figure::TablesOf<DesignTold>& design_tables()
{
    using D = DesignTold;
    static const figure::TablesOf<D> all = [] {
        figure::TablesOf<D> tables;
        tables.add(room_load_columns(), rows_of)
            .add(building_load_columns(), [](const D& d) { return group_loads(d.design->loads, d.together); })
            .add(load_share_columns().declaration(),
                 [](const D& d) {
                     return for_data(figure::table_of(
                         load_share_columns(), load_shares(d.design->loads, group_loads(d.design->loads, d.together))));
                 })
            .add(typed_over_columns(), [](const D& d) { return typed_over(d.design->loads, *d.origins); })
            .add(steady_loss_columns().declaration(),
                 [](const D& d) {
                     return for_data(figure::table_of(steady_loss_columns(), paper_rows(d.design->loads)));
                 })
            .add(air_balance_columns().declaration(),
                 [](const D& d) {
                     return for_data(figure::table_of(air_balance_columns(), air_balances(d.design->loads)));
                 })
            .add(design_run_columns(), [](const D& d) { return d.design->runs; });
        return tables;
    }();
    return all;
}

} // namespace venture::loads
