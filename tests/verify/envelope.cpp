/// Tables of the opaque envelope: U-values, air layers, ground floors; heat loss of rooms on paper.

#include <venture/fabric/air_layer.hpp>
#include <venture/fabric/bridged.hpp>
#include <venture/fabric/ground.hpp>
#include <venture/loads/room_heat_loss.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace fabric; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

namespace {

HeatFlow direction_of(const json& c)
{
    const std::string word = c.at("heat_flow");
    if (word == "upwards") return HeatFlow::upwards;
    if (word == "downwards") return HeatFlow::downwards;
    if (word == "horizontal") return HeatFlow::horizontal;
    throw std::runtime_error{"no direction of heat flow: " + word};
}

std::vector<BridgedLayer> layers_of(const json& c)
{
    std::vector<BridgedLayer> layers;
    for (const json& layer : c.at("layers_inside_to_outside")) {
        BridgedLayer& sections = layers.emplace_back();
        if (layer.contains("resistance_m2K_W")) {
            sections.push_back({1.0, layer.at("resistance_m2K_W")});
            continue;
        }
        const double thickness = layer.at("thickness_m");
        for (const json& s : layer.at("sections"))
            sections.push_back({s.at("area_fraction"), thickness / s.at("conductivity_W_mK").get<double>()});
    }
    return layers;
}

/// Plain and bridged layers: a plain one is a bridged one of one section.
Outcome layered(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const auto r = combined_resistance(layers_of(c), c.at("Rsi_m2K_W"), c.at("Rse_m2K_W"));
        const auto check = [&](const char* key, double got) {
            if (c.contains(key)) compare.value(key, got, c.at(key), "U_and_R");
        };
        check("upper_limit_m2K_W", r.upper_m2K_per_W);
        check("lower_limit_m2K_W", r.lower_m2K_per_W);
        check("total_resistance_m2K_W", r.mean_m2K_per_W());
        check("U_W_m2K", 1.0 / r.mean_m2K_per_W());
    }
    return compare.outcome();
}

Outcome tapered(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const std::string kind = c.at("kind");
        const Taper shape = kind == "rectangular"                   ? Taper::rectangle
                            : kind == "triangular_thickest_at_apex" ? Taper::triangle_thickest_at_apex
                            : kind == "triangular_thinnest_at_apex" ? Taper::triangle_thinnest_at_apex
                                                                    : throw std::runtime_error{"no taper: " + kind};
        compare.value(kind, tapered_u_value(shape, c.at("R0_m2K_W"), c.at("R2_taper_maximum_m2K_W")), c.at("U_W_m2K"),
                      "U_and_R");
    }
    return compare.outcome();
}

Outcome corrections(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const double total = c.at("R_total_m2K_W"), insulation = c.at("R_insulation_m2K_W");
        const std::string kind = c.at("kind");
        double more = 0.0;
        if (kind == "fasteners")
            more = fastener_correction({.conductivity_W_per_mK = c.at("fastener_conductivity_W_mK"),
                                        .per_m2 = c.at("fasteners_per_m2"),
                                        .section_m2 = c.at("fastener_section_m2"),
                                        .length_in_insulation_m = c.at("fastener_length_in_insulation_d1_m")},
                                       c.at("insulation_thickness_d0_m"), insulation, total);
        else if (kind == "air_gaps")
            more = air_gap_correction(c.at("delta_U_second_W_m2K"), insulation, total);
        else
            throw std::runtime_error{"no correction: " + kind};
        compare.value(kind, more, c.at("delta_U_W_m2K"), "U_and_R");
        compare.value(kind + ", corrected", 1.0 / total + more, c.at("U_corrected_W_m2K"), "U_and_R");
    }
    return compare.outcome();
}

Outcome air_layers(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group)
        compare.value("resistance",
                      air_layer_resistance({.thickness_m = c.at("thickness_m"),
                                            .direction = direction_of(c),
                                            .emissivity_1 = c.at("emissivity_1"),
                                            .emissivity_2 = c.at("emissivity_2"),
                                            .mean = quantity::Temperature::celsius(c.at("mean_temperature_C"))}),
                      c.at("resistance_m2K_W"), "cavity");
    return compare.outcome();
}

