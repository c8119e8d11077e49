#pragma once
/// What is asked of one service at one place, hour by hour.

#include <cstddef>
#include <vector>

namespace venture::rating {

/// Hour means of all design days of a service's season, one day after another, W; never negative.
struct Demand {
    std::vector<double> sensible_W{};
    std::vector<double> latent_W{}; ///< as long, or empty: none
    double sum_of_peaks_W = 0.0;    ///< of all that it is the sum of, each at an hour of its own
    bool by_hour = true;            ///< false: of something in it only a peak is known, which counts in every hour
    bool typed = false;             ///< someone typed it; it is no sum

    /// A peak without hours.
    [[nodiscard]] static Demand of_peak(double sensible_W, double latent_W, std::size_t hours);

    [[nodiscard]] std::size_t hours() const { return sensible_W.size(); }
    [[nodiscard]] double latent_at_W(std::size_t hour) const { return latent_W.empty() ? 0.0 : latent_W[hour]; }
    [[nodiscard]] double total_W(std::size_t hour) const { return sensible_W[hour] + latent_at_W(hour); }
    /// The first of equals.   @pre hours() > 0
    [[nodiscard]] std::size_t hour_of_peak() const;
    /// Largest total; 0 of no hours.
    [[nodiscard]] double peak_W() const;

    /// @pre of as many hours, unless one of both has none
    void add(const Demand& other);
    void scale(double factor);
    /// So much of it, hour by hour, 0..1.
    [[nodiscard]] Demand part(const std::vector<double>& share) const;
};

} // namespace venture::rating
