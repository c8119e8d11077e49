#include <venture/loads/air_lines.hpp>

#include <venture/air/carbon_dioxide.hpp>
#include <venture/air/moist_air.hpp>
#include <venture/air/room_density.hpp>

namespace venture::loads::detail {

using building::Building;
using quantity::LedgerInput;
using quantity::LedgerLine;

LedgerLine line_of_counts(double outdoor_C, const std::string& from, double counts)
{
    return {.what = "what outdoor air counts as beside air of 20 degC",
            .symbol = "counts",
            .formula = "293.15/(t_out + 273.15)",
            .inputs = {{"t_out", outdoor_C, "degC", from}},
            .value = counts,
            .unit = "1"};
}

LedgerInput counts_as(const Building& b, double counts)
{
    return {"counts", counts, "1", b.method.flows_as_outdoors ? "above" : "flows are of air at 20 degC"};
}

LedgerLine line_of_infiltration(const Building& b, std::size_t room, double counts,
                                const building::Sourced<double>& changes_per_h)
{
    const building::Room& r = b.rooms[room];
    return {.what = "flow of air",
            .symbol = "V_air",
            .formula = "counts*n*V/3600",
            .inputs = {counts_as(b, counts),
                       {"n", changes_per_h.value, "1/h", b.origins.describe(changes_per_h.origin)},
                       {"V", r.volume_m3, "m3", b.origins.describe(r.origin)}},
            .value = counts * changes_per_h.value * r.volume_m3 / 3600.0,
            .unit = "m3/s"};
}

namespace {

/// What keeps carbon dioxide below its limit, where that is the larger need.
LedgerLine line_for_carbon_dioxide(const Building& b, const building::Room& r, double counts, double share,
                                   const std::string& share_from)
{
    const building::Use& u = r.use;
    const auto from = [&](const auto& value) { return b.origins.describe(value.origin); };
    return {.what = "flow of air by plan: carbon dioxide asks for more than people and the floor",
            .symbol = "V_air",
            .formula = "counts*people*g/((c_limit - c_outdoors)*E)*share",
            .inputs = {counts_as(b, counts),
                       {"people", u.people.value, "1", from(u.people)},
                       {"g", u.carbon_dioxide_per_person_m3_per_s.value, "m3/s",
                        from(u.carbon_dioxide_per_person_m3_per_s)},
                       {"c_limit", u.carbon_dioxide_limit->value, "1", from(*u.carbon_dioxide_limit)},
                       {"c_outdoors", air::carbon_dioxide_outdoors, "1", "our assumption"},
                       {"E", u.air_effectiveness.value, "1", from(u.air_effectiveness)},
                       {"share", share, "1", share_from}},
            .value = counts * r.outdoor_air_for_carbon_dioxide_m3_per_s() * share,
            .unit = "m3/s"};
}

} // namespace

LedgerLine line_of_ventilation(const Building& b, std::size_t room, double counts, double share,
                               const std::string& share_from)
{
    const building::Room& r = b.rooms[room];
    const building::Use& u = r.use;
    if (r.outdoor_air_for_carbon_dioxide_m3_per_s() > r.outdoor_air_as_typed_m3_per_s())
        return line_for_carbon_dioxide(b, r, counts, share, share_from);
    const std::string shape = b.origins.describe(r.origin);
    const auto from = [&](const auto& value) { return b.origins.describe(value.origin); };
    const bool mixed = u.air_effectiveness.value == 1.0;
    LedgerLine out{
        .what = u.carbon_dioxide_limit ? "flow of air by plan: people and the floor ask for more than carbon dioxide"
                                       : "flow of air by plan",
        .symbol = "V_air",
        .formula = mixed ? "counts*(people*q_person + A*q_area + V*n/3600 + q)*share"
                         : "counts*((people*q_person + A*q_area)/E + V*n/3600 + q)*share",
        .inputs = {counts_as(b, counts),
                   {"people", u.people.value, "1", from(u.people)},
                   {"q_person", u.ventilation_per_person_m3_per_s.value, "m3/s",
                    from(u.ventilation_per_person_m3_per_s)},
                   {"A", r.floor_area_m2, "m2", shape},
                   {"q_area", u.ventilation_per_area_m_per_s.value, "m3/s.m2", from(u.ventilation_per_area_m_per_s)},
                   {"V", r.volume_m3, "m3", shape},
                   {"n", u.ventilation_per_h.value, "1/h", from(u.ventilation_per_h)},
                   {"q", u.ventilation_m3_per_s.value, "m3/s", from(u.ventilation_m3_per_s)},
                   {"share", share, "1", share_from}},
        .value = counts * r.outdoor_air_as_typed_m3_per_s() * share,
        .unit = "m3/s"};
    if (!mixed) out.inputs.push_back({"E", u.air_effectiveness.value, "1", from(u.air_effectiveness)});
    return out;
}

LedgerLine line_of_recovery(const LedgerInput& outdoors, const LedgerInput& back, double recovered,
                            const std::string& recovered_from)
{
    return {.what = "outdoor air behind recovery",
            .symbol = "t_supply",
            .formula = "t_out + r*(t_back - t_out)",
            .inputs = {{"t_out", outdoors.value, "degC", outdoors.from},
                       {"r", recovered, "1", recovered_from},
                       {"t_back", back.value, "degC", back.from}},
            .value = outdoors.value + recovered * (back.value - outdoors.value),
            .unit = "degC"};
}

LedgerLine line_of_air_drawn_in(double leaves_m3_per_s, double enters_m3_per_s, const std::string& leaves_from)
{
    return {.what = "flow of air that is drawn in through leaks: what is taken out beyond what comes in by plan",
            .symbol = "V_air",
            .formula = "q_out - q_in",
            .inputs = {{"q_out", leaves_m3_per_s, "m3/s", leaves_from},
                       {"q_in", enters_m3_per_s, "m3/s", "outdoor air by plan, and air from other rooms"}},
            .value = leaves_m3_per_s - enters_m3_per_s,
            .unit = "m3/s"};
}

LedgerLine line_of_transfer(const Building& b, const building::TransferAir& air, double share,
                            const std::string& share_from)
{
    return {
        .what = "flow of air",
        .symbol = "V_air",
        .formula = "q*share",
        .inputs = {{"q", air.flow_m3_per_s, "m3/s", b.origins.describe(air.origin)}, {"share", share, "1", share_from}},
        .value = air.flow_m3_per_s * share,
        .unit = "m3/s"};
}

std::vector<LedgerLine> lines_of_density(const Building& b)
{
    const quantity::Pressure pressure = air::standard_pressure(b.site.place.height_m);
    return {{.what = "pressure of the air here",
             .symbol = "p",
             .formula = "101325*(1 - 2.25577e-5*height)^5.2559",
             .inputs = {{"height", b.site.place.height_m, "m", "site/height"}},
             .value = pressure.pascal(),
             .unit = "Pa"},
            {.what = "density of room air",
             .symbol = "rho",
             .formula = "p/(287.042*293.15)",
             .inputs = {{"p", pressure.pascal(), "Pa", "above"}},
             .value = air::room_density_kg_per_m3(pressure),
             .unit = "kg/m3"}};
}

} // namespace venture::loads::detail
