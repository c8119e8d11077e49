#include <venture/airside/recovery_frost.hpp>

#include <algorithm>

#include <venture/quantity/error.hpp>

namespace venture::airside {

using quantity::check_range;

double effectiveness_at_frost(double effectiveness, double outdoor_C, double extract_C, double coldest_exhaust_C)
{
    if (extract_C <= outdoor_C) return effectiveness;
    return std::clamp((extract_C - coldest_exhaust_C) / (extract_C - outdoor_C), 0.0, effectiveness);
}

FrostProtected protected_from_frost(const RecoveryAtFrost& g)
{
    constexpr const char* where = "heat recovery";
    check_range(where, "effectiveness", g.effectiveness, {0.0, 1.0}, "");
    check_range(where, "heat capacity flow of outdoor air", g.outdoor_W_per_K, {1e-9, 1e9}, "W/K");
    check_range(where, "heat capacity flow of extract air", g.extract_W_per_K, {1e-9, 1e9}, "W/K");
    check_range(where, "coldest exhaust air", g.coldest_exhaust_C, {-100.0, g.extract_C}, "degC");
    const double smaller = std::min(g.outdoor_W_per_K, g.extract_W_per_K), of_exhaust = smaller / g.extract_W_per_K,
                 of_supply = smaller / g.outdoor_W_per_K, apart_K = g.extract_C - g.outdoor_C;
    FrostProtected out;
    out.exhaust_unlimited_C = g.extract_C - g.effectiveness * of_exhaust * apart_K;
    out.limit_acts = out.exhaust_unlimited_C < g.coldest_exhaust_C;
    out.effectiveness = g.effectiveness;
    out.preheated_C = g.outdoor_C;
    if (out.limit_acts) {
        out.effectiveness = (g.extract_C - g.coldest_exhaust_C) / (of_exhaust * apart_K);
        out.preheated_C = g.extract_C - (g.extract_C - g.coldest_exhaust_C) / (g.effectiveness * of_exhaust);
    }
    out.supply_C = g.outdoor_C + out.effectiveness * of_supply * apart_K;
    out.preheater_W = g.outdoor_W_per_K * (out.preheated_C - g.outdoor_C);
    out.supply_when_preheated_C = out.preheated_C + g.effectiveness * of_supply * (g.extract_C - out.preheated_C);
    return out;
}

} // namespace venture::airside
