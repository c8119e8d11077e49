#include <venture/draw/canvas.hpp>

#include <algorithm>
#include <string_view>

#include <cairo-pdf.h>
#include <cairo-svg.h>
#include <cairo.h>

#include <venture/quantity/error.hpp>

namespace venture::draw {

namespace {

cairo_status_t append(void* bytes, const unsigned char* data, unsigned int length)
{
    static_cast<std::string*>(bytes)->append(reinterpret_cast<const char*>(data), length);
    return CAIRO_STATUS_SUCCESS;
}

constexpr double points_per_px = 0.75; // PDF and SVG count in points of 1/72 inch

/// `id="surface12"` becomes `id="sheet"`.
std::string without_numbers(const std::string& svg)
{
    constexpr std::string_view numbered = "id=\"surface";
    std::string out;
    std::size_t done = 0;
    for (std::size_t at = svg.find(numbered); at != std::string::npos; at = svg.find(numbered, at + 1)) {
        const std::size_t behind = svg.find_first_not_of("0123456789", at + numbered.size());
        if (behind == std::string::npos || behind == at + numbered.size() || svg[behind] != '"') continue;
        out.append(svg, done, at - done).append("id=\"sheet\"");
        done = behind + 1;
    }
    return out.append(svg, done);
}

} // namespace

struct Canvas::Cairo {
    Picture picture;
    std::string bytes{};
    cairo_surface_t* surface = nullptr;
    cairo_t* context = nullptr;

