#pragma once
/// Films that follow from what they act on: natural convection inside, long wave outdoors; and those given by the step.
/// Internal to loads.

#include <vector>

#include <venture/fabric/convection.hpp>
#include <venture/loads/surface_bank.hpp>

namespace venture::loads::detail {

/// How far the films used are from those that belong to the temperatures found.
struct FilmResidual {
    double inside_W_per_m2 = 0.0;  ///< mean over the faces of the worst zone
    double outside_W_per_m2 = 0.0; ///< at the worst face
};

class Films {
public:
    Films(const ThermalModel& model, const SurfaceBank& bank);

    /// Whether any film follows from temperatures.
    [[nodiscard]] bool vary() const { return !convective_.empty() || !long_wave_.empty(); }
    /// What films follow from: differences between face and air, then outdoor face temperatures.
    [[nodiscard]] std::size_t count() const { return convective_.size() + long_wave_.size(); }
    /// Films given by the step. @return whether any changed
    bool set_step(const ThermalModel& model, std::size_t step, SurfaceBank& bank) const;
    /// Films that vary, W/m2K: convection at faces inside, then long wave to sky, ground and air of faces outdoors.
    [[nodiscard]] std::size_t values() const { return convective_.size() + 3 * long_wave_.size(); }
    /// Those that belong to given temperatures. @param from  as count() says  @param film  as values() says
    void find(const std::vector<double>& from, const std::vector<double>& signal, std::vector<double>& film) const;
    void put(const std::vector<double>& film, const std::vector<double>& signal, SurfaceBank& bank) const;
    /// What they follow from, as it was found. @param air_C  per zone
    void read(const std::vector<double>& face_C, const std::vector<double>& air_C, std::vector<double>& from) const;
    /// @param found  as read()  @param zone_W  adds, for every zone, |q with the film of what was found - q used|
    [[nodiscard]] FilmResidual residual(const std::vector<double>& found, const std::vector<double>& signal,
                                        const SurfaceBank& bank, std::vector<double>& zone_W) const;

private:
    struct ByStep {
        std::uint32_t face = 0;
        SignalId film{};
    };
    struct Convective {
        std::uint32_t face = 0, zone = 0;
        double air_warmer_K = 0.0;
        fabric::ConvectionCurve curve;
    };
    struct LongWaveAt {
        std::uint32_t face = 0;
        double emissivity = 0.0;
        std::uint32_t to[3] = {}; ///< signals: sky, ground, things at the air's temperature
        double share[3] = {};
    };
    std::vector<ByStep> by_step_{};
    std::vector<Convective> convective_{};
    std::vector<LongWaveAt> long_wave_{};
    std::vector<double> per_area_{}; ///< of the faces of every zone
};

} // namespace venture::loads::detail
