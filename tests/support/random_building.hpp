#pragma once
/// Buildings that nobody would draw: seven rooms on two storeys with whatever a project can say of them, chosen by a seed.

#include <cmath>
#include <map>
#include <random>
#include <string>
#include <vector>

#include <small_building.hpp>

namespace venture::testing_data {

class RandomBuilding {
public:
    explicit RandomBuilding(unsigned seed) : random_{seed} {}

    input::Input make()
    {
        in_ = shell();
        in_.project.year = 2027.0;
        set_site();
        set_fabric();
        add_rooms();
        for (input::RoomInput& r : in_.rooms) use(r);
        for (input::RoomInput& r : in_.rooms) open(r);
        state_faces();
        join_rooms();
        return in_;
    }

private:
    double between(double low, double high)
    {
        return low + (high - low) * static_cast<double>(random_()) / 4294967296.0; // the same on every machine
    }
    int whole(int below) { return static_cast<int>(between(0.0, below)); }
    bool one_in(int n) { return whole(n) == 0; }
    /// To the millimetre, so that what is typed is what stands.
    double metres(double low, double high) { return std::round(1000.0 * between(low, high)) / 1000.0; }

    static input::ProfileInput hours(const char* name, std::initializer_list<const char*> ranges)
    {
        input::ProfileInput p;
        p.name = std::string{name};
        quantity::TextList texts;
        for (const char* range : ranges) texts.push_back({range, {}});
        p.hours = texts;
        return p;
    }

    void set_site()
    {
        in_.site.height = std::round(between(0.0, 900.0));
        in_.site.plan_bearing = std::round(between(0.0, 90.0));
        if (one_in(2)) in_.method.inside_films = "by difference";
        if (one_in(2)) in_.method.outside_films = "wind and sky";
        if (one_in(2)) {
            in_.site.summer_time_first = "29 March";
            in_.site.summer_time_last = "24 October";
        }
        if (!one_in(3)) return;
        in_.ground.outdoor_mean = 10.0;
        in_.ground.outdoor_amplitude = 8.0;
    }

    void set_fabric()
    {
        in_.build_ups.push_back(build_up("one-sided", {"100 mm brick", "60 mm wool", "20 mm brick"}));
        in_.build_ups.push_back(build_up("heavy", {"80 mm wool", "200 mm concrete"}));
        if (one_in(2)) in_.fabric.inner_wall = "one-sided";
        if (one_in(2)) in_.fabric.outside_wall = "heavy";
        in_.fabric.door_u_value = 1.8;
        const auto shade = [](const char* name, const char* place, const char* when) {
            input::ShadeInput s;
            s.name = std::string{name};
            s.place = std::string{place};
            s.transmittance = 0.1;
            s.reflectance = 0.5;
            s.use = std::string{when};
            return s;
        };
        in_.shades = {shade("blind", "inside", "above"), shade("screen", "outside", "always"),
                      shade("shutter", "outside", "at night")};
        in_.shades[2].resistance = 0.2;
        in_.profiles = {hours("work", {"08-18 100 %"}), hours("shares", {"07-09 40 %", "09-16 100 %", "16-20 60 %"})};
    }

    void add_rooms()
    {
        const double a = metres(3.0, 7.0), b = metres(3.0, 9.0), c = metres(2.0, 6.0), deep = metres(3.0, 8.0),
                     deeper = metres(2.0, 5.0);
        in_.rooms = {room("Amber", 0, 0, a, deep),
                     room("Birch", a, 0, b, deep),
                     room("Cedar", a + b, 0, c, deep),
                     room("Dune", 0, deep, a + b, deeper),
                     room("Ember", 0, 0, a + b, deep, "upper"),
                     room("Fern", a + b, 0, c, deep, "upper"),
                     room("Grove", 0, deep, a + b, deeper, "upper")};
    }

