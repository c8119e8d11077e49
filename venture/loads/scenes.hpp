#pragma once
/// What stands before surfaces and openings of a building, and what it leaves of sun, sky and ground: found once, the same
/// on every day.

#include <map>
#include <optional>
#include <vector>

#include <venture/building/building.hpp>
#include <venture/plan/shadows.hpp>

namespace venture::loads {

/// Surfaces or openings that are shaded alike.
class Scene {
public:
    /// What lets the same share of light through. Solid: 0 always.
    struct Veil {
        double with_leaves = 0.0, bare = 0.0;
        std::vector<plan::Caster> casters{};
        friend bool operator==(const Veil&, const Veil&) = default;
    };
    struct What {
        double tilt_deg = 90.0, azimuth_deg = 0.0;
        plan::Polygons lit{};
        std::vector<Veil> veils{};
        bool no_beam = false; ///< in permanent shade
        friend bool operator==(const What&, const What&) = default;
    };
    explicit Scene(What what);

    [[nodiscard]] const What& what() const { return what_; }
    /// What is left of light from sky and ground. @param bare  trees without leaves
    [[nodiscard]] const plan::DiffuseLeft& diffuse_left(bool bare) const { return diffuse_[bare ? 1 : 0]; }
    /// What is left of the beam of a sun above the horizon.
    [[nodiscard]] double beam_left(const climate::SkyDirection& sun, bool bare) const;

private:
    /// All that lets through less than some share, and how much more light it stops than what lets through still less.
    struct Layer {
        double stops = 1.0;
        plan::Shadows shadows;
    };
    [[nodiscard]] std::vector<Layer> layers_of(bool bare) const;
    template <class Covered>
    [[nodiscard]] double left(bool bare, Covered covered) const;

    What what_;
    plan::Facing facing_;
    std::vector<Layer> layers_[2]{}; ///< with leaves, bare; densest first; the second is empty where both are the same
    plan::DiffuseLeft diffuse_[2]{};
};

/// All scenes of a building.
class Scenes {
public:
    explicit Scenes(const building::Building& building);
    /// @param opening  number of it in the surface; none: the surface itself
    /// @return number of the scene, from 1; 0 where nothing takes sun
    [[nodiscard]] std::size_t of(std::size_t surface, std::optional<std::size_t> opening = {}) const;
    [[nodiscard]] const Scene& operator[](std::size_t number) const { return scenes_.at(number - 1); }
    [[nodiscard]] std::size_t size() const { return scenes_.size(); }

private:
    std::vector<Scene> scenes_{};
    std::vector<std::vector<std::size_t>> number_{}; ///< by surface: of itself, then of its openings
};

} // namespace venture::loads
