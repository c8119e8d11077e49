#include <venture/building/cold_faces.hpp>

#include <algorithm>

#include <venture/building/surface_names.hpp>

namespace venture::building {

namespace {

/// How far from the room towards outdoors it is colder behind; 0: it is not.
double share_of_cold(const Neighbour& beyond)
{
    if (beyond.kind == Neighbour::Kind::outdoors) return 1.0;
    return beyond.kind == Neighbour::Kind::unheated ? beyond.reduction_factor : 0.0;
}

} // namespace

std::vector<ColdFace> cold_faces(const Building& b)
{
    std::vector<ColdFace> out;
    for (const Surface& s : b.surfaces) {
        const double cold = share_of_cold(s.beyond);
        if (cold <= 0.0 || b.rooms[s.room].left_out) continue;
        constexpr double least_m2 = 1e-6;
        if (s.net_m2() > least_m2) {
            const double film = fabric::standard_inside_resistance(heat_flow(s.attitude)),
                         all = 1.0 / u_value(b, s) - film + sheltered_face_m2K_per_W;
            out.push_back({s.room, s.name, false, 1.0 - cold * sheltered_face_m2K_per_W / all});
        }
        for (const Opening& o : s.openings)
            if (o.kind != Opening::Kind::open)
                out.push_back({s.room, seen_from(b, s, o, s.room), true,
                               1.0 - cold * std::min(1.0, window_face_m2K_per_W * u_value(b, s, o))});
    }
    return out;
}

std::vector<ColdestFaces> coldest_faces(const Building& b)
{
    std::vector<ColdestFaces> out(b.rooms.size());
    for (const ColdFace& face : cold_faces(b)) {
        std::optional<ColdFace>& coldest = face.opening ? out[face.room].opening : out[face.room].surface;
        if (!coldest || face.temperature_factor < coldest->temperature_factor) coldest = face;
    }
    return out;
}

} // namespace venture::building
