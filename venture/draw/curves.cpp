#include <venture/draw/curves.hpp>

#include <algorithm>

namespace venture::draw {

const std::array<Pen, 4>& curve_pens()
{
    static const std::array<Pen, 4> pens = {{{{0.00, 0.45, 0.70}, 2.2, {}},
                                             {{0.84, 0.37, 0.00}, 2.2, {9.0, 3.0}},
                                             {{0.15, 0.15, 0.15}, 1.3, {2.5, 2.5}},
                                             {{0.00, 0.50, 0.40}, 1.8, {12.0, 3.0, 2.0, 3.0}}}};
    return pens;
}

void name_curves(PlotSheet& sheet, const Frame& frame, const std::vector<NamedEnd>& ends)
{
    constexpr double apart = 19.0, sample = 26.0;
    struct Name {
        double y;
        std::size_t curve;
    };
    std::vector<Name> all;
    for (std::size_t i = 0; i < ends.size(); ++i) all.push_back({frame.y(ends[i].y), i});
    std::ranges::sort(all, {}, &Name::y);
    for (std::size_t i = 1; i < all.size(); ++i) all[i].y = std::max(all[i].y, all[i - 1].y + apart);
    const double too_low = all.empty() ? 0.0 : std::max(0.0, all.back().y - (frame.top + frame.height));
    const double x = frame.left + frame.width + 10.0;
    for (const Name& name : all) {
        const double y = name.y - too_low;
        sheet.line({x, y}, {x + sample, y}, curve_pens().at(name.curve));
        sheet.text({x + sample + 7.0, y + 4.0}, ends[name.curve].name, {12.0});
    }
}

void head_sheet(PlotSheet& sheet, double width, const std::string& title, const std::string& subtitle, bool synthetic)
{
    constexpr Letters of_title{19.0, true};
    constexpr double of_stamp = 420.0;
    sheet.text({24.0, 34.0}, fitted(title, of_title, width - (synthetic ? of_stamp : 48.0)), of_title);
    sheet.text({24.0, 56.0}, subtitle, {12.0});
    if (synthetic) sheet.stamp({width - 22.0, 34.0}, "SYNTHETIC weather: made up, measured by nobody");
}

} // namespace venture::draw
