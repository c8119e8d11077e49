#include <venture/rating/demand.hpp>

#include <venture/quantity/error.hpp>

namespace venture::rating {

Demand Demand::of_peak(double sensible_W, double latent_W, std::size_t hours)
{
    Demand out{.sensible_W = std::vector<double>(hours, sensible_W),
               .sum_of_peaks_W = sensible_W + latent_W,
               .by_hour = false};
    if (latent_W > 0.0) out.latent_W.assign(hours, latent_W);
    return out;
}

std::size_t Demand::hour_of_peak() const
{
    std::size_t at = 0;
    for (std::size_t h = 1; h < hours(); ++h)
        if (total_W(h) > total_W(at)) at = h;
    return at;
}

double Demand::peak_W() const { return hours() == 0 ? 0.0 : total_W(hour_of_peak()); }

void Demand::add(const Demand& other)
{
    VENTURE_ASSERT(hours() == 0 || other.hours() == 0 || hours() == other.hours());
    const auto add_hours = [](std::vector<double>& to, const std::vector<double>& more) {
        if (to.empty()) to.assign(more.size(), 0.0);
        for (std::size_t h = 0; h < more.size(); ++h) to[h] += more[h];
    };
    add_hours(sensible_W, other.sensible_W);
    add_hours(latent_W, other.latent_W);
    sum_of_peaks_W += other.sum_of_peaks_W;
    by_hour = by_hour && other.by_hour;
}

void Demand::scale(double factor)
{
    if (factor == 1.0) return;
    for (double& v : sensible_W) v *= factor;
    for (double& v : latent_W) v *= factor;
    sum_of_peaks_W *= factor;
}

Demand Demand::part(const std::vector<double>& share) const
{
    Demand out = *this;
    for (std::size_t h = 0; h < hours(); ++h) {
        out.sensible_W[h] *= share[h];
        if (!latent_W.empty()) out.latent_W[h] *= share[h];
    }
    const double whole_W = peak_W();
    out.sum_of_peaks_W = whole_W > 0.0 ? sum_of_peaks_W * out.peak_W() / whole_W : 0.0;
    return out;
}

} // namespace venture::rating
