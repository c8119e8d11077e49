#pragma once
/// What compile() works with. Internal to loads.

#include <map>
#include <tuple>

#include <venture/fabric/glass_heat.hpp>
#include <venture/loads/compile.hpp>
#include <venture/loads/scenes.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::loads::detail {

/// What is left of the light and of the whole gain with a shade down, as shares of the bare glass's.
struct LeftByShade {
    double light = 1.0, all = 1.0;
};

class Compiler {
public:
    Compiler(const building::Building& building, const Spell& spell, const CompileOptions& options);
    Compiled run();

    /// Sun on 1 m2 of a window's glass that comes through as light, at one instant. W/m2
    struct LightThrough {
        double beam = 0.0, diffuse = 0.0;
    };
    /// Writes how a window's light comes about; nothing where no sun falls on it.
    /// @param sample  of the spell   @param sun  that falls on the plane with nothing before it
    [[nodiscard]] LightThrough write_light(const building::Surface& s, const building::Opening& window,
                                           std::size_t sample, const climate::PlaneIrradiance& sun,
                                           const quantity::LedgerOf& told);
    /// What stands before surfaces, where only the sun is asked for: run() does it by itself.
    void look_at_shadows() { shade_scenes(); }

private:
    using Irradiance = std::vector<climate::PlaneIrradiance>;
    /// Sun on 1 m2 of glass: what comes through, the heat that it sets free on the faces of the window, and what a shade
    /// inside gives to the room.
    struct ThroughGlass {
        balance::SignalId beam{}, diffuse{}, on_outer{}, on_inner{};
        std::optional<balance::SignalId> from_shade{}, shade_down{};
    };
    /// A face that sun inside a room falls on.
    struct SunFace {
        std::size_t surface = 0;
        bool inside = true; ///< the inside face of the surface, else its outside one
        bool floor = false; ///< beam falls on it first
        double absorptance = inside_solar_absorptance;
        double on_far_face = 0.0; ///< share that inner glass gives off on its other face
        double lets_on = 0.0;     ///< share that goes on into the room behind
        std::size_t behind = 0;   ///< zone
        [[nodiscard]] double takes() const { return absorptance + on_far_face + lets_on; }
    };
    struct ZoneSun {
        std::vector<SunFace> faces{};
        balance::Drives beam{}, diffuse{}; ///< through glass to outdoors, W
        balance::Drives from_shades{};     ///< heat of shades inside, W
        balance::Drives taken_up{};        ///< heat of panes, on their inner faces, W
        double floor_m2 = 0.0;
        double taking_up_m2 = 0.0; ///< of spread light: absorbed, let on, let out
    };

    [[nodiscard]] bool winter() const { return spell_.winter_design; }
    [[nodiscard]] bool on_design_day() const { return spell_.clock_date.empty(); }
    [[nodiscard]] static bool inner(const building::Surface& s)
    {
        return s.beyond.kind == building::Neighbour::Kind::room;
    }

    // compile_air.cpp: outdoor air, and air from other rooms
    void add_transfer_air();
    balance::SignalId infiltration(const building::Use& use);
    balance::SignalId of_outdoor_air(balance::SignalId share);
    std::vector<double> controlled_air(const building::Room& room);
    balance::Drives planned_air(const building::Room& room);
    void add_planned_air();
    void add_supply(std::size_t room, double returned_share);
    void add_air_drawn_in();

    // compile.cpp: zones, what is in them and how they are held
    void add_zones();
    balance::Zone zone_of(const building::Room& room);
    void add_gains(const building::Room& room, balance::Zone& zone);
    void add_people(const building::Gain& gain, balance::Zone& zone);
    void add_gains_in_voids();
    void add_control(const building::Room& room, balance::Zone& zone);
    void add_limits();
    void limit_by_supply(const building::Room& room, const building::AirSupply& supply, balance::Zone& zone);
    balance::SignalId set_point(double temperature_C, const std::optional<building::Setback>& setback, double towards);
    balance::SignalId profile(std::size_t index, balance::Forcing forcing);
    [[nodiscard]] const calendar::Profile& profile_at(std::size_t calendar, std::size_t hour);
    [[nodiscard]] double fraction(std::size_t calendar, std::size_t hour, double into_h = 0.0);

