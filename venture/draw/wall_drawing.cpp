#include <venture/draw/wall_drawing.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/draw/chart.hpp>

namespace venture::draw {

namespace {

using fabric::Layer;

constexpr Colour insulation{0.99, 0.95, 0.80}, air{1.0, 1.0, 1.0};
constexpr double insulates_W_per_mK = 0.1;

/// The heavier, the darker.
Colour fill_of(const Layer& layer)
{
    if (!layer.has_capacity()) return air;
    if (layer.material.conductivity_W_per_mK < insulates_W_per_mK) return insulation;
    const double dark = std::clamp(layer.material.density_kg_per_m3 / 2500.0, 0.0, 1.0);
    const double shade = 0.93 - 0.30 * dark;
    return {shade, shade, shade};
}

class WallDrawing {
public:
    WallDrawing(const fabric::Buildup& b, const fabric::WallConditions& c, const WallDrawingOptions& o)
        : b_{b},
          c_{c},
          o_{o},
          profile_{temperature_profile(b, c.films, c.outside, c.inside)},
          canvas_{o.picture, o.width, o.height}
    {
    }

    std::string run()
    {
        place_layers();
        const double u = 1.0 / (c_.films.outside_m2K_per_W + resistance(b_) + c_.films.inside_m2K_per_W);
        canvas_.text({40.0, 36.0}, fmt::format("{}: U = {}", b_.name, o_.units.text(u, "heat_transfer")), 19.0, true,
                     false);
        canvas_.text(
            {40.0, 58.0},
            "Layers to scale, outside on the left; line: temperature; long dashes: dew point of the room's air", 12.0,
            false, false);
        draw_scales();
        for (std::size_t i = 0; i < b_.layers.size(); ++i) draw_layer(i);
        draw_temperatures();
        draw_names();
        return canvas_.finish();
    }

private:
    [[nodiscard]] double temperature(double t_C) const
    {
        return quantity::from_si(t_C, o_.units.symbol("temperature"), quantity::Kind::temperature);
    }

    /// Edges of the layers in metres; one without thickness gets a width that can be seen.
    void place_layers()
    {
        double thickness = 0.0;
        for (const Layer& layer : b_.layers) thickness += layer.thickness_m + layer.gap_m;
        const double nominal = std::max(0.04 * thickness, 0.005);
        edges_ = {0.0};
        for (const Layer& layer : b_.layers)
            edges_.push_back(edges_.back() + (layer.has_capacity() ? layer.thickness_m
                                              : layer.gap_m > 0.0  ? layer.gap_m
                                                                   : nominal));
        const double air_side = 0.16 * edges_.back();
        frame_ = {.left = 80.0,
                  .top = 90.0,
                  .width = o_.width - 130.0,
                  .height = o_.height - 330.0,
                  .x0 = -air_side,
                  .x1 = edges_.back() + air_side};
        const double coldest = std::min(temperature(c_.outside.celsius()), temperature(c_.inside.celsius()));
        const double warmest = std::max(temperature(c_.outside.celsius()), temperature(c_.inside.celsius()));
        frame_.y0 = std::floor(coldest / 5.0) * 5.0 - 2.5;
        frame_.y1 = std::ceil(warmest / 5.0) * 5.0 + 2.5;
    }

    void draw_scales()
    {
        std::vector<Tick> ticks;
        for (const double t : round_values(frame_.y0, frame_.y1, 7)) ticks.push_back({t, fmt::format("{:g}", t)});
        draw_y_scale(canvas_, frame_, ticks);
        canvas_.text({40.0, frame_.top - 10.0}, std::string{o_.units.symbol("temperature")}, 12.0, false, false);
    }

    void draw_layer(std::size_t i)
    {
        const auto box = frame_.box(edges_[i], edges_[i + 1], frame_.y0, frame_.y1);
        const Layer& layer = b_.layers[i];
        canvas_.fill(box, fill_of(layer));
        if (layer.has_capacity() && layer.material.conductivity_W_per_mK < insulates_W_per_mK)
            canvas_.hatch(box, {{0.75, 0.65, 0.35}, 0.8}, 9.0);
        canvas_.outline(box, {dark_ink, layer.has_capacity() ? 1.3 : 0.8,
                              layer.has_capacity() ? std::vector<double>{} : std::vector<double>{3.0, 3.0}});
    }

