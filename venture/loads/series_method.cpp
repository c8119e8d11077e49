#include <venture/loads/series_method.hpp>

namespace venture::loads {

SeriesLoad series_load(const SeriesRoom& room)
{
    SeriesLoad out;
    const auto share_out = [&](const HourlyDay& gain, double radiant_share) {
        for (std::size_t h = 0; h < gain.size(); ++h) {
            out.radiant_W[h] += radiant_share * gain[h];
            out.convective_W[h] += (1.0 - radiant_share) * gain[h];
        }
    };
    for (const SeriesSurface& s : room.surfaces) {
        HourlyDay warmer = s.beyond_C;
        for (double& t : warmer) t -= room.set_point_C;
        HourlyDay& conduction = out.conduction_W.emplace_back(answer_of(s.factors_W_per_m2K, warmer));
        for (double& q : conduction) q *= s.area_m2;
        share_out(conduction, s.radiant_share);
    }
    for (const SeriesGain& g : room.gains) share_out(g.gain_W, g.radiant_share);
    share_out(room.diffuse_W, 1.0);
    for (std::size_t h = 0; h < room.outdoor_C.size(); ++h) {
        out.outdoor_air_W[h] = room.outdoor_air_W_per_K * (room.outdoor_C[h] - room.set_point_C);
        out.convective_W[h] += out.outdoor_air_W[h];
    }
    out.delayed_W = answer_of(room.by_area, out.radiant_W);
    out.delayed_beam_W = answer_of(room.by_beam, room.beam_W);
    for (std::size_t h = 0; h < out.load_W.size(); ++h)
        out.load_W[h] = out.convective_W[h] + out.delayed_W[h] + out.delayed_beam_W[h];
    return out;
}

} // namespace venture::loads
