#include <venture/draw/services_drawing.hpp>

#include <algorithm>
#include <map>

#include <fmt/format.h>

#include <venture/draw/graph_layout.hpp>
#include <venture/services/circuits.hpp>

namespace venture::draw {

using services::Circuit;
using services::Demand;
using services::NodeId;
using services::Plant;
using services::Role;
using services::Service;
using services::Services;

namespace {

constexpr Colour heat{0.72, 0.26, 0.12}, cold{0.12, 0.38, 0.66}, faint{0.45, 0.45, 0.45};
constexpr Colour pale_plant{0.93, 0.93, 0.90}, pale_circuit{0.97, 0.97, 0.97}, white{1.0, 1.0, 1.0};
constexpr double letters = 12.5, line_height = 17.0, padding = 10.0;

bool is_cold(Service service) { return service == Service::cooling; }

Pen pen_of(Service service, double width)
{
    return is_cold(service) ? Pen{cold, width, {8.0, 4.0}} : Pen{heat, width, {}};
}

struct Box {
    std::vector<std::string> lines{}; ///< the first in bold
    Colour fill = white;
    bool dashed = false; ///< nothing feeds or serves it
    BoxSize::Stands stands = BoxSize::Stands::anywhere;
};

class ServicesDrawing {
public:
    ServicesDrawing(const Services& s, const services::Needs& needs, const ServicesDrawingOptions& o)
        : s_{s},
          needs_{needs},
          o_{o},
          box_of_(s.network.nodes.size(), none)
    {
    }

    std::string run()
    {
        for (NodeId node = 0; node < s_.network.nodes.size(); ++node) add_box(node);
        add_rooms();
        add_unserved();
        for (const services::Link& link : s_.network.links)
            if (box_of_[link.from] != none && box_of_[link.to] != none)
                connect(box_of_[link.from], box_of_[link.to], link.service);
        return draw();
    }

private:
    static constexpr std::size_t none = static_cast<std::size_t>(-1);

    [[nodiscard]] std::string power(double W) const { return o_.units.text(W, "total_power"); }
    [[nodiscard]] std::string degrees(double t_C) const { return o_.units.text(t_C, quantity::Kind::temperature); }
    static std::string percent(double share) { return fmt::format("{:.3g} %", 100.0 * share); }

    /// "10.25 kW, July 15-16 h", marked where it is no sum by hour.
    [[nodiscard]] std::string peak(const Demand& demand, Service service) const
    {
        std::string out = power(demand.peak_W());
        if (demand.typed) return out + ", typed";
        if (!demand.by_hour) return out + ", not coincident";
        const std::string when = o_.when ? o_.when(service, demand) : "";
        return when.empty() ? out : out + ", " + when;
    }

    void add_box(NodeId node)
    {
        const services::Node& n = s_.network.nodes[node];
        if (n.role == Role::circuit)
            box_of_[node] = put(circuit(n.record, node));
        else if (n.role == Role::plant)
            box_of_[node] = put(plant(n.record, node));
        else if (n.role == Role::plant_group)
            box_of_[node] = put(group(node));
    }

    std::size_t put(Box box)
    {
        boxes_.push_back(std::move(box));
        return boxes_.size() - 1;
    }

    [[nodiscard]] Box plant(std::size_t index, NodeId node) const
    {
        const Plant& p = s_.plants[index];
        Box box{.lines = {p.name}, .fill = pale_plant, .stands = BoxSize::Stands::first};
        if (p.name != p.kind->words || p.units > 1)
            box.lines.push_back(p.units == 1 ? std::string{p.kind->words}
                                : p.standby > 0
                                    ? fmt::format("{} {}s, {} for standby", p.units, p.kind->words, p.standby)
                                    : fmt::format("{} {}s", p.units, p.kind->words));
        bool is_asked = false;
        for (const Service service : p.kind->gives) {
            const Demand& asked = needs_.full.asked(node, service);
            if (asked.hours() == 0) continue;
            is_asked = true;
            const std::string what = p.kind->gives.size() == 1 ? "" : fmt::format("{} ", quantity::name_of(service));
            box.lines.push_back(fmt::format("asked for {}{}", what, peak(asked, service)));
            if (!s_.network.nodes[node].allowances.empty())
                box.lines.push_back(
                    fmt::format("must give {}{}", what, power(needs_.full.passed(node, service).peak_W())));
        }
        if (!is_asked) {
            box.lines.emplace_back("nothing hangs on it");
            return box;
        }
        for (const services::Allowance& a : s_.network.nodes[node].allowances)
            box.lines.push_back("with " + in_words(a));
        if (index < o_.products.size() && !o_.products[index].empty()) box.lines.push_back(o_.products[index]);
        return box;
    }

    static std::string in_words(const services::Allowance& a)
    {
        return fmt::format("{} {}", quantity::name_of(a.is),
                           a.is == services::Allowance::Is::diversity ? percent(a.factor)
                                                                      : "+" + percent(a.factor - 1.0));
    }

