#include <venture/report/model_origins.hpp>

#include <algorithm>

#include <fmt/format.h>

namespace venture::report {

using building::Building;
using loads::Compiled;
using quantity::Sourced;

namespace {

/// Lists the numbers of one room.
class Numbers {
public:
    Numbers(const Building& b, const Compiled& c, std::size_t room)
        : b_{b},
          c_{c},
          room_{b.rooms[room]},
          index_{room},
          zone_{c.zone_of_room[room]}
    {
    }

    std::vector<NumberFrom> run()
    {
        add_stores();
        add_air();
        add_gains();
        add_control();
        for (std::size_t i = 0; i < c_.model.surfaces.size(); ++i)
            if (faces_zone(c_.model.surfaces[i].inside) || faces_zone(c_.model.surfaces[i].outside)) add_surface(i);
        return std::move(out_);
    }

private:
    void add(std::string what, double value, std::string unit, std::string made, std::string from)
    {
        out_.push_back({std::move(what), value, std::move(unit), std::move(made), std::move(from)});
    }
    [[nodiscard]] std::string said(const Sourced<double>& value) const { return b_.origins.describe(value.origin); }
    [[nodiscard]] std::string shape() const { return b_.origins.describe(room_.origin); }
    [[nodiscard]] double mean(const balance::Drives& drives) const
    {
        double sum = 0.0;
        for (const balance::Drive& d : drives) sum += d.factor * c_.model.signals[d.signal.index].mean();
        return sum;
    }
    [[nodiscard]] const balance::Zone& zone() const { return c_.model.zones[zone_]; }
    [[nodiscard]] std::string when(std::size_t profile) const { return b_.calendars[profile].name; }

    void add_stores()
    {
        const building::Use& use = room_.use;
        add("dry air", zone().dry_air_kg, "kg",
            fmt::format("{:.4g} m3 of room at the site's pressure", room_.volume_m3), shape());
        add("capacity of air and furniture", zone().air_capacity_J_per_K, "J/K",
            fmt::format("air, and {:g} J/m2K on {:.4g} m2 of floor", use.furniture_J_per_m2K.value,
                        room_.floor_area_m2),
            said(use.furniture_J_per_m2K));
        add("moisture held, times that of the air", zone().moisture_buffer, "1", "as typed, else 1", shape());
    }

    void add_air()
    {
        const building::Use& use = room_.use;
        add("leakage", mean(zone().infiltration_kg_per_s), "kg/s",
            fmt::format("{:g} 1/h, in summer {:g} 1/h", use.infiltration_per_h.value,
                        use.infiltration_summer_per_h.value),
            said(use.infiltration_per_h));
        const auto by_plan = [&](const char* of, double flow_m3_per_s, const Sourced<double>& value) {
            if (flow_m3_per_s <= 0.0) return;
            add(fmt::format("air by plan, {}", of), flow_m3_per_s, "m3/s",
                fmt::format("at full, by profile '{}'", when(use.ventilation_profile)), said(value));
        };
        by_plan("for people", use.people.value * use.ventilation_per_person_m3_per_s.value,
                use.ventilation_per_person_m3_per_s);
        by_plan("for the floor", use.ventilation_per_area_m_per_s.value * room_.floor_area_m2,
                use.ventilation_per_area_m_per_s);
        by_plan("by volume", use.ventilation_per_h.value * room_.volume_m3 / 3600.0, use.ventilation_per_h);
        by_plan("of the room as a whole", use.ventilation_m3_per_s.value, use.ventilation_m3_per_s);
        if (use.carbon_dioxide_limit)
            by_plan("for carbon dioxide, at least", room_.outdoor_air_for_carbon_dioxide_m3_per_s(),
                    *use.carbon_dioxide_limit);
        for (const building::Extract& extract : b_.extracts)
            if (extract.room == index_)
                add("air taken out at " + extract.name, extract.flow_m3_per_s, "m3/s",
                    fmt::format("at full, by profile '{}'", when(extract.profile)),
                    b_.origins.describe(extract.origin));
        for (const building::TransferAir& air : b_.transfer_air)
            if (air.to == index_ || (air.both_ways && air.from == index_))
                add("air from " + b_.rooms[air.to == index_ ? air.from : air.to].name, air.flow_m3_per_s, "m3/s",
                    fmt::format("at full, by profile '{}'", when(air.profile)), b_.origins.describe(air.origin));
        for (const building::ThermalBridge& bridge : b_.thermal_bridges)
            if (bridge.room == index_)
                add("thermal bridge " + bridge.name, bridge.heat_loss_W_per_K, "W/K",
                    bridge.length_m > 0.0 ? fmt::format("over {:.4g} m", bridge.length_m) : "in all",
                    "a [[thermal_bridge]]");
    }

