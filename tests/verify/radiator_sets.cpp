/// Table "rating": radiators at a flow or for a need, and rows of them under windows.

#include <venture/rating/emitter_law.hpp>
#include <venture/terminal/row_choice.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using nlohmann::json;
using rating::Mean;

namespace {

constexpr double specific_heat_J_per_kgK = 4186.0; // of the table

Mean mean_of(const json& in) { return in.at("mean") == "logarithmic" ? Mean::logarithmic : Mean::arithmetic; }

double nominal_of(const json& radiator)
{
    return radiator.at("nominal_W").get<double>() * radiator.at("connection_factor").get<double>() *
           radiator.at("cover_factor").get<double>();
}

void given_flow(Comparison& compare, const json& c)
{
    const json& in = c.at("inputs");
    double output_W = 0.0, flow = 0.0, heat = 0.0;
    const json& each = c.at("steps").at("each");
    for (std::size_t i = 0; i < each.size(); ++i) {
        const json& radiator = in.at("radiators").at(i);
        const double own_flow = radiator.at("flow_kg_s");
        const auto got = rating::emitter_at_flow(nominal_of(radiator), radiator.at("exponent"), in.at("supply_C"),
                                                 in.at("room_C"), own_flow, mean_of(in));
        compare.value("return", got.return_C, each.at(i).at("return_C"), "root");
        compare.value("output", got.output_W, each.at(i).at("output_W"), "root");
        output_W += got.output_W;
        flow += own_flow;
        heat += own_flow * got.return_C;
    }
    const json& result = c.at("result");
    compare.value("room", output_W, result.at("room_output_W"), "root");
    compare.value("flow", flow, result.at("flow_kg_s"), "root");
    compare.value("common return", heat / flow, result.at("common_return_C"), "root");
}

void required(Comparison& compare, const json& c)
{
    const json& in = c.at("inputs");
    const auto got = rating::emitter_giving(nominal_of(in.at("radiator")), in.at("radiator").at("exponent"),
                                            in.at("supply_C"), in.at("room_C"), in.at("required_W"), mean_of(in));
    compare.truth("reached", got.has_value(), c.at("expected") == "value");
    if (!got || c.at("expected") != "value") return;
    compare.value("return", got->return_C, c.at("result").at("return_C"), "root");
    compare.value("flow", got->water_kg_per_s, c.at("result").at("flow_kg_s"), "root");
}

std::vector<terminal::Body> bodies_of(const json& group, const json& in)
{
    std::vector<terminal::Body> out;
    for (const json& type : group.at("types")) {
        terminal::Body& body = out.emplace_back();
        body.family = type.at("type");
        body.height_m = type.at("height_m");
        body.depth_m = type.at("depth_m");
        const double of_a_metre_W =
            rating::emitter_output_W(type.at("nominal_W_m").get<double>() * in.at("connection_factor").get<double>() *
                                         in.at("cover_factor").get<double>(),
                                     type.at("exponent"), in.at("supply_C"), in.at("return_C"), in.at("room_C"));
        for (const double length_m : type.at("lengths_m")) body.pieces.push_back({length_m, length_m * of_a_metre_W});
    }
    return out;
}

void row(Comparison& compare, const std::string& which, const std::vector<terminal::Body>& bodies,
         const std::optional<terminal::BodyRow>& got, const json& wanted)
{
    compare.truth(which, got.has_value(), true);
    if (!got) return;
    const terminal::Body& body = bodies[got->body];
    compare.truth(which + ": type", body.family == wanted.at("type"), true);
    for (std::size_t i = 0; i < got->row.pieces.size(); ++i)
        compare.error(which + ": length",
                      std::abs(body.pieces[got->row.pieces[i]].length_m - wanted.at("lengths_m").at(i).get<double>()),
                      1e-9);
    compare.value(which + ": output", got->row.output_W, wanted.at("output_W"), "root");
}

void rows(Comparison& compare, const json& group, const json& c)
{
    const json& in = c.at("inputs");
    const std::vector<terminal::Body> bodies = bodies_of(group, in);
    std::vector<terminal::Place> places;
    for (const double width_m : in.at("window_widths_m"))
        places.push_back({.most_length_m = width_m - 2.0 * in.at("side_gap_m").get<double>(),
                          .most_height_m = in.at("sill_height_m").get<double>() - in.at("floor_gap_m").get<double>() -
                                           in.at("top_gap_m").get<double>()});
    const std::array aims = {in.at("objective") == "least depth" ? rating::Aim::least_depth : rating::Aim::fullest};
    const terminal::RowChoice got = terminal::choose_row(bodies, places, in.at("load_W"), aims);
    compare.truth("any", got.best.has_value(), c.at("expected") == "value");
    if (c.at("expected") != "value") {
        const json& because = c.at("refused_because");
        compare.error("rows that fit", std::abs(got.within - because.at("sets_within_length_and_height").get<double>()),
                      0.0);
        compare.value("greatest output", got.largest ? got.largest->row.output_W : 0.0, because.at("greatest_output_W"),
                      "root");
        return;
    }
    const json& result = c.at("result");
    compare.error("rows that fit", std::abs(got.within - result.at("sets_within_length_and_height").get<double>()),
                  0.0);
    compare.error("rows that suffice", std::abs(got.suffice - result.at("feasible_sets").get<double>()), 0.0);
    row(compare, "best", bodies, got.best, result.at("best"));
    row(compare, "runner-up", bodies, got.second, result.at("runner_up"));
    if (!got.best) return;
    for (std::size_t i = 0; i < got.best->row.pieces.size(); ++i)
        compare.value("each", bodies[got.best->body].pieces[got.best->row.pieces[i]].output_W,
                      result.at("each_output_W").at(i), "root");
    compare.value("flow",
                  got.best->row.output_W /
                      (specific_heat_J_per_kgK * (in.at("supply_C").get<double>() - in.at("return_C").get<double>())),
                  result.at("total_flow_kg_s"), "root");
}

Outcome radiator_set(const json& table, const json& group)
{
    Comparison compare{table};
    for (const json& c : group.at("cases"))
        if (c.at("kind") == "given_flow")
            given_flow(compare, c);
        else if (c.at("kind") == "required")
            required(compare, c);
        else
            rows(compare, group, c);
    return compare.outcome();
}

} // namespace

void add_radiator_sets(Answers& answers) { answers[{topic_of_rating, "radiator_set"}] = radiator_set; }

} // namespace venture::verify
