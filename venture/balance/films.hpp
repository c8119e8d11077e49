#pragma once
/// Films that follow from what they act on: natural convection inside, long wave outdoors; and those given by the step.
/// Internal to balance.

#include <vector>

#include <venture/balance/heat_balance.hpp>
#include <venture/balance/surface_bank.hpp>
#include <venture/fabric/convection.hpp>

namespace venture::balance {

/// How far the films used are from those that belong to the temperatures found.
struct FilmResidual {
    double inside_W_per_m2 = 0.0;  ///< mean over the faces of the worst zone
    double outside_W_per_m2 = 0.0; ///< at the worst face
};

class Films {
public:
    /// @param bank  outlives this
    Films(const ThermalModel& model, const SurfaceBank& bank);

    /// Whether any film follows from temperatures.
    [[nodiscard]] bool vary() const { return values() > 0; }
    /// Films that do: convection at faces inside, then long wave to sky, ground and air of faces outdoors, W/m2K.
    [[nodiscard]] std::size_t values() const { return curves_.size() + 3 * long_wave_.size(); }
    /// Faces of the first of them, in their order.
    [[nodiscard]] const std::vector<FaceAt>& convective_faces() const { return convective_; }
    /// Films given by the step. @return whether any changed
    bool set_step(const ThermalModel& model, std::size_t step, SurfaceBank& bank) const;
    /// Films that belong to given temperatures. @param air_C  per zone  @param film  as values() says
    void find(const std::vector<double>& face_C, const std::vector<double>& air_C, const std::vector<double>& signal,
              std::vector<double>& film);
    /// The same for the faces of one block of the bank. @param film  of all faces
    void find(std::size_t block, const std::vector<double>& face_C, const std::vector<double>& air_C,
              const std::vector<double>& signal, std::vector<double>& film);
    /// Into the faces of a block.
    void put(std::size_t block, const std::vector<double>& film, const std::vector<double>& signal,
             SurfaceBank& bank) const;
    /// After find(): how far a block's films are from those that were used. Adds up over blocks; its mean inside once
    /// all of them are in, by take_means().
    /// @param zone_W  adds, for every zone, |q with the films found - q used|
    void add_residual(std::size_t block, const std::vector<double>& found, const std::vector<double>& used,
                      const std::vector<double>& face_C, const std::vector<double>& signal, std::vector<double>& zone_W,
                      FilmResidual& worst) const;
    void take_means(const std::vector<double>& zone_W, FilmResidual& worst) const;

private:
    struct ByStep {
        SignalId film{};
        std::vector<std::uint32_t> faces{};
    };
    struct LongWaveAt {
        std::uint32_t face = 0;
        std::uint32_t to[3] = {};        ///< signals: sky, ground, things at the air's temperature
        double emissivity_share[3] = {}; ///< emissivity times the share of each
    };
    /// Convective films first to last - 1, of faces that stand side by side.
    struct Stretch {
        std::size_t first = 0, last = 0, face = 0;
    };
    struct OfBlock {
        std::vector<Stretch> convective{};
        std::vector<std::size_t> long_wave{}; ///< into the list below
    };
    void add_convective(std::size_t face, const fabric::NaturalConvection& natural);
    void add_outdoor(std::size_t face, const OutdoorFace& outdoor, SignalId air_C);

    std::vector<ByStep> by_step_{};
    const SurfaceBank& bank_;
    fabric::ConvectionCurves curves_{};
    std::vector<FaceAt> convective_{}; ///< whose they are
    std::vector<LongWaveAt> long_wave_{};
    std::vector<OfBlock> blocks_{};
    std::vector<double> per_area_{};   ///< of the faces of every zone
    std::vector<double> difference_{}; ///< of convective faces, as last found
};

} // namespace venture::balance
