#pragma once
/// The loops over all faces, without branches, so that the compiler lays them out over its vector unit. Rows are as in
/// surface_bank.hpp: n slots, 2 n faces, outside ones first. Internal to balance.

#include <array>
#include <cstddef>

namespace venture::balance {

/// Slots first to last - 1.
struct SlotRange {
    std::size_t first = 0, last = 0;
};

/// What of every face's known side stands in its own temperature, and in that of the other, from its wall's y and the
/// films of both, of the slots of a range; a slot that nothing holds is given 1e12 K/(W/m2).
void eliminate_faces(std::size_t n, SlotRange slots, const std::array<const double*, 3>& y,
                     const std::array<const double*, 2>& films, double* own, double* across);

/// answer = history + carry times the face temperatures of the first stage.
void carry_answers(std::size_t n, const double* history, const std::array<const double*, 3>& carry,
                   const double* first_C, double* answer);

/// out = base + own known + across known of the other face, of the slots of a range; base may be nothing.
void eliminate_known(std::size_t n, SlotRange slots, const double* own, const double* across, const double* known,
                     const double* base, double* out);

/// flux into the wall = y T - answer.
void find_fluxes(std::size_t n, const std::array<const double*, 3>& y, const double* face_C, const double* answer,
                 double* flux);

/// A sum and the sum of its terms' magnitudes.
struct SumOfFlows {
    double sum = 0.0, magnitudes = 0.0;
};
/// Over n slots, a multiple of four: area times the flux into the wall of outside faces where no zone is, times what is
/// absorbed of all others. Inside faces look into zones. Rows as above; @param in_zone  1 or 0 per face
[[nodiscard]] SumOfFlows sum_of_flows(std::size_t n, const std::array<const double*, 3>& y, const double* face_C,
                                      const double* answer, const double* area, const double* in_zone,
                                      const double* absorbed);
/// The same with inside faces of any kind, from fluxes of all faces.
[[nodiscard]] SumOfFlows sum_of_given_flows(std::size_t faces, const double* flux, const double* area,
                                            const double* in_zone, const double* absorbed);
/// Sum of a[i] b[i] over a multiple of four.
[[nodiscard]] double sum_of_products(std::size_t count, const double* a, const double* b);

} // namespace venture::balance