    void draw_temperatures()
    {
        const auto dew_C =
            air::dew_point(air::MoistAir::from_relative_humidity(c_.inside, c_.inside_humidity, c_.pressure));
        const double dew = temperature(dew_C.celsius());
        canvas_.line(frame_.at(edges_.front(), dew), frame_.at(frame_.x1, dew), {dark_ink, 1.2, {12.0, 5.0}});
        canvas_.text({frame_.x(frame_.x1) - 118.0, frame_.y(dew) - 6.0},
                     fmt::format("dew point {}", o_.units.text(dew_C.celsius(), "temperature")), 11.0, false, false);
        const Pen line{{0.72, 0.10, 0.10}, 2.6};
        Spot last = frame_.at(frame_.x0, temperature(profile_.outside_air_C));
        const auto to = [&](double x, double t_C) {
            const Spot next = frame_.at(x, temperature(t_C));
            canvas_.line(last, next, line);
            last = next;
        };
        to(edges_.front() - 0.25 * (edges_.front() - frame_.x0), profile_.outside_air_C); // the film begins
        for (std::size_t i = 0; i < edges_.size(); ++i) to(edges_[i], profile_.at_faces_C[i]);
        to(edges_.back() + 0.25 * (frame_.x1 - edges_.back()), profile_.inside_air_C);
        to(frame_.x1, profile_.inside_air_C);
        canvas_.text({frame_.left + 6.0, frame_.y(temperature(profile_.outside_air_C)) - 8.0},
                     fmt::format("outside {}", o_.units.text(profile_.outside_air_C, "temperature")), 12.0, true,
                     false);
        const std::string inside = fmt::format("inside {}", o_.units.text(profile_.inside_air_C, "temperature"));
        canvas_.text({frame_.x(frame_.x1) - canvas_.text_width(inside, 12.0, true) - 6.0,
                      frame_.y(temperature(profile_.inside_air_C)) - 8.0},
                     inside, 12.0, true, false);
    }

    /// Below the wall, a line a layer, numbered like the layers themselves: thin ones have no room for words.
    void draw_names()
    {
        constexpr double row = 19.0;
        const double bottom = frame_.top + frame_.height;
        double y = bottom + 52.0;
        for (std::size_t i = 0; i < b_.layers.size(); ++i) {
            const Layer& layer = b_.layers[i];
            const double middle = frame_.x(0.5 * (edges_[i] + edges_[i + 1]));
            const bool thin = frame_.x(edges_[i + 1]) - frame_.x(edges_[i]) < 20.0;
            const double lowered = thin && i % 2 == 1 ? 29.0 : 16.0; // neighbours that are thin do not touch
            canvas_.text({middle, bottom + lowered}, std::to_string(i + 1), 12.0, true);
            canvas_.text(
                {80.0 + 590.0 * static_cast<double>(i / most_rows), y + row * static_cast<double>(i % most_rows)},
                fmt::format("{}  {}: {}, {}; inner side {}", i + 1, layer.material.name, in_words(layer),
                            o_.units.text(layer.resistance(), "resistance"),
                            o_.units.text(profile_.at_faces_C[i + 1], "temperature")),
                12.0, false, false);
        }
    }

    [[nodiscard]] std::string in_words(const Layer& layer) const
    {
        if (layer.has_capacity())
            return fmt::format("{}, {}", o_.units.text(layer.thickness_m, "thickness"),
                               o_.units.text(layer.material.conductivity_W_per_mK, "conductivity"));
        return layer.gap_m > 0.0 ? o_.units.text(layer.gap_m, "thickness") : "a resistance, drawn without scale";
    }

    static constexpr std::size_t most_rows = 9;
    const fabric::Buildup& b_;
    const fabric::WallConditions& c_;
    const WallDrawingOptions& o_;
    fabric::TemperatureProfile profile_;
    Canvas canvas_;
    Frame frame_{};
    std::vector<double> edges_{};
};

} // namespace

std::string draw_wall(const fabric::Buildup& buildup, const fabric::WallConditions& conditions,
                      const WallDrawingOptions& options)
{
    return WallDrawing{buildup, conditions, options}.run();
}

} // namespace venture::draw