    void add_gains()
    {
        if (zone().convective_gain_W.empty()) return; // winter design, or none
        for (const building::Gain& gain : room_.use.gains)
            if (gain.sensible_W() > 0.0)
                add(gain.name, gain.sensible_W(), "W",
                    fmt::format("{:g} % of it radiant, by profile '{}'", 100.0 * gain.radiant_W / gain.sensible_W(),
                                when(gain.profile)),
                    b_.origins.describe(gain.origin));
        if (!zone().moisture_gain_kg_per_s.empty())
            add("moisture", mean(zone().moisture_gain_kg_per_s), "kg/s", "mean of people and other sources",
                said(room_.use.latent_per_person_W));
    }

    void add_control()
    {
        const building::Use& use = room_.use;
        const auto set_point = [&](const char* what, const std::optional<balance::SignalId>& id,
                                   const std::optional<Sourced<double>>& from,
                                   const std::optional<building::Setback>& back) {
            if (!id || !from) return;
            add(what, c_.model.signals[id->index].mean(), "degC",
                back ? fmt::format("mean of set-point and setback, by profile '{}'", when(back->profile))
                     : std::string{"all day"},
                said(*from));
        };
        set_point("heated below", zone().heat_below_C, use.heating_setpoint_C, use.heating_setback);
        set_point("cooled above", zone().cool_above_C, use.cooling_setpoint_C, use.cooling_setback);
        const auto humidity = [&](const char* what, const std::optional<balance::SignalId>& ratio,
                                  const std::optional<balance::SignalId>& relative,
                                  const std::optional<building::HumidityLimit>& limit, bool is_typed) {
            const std::optional<balance::SignalId>& held = ratio ? ratio : relative;
            if (!held || !limit) return;
            add(what, c_.model.signals[held->index].mean(), ratio ? "kg/kg" : "1",
                building::in_words(*limit, {}) + (relative ? " of the room's own air" : ""),
                is_typed ? b_.origins.describe(limit->origin) : "our assumption");
        };
        humidity("dried above", zone().dry_above_kg_per_kg, zone().dry_above_relative,
                 room_.dried_above(b_.method, true), use.humidity_limit.has_value());
        humidity("humidified below", zone().wet_below_kg_per_kg, zone().wet_below_relative, use.least_humidity, true);
        add("weight of the radiant temperature in control", zone().radiant_weight, "1",
            use.control_operative ? "operative temperature is held" : "air temperature is held", shape());
        add("radiant share of what heats or cools", zone().radiant_share(), "1", "as typed", said(use.radiant_share));
    }

    [[nodiscard]] bool faces_zone(const balance::Face& face) const
    {
        const auto* at = std::get_if<balance::ZoneFace>(&face);
        return at != nullptr && at->zone == zone_;
    }

    void add_surface(std::size_t i)
    {
        const balance::Surface& s = c_.model.surfaces[i];
        const building::Surface& of = b_.surfaces[c_.surfaces_from[i].surface];
        const auto& opening = c_.surfaces_from[i].opening;
        const std::string outline = b_.origins.describe(b_.rooms[of.room].origin);
        add(s.id + ": area", s.area_m2, "m2",
            opening ? "width, height and count of the opening" : "of the face, less its openings", outline);
        add(s.id + ": face to face", conductance(c_.model.walls[s.wall]), "W/m2K", made_of(of, opening),
            stands_at(of, opening));
        for (const balance::Face* face : {&s.inside, &s.outside}) add_films(s.id, *face);
        const auto* outdoors = std::get_if<balance::OutdoorFace>(&s.outside);
        if (outdoors != nullptr && !outdoors->absorbed_W.empty())
            add(s.id + ": takes up sun outside", outdoors->absorbed_W.front().factor / s.area_m2, "1",
                opening ? "of a door" : "absorptance of the build-up", stands_at(of, opening));
    }