    void trace(const std::vector<Spot>& corners) const
    {
        cairo_new_path(context);
        for (const Spot s : corners) cairo_line_to(context, s.x, s.y);
        cairo_close_path(context);
    }
    void set(const Pen& pen) const
    {
        cairo_set_source_rgb(context, pen.colour.r, pen.colour.g, pen.colour.b);
        cairo_set_line_width(context, pen.width);
        cairo_set_dash(context, pen.dash.data(), static_cast<int>(pen.dash.size()), 0.0);
    }
    void font(double size, bool bold) const
    {
        cairo_select_font_face(context, "DejaVu Sans", CAIRO_FONT_SLANT_NORMAL,
                               bold ? CAIRO_FONT_WEIGHT_BOLD : CAIRO_FONT_WEIGHT_NORMAL);
        cairo_set_font_size(context, size);
    }
};

std::string with_superscript(std::string text)
{
    if (text.ends_with("m2") || text.ends_with("ft2")) text.replace(text.size() - 1, 1, "\u00b2");
    if (text.ends_with("m3") || text.ends_with("ft3")) text.replace(text.size() - 1, 1, "\u00b3");
    return text;
}

Canvas::Canvas(Picture picture, double width, double height) : cairo_{std::make_unique<Cairo>()}
{
    Cairo& c = *cairo_;
    c.picture = picture;
    if (picture == Picture::png) {
        c.surface = cairo_image_surface_create(CAIRO_FORMAT_RGB24, static_cast<int>(width), static_cast<int>(height));
    } else if (picture == Picture::svg) {
        c.surface =
            cairo_svg_surface_create_for_stream(append, &c.bytes, width * points_per_px, height * points_per_px);
    } else {
        c.surface =
            cairo_pdf_surface_create_for_stream(append, &c.bytes, width * points_per_px, height * points_per_px);
        cairo_pdf_surface_set_metadata(c.surface, CAIRO_PDF_METADATA_CREATE_DATE, "2000-01-01T00:00:00Z");
    }
    c.context = cairo_create(c.surface);
    if (picture != Picture::png) cairo_scale(c.context, points_per_px, points_per_px);
    cairo_set_source_rgb(c.context, 1, 1, 1);
    cairo_paint(c.context);
    cairo_set_line_cap(c.context, CAIRO_LINE_CAP_BUTT);
    cairo_set_line_join(c.context, CAIRO_LINE_JOIN_MITER);
}

Canvas::~Canvas()
{
    cairo_destroy(cairo_->context);
    cairo_surface_destroy(cairo_->surface);
}

void Canvas::fill(const std::vector<Spot>& outline, Colour colour, double cover)
{
    cairo_->trace(outline);
    cairo_set_source_rgba(cairo_->context, colour.r, colour.g, colour.b, cover);
    cairo_fill(cairo_->context);
}

namespace {

struct Reading {
    const std::string& bytes;
    std::size_t at = 0;
};

cairo_status_t read_on(void* from, unsigned char* data, unsigned int length)
{
    Reading& reading = *static_cast<Reading*>(from);
    if (reading.bytes.size() - reading.at < length) return CAIRO_STATUS_READ_ERROR;
    std::copy_n(reading.bytes.begin() + static_cast<std::ptrdiff_t>(reading.at), length, data);
    reading.at += length;
    return CAIRO_STATUS_SUCCESS;
}

} // namespace

void Canvas::underlay(const std::string& png, const Spot (&seen)[2], const Spot (&to)[2], Spot low, Spot high)
{
    const double dx = seen[1].x - seen[0].x, dy = seen[1].y - seen[0].y, square = dx * dx + dy * dy;
    const double ex = to[1].x - to[0].x, ey = to[1].y - to[0].y;
    if (!(square > 1.0) || !(ex * ex + ey * ey > 1e-6))
        throw quantity::Error{"the two points that a picture is matched by are one and the same"};
    Reading reading{png};
    cairo_surface_t* picture = cairo_image_surface_create_from_png_stream(read_on, &reading);
    if (cairo_surface_status(picture) != CAIRO_STATUS_SUCCESS) {
        cairo_surface_destroy(picture);
        throw quantity::Error{"the picture under the plan is no PNG that can be read"};
    }
    const double a = (dx * ex + dy * ey) / square, b = (dx * ey - dy * ex) / square; // turned and scaled
    const cairo_matrix_t matrix{
        a, b, -b, a, to[0].x - a * seen[0].x + b * seen[0].y, to[0].y - b * seen[0].x - a * seen[0].y};
    cairo_save(cairo_->context);
    cairo_rectangle(cairo_->context, low.x, low.y, high.x - low.x, high.y - low.y);
    cairo_clip(cairo_->context);
    cairo_transform(cairo_->context, &matrix);
    cairo_set_source_surface(cairo_->context, picture, 0.0, 0.0);
    cairo_paint_with_alpha(cairo_->context, 0.5);
    cairo_restore(cairo_->context);
    cairo_surface_destroy(picture);
}

void Canvas::line(Spot from, Spot to, const Pen& pen)
{
    cairo_->set(pen);
    cairo_move_to(cairo_->context, from.x, from.y);
    cairo_line_to(cairo_->context, to.x, to.y);
    cairo_stroke(cairo_->context);
}

void Canvas::curve(const std::vector<Spot>& points, const Pen& pen)
{
    cairo_->set(pen);
    cairo_move_to(cairo_->context, points.front().x, points.front().y);
    for (std::size_t i = 1; i + 2 < points.size(); i += 3)
        cairo_curve_to(cairo_->context, points[i].x, points[i].y, points[i + 1].x, points[i + 1].y, points[i + 2].x,
                       points[i + 2].y);
    cairo_stroke(cairo_->context);
}

void Canvas::outline(const std::vector<Spot>& corners, const Pen& pen)
{
    cairo_->trace(corners);
    cairo_->set(pen);
    cairo_stroke(cairo_->context);
}

void Canvas::hatch(const std::vector<Spot>& corners, const Pen& pen, double spacing)
{
    const auto [left, right] = std::ranges::minmax(corners, {}, &Spot::x);
    const auto [top, bottom] = std::ranges::minmax(corners, {}, &Spot::y);
    cairo_save(cairo_->context);
    cairo_->trace(corners);
    cairo_clip(cairo_->context);
    const double height = bottom.y - top.y;
    for (double x = left.x - height; x < right.x; x += spacing) line({x, bottom.y}, {x + height, top.y}, pen);
    cairo_restore(cairo_->context);
}

void Canvas::text(Spot at, const std::string& text, double size, bool bold, bool centred)
{
    cairo_->font(size, bold);
    const double shift = centred ? 0.5 * text_width(text, size, bold) : 0.0;
    cairo_set_source_rgb(cairo_->context, 0.1, 0.1, 0.1);
    cairo_move_to(cairo_->context, at.x - shift, at.y);
    cairo_show_text(cairo_->context, text.c_str());
}

double Canvas::text_width(const std::string& text, double size, bool bold)
{
    cairo_->font(size, bold);
    cairo_text_extents_t extents;
    cairo_text_extents(cairo_->context, text.c_str(), &extents);
    return extents.x_advance;
}

std::string Canvas::finish()
{
    Cairo& c = *cairo_;
    cairo_show_page(c.context);
    if (c.picture == Picture::png) cairo_surface_write_to_png_stream(c.surface, append, &c.bytes);
    cairo_surface_finish(c.surface);
    const cairo_status_t status = cairo_surface_status(c.surface);
    if (status != CAIRO_STATUS_SUCCESS)
        throw quantity::Error{std::string{"the picture cannot be drawn: "} + cairo_status_to_string(status)};
    // Cairo numbers the drawing surfaces of a process; a sheet must not tell how many were drawn before it.
    if (c.picture == Picture::svg) return without_numbers(c.bytes);
    return std::move(c.bytes);
}

} // namespace venture::draw