Outcome slabs(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        const GroundFloor floor{.area_m2 = c.at("area_m2"),
                                .exposed_perimeter_m = c.at("exposed_perimeter_m"),
                                .wall_thickness_m = c.at("wall_thickness_m"),
                                .ground_conductivity_W_per_mK = c.at("ground_conductivity_W_mK"),
                                .floor_m2K_per_W = c.at("floor_resistance_m2K_W"),
                                .inside_film_m2K_per_W = c.at("Rsi_m2K_W"),
                                .outside_film_m2K_per_W = c.at("Rse_m2K_W")};
        compare.value("characteristic dimension", characteristic_dimension_m(floor), c.at("characteristic_dimension_m"),
                      "U_and_R");
        compare.value("equivalent thickness", equivalent_thickness_m(floor), c.at("equivalent_thickness_m"), "U_and_R");
        compare.value("U", slab_u_value(floor), c.at("U_W_m2K"), "U_and_R");
    }
    return compare.outcome();
}

loads::LossElement element_of(const json& e)
{
    loads::LossElement out{.name = e.at("name"), .area_m2 = e.at("area_m2")};
    const std::string to = e.at("to");
    out.u_W_per_m2K = to == "ground" ? e.at("U_equiv_W_m2K") : e.at("U_W_m2K");
    if (to == "outdoor")
        out.to = loads::ToOutdoors{e.value("delta_U_tb_W_m2K", 0.0)};
    else if (to == "unheated")
        out.to = loads::ToUnheated{e.at("b_u")};
    else if (to == "adjacent")
        out.to = loads::ToHeated{e.at("theta_adjacent_C")};
    else if (to == "ground")
        out.to = loads::ToGround{e.at("G_w")};
    else
        throw std::runtime_error{"an element to " + to};
    return out;
}

std::variant<loads::NaturalAir, loads::BalancedAir> air_of(const json& v)
{
    const std::string kind = v.at("kind");
    if (kind == "natural") return loads::NaturalAir{v.at("n_min_1_h"), v.value("infiltration_m3_h", 0.0)};
    if (kind == "balanced")
        return loads::BalancedAir{v.value("infiltration_m3_h", 0.0), v.at("supply_m3_h"), v.at("extract_m3_h"),
                                  v.value("heat_recovery_efficiency", 0.0), v.value("theta_extract_C", 20.0)};
    throw std::runtime_error{"ventilation of kind " + kind};
}

Outcome rooms(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group) {
        loads::RoomOnPaper room{.inside_C = c.at("theta_int_C"),
                                .outside_C = c.at("theta_e_C"),
                                .yearly_mean_C = c.at("theta_annual_mean_C"),
                                .floor_area_m2 = c.at("floor_area_m2"),
                                .volume_m3 = c.at("volume_m3"),
                                .air = air_of(c.at("ventilation")),
                                .heating_up_W_per_m2 = c.value("heating_up_W_m2", 0.0)};
        for (const json& e : c.at("elements")) room.elements.push_back(element_of(e));
        const loads::RoomHeatLoss got = room_heat_loss(room);
        const json& expected = c.at("results");
        for (std::size_t i = 0; i < got.elements.size(); ++i) {
            const json& e = expected.at("element_results").at(i);
            compare.value("H", got.elements[i].h_W_per_K, e.at("H_W_K"), "U_and_R");
            compare.value("loss", got.elements[i].loss_W, e.at("loss_W"), "room_W");
        }
        compare.value("transmission", got.transmission_W, expected.at("transmission_W"), "room_W");
        compare.value("ventilation", got.ventilation_W, expected.at("ventilation_W"), "room_W");
        compare.value("heating up", got.heating_up_W, expected.at("heating_up_W"), "room_W");
        compare.value("whole", got.total_W(), expected.at("design_heat_load_W"), "room_W");
        if (expected.contains("design_air_flow_m3_h"))
            compare.value("air", got.outdoor_air_m3_per_h, expected.at("design_air_flow_m3_h"), "room_W");
    }
    return compare.outcome();
}

} // namespace

void add_envelope(Answers& answers)
{
    const std::string topic = "opaque envelope, steady state; room heat loss";
    answers[{topic, "simple"}] = layered;
    answers[{topic, "bridged"}] = layered;
    answers[{topic, "tapered"}] = tapered;
    answers[{topic, "corrections"}] = corrections;
    answers[{topic, "air_layers"}] = air_layers;
    answers[{topic, "slab_on_ground"}] = slabs;
    answers[{topic, "rooms"}] = rooms;
}

} // namespace venture::verify