    [[nodiscard]] Box group(NodeId node) const
    {
        const bool in_order = s_.network.nodes[node].parted == services::Parted::in_order;
        Box box{.lines = {in_order ? "in order" : "by shares"}, .fill = pale_circuit};
        for (const services::Link& link : s_.network.links) {
            if (link.to != node) continue;
            const std::string& name = s_.network.nodes[link.from].name;
            box.lines.push_back(!in_order     ? fmt::format("{} {}", percent(link.share), name)
                                : link.most_W ? fmt::format("{} up to {}", name, power(*link.most_W))
                                              : fmt::format("{} what is left", name));
        }
        return box;
    }

    [[nodiscard]] Box circuit(std::size_t index, NodeId node) const
    {
        const Circuit& c = s_.circuits[index];
        const Demand& takes = needs_.taken.asked(node, c.carries);
        Box box{.lines = {c.name}, .fill = pale_circuit, .dashed = c.has_water() && !c.from && c.plants.empty()};
        box.lines.push_back(
            fmt::format("{}, {}", quantity::name_of(c.carries),
                        c.has_water() ? water_in_words(c, o_.units) : std::string{quantity::name_of(c.medium)}));
        if (c.same_pipes) box.lines.push_back("in the pipes of " + s_.circuits[*c.same_pipes].name);
        if (takes.hours() == 0) {
            box.lines.emplace_back("serves nobody");
            return box;
        }
        const services::CircuitWater water = water_of(s_, index, takes.peak_W());
        box.lines.push_back("units take " + peak(takes, c.carries));
        if (takes.typed) box.lines.back() = peak(takes, c.carries);
        if (!c.has_water()) return box;
        if (c.glycol > 0.0) {
            box.lines.push_back(percent(c.glycol) + " glycol");
        } else {
            box.lines.push_back("water " + o_.units.text(water.flow_kg_per_s / 1000.0, "water_flow"));
            if (c.from) box.lines.back() += ", drawn " + o_.units.text(water.drawn_kg_per_s / 1000.0, "water_flow");
        }
        for (const services::Allowance& a : s_.network.nodes[node].allowances) box.lines.push_back(in_words(a));
        if (!s_.network.nodes[node].allowances.empty())
            box.lines.push_back("asks for " + power(needs_.full.passed(node, c.carries).peak_W()));
        return box;
    }

    /// Rooms that hang on the same circuits with the same shares are one box.
    void add_rooms()
    {
        using Hangs = std::vector<std::tuple<Service, std::size_t, double>>;
        std::map<Hangs, std::vector<std::size_t>> alike;
        std::vector<Hangs> order;
        for (std::size_t r = 0; r < s_.rooms.size(); ++r) {
            Hangs hangs;
            for (const Service service : rating::all_services)
                for (const services::Server& server : s_.rooms[r][service])
                    hangs.emplace_back(service, server.circuit, server.share);
            if (hangs.empty()) continue;
            if (!alike.contains(hangs)) order.push_back(hangs);
            alike[hangs].push_back(r);
        }
        for (const Hangs& hangs : order) {
            const std::size_t box = put(rooms(alike[hangs]));
            for (const auto& [service, circuit, share] : hangs) {
                std::vector<std::string>& lines = boxes_[box].lines;
                if (share < 1.0)
                    lines.push_back(fmt::format("{} of {} by {}", percent(share), quantity::name_of(service),
                                                s_.circuits[circuit].name));
                connect(box_of_[s_.places.circuits[circuit]], box, service);
            }
        }
    }

    [[nodiscard]] Box rooms(const std::vector<std::size_t>& all) const
    {
        Box box{.stands = BoxSize::Stands::last};
        if (all.size() == 1) {
            box.lines.push_back(name_of_room(all.front()));
        } else {
            box.lines.push_back(fmt::format("{} rooms", all.size()));
            add_names(all, box);
        }
        for (const Service service : rating::all_services) {
            Demand sum;
            for (const std::size_t r : all)
                if (!s_.rooms[r][service].empty()) sum.add(need(r, service));
            if (sum.hours() > 0)
                box.lines.push_back(fmt::format("need {}: {}", quantity::name_of(service), peak(sum, service)));
        }
        return box;
    }

    /// What rooms need and nobody gives.
    void add_unserved()
    {
        for (const Service service : rating::all_services) {
            std::vector<std::size_t> left;
            Demand sum;
            for (std::size_t r = 0; r < s_.rooms.size(); ++r) {
                if (!s_.rooms[r][service].empty() || need(r, service).peak_W() <= 0.0) continue;
                left.push_back(r);
                sum.add(need(r, service));
            }
            if (left.empty()) continue;
            Box box{.lines = {fmt::format("not served: {}", quantity::name_of(service))},
                    .dashed = true,
                    .stands = BoxSize::Stands::last};
            add_names(left, box);
            box.lines.push_back("need " + peak(sum, service));
            put(std::move(box));
        }
    }

    [[nodiscard]] const Demand& need(std::size_t room, Service service) const
    {
        return needs_.rooms.asked(s_.places.rooms[room], service);
    }
    [[nodiscard]] const std::string& name_of_room(std::size_t room) const
    {
        return s_.network.nodes[s_.places.rooms[room]].name;
    }

