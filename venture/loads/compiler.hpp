#pragma once
/// What compile() works with. Internal to loads.

#include <map>
#include <tuple>

#include <venture/loads/compile.hpp>

namespace venture::loads::detail {

class Compiler {
public:
    Compiler(const building::Building& building, const Spell& spell, const CompileOptions& options);
    Compiled run();

private:
    using Irradiance = std::vector<climate::PlaneIrradiance>;
    /// Sun through 1 m2 of glass: what comes through, and what flows in as heat.
    struct ThroughGlass {
        SignalId beam{}, diffuse{}, heat{};
        std::optional<SignalId> shade_down{};
    };
    /// A face that sun inside a room falls on.
    struct SunFace {
        std::size_t surface = 0;
        bool inside = true; ///< the inside face of the surface, else its outside one
        bool floor = false; ///< beam falls on it first
        double absorptance = inside_solar_absorptance;
        double lets_on = 0.0;   ///< share that goes on into the room behind
        std::size_t behind = 0; ///< zone
    };
    struct ZoneSun {
        std::vector<SunFace> faces{};
        Drives beam{}, diffuse{}; ///< through glass to outdoors, W
        double floor_m2 = 0.0;
        double taking_up_m2 = 0.0; ///< of spread light: absorbed, let on, let out
    };

    /// What lets the same share of light through. Solid: 0 always.
    struct Veil {
        double with_leaves = 0.0, bare = 0.0;
        std::vector<building::Caster> casters{};
        friend bool operator==(const Veil&, const Veil&) = default;
    };
    /// Surfaces or openings that are shaded alike, and by what.
    struct Scene {
        double tilt_deg = 90.0, azimuth_deg = 0.0;
        building::Polygons lit{};
        std::vector<Veil> veils{};
        bool no_beam = false; ///< in permanent shade
        friend bool operator==(const Scene&, const Scene&) = default;
    };

    [[nodiscard]] bool winter() const { return spell_.winter_design; }
    [[nodiscard]] static bool inner(const building::Surface& s)
    {
        return s.beyond.kind == building::Neighbour::Kind::room;
    }

    // compile.cpp: zones, what is in them and how they are held
    void add_zones();
    Zone zone_of(const building::Room& room);
    void add_gains(const building::Room& room, Zone& zone);
    void add_people(const building::Gain& gain, Zone& zone);
    void add_gains_in_voids();
    void add_control(const building::Room& room, Zone& zone);
    void add_limits();
    void add_transfer_air();
    SignalId infiltration(const building::Use& use);
    SignalId set_point(double temperature_C, const std::optional<building::Setback>& setback, double towards);
    SignalId profile(std::size_t index, Forcing forcing);
    [[nodiscard]] const calendar::Profile& profile_at(std::size_t calendar, std::size_t hour) const;
    [[nodiscard]] double fraction(std::size_t calendar, std::size_t hour, double into_h = 0.0) const;

    // compile_surfaces.cpp: walls, openings and what lies on either side
    void add_surfaces();
    void add_opaque(const building::Surface& s);
    void add_door(const building::Surface& s, const building::Opening& door);
    void add_window(const building::Surface& s, const building::Opening& window);
    [[nodiscard]] ZoneFace zone_face(std::size_t room, building::Attitude attitude, bool behind) const;
    Face other_face(const building::Surface& s, double emissivity);
    OutdoorFace outdoor_face(const building::Surface& s, double emissivity);
    SignalId outdoors_behind(const building::Surface& s);
    SignalId unheated_behind(const building::Surface& s);
    SignalId changed_outdoors(double times, double plus_K);
    SignalId ground_under(const building::NamedBuildup& floor);
    std::size_t massless_wall(double resistance_m2K_per_W);
    void add_shutter(const building::Surface& s, const building::Opening& window, OutdoorFace& face);

    // compile_shading.cpp
    using OwnPart = std::vector<building::SurfacePlane::Way>;
    const std::vector<OwnPart>& own_parts();
    std::size_t scene_of(const building::Surface& s, const building::Opening* opening);
    void shade_scenes();
    [[nodiscard]] Irradiance shaded_by(const Scene& scene, Irradiance sun) const;
    template <class Covered>
    static double left_of(const Scene& scene, bool bare, Covered covered);
    const Irradiance& irradiance(const building::Surface& s, std::size_t scene);

    // compile_sun.cpp
    const Irradiance& irradiance(const building::Surface& s);
    SignalId sun_on(const building::Surface& s, const building::Opening* opening);
    SignalId samples(std::vector<double> values, Forcing forcing);
    std::vector<double> shade_down(const building::Surface& s, const building::Opening& window);
    [[nodiscard]] std::pair<double, double> left_by_shade(const building::Opening& window) const;
    ThroughGlass through_glass(const building::Surface& s, const building::Opening& window);
    [[nodiscard]] std::size_t shade_profile(const building::Surface& s, const building::Opening& window) const;
    void share_out_sun();
    void spread(std::size_t zone, const Drive& light, double share);

    const building::Building& b_;
    const Spell& spell_;
    const CompileOptions& options_;
    ThermalModel m_{};
    std::vector<std::size_t> zone_of_room_{};
    std::vector<SurfaceFrom> surfaces_from_{};
    std::vector<ZoneSun> sun_{};
    SignalId site_ground_{}, sky_{}, wind_film_{};
    std::map<std::pair<std::size_t, Forcing>, SignalId> profiles_{};
    std::map<std::tuple<double, double, std::size_t, double, double>, SignalId> set_points_{};
    std::map<std::size_t, SignalId> grounds_{};                     ///< by build-up
    std::map<std::pair<double, double>, SignalId> near_outdoors_{}; ///< outdoor air times one, plus the other
    std::map<double, std::size_t> massless_{};
    std::map<std::pair<double, double>, Irradiance> irradiance_{};
    std::optional<std::vector<OwnPart>> own_parts_{};
    std::vector<Scene> scenes_{};
    std::map<std::size_t, Irradiance> in_scene_{}; ///< by scene
    std::map<std::tuple<double, double, std::size_t>, SignalId> sun_on_{};
    using GlassKey = std::tuple<double, double, std::size_t, std::size_t, std::size_t, std::size_t>;
    std::map<GlassKey, ThroughGlass> through_glass_{};
    std::map<GlassKey, SignalId> shutters_{};
};

} // namespace venture::loads::detail
