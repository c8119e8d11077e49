#include <venture/loads/peaks.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::loads {

namespace {

double part_of(double signed_W, PeakOf which) { return std::max(0.0, which == PeakOf::cooling ? signed_W : -signed_W); }

void take(double value_W, const Moment& at, Peak& peak)
{
    if (value_W > peak.value_W) peak = {value_W, at};
}

} // namespace

HourlyDay sum_of(std::span<const SignedDays> rooms, std::size_t day, PeakOf which)
{
    HourlyDay out{};
    for (const SignedDays& room : rooms)
        for (std::size_t h = 0; h < out.size(); ++h) out[h] += part_of(room.days[day].load_W[h], which);
    return out;
}

PeaksTogether peaks_together(std::span<const SignedDays> rooms, PeakOf which)
{
    PeaksTogether out;
    if (rooms.empty()) return out;
    const std::vector<SignedDay>& days = rooms.front().days;
    for (const SignedDays& room : rooms) {
        VENTURE_ASSERT(room.days.size() == days.size());
        Peak& own = out.own.emplace_back();
        for (const SignedDay& day : room.days)
            for (std::size_t h = 0; h < day.load_W.size(); ++h)
                take(part_of(day.load_W[h], which), {day.month, h}, own);
        out.sum_of_own_W += own.value_W;
    }
    std::size_t at_day = 0;
    for (std::size_t d = 0; d < days.size(); ++d) {
        const HourlyDay sum = sum_of(rooms, d, which);
        for (std::size_t h = 0; h < sum.size(); ++h) {
            if (sum[h] > out.coincident.value_W) at_day = d;
            take(sum[h], {days[d].month, h}, out.coincident);
        }
    }
    for (const SignedDays& room : rooms)
        out.at_coincident_W.push_back(
            out.coincident.when ? part_of(room.days[at_day].load_W[out.coincident.when->hour], which) : 0.0);
    return out;
}

Peak most_of_both(std::span<const SignedDays> rooms)
{
    Peak out;
    for (std::size_t d = 0; !rooms.empty() && d < rooms.front().days.size(); ++d) {
        const HourlyDay cooling = sum_of(rooms, d, PeakOf::cooling), heating = sum_of(rooms, d, PeakOf::heating);
        for (std::size_t h = 0; h < cooling.size(); ++h)
            take(std::min(cooling[h], heating[h]), {rooms.front().days[d].month, h}, out);
    }
    return out;
}

} // namespace venture::loads