    /// In a few lines; the others are counted.
    void add_names(const std::vector<std::size_t>& rooms, Box& box) const
    {
        constexpr std::size_t most_lines = 4, letters_a_line = 40;
        const std::size_t first = box.lines.size();
        std::string line;
        std::size_t told = 0;
        for (; told < rooms.size(); ++told) {
            const std::string next = name_of_room(rooms[told]) + (told + 1 < rooms.size() ? ", " : "");
            if (!line.empty() && line.size() + next.size() > letters_a_line) {
                if (box.lines.size() + 1 == first + most_lines) break;
                box.lines.push_back(std::exchange(line, {}));
            }
            line += next;
        }
        if (told < rooms.size()) line += fmt::format("and {} more", rooms.size() - told);
        box.lines.push_back(line);
    }

    void connect(std::size_t from, std::size_t to, Service service)
    {
        links_.emplace_back(from, to);
        services_.push_back(service);
    }

    std::string draw()
    {
        Canvas measure{Picture::svg, 10.0, 10.0};
        std::vector<BoxSize> sizes;
        for (const Box& box : boxes_) {
            double width = 60.0;
            for (std::size_t i = 0; i < box.lines.size(); ++i)
                width = std::max(width, measure.text_width(box.lines[i], letters, i == 0));
            sizes.push_back({width + 2.0 * padding,
                             line_height * static_cast<double>(box.lines.size()) + 2.0 * padding - 4.0, box.stands});
        }
        (void)measure.finish();
        const GraphLayout laid = lay_out(sizes, links_);
        constexpr double margin = 40.0, head = 90.0, foot = 60.0, least_width = 1100.0, least_height = 420.0;
        const double width = std::max(least_width, laid.width + 2.0 * margin),
                     height = std::max(least_height, laid.height + head + foot);
        Canvas canvas{o_.picture, width, height};
        canvas.fill({{0, 0}, {width, 0}, {width, height}, {0, height}}, white);
        canvas.text({margin, 38.0}, o_.title, 19.0, true, false);
        canvas.text(
            {margin, 60.0},
            "From plant to rooms. Powers are the largest hour of what is needed together; rooms that hang on the "
            "same circuits stand together.",
            12.0, false, false);
        const Spot corner{(width - laid.width) / 2.0, head + std::max(0.0, height - head - foot - laid.height) / 2.0};
        for (std::size_t i = 0; i < links_.size(); ++i) draw_link(canvas, laid.curves[i], corner, services_[i]);
        for (std::size_t i = 0; i < boxes_.size(); ++i)
            draw_box(canvas, boxes_[i], sizes[i], {corner.x + laid.middles[i].x, corner.y + laid.middles[i].y});
        draw_legend(canvas, {margin, height - 24.0});
        return canvas.finish();
    }

    static void draw_link(Canvas& canvas, std::vector<Spot> curve, Spot corner, Service service)
    {
        if (curve.size() < 4) return;
        for (Spot& spot : curve) spot = {spot.x + corner.x, spot.y + corner.y};
        canvas.curve(curve, pen_of(service, 1.8));
    }

    static void draw_box(Canvas& canvas, const Box& box, BoxSize size, Spot middle)
    {
        const double left = middle.x - 0.5 * size.width, top = middle.y - 0.5 * size.height;
        const std::vector<Spot> corners = {
            {left, top}, {left + size.width, top}, {left + size.width, top + size.height}, {left, top + size.height}};
        canvas.fill(corners, box.fill);
        canvas.outline(corners,
                       {box.dashed ? heat : ink, 1.0, box.dashed ? std::vector{4.0, 3.0} : std::vector<double>{}});
        double y = top + padding + letters - 2.0;
        for (std::size_t i = 0; i < box.lines.size(); ++i, y += line_height)
            canvas.text({left + padding, y}, box.lines[i], letters, i == 0, false);
    }

    void draw_legend(Canvas& canvas, Spot at) const
    {
        for (const auto& [service, words] : {std::pair{Service::heating, "heating"}, {Service::cooling, "cooling"}}) {
            if (std::ranges::find(services_, service) == services_.end()) continue;
            canvas.line({at.x, at.y - 4.0}, {at.x + 44.0, at.y - 4.0}, pen_of(service, 1.8));
            canvas.text({at.x + 52.0, at.y}, words, 12.0, false, false);
            at.x += 130.0;
        }
    }

    const Services& s_;
    const services::Needs& needs_;
    const ServicesDrawingOptions& o_;
    std::vector<std::size_t> box_of_; ///< of nodes; rooms and units have none of their own
    std::vector<Box> boxes_{};
    std::vector<std::pair<std::size_t, std::size_t>> links_{};
    std::vector<Service> services_{}; ///< of links
};

} // namespace

std::string draw_services(const Services& of, const services::Needs& needs, const ServicesDrawingOptions& options)
{
    return ServicesDrawing{of, needs, options}.run();
}

} // namespace venture::draw
