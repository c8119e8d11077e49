#include <venture/fabric/wall_stage.hpp>

#include <cmath>

#include <venture/quantity/error.hpp>

namespace venture::fabric {

WallStage wall_stage(const WallModes& wall, double stage_s)
{
    VENTURE_ASSERT(stage_s > 0.0);
    const bool steady = std::isinf(stage_s);
    WallStage out{.y11 = wall.d11, .y12 = wall.d12, .y22 = wall.d22};
    for (const WallModes::AtPlane& plane : wall.planes) out.planes.push_back({{}, plane.w1, plane.w2});
    for (std::size_t k = 0; k < wall.size(); ++k) {
        const double rate = wall.rate_per_s[k], b1 = wall.b1[k], b2 = wall.b2[k];
        const double keep = steady ? 0.0 : 1.0 / (1.0 + stage_s * rate);
        const double gain = steady ? 1.0 / rate : stage_s * keep;
        out.keep.push_back(keep);
        out.gain1.push_back(gain * b1);
        out.gain2.push_back(gain * b2);
        out.history1.push_back(keep * b1);
        out.history2.push_back(keep * b2);
        out.y11 -= gain * b1 * b1;
        out.y12 -= gain * b1 * b2;
        out.y22 -= gain * b2 * b2;
        for (std::size_t p = 0; p < wall.planes.size(); ++p) {
            const double e = wall.planes[p].e[k];
            out.planes[p].gain.push_back(gain * e);
            out.planes[p].w1 += gain * b1 * e;
            out.planes[p].w2 += gain * b2 * e;
        }
    }
    return out;
}

} // namespace venture::fabric