    void use(input::RoomInput& r)
    {
        input::UseInput& u = r.use;
        if (one_in(6)) u.heating_setpoint = {};
        const bool heated = static_cast<bool>(u.heating_setpoint);
        if (heated) u.heating_setpoint = std::round(between(16.0, 22.0));
        if (one_in(2)) u.cooling_setpoint = std::round(between(23.0, 27.0));
        if (one_in(2)) u.control = "air";
        if (heated && one_in(3)) {
            u.heating_setback = 14.0;
            u.heating_profile = "work";
        }
        if (heated && one_in(3)) u.stratification = between(1.0, 6.0);
        if (u.cooling_setpoint && one_in(3)) {
            u.cooling_setback = 30.0;
            u.cooling_profile = "work";
        }
        if (u.cooling_setpoint && one_in(3)) u.humidity_limit = 0.55;
        u.people = std::round(between(0.0, 12.0));
        if (one_in(2)) u.activity = "office work";
        u.people_profile = std::string{one_in(2) ? "work" : "shares"};
        u.lighting = between(0.0, 15.0);
        u.lighting_profile = "shares";
        u.equipment = between(0.0, 30.0);
        u.moisture = between(0.0, 1e-4);
        u.ventilation_per_person = between(0.0, 0.01);
        u.ventilation_profile = std::string{one_in(2) ? "work" : "always"};
        u.infiltration = between(0.05, 1.0);
        if (one_in(3)) u.infiltration_summer = between(0.05, 1.0);
        if (one_in(3)) u.radiant_share = between(0.0, 0.8);
        if (one_in(3)) u.moisture_buffer = between(1.0, 20.0);
    }

    void open(input::RoomInput& r)
    {
        for (const char* side : {"south", "north", "east", "west"}) {
            if (!one_in(2)) continue;
            input::OpeningInput o = window(side, metres(0.5, 1.4), metres(0.5, 1.5));
            const int kind = whole(4);
            if (kind < 3) o.shade = std::string{kind == 0 ? "blind" : kind == 1 ? "screen" : "shutter"};
            if (one_in(3)) o.overhang = 0.6;
            if (has_outside(r, side)) r.openings.push_back(o);
        }
    }

    /// Sides of the plan; bearings up to 90 degrees leave names of walls as they are on the plan.
    static bool has_outside(const input::RoomInput& r, const std::string& side)
    {
        static const std::map<std::string, std::string> outside = {
            {"Amber", "south west"},     {"Birch", "south"},      {"Cedar", "south east north"},
            {"Dune", "north west east"}, {"Ember", "south west"}, {"Fern", "south east north"},
            {"Grove", "north west east"}};
        return outside.at(*r.name).find(side) != std::string::npos;
    }

    static input::FaceInput face(const char* on, const char* beyond)
    {
        input::FaceInput f;
        f.on = std::string{on};
        f.beyond = std::string{beyond};
        return f;
    }

    void state_faces()
    {
        if (one_in(2)) in_.rooms[2].faces.push_back(face("east", "party wall"));
        if (one_in(3)) {
            in_.rooms[5].faces.push_back(face("east", "a temperature"));
            in_.rooms[5].faces.back().temperature = 12.0;
        }
        if (one_in(3) && (in_.rooms[4].use.heating_setpoint || in_.rooms[4].use.cooling_setpoint)) {
            in_.rooms[4].faces.push_back(face("roof", "unheated space"));
            in_.rooms[4].faces.back().reduction_factor = 0.7;
        }
        if (one_in(3)) {
            in_.rooms[0].faces.push_back(face("west", "outdoors"));
            in_.rooms[0].faces.back().warmer_in_winter = 6.0;
        }
        for (std::size_t r : {2U, 5U, 0U}) // nothing stands in faces that adjoin something else
            if (!in_.rooms[r].faces.empty())
                std::erase_if(in_.rooms[r].openings, [&](const input::OpeningInput& o) {
                    return o.in && *o.in == *in_.rooms[r].faces.front().on;
                });
    }

    void join_rooms()
    {
        if (one_in(2)) {
            input::OpeningInput inner = window("", 1.0, 1.0);
            inner.in = {};
            inner.to = "Birch";
            in_.rooms[0].openings.push_back(inner);
        }
        if (one_in(2)) {
            input::OpeningInput door;
            door.kind = "door";
            door.to = "Cedar";
            door.width = 0.9;
            door.height = 2.0;
            in_.rooms[1].openings.push_back(door);
        }
        if (one_in(2)) {
            input::TransferAirInput air;
            air.from = "Amber";
            air.flow = 0.02;
            air.way = std::string{one_in(2) ? "both" : "in"};
            in_.rooms[3].transfer_air.push_back(air);
        }
    }

    std::mt19937 random_;
    input::Input in_{};
};

} // namespace venture::testing_data