    void add_films(const std::string& id, const balance::Face& face)
    {
        if (const auto* z = std::get_if<balance::ZoneFace>(&face); z != nullptr && z->zone == zone_) {
            add(id + ": convection inside", z->convective_W_per_m2K, "W/m2K",
                z->natural ? "first guess; by difference of temperatures" : "fixed, after ISO 6946", "[method]");
            add(id + ": radiation inside", z->radiative_W_per_m2K, "W/m2K", "to the radiant point, after ISO 6946",
                "[method]");
        } else if (const auto* o = std::get_if<balance::OutdoorFace>(&face)) {
            const bool by_step = o->film_by_step.has_value();
            add(id + ": film outside", by_step ? c_.model.signals[o->film_by_step->index].mean() : o->film_W_per_m2K,
                "W/m2K", by_step ? "mean; by the hour, with wind or shutter" : "fixed, after ISO 6946", "[method]");
        }
    }

    static double conductance(const fabric::WallModes& wall)
    {
        double u = -wall.d12;
        for (std::size_t k = 0; k < wall.size(); ++k) u += wall.b1[k] * wall.b2[k] / wall.rate_per_s[k];
        return u;
    }

    [[nodiscard]] std::string made_of(const building::Surface& s, const std::optional<std::size_t>& opening) const
    {
        if (!opening) return fmt::format("build-up '{}'", b_.build_ups[s.build_up].layers.name);
        const building::Opening& o = s.openings[*opening];
        if (o.kind == building::Opening::Kind::door) return "U-value of the door, films taken off";
        return fmt::format("glazing '{}', films taken off", b_.glazings[o.glazing].values.name);
    }
    [[nodiscard]] std::string stands_at(const building::Surface& s, const std::optional<std::size_t>& opening) const
    {
        if (!opening) return b_.origins.describe(b_.build_ups[s.build_up].origin);
        const building::Opening& o = s.openings[*opening];
        if (o.kind == building::Opening::Kind::window && !b_.glazings[o.glazing].source.empty())
            return b_.glazings[o.glazing].source;
        return b_.origins.describe(b_.rooms[s.room].origin);
    }

    const Building& b_;
    const Compiled& c_;
    const building::Room& room_;
    std::size_t index_, zone_;
    std::vector<NumberFrom> out_{};
};

} // namespace

std::vector<NumberFrom> numbers_of_room(const Building& building, const Compiled& compiled, std::size_t room)
{
    return Numbers{building, compiled, room}.run();
}

namespace {

const figure::TableOf<NumberFrom>& number_columns()
{
    using N = NumberFrom;
    using figure::Cell;
    static const figure::TableOf<N> all = {
        {"model_number", "Numbers of a room", "A number that the heat balance works with, and where it comes from."},
        {
            {{"number", "Number", "", "what it is", 0}, [](const N& n) -> Cell { return n.what; }},
            {{"is", "is", "", "with its unit", 0},
             [](const N& n) -> Cell {
                 return n.unit == "1" ? fmt::format("{:.4g}", n.value) : fmt::format("{:.4g} {}", n.value, n.unit);
             }},
            {{"value", "value", "", "all its digits", 2, figure::Sum::none, figure::Show::data},
             [](const N& n) -> Cell { return n.value; }},
            {{"unit", "unit", "", "of it", 2, figure::Sum::none, figure::Show::data},
             [](const N& n) -> Cell { return n.unit; }},
            {{"made", "made from", "", "how"}, [](const N& n) -> Cell { return n.made; }},
            {{"from", "said at", "", "where it was typed"}, [](const N& n) -> Cell { return n.from; }},
        }};
    return all;
}

} // namespace

figure::Document numbers_document(const std::vector<NumberFrom>& numbers)
{
    figure::Document out;
    return out.add(figure::table_of(number_columns(), numbers));
}

figure::Declaration number_declaration() { return number_columns().declaration(); }

} // namespace venture::report
