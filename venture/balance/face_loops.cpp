#include <venture/balance/face_loops.hpp>

#include <algorithm>
#include <cmath>

// One copy for the processor that the program was built for and one with wider vectors, chosen when it starts. (Named by
// level: `arch=haswell` would be taken on that one processor and on none that came after. Eight lanes bring nothing here.)
#if defined(__x86_64__) && !defined(__SANITIZE_ADDRESS__) && !defined(__clang__)
#define VENTURE_FOR_VECTORS __attribute__((target_clones("default", "arch=x86-64-v3")))
#else
#define VENTURE_FOR_VECTORS
#endif

namespace venture::balance {

VENTURE_FOR_VECTORS
void eliminate_faces(std::size_t n, SlotRange slots, const std::array<const double*, 3>& y,
                     const std::array<const double*, 2>& films, double* own, double* across)
{
    const double* __restrict y11 = y[0], * __restrict y12 = y[1], * __restrict y22 = y[2];
    const double* __restrict f0 = films[0], * __restrict f1 = films[1];
    double* __restrict of_own = own, * __restrict of_other = across;
    for (std::size_t i = slots.first; i < slots.last; ++i) {
        const std::size_t k = n + i;
        const double a = y11[i] + f0[i] + f1[i], b = y22[i] + f0[k] + f1[k];
        const double determinant = a * b - y12[i] * y12[i];
        // both faces insulated and no capacity: nothing can be said, nothing flows
        const bool held = determinant > 0.0;
        const double over = 1.0 / (held ? determinant : std::max(a, 1e-12));
        of_own[i] = held ? b * over : over;
        of_own[k] = held ? a * over : over;
        of_other[i] = of_other[k] = held ? -y12[i] * over : 0.0;
    }
}

VENTURE_FOR_VECTORS
void carry_answers(std::size_t n, const double* history, const std::array<const double*, 3>& carry,
                   const double* first_C, double* answer)
{
    const double* __restrict c11 = carry[0], * __restrict c12 = carry[1], * __restrict c22 = carry[2];
    const double* __restrict t = first_C, * __restrict h = history;
    double* __restrict out = answer;
    for (std::size_t i = 0; i < n; ++i) {
        out[i] = h[i] + c11[i] * t[i] + c12[i] * t[n + i];
        out[n + i] = h[n + i] + c12[i] * t[i] + c22[i] * t[n + i];
    }
}

VENTURE_FOR_VECTORS
void eliminate_known(std::size_t n, SlotRange slots, const double* own, const double* across, const double* known,
                     const double* base, double* out)
{
    const double* __restrict o = own, * __restrict x = across, * __restrict k = known;
    double* __restrict t = out;
    if (base == nullptr) {
        for (std::size_t i = slots.first; i < slots.last; ++i) {
            t[i] = o[i] * k[i] + x[i] * k[n + i];
            t[n + i] = x[n + i] * k[i] + o[n + i] * k[n + i];
        }
        return;
    }
    const double* __restrict b = base;
    for (std::size_t i = slots.first; i < slots.last; ++i) {
        t[i] = b[i] + o[i] * k[i] + x[i] * k[n + i];
        t[n + i] = b[n + i] + x[n + i] * k[i] + o[n + i] * k[n + i];
    }
}

VENTURE_FOR_VECTORS
void find_fluxes(std::size_t n, const std::array<const double*, 3>& y, const double* face_C, const double* answer,
                 double* flux)
{
    const double* __restrict y11 = y[0], * __restrict y12 = y[1], * __restrict y22 = y[2];
    const double* __restrict t = face_C, * __restrict a = answer;
    double* __restrict q = flux;
    for (std::size_t i = 0; i < n; ++i) {
        q[i] = y11[i] * t[i] + y12[i] * t[n + i] - a[i];
        q[n + i] = y12[i] * t[i] + y22[i] * t[n + i] - a[n + i];
    }
}

namespace {

constexpr std::size_t lanes = 4; // sums run side by side, so that they are the same on every processor

double total(const double (&lane)[lanes]) { return (lane[0] + lane[1]) + (lane[2] + lane[3]); }

} // namespace

VENTURE_FOR_VECTORS
SumOfFlows sum_of_flows(std::size_t n, const std::array<const double*, 3>& y, const double* face_C,
                        const double* answer, const double* area, const double* in_zone, const double* absorbed)
{
    const double* __restrict y11 = y[0], * __restrict y12 = y[1], * __restrict t = face_C, * __restrict a = answer, * __restrict m2 = area, * __restrict inside = in_zone, * __restrict q = absorbed;
    double sum[lanes] = {}, magnitudes[lanes] = {};
    for (std::size_t f = 0; f < n; f += lanes)
        for (std::size_t i = f; i < f + lanes; ++i) {
            const double flux = y11[i] * t[i] + y12[i] * t[n + i] - a[i];
            const double flow = m2[i] * (inside[i] * q[i] + (1.0 - inside[i]) * flux), into_room = m2[i] * q[n + i];
            sum[i - f] += flow + into_room;
            magnitudes[i - f] += std::abs(flow) + std::abs(into_room);
        }
    return {total(sum), total(magnitudes)};
}

VENTURE_FOR_VECTORS
SumOfFlows sum_of_given_flows(std::size_t faces, const double* flux, const double* area, const double* in_zone,
                              const double* absorbed)
{
    double sum[lanes] = {}, magnitudes[lanes] = {};
    for (std::size_t f = 0; f < faces; f += lanes)
        for (std::size_t i = 0; i < lanes; ++i) {
            const double flow = area[f + i] * (in_zone[f + i] * absorbed[f + i] + (1.0 - in_zone[f + i]) * flux[f + i]);
            sum[i] += flow;
            magnitudes[i] += std::abs(flow);
        }
    return {total(sum), total(magnitudes)};
}

VENTURE_FOR_VECTORS
double sum_of_products(std::size_t count, const double* a, const double* b)
{
    double sum[lanes] = {};
    for (std::size_t f = 0; f < count; f += lanes)
        for (std::size_t i = 0; i < lanes; ++i) sum[i] += a[f + i] * b[f + i];
    return total(sum);
}

} // namespace venture::balance
