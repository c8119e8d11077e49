#include <venture/resolve/solids.hpp>

#include <algorithm>

#include <venture/plan/solid.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Severity;

namespace {

class Solids : Pass {
public:
    explicit Solids(Work& work) : Pass{work} {}
    void check_face_keys();
    [[nodiscard]] RoomOutline enclosed(const RoomInput& room, double level_m);
};

} // namespace

bool is_given_by_faces(const RoomInput& room)
{
    return std::ranges::any_of(room.faces, [](const FaceInput& face) { return static_cast<bool>(face.corners); });
}

void Solids::check_face_keys()
{
    for (const RoomInput& room : input_.rooms)
        for (const FaceInput& face : room.faces) {
            if (face.on && face.corners)
                problem(codes::contradiction, face.corners.origin, "corners: stands beside on",
                        "a face is found by the side that it is on, or given by its corners");
            if (!face.on && !face.corners && !face.on.refused && !face.corners.refused)
                problem(codes::missing,
                        face.beyond     ? face.beyond.origin
                        : face.build_up ? face.build_up.origin
                                        : room.name.origin,
                        fmt::format("[room.face] of '{}' has no 'on' (the side that it is on) and no 'corners'",
                                    value_of(room.name)),
                        "say on = \"south\", \"floor\" or \"roof\"; or give its corners in space");
        }
    for (const RoomInput& room : input_.rooms) {
        if (!is_given_by_faces(room)) continue;
        const auto beside = [&](bool typed, quantity::OriginId where, std::string_view key) {
            if (typed)
                problem(codes::contradiction, where,
                        fmt::format("{}: stands beside faces with corners, which enclose '{}' by themselves", key,
                                    value_of(room.name)),
                        "give one or the other");
        };
        beside(static_cast<bool>(room.at), room.at.origin, "at");
        beside(static_cast<bool>(room.size), room.size.origin, "size");
        beside(static_cast<bool>(room.corners), room.corners.origin, "corners");
        beside(static_cast<bool>(room.walk), room.walk.origin, "walk");
        beside(static_cast<bool>(room.place), room.place.origin, "place");
        beside(static_cast<bool>(room.slopes), room.slopes.origin, "slopes");
        beside(static_cast<bool>(room.perimeter), room.perimeter.origin, "perimeter");
        const bool typed_height =
            room.height && input_.origins.at(room.height.origin).kind == quantity::OriginKind::file;
        beside(typed_height, room.height.origin, "height");
    }
}

/// @param level_m  of the storey's floor, which heights of corners are typed from
RoomOutline Solids::enclosed(const RoomInput& room, double level_m)
{
    std::vector<Corners> given;
    std::vector<const FaceInput*> inputs;
    for (const FaceInput& face : room.faces) {
        if (!face.corners) continue;
        Corners& corners = given.emplace_back();
        for (const quantity::Point p : *face.corners) corners.push_back({p.x_m, p.y_m, p.z_m});
        inputs.push_back(&face);
    }
    const std::string name = value_of(room.name);
    const auto call = [&](std::size_t face) {
        return inputs[face]->name ? "the " + *inputs[face]->name : fmt::format("face {}", face + 1);
    };
    const double tolerance = value_of(input_.plan.tolerance);
    constexpr double same_corner_m = 0.005; // a pier may be as thin as the tolerance
    const auto found = enclose(given, std::min(tolerance, same_corner_m), tolerance);
    if (const auto* wrong = std::get_if<std::vector<FaceProblem>>(&found)) {
        for (const FaceProblem& p : *wrong)
            problem(codes::solid, inputs[p.face]->corners.origin,
                    fmt::format("{} of '{}' {}", call(p.face), name, p.message), p.hint);
        return {};
    }
    const Solid& solid = std::get<Solid>(found);
    constexpr double worth_saying_m = 0.0005;
    for (std::size_t f = 0; f < inputs.size(); ++f)
        if (solid.moved_m[f] > worth_saying_m)
            finding(Severity::note, codes::mended, inputs[f]->corners.origin, "room/" + name,
                    fmt::format("corners of {} of '{}' were moved by up to {:.1f} mm, into common corners and one "
                                "plane",
                                call(f), name, 1000.0 * solid.moved_m[f]),
                    "[plan] tolerance says up to where that is done");
    RoomOutline out{.volume_m3 = solid.volume_m3};
    const Polygon plan = plan_of(solid.faces, out.typed_m2);
    out.ring = plan.outline;
    out.holes = plan.holes;
    const std::vector<std::string> names = names_by_direction(solid.faces);
    for (std::size_t f = 0; f < inputs.size(); ++f) {
        RoomFace& face =
            out.faces.emplace_back(RoomFace{inputs[f]->name ? *inputs[f]->name : names[f], solid.faces[f]});
        for (Spot& corner : face.corners_m) corner[2] += level_m;
        for (std::size_t k = 0; k < f; ++k)
            if (quantity::lower_case(out.faces[k].name) == quantity::lower_case(face.name))
                problem(codes::twice, inputs[f]->name ? inputs[f]->name.origin : inputs[f]->corners.origin,
                        fmt::format("a second face of '{}' is called '{}'", name, face.name), "give it another name");
    }
    return out;
}

void set_solid(Room& room, const RoomOutline& outline)
{
    double low = outline.faces[0].corners_m[0][2], high = low;
    for (const RoomFace& face : outline.faces)
        for (const Spot& corner : face.corners_m) {
            low = std::min(low, corner[2]);
            high = std::max(high, corner[2]);
        }
    room.faces = outline.faces;
    room.floor_m = low;
    room.height_m = high - low;
    room.volume_m3 = outline.volume_m3;
}

void check_face_keys(Work& work) { Solids{work}.check_face_keys(); }

RoomOutline enclosed(Work& work, const RoomInput& room, double level_m) { return Solids{work}.enclosed(room, level_m); }

} // namespace venture::resolve
