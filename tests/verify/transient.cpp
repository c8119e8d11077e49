/// Walls through time: exact response factors, and step responses by the stepper of the heat balance.

#include <algorithm>
#include <numeric>

#include <venture/balance/heat_balance.hpp>
#include <venture/fabric/response_factors.hpp>
#include <verify/tables.hpp>

namespace venture::verify {

using namespace fabric; // NOLINT(google-build-using-namespace): what this file verifies
using nlohmann::json;

Buildup layers_of(const json& layers, LayersFrom from)
{
    Buildup out;
    for (const json& l : layers) {
        const auto number = [&](const char* one, const char* other) {
            return l.contains(one) ? l.at(one).get<double>() : l.at(other).get<double>();
        };
        Layer layer;
        if (l.contains("resistance_m2K_W") || l.contains("resistance_m2K_per_W"))
            layer.resistance_m2K_per_W = number("resistance_m2K_W", "resistance_m2K_per_W");
        else
            layer = {.material = {"", number("conductivity_W_mK", "conductivity_W_per_mK"),
                                  number("density_kg_m3", "density_kg_per_m3"),
                                  number("specific_heat_J_kgK", "specific_heat_J_per_kgK")},
                     .thickness_m = l.at("thickness_m")};
        out.layers.push_back(std::move(layer));
    }
    if (from == LayersFrom::inside) std::ranges::reverse(out.layers);
    return out;
}

Outcome response_factors_of(const json& c)
{
    constexpr double share_of_u = 1e-4;
    const json tolerances = {{"tolerances", json::object()}};
    Comparison compare{tolerances};
    const Buildup wall = layers_of(c.at("layers_outside_to_inside"), LayersFrom::outside);
    const Films air{1.0 / c.at("film_outside_W_per_m2K").get<double>(),
                    1.0 / c.at("film_inside_W_per_m2K").get<double>()};
    double implied_error = 0.0; // of the stepper, as a share of the largest X
    for (const auto& [key, films] : {std::pair{"air_to_air", air}, {"face_to_face", Films{}}}) {
        const json& expected = c.at(key);
        const std::size_t count = expected.at("X_W_per_m2K").size();
        const ResponseFactors got = response_factors(wall, count, films, 3600.0 * c.value("time_step_h", 1.0));
        const ResponseFactors implied = implied_response_factors(wall, count, films);
        const double u = expected.at("U_W_per_m2K"),
                     largest_x = std::abs(expected.at("X_W_per_m2K").at(0).get<double>());
        compare.error(std::string{key} + " U", std::abs(got.u_value_W_per_m2K - u), share_of_u * u);
        struct Row {
            const char* name;
            const std::vector<double>*factors, *of_stepper;
        };
        for (const Row& row : {Row{"X_W_per_m2K", &got.x, &implied.x}, Row{"Y_W_per_m2K", &got.y, &implied.y},
                               Row{"Z_W_per_m2K", &got.z, &implied.z}}) {
            double sum = 0.0, expected_sum = 0.0;
            for (std::size_t j = 0; j < count; ++j) {
                const double value = expected.at(row.name).at(j);
                compare.error(fmt::format("{} {} {}", key, row.name, j), std::abs((*row.factors)[j] - value),
                              share_of_u * u);
                implied_error = std::max(implied_error, std::abs((*row.of_stepper)[j] - value) / largest_x);
                sum += (*row.factors)[j];
                expected_sum += value;
            }
            compare.error(fmt::format("{} {} sum", key, row.name), std::abs(sum - expected_sum), share_of_u * u);
        }
    }
    constexpr double implied_allowed = 0.005;
    Outcome out = compare.outcome();
    out.words += fmt::format("; the stepper's own: {:.2g} of {} of the largest X", implied_error, implied_allowed);
    if (!(implied_error <= implied_allowed)) out.verdict = Verdict::failed;
    return out;
}

namespace {

/// A wall at rest at 0 degC whose surroundings jump, stepped by the heat balance.
class StepResponse {
public:
    explicit StepResponse(const json& c) : case_{c}, initial_C_{c.value("initial_temperature_C", 0.0)}
    {
        for (const double h : case_.at("times_h").get<std::vector<double>>()) longest_h_ = std::max(longest_h_, h);
        if (c.contains("layers_outside_to_inside"))
            wall_ = layers_of(c.at("layers_outside_to_inside"), LayersFrom::outside);
        else
            wall_.layers = {{.material = {"", number("conductivity_W_per_mK"), number("density_kg_per_m3"),
                                          number("specific_heat_J_per_kgK")},
                             .thickness_m = thickness()}};
        for (const char* key : {"depths_m", "depths_from_film_face_m"})
            if (c.contains(key)) depths_m_ = c.at(key).get<std::vector<double>>();
        for (const double d : depths_m_)
            if (d > 0.0 && d < wall_.layers.front().thickness_m)
                planes_.push_back({0, d / wall_.layers.front().thickness_m});
        if (depths_m_.empty()) // a stack: between its layers
            for (std::size_t i = 0; i + 1 < wall_.layers.size(); ++i) planes_.push_back({i, 1.0});
        modes_ = wall_modes(wall_, {.step_s = step_s, .planes = planes_});
    }

