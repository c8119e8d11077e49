#include <venture/rating/coil_columns.hpp>

#include <algorithm>
#include <array>

#include <venture/rating/grid_table.hpp>

namespace venture::rating {

namespace {

/// The broken lines through the wet columns.
class WetLines {
public:
    explicit WetLines(const CoilColumns& c)
    {
        for (std::size_t i = 0; i < c.wet_bulb_C.size() && count_ < most; ++i)
            if (c.wet[i]) {
                wet_bulb_[count_] = c.wet_bulb_C[i];
                total_[count_] = c.total_W[i];
                sensible_[count_++] = c.sensible_W[i];
            }
    }
    [[nodiscard]] std::size_t size() const { return count_; }
    /// Also below the lowest and above the highest, where the last pieces go on.
    [[nodiscard]] CoilHeat at(double wet_bulb_C) const
    {
        const Place p = place_in({wet_bulb_.data(), count_}, wet_bulb_C);
        return {std::lerp(total_[p.cell], total_[p.cell + 1], p.share),
                std::lerp(sensible_[p.cell], sensible_[p.cell + 1], p.share)};
    }
    /// Total less sensible of a column.
    [[nodiscard]] double latent_W(std::size_t i) const { return total_[i] - sensible_[i]; }
    [[nodiscard]] double wet_bulb_C(std::size_t i) const { return wet_bulb_[i]; }

    static constexpr std::size_t most = 64;

private:
    std::size_t count_ = 0;
    std::array<double, most> wet_bulb_{}, total_{}, sensible_{};
};

} // namespace

std::variant<CoilHeat, Refusal> read_columns(const CoilColumns& columns, double wet_bulb_C)
{
    const quantity::Range printed{columns.wet_bulb_C.front(), columns.wet_bulb_C.back()};
    const auto outside = [&] { return Refusal{Refusal::Why::outside, At::entering_wet_bulb, wet_bulb_C, printed}; };
    const WetLines lines{columns};
    if (lines.size() < 2) return Refusal{Refusal::Why::too_few_wet, At::entering_wet_bulb, wet_bulb_C, printed};
    const CoilHeat highest = lines.at(printed.highest);
    if (highest.latent_W() < 0.0) return Refusal{Refusal::Why::never_wet, At::entering_wet_bulb, wet_bulb_C, printed};
    if (wet_bulb_C > printed.highest && !is_within(wet_bulb_C, printed)) return outside();
    // Latent grows with the wet bulb: the lines meet once, in the piece at whose lower end it is negative.
    std::size_t piece = 0;
    while (piece + 2 < lines.size() && lines.latent_W(piece + 1) < 0.0) ++piece;
    const double low = lines.latent_W(piece), high = lines.latent_W(piece + 1);
    const double kink_C =
        lines.wet_bulb_C(piece) - low * (lines.wet_bulb_C(piece + 1) - lines.wet_bulb_C(piece)) / (high - low);
    const bool meets = high > low && kink_C >= printed.lowest && kink_C <= printed.highest;
    if (meets && wet_bulb_C < kink_C) {
        const double capacity = lines.at(kink_C).total_W;
        return CoilHeat{capacity, capacity, true};
    }
    if (!is_within(wet_bulb_C, printed)) return outside();
    return lines.at(wet_bulb_C);
}

double dry_bulb_correction_W(double per_flow_J_per_m3K, double air_flow_m3_per_s, double entering_C, double table_C,
                             double density_ratio)
{
    return per_flow_J_per_m3K * air_flow_m3_per_s * (entering_C - table_C) * density_ratio;
}

} // namespace venture::rating
