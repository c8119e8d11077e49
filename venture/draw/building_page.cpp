#include <venture/draw/building_page.hpp>

#include <cmath>
#include <numbers>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/draw/page_parts.hpp>

namespace venture::draw {

using building::Attitude;
using building::Building;
using building::Neighbour;
using building::Opening;
using building::Surface;
using nlohmann::json;
using plan::Polygons;
using plan::Ring;

namespace {

json ring_json(const Ring& ring)
{
    json out = json::array();
    for (const plan::GridPoint p : ring) out.push_back({plan::to_metres(p.x), plan::to_metres(p.y)});
    return out;
}

json shape_json(const Polygons& shape)
{
    json out = json::array();
    for (const plan::Polygon& polygon : shape) {
        json rings = {ring_json(polygon.outline)};
        for (const Ring& hole : polygon.holes) rings.push_back(ring_json(hole));
        out.push_back(std::move(rings));
    }
    return out;
}

/// Where a surface's own plane lies in space: its corner, its two axes and the way out, in the plan's directions and up.
json plane_json(const Surface& s)
{
    const building::SurfacePlane plane = plane_of(s);
    return {{"corner", plane.zero_m}, {"along", plane.along}, {"up", plane.up}, {"out", plane.out}};
}

std::string kind_of(const Surface& s)
{
    switch (s.beyond.kind) {
    case Neighbour::Kind::outdoors:
        return "outdoors";
    case Neighbour::Kind::ground:
        return "ground";
    case Neighbour::Kind::room:
        return "room";
    case Neighbour::Kind::temperature:
        return "temperature";
    case Neighbour::Kind::unheated:
        return "unheated";
    case Neighbour::Kind::nothing:
        break;
    }
    return "nothing";
}

class Page {
public:
    Page(const Building& b, const quantity::PreferredUnits& units) : b_{b}, units_{units} {}

    json run()
    {
        for (const Surface& s : b_.surfaces)
            if (b_.rooms[s.room].on_plan) add_surface(s);
        for (const building::Obstruction& o : b_.obstructions) add_obstruction(o);
        json storeys = json::array();
        for (const building::Storey& storey : b_.storeys) storeys.push_back(storey.name);
        const double turn = b_.plan_bearing_deg * std::numbers::pi / 180.0;
        return {{"title", b_.project.revision.empty() ? b_.project.name : b_.project.name + ", " + b_.project.revision},
                {"place", fmt::format("{} rooms, {} surfaces", b_.rooms.size(), b_.surfaces.size())},
                {"north", {-std::sin(turn), std::cos(turn)}},
                {"storeys", std::move(storeys)},
                {"faces", std::move(faces_)}};
    }

private:
    void add(json plane, std::string kind, const std::string& storey, double area_m2, double lift_m, json shape,
             std::string says)
    {
        plane["kind"] = std::move(kind);
        plane["storey"] = storey;
        plane["area"] = area_m2;
        plane["lift"] = lift_m;
        plane["shape"] = std::move(shape);
        plane["says"] = std::move(says);
        faces_.push_back(std::move(plane));
    }

    void add_surface(const Surface& s)
    {
        const building::Room& room = b_.rooms[s.room];
        const std::string& storey = b_.storeys[room.storey].name;
        const json plane = plane_json(s);
        add(plane, kind_of(s), storey, s.net_m2(), 0.0, shape_json(s.shape),
            fmt::format("{}\n{}\n{} net, {} gross\nU {}\n{}", room.name, s.name, units_.text(s.net_m2(), "area"),
                        units_.text(s.gross_m2, "area"), units_.text(building::u_value(b_, s), "heat_transfer"),
                        b_.build_ups[s.build_up].layers.name));
        for (const Opening& o : s.openings) add_opening(s, o, plane, storey);
    }

    /// Shown a little before the wall, on either side of it where two rooms share it.
    void add_opening(const Surface& s, const Opening& o, const json& plane, const std::string& storey)
    {
        constexpr double before_m = 0.03;
        const building::Room& room = b_.rooms[s.room];
        const bool window = o.kind == Opening::Kind::window;
        const double up = o.sill_m + foot_of_sills_m(b_, s);
        Polygons shape;
        for (const double left : o.from_left_m)
            shape.push_back(plan::rectangle(plan::to_grid(left), plan::to_grid(up), plan::to_grid(left + o.width_m),
                                            plan::to_grid(up + o.height_m)));
        add(plane, window ? "window" : "door", storey, o.area_m2(), before_m, shape_json(shape),
            fmt::format("{}\n{} in {}\n{}, U {}{}", room.name, name_of(o.kind), s.name,
                        units_.text(o.area_m2(), "area"), units_.text(building::u_value(b_, s, o), "heat_transfer"),
                        window ? "\n" + b_.glazings[o.glazing].values.name : std::string{}));
    }

    void add_obstruction(const building::Obstruction& o)
    {
        const std::string says = fmt::format("obstruction\n{}\nfrom {} to {}", o.name, units_.text(o.base_m, "length"),
                                             units_.text(o.top_m, "length"));
        add({{"corner", {0.0, 0.0, o.top_m}},
             {"along", {1.0, 0.0, 0.0}},
             {"up", {0.0, 1.0, 0.0}},
             {"out", {0.0, 0.0, 1.0}}},
            "obstruction", "", 0.0, 0.0, shape_json({{o.outline, {}}}), says);
        for (std::size_t i = 0; i < o.outline.size(); ++i) {
            const plan::GridPoint a = o.outline[i], b = o.outline[(i + 1) % o.outline.size()];
            const double dx = plan::to_metres(b.x - a.x), dy = plan::to_metres(b.y - a.y), length = std::hypot(dx, dy);
            add({{"corner", {plan::to_metres(a.x), plan::to_metres(a.y), 0.0}},
                 {"along", {dx / length, dy / length, 0.0}},
                 {"up", {0.0, 0.0, 1.0}},
                 {"out", {dy / length, -dx / length, 0.0}}},
                "obstruction", "", 0.0, 0.0,
                shape_json(
                    {plan::rectangle(0, plan::to_grid(o.base_m), plan::to_grid(length), plan::to_grid(o.top_m))}),
                says);
        }
    }

    const Building& b_;
    const quantity::PreferredUnits& units_;
    json faces_ = json::array();
};

/// Text as it may stand in a page.
std::string escaped(const std::string& text)
{
    std::string out;
    for (const char c : text) out += c == '&' ? "&amp;" : c == '<' ? "&lt;" : c == '>' ? "&gt;" : std::string{c};
    return out;
}

/// Data as it may stand in a script: nothing in it can end the script.
std::string as_script(const json& data)
{
    std::string out;
    for (const char c : data.dump()) out += c == '<' ? "\\u003c" : std::string{c};
    return out;
}

} // namespace

std::string building_page(const Building& b, const quantity::PreferredUnits& units)
{
    std::string_view page = building_page_html();
    const std::pair<std::string_view, std::string> parts[] = {{"@TITLE@", escaped(b.project.name)},
                                                              {"@THREE@", std::string{three_js()}},
                                                              {"@ORBIT@", std::string{orbit_controls_js()}},
                                                              {"@DATA@", as_script(Page{b, units}.run())}};
    std::string out;
    for (const auto& [mark, text] : parts) {
        const auto at = page.find(mark);
        out += page.substr(0, at);
        out += text;
        page.remove_prefix(at + mark.size());
    }
    return out + std::string{page};
}

} // namespace venture::draw