    /// What the wall is like at every time of the case.
    struct At {
        std::vector<double> temperature_C{}; ///< at every depth; of a stack: faces and what is between its layers
        double flux[2] = {}, face_C[2] = {}; ///< into the wall
        double stored_J_per_m2 = 0.0;
    };
    /// @param outside_C, inside_C  after the jump; an insulated end has none
    [[nodiscard]] std::vector<At> run(const balance::Face& outside, const balance::Face& inside,
                                      balance::ThermalModel m) const
    {
        m.step_s = step_s;
        m.walls = {modes_};
        m.surfaces = {{.id = "wall", .area_m2 = 1.0, .outside = outside, .inside = inside}};
        const balance::HeatBalance balance{m};
        balance::State now = balance.state_at(0.0);
        balance::StepResult result;
        std::vector<At> out;
        const auto times_h = case_.at("times_h").get<std::vector<double>>();
        for (std::size_t step = 0; out.size() < times_h.size(); ++step) {
            balance.advance(now, 0, result);
            if (step_s * static_cast<double>(step + 1) >= 3600.0 * times_h[out.size()] - 0.5 * step_s)
                out.push_back(at_end(balance.wall_modes_of(now, 0), result.surfaces.front()));
        }
        return out;
    }
    [[nodiscard]] double jump(const char* key) const { return number(key) - initial_C_; }
    [[nodiscard]] bool semi_infinite() const
    {
        return !case_.contains("layers_outside_to_inside") && !case_.contains("thickness_m");
    }
    [[nodiscard]] double capacity_J_per_m2K() const { return modes_.stored_heat(modes_.steady_states(1.0, 1.0)); }
    [[nodiscard]] double initial_C() const { return initial_C_; }
    [[nodiscard]] double number(const char* key) const { return case_.at(key); }

private:
    static constexpr double step_s = 60.0;

    [[nodiscard]] double thickness() const
    {
        if (!semi_infinite()) return number("thickness_m");
        const double diffusivity =
            number("conductivity_W_per_mK") / (number("density_kg_per_m3") * number("specific_heat_J_per_kgK"));
        return std::min(10.0, 8.0 * std::sqrt(diffusivity * 3600.0 * longest_h_)); // erfc(4) is 1.5e-8
    }
    [[nodiscard]] At at_end(const std::vector<double>& modes, const balance::SurfaceStep& s) const
    {
        At out;
        for (int j = 0; j < 2; ++j) {
            out.flux[j] = s.flux_end_W_per_m2[j];
            out.face_C[j] = s.temperature_end_C[j];
        }
        out.stored_J_per_m2 = modes_.stored_heat(modes);
        const auto plane = [&](std::size_t p) {
            return modes_.plane_temperature(p, modes, out.face_C[0], out.face_C[1]);
        };
        std::size_t next = 0;
        if (depths_m_.empty()) {
            out.temperature_C.push_back(out.face_C[0]);
            while (next < planes_.size()) out.temperature_C.push_back(plane(next++));
            out.temperature_C.push_back(out.face_C[1]);
        }
        for (const double d : depths_m_)
            out.temperature_C.push_back(d <= 0.0                                ? out.face_C[0]
                                        : d >= wall_.layers.front().thickness_m ? out.face_C[1]
                                                                                : plane(next++));
        return out;
    }

