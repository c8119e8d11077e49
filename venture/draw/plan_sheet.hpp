#pragma once
/// A sheet with the plan of a building while it is drawn. Internal to draw.

#include <algorithm>
#include <string>
#include <utility>
#include <vector>

#include <venture/draw/plan_drawing.hpp>
#include <venture/draw/plan_rooms.hpp>

namespace venture::draw {

using building::Building;
using building::Neighbour;
using building::Surface;
using plan::GridPoint;

namespace plan_look {

inline constexpr Colour black{0.1, 0.1, 0.1}, grey{0.55, 0.55, 0.55}, moved_red{0.80, 0.10, 0.10},
    tree_green{0.31, 0.60, 0.42};
inline constexpr double margin = 30.0, title_height = 58.0, legend_height = 84.0, storey_title = 26.0;

} // namespace plan_look

/// Extent of the building on the plan, metres.
struct Extent {
    double x0 = 1e300, y0 = 1e300, x1 = -1e300, y1 = -1e300;
};

/// Places one storey on the sheet.
struct Placement {
    double left, top, scale; ///< px, px, px per metre
    Extent extent;
    [[nodiscard]] Spot at(double x_m, double y_m) const
    {
        return {left + (x_m - extent.x0) * scale, top + (extent.y1 - y_m) * scale};
    }
    [[nodiscard]] Spot at(GridPoint p) const { return at(plan::to_metres(p.x), plan::to_metres(p.y)); }
};

class PlanSheet {
public:
    PlanSheet(const Building& b, const loads::RoomLoads& loads, const PlanOptions& o);
    std::string run();

private:
    // plan_drawing.cpp: storeys, rooms and walls
    void take_in(const plan::Ring& ring);
    /// Width left for marks and keys beside the plan.
    [[nodiscard]] double side_width() const;
    /// Storeys in the grid that gives the largest scale.
    [[nodiscard]] std::vector<Placement> placements() const;
    void draw_title();
    void draw_north(Spot centre);
    void draw_storey(std::size_t storey, const Placement& at);
    [[nodiscard]] bool is_drawn(const Surface& s) const;
    /// What stands near the building and is cut by the same plane, as far as the sheet goes.
    void draw_obstruction(const building::Obstruction& o, std::size_t storey, const Placement& at);
    /// Rooms of the older version that stood elsewhere, or are gone; rooms that are new.
    void draw_older(std::size_t storey, const Placement& at);
    /// A numbered ring at the upper left of the room that it is about.
    void draw_mark(std::size_t m, std::size_t storey, const Placement& at);
    void draw_number(Spot middle, std::size_t number);
    /// Beside the plan: what the numbers are.
    void draw_side();
    std::vector<std::string> wrapped(const std::string& text, double width, double size, bool bold);
    /// Whether a room is cut by a plane a metre above the storey's floor.
    [[nodiscard]] bool stands_on(std::size_t r, std::size_t storey) const;
    [[nodiscard]] static double height_m(const Surface& s, double up_m);
    [[nodiscard]] bool reaches(const Surface& s, std::size_t storey) const;
    std::vector<Spot> spots(const plan::Ring& ring, const Placement& at) const;
    void draw_room(std::size_t r, std::size_t storey, const Placement& at);
    /// Spots at two distances along a wall from the left end seen from outside.
    std::pair<Spot, Spot> stretch(const Surface& s, double from_m, double to_m, std::size_t storey,
                                  const Placement& at) const;
    static Pen pen_of(const Surface& s);
    [[nodiscard]] plan::Polygons at_cut(const Surface& s, std::size_t storey) const;
    void draw_wall(const Surface& s, std::size_t storey, const Placement& at);
    void draw_openings(const Surface& s, std::size_t storey, const Placement& at);
    // plan_units.cpp
    struct TextBox {
        std::size_t storey = 0;
        double left = 0.0, top = 0.0, right = 0.0, bottom = 0.0;
        /// Of what both cover, px2.
        [[nodiscard]] double shared_with(const TextBox& o) const
        {
            const double width = std::min(right, o.right) - std::max(left, o.left),
                         height = std::min(bottom, o.bottom) - std::max(top, o.top);
            return storey == o.storey && width > 0.0 && height > 0.0 ? width * height : 0.0;
        }
    };
    /// The middle of its front, its ends at the wall, and the way into the room.
    struct DrawnBody {
        Spot front{}, from{}, to{}, into{};
    };
    void draw_unit(const PlanUnit& unit, std::size_t storey, const Placement& at);
    void draw_tag(const PlanUnit& unit, const DrawnBody& body, std::size_t storey, const Placement& at);
    [[nodiscard]] TextBox tag_box(const std::string& tag, std::size_t storey, Spot middle);
    /// How much a tag hides at the best place that there is, and that place.
    [[nodiscard]] std::pair<double, Spot> place_for(const std::string& tag, std::size_t room, const DrawnBody& body,
                                                    std::size_t storey, const Placement& at);
    [[nodiscard]] bool is_inside(const TextBox& box, std::size_t r, const Placement& at) const;
    TextBox name_box(std::size_t r, std::size_t storey, const Placement& at);
    /// Three thin lines across the gap in a wall.
    void draw_window(Spot from, Spot to);
    /// Name and lines at the largest size at which they fit into the room's free width and height around the label; what
    /// does not fit at the smallest is left out from its end.
    void draw_label(std::size_t r, std::size_t storey, const Placement& at);
    [[nodiscard]] std::string number_of(std::size_t r) const;
    /// A room too small for its name has a number, which the legend's last line explains.
    bool fits_number(std::size_t r, double width, double height);
    /// Free extent through the label point inside the outline, along x or y, metres to px, less a little air.
    static double free_px(const building::Room& room, const Placement& at, bool along_x);
    static double label_width(const building::Room& room, const Placement& at);
    static double label_height(const building::Room& room, const Placement& at);
    /// A name on one line, or on several if it is too wide.
    std::vector<std::string> words_of(const std::string& name, double width);
    void draw_legend(double scale);
    [[nodiscard]] bool has(Neighbour::Kind kind) const;
    const Building& b_;
    const loads::RoomLoads& loads_;
    PlanOptions o_;
    Canvas c_;
    RoomColours colours_;
    std::vector<std::size_t> storeys_{}, order_{}; ///< drawn; rooms from the largest to the smallest
    std::vector<std::size_t> numbered_{};          ///< rooms that are called by a number
    std::vector<TextBox> tags_{};                  ///< drawn
    bool numbers_alone_ = false;                   ///< of some tags
    Extent extent_{};
};

} // namespace venture::draw