    // compile_surfaces.cpp: walls, openings and what lies on either side
    void add_surfaces();
    void add_opaque(const building::Surface& s);
    void put(const building::Surface& s, balance::Surface surface);
    void add_door(const building::Surface& s, const building::Opening& door);
    [[nodiscard]] balance::ZoneFace zone_face(std::size_t room, building::Attitude attitude, bool behind) const;
    balance::Face other_face(const building::Surface& s, double emissivity);
    balance::OutdoorFace outdoor_face(const building::Surface& s, double emissivity);
    balance::SignalId outdoors_behind(const building::Surface& s);
    balance::SignalId unheated_behind(const building::Surface& s);
    balance::SignalId changed_outdoors(double times, double plus_K);
    balance::SignalId ground_under(const building::NamedBuildup& floor);
    std::size_t massless_wall(double resistance_m2K_per_W);

    // compile_shading.cpp
    [[nodiscard]] std::size_t scene_of(const building::Surface& s, const building::Opening* opening) const;
    void shade_scenes();
    [[nodiscard]] std::vector<double> beam_left(const Scene& scene, const Irradiance& open,
                                                const std::vector<climate::SkyDirection>& suns) const;
    [[nodiscard]] bool bare(std::size_t sample) const;
    Irradiance irradiance(const building::Surface& s, std::size_t scene);

    // compile_glass.cpp: windows, and shades on them
    void add_window(const building::Surface& s, const building::Opening& window);
    void add_inner_glass(const building::Surface& s, const fabric::Glazing& g);
    void add_shutter(const building::Surface& s, const building::Opening& window, balance::OutdoorFace& face);
    [[nodiscard]] std::size_t shade_profile(const building::Surface& s, const building::Opening& window) const;
    std::vector<double> shade_down(const building::Surface& s, const building::Opening& window);
    const LeftByShade& left_by(std::size_t shade, std::size_t glazing);
    [[nodiscard]] fabric::InwardOfFaces inward_of(const building::Opening& window, double down) const;
    ThroughGlass through_glass(const building::Surface& s, const building::Opening& window);

    // compile_sun.cpp: sun on planes, and where it falls in rooms
    const Irradiance& irradiance(const building::Surface& s);
    balance::SignalId sun_on(const building::Surface& s, const building::Opening* opening);
    balance::SignalId samples(std::vector<double> values, balance::Forcing forcing);
    void share_out_sun();
    void spread(std::size_t zone, const balance::Drive& light, double share);
    void share_out_heat_of_shades(std::size_t zone);

    const building::Building& b_;
    const Spell& spell_;
    const CompileOptions& options_;
    balance::ThermalModel m_{};
    std::vector<std::size_t> zone_of_room_{};
    std::vector<balance::Drives> planned_{}; ///< dry air by plan, by room
    std::vector<SurfaceFrom> surfaces_from_{};
    std::vector<ZoneSun> sun_{};
    balance::SignalId site_ground_{}, sky_{}, wind_film_{};
    std::map<std::size_t, std::vector<const calendar::Profile*>> profile_by_hour_{}; ///< by calendar
    std::map<std::pair<std::size_t, balance::Forcing>, balance::SignalId> profiles_{};
    std::map<std::tuple<double, double, std::size_t, double, double>, balance::SignalId> set_points_{};
    std::map<std::uint32_t, balance::SignalId> of_outdoor_air_{};            ///< by the share of a flow
    std::map<std::size_t, balance::SignalId> grounds_{};                     ///< by build-up
    std::map<std::pair<double, double>, balance::SignalId> near_outdoors_{}; ///< outdoor air times one, plus the other
    std::map<double, std::size_t> massless_{};
    std::map<std::pair<double, double>, Irradiance> irradiance_{};
    std::optional<Scenes> own_scenes_{}; ///< where none were handed in
    const Scenes* scenes_ = nullptr;
    std::vector<std::vector<double>> beam_left_{}; ///< by scene: shares of the beam, by sample
    std::map<std::tuple<double, double, std::size_t>, balance::SignalId> sun_on_{};
    using GlassKey = std::tuple<double, double, std::size_t, std::size_t, std::size_t, std::size_t>;
    std::map<GlassKey, ThroughGlass> through_glass_{};
    std::map<std::pair<std::size_t, std::size_t>, LeftByShade> left_by_shade_{}; ///< by shade and glazing
    std::map<GlassKey, balance::SignalId> shutters_{};
};

} // namespace venture::loads::detail