    const json& case_;
    double initial_C_, longest_h_ = 0.0;
    Buildup wall_{};
    std::vector<double> depths_m_{};
    std::vector<Plane> planes_{};
    WallModes modes_{};
};

double largest_of(const std::vector<double>& x)
{
    double most = 0.0;
    for (const double v : x) most = std::max(most, std::abs(v));
    return most;
}

bool mentions(const std::string& key, const char* word) { return key.find(word) != std::string::npos; }

/// Compares every series of `answers` whose name tells what it is.
/// @param default_side  the end that fluxes and temperatures belong to where their name does not say it
void compare_series(Comparison& compare, const json& answers, const std::vector<StepResponse::At>& got,
                    const StepResponse& wall, std::vector<std::string>& left_out, int default_side)
{
    constexpr double kelvin = 0.02, share = 0.005;
    for (const auto& [key, series] : answers.items()) {
        if (key == "times_h" || !series.is_array() || series.size() != got.size()) continue;
        if (series.front().is_array()) { // by time, then by depth
            if (!mentions(key, "temperature")) {
                left_out.push_back(key);
                continue;
            }
            for (std::size_t i = 0; i < got.size(); ++i) {
                const auto row = series[i].get<std::vector<double>>();
                const std::size_t all = got[i].temperature_C.size(), from = row.size() == all ? 0 : 1;
                if (row.size() + 2 * from != all)
                    throw std::runtime_error{key + ": as many columns as depths expected"};
                for (std::size_t d = 0; d < row.size(); ++d)
                    compare.error(fmt::format("{} {}", key, i),
                                  std::abs(got[i].temperature_C[d + from] + wall.initial_C() - row[d]), kelvin);
            }
            continue;
        }
        const auto values = series.get<std::vector<double>>();
        const int side = mentions(key, "outside") ? 0 : mentions(key, "inside") ? 1 : default_side;
        const double sign = mentions(key, "out_of") ? -1.0 : 1.0, scale = share * largest_of(values);
        for (std::size_t i = 0; i < got.size(); ++i) {
            const std::string what = fmt::format("{} {}", key, i);
            if (mentions(key, "flux"))
                compare.error(what, std::abs(sign * got[i].flux[side] - values[i]), scale);
            else if (mentions(key, "heat_absorbed") || mentions(key, "heat_stored"))
                compare.error(what, std::abs(got[i].stored_J_per_m2 - values[i]), scale);
            else if (mentions(key, "mean_temperature"))
                compare.error(
                    what, std::abs(got[i].stored_J_per_m2 / wall.capacity_J_per_m2K() + wall.initial_C() - values[i]),
                    kelvin);
            else if (mentions(key, "temperature"))
                compare.error(what, std::abs(got[i].face_C[side] + wall.initial_C() - values[i]), kelvin);
            else if (i == 0)
                left_out.push_back(key);
        }
    }
}

/// Answers of a stack whose air jumps on one side or the other: objects, or series whose names begin with that side.
json groups_of(const json& c)
{
    json groups = json::object();
    for (const auto& [key, value] : c.items()) {
        if (value.is_object() && (mentions(key, "outside") || mentions(key, "inside"))) groups[key] = value;
        for (const std::string side : {"outside_step", "inside_step"})
            if (value.is_array() && key.starts_with(side + "_")) groups[side][key.substr(side.size() + 1)] = value;
    }
    return groups;
}

} // namespace

Outcome step_response_of(const json& c)
{
    const json tolerances = {{"tolerances", json::object()}};
    Comparison compare{tolerances};
    const StepResponse wall{c};
    std::vector<std::string> left_out;
    balance::ThermalModel m;
    m.outdoor_air_C = m.outdoor_humidity_ratio = m.add_constant(0.0);
    const auto zero = m.outdoor_air_C;
    const auto film = [&](const char* side) {
        const std::string key = std::string{"film_"} + side + "_W_per_m2K";
        return c.contains(key) ? c.at(key).get<double>() : wall.number("film_W_per_m2K");
    };
    if (c.contains("surface_temperature_C") || c.contains("air_temperature_C")) {
        const bool held = c.contains("surface_temperature_C");
        const auto jump = m.add_constant(wall.jump(held ? "surface_temperature_C" : "air_temperature_C"));
        const balance::Face outside =
            held ? balance::Face{balance::FixedFace{jump}} : balance::Face{balance::OutdoorFace{film("outside"), jump}};
        const balance::Face inside = wall.semi_infinite() ? balance::Face{balance::FixedFace{zero}}
                                     : c.contains("film_inside_W_per_m2K")
                                         ? balance::Face{balance::OutdoorFace{film("inside"), zero}}
                                         : balance::Face{balance::InsulatedFace{}};
        compare_series(compare, c, wall.run(outside, inside, m), wall, left_out, 0);
    } else { // a stack whose air jumps on one side or the other: a group of answers for each
        const json groups = groups_of(c);
        for (const auto& [key, answers] : groups.items()) {
            const json& group = answers;
            const bool from_inside = mentions(key, "inside");
            double size = 1.0;
            for (const json* holder : {&c, &group})
                for (const char* name : {"step_K", "step_C", "temperature_step_K", "air_temperature_C"})
                    if (holder->contains(name)) size = holder->at(name);
            const auto jump = m.add_constant(size - wall.initial_C());
            const balance::OutdoorFace outside{film("outside"), from_inside ? zero : jump},
                inside{film("inside"), from_inside ? jump : zero};
            compare_series(compare, group, wall.run(outside, inside, m), wall, left_out, from_inside ? 1 : 0);
        }
    }
    Outcome out = compare.outcome();
    for (const std::string& key : left_out) out.words += "; not understood: " + key;
    if (!left_out.empty()) out.verdict = Verdict::failed;
    return out;
}

} // namespace venture::verify
