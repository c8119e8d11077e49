#include <venture/draw/graph_layout.hpp>

#include <algorithm>
#include <fstream>
#include <map>
#include <sstream>

#include <fmt/format.h>

#include <venture/draw/other_program.hpp>
#include <venture/quantity/error.hpp>

namespace venture::draw {

namespace {

constexpr double px_per_inch = 72.0; // graphviz measures in inches; any number would do

/// Boxes are numbers: no name that someone typed reaches the program.
std::string graph_of(const std::vector<BoxSize>& boxes, const std::vector<std::pair<std::size_t, std::size_t>>& links)
{
    std::string out = "digraph {\nrankdir=LR; ordering=out; nodesep=0.3; ranksep=0.9;\n"
                      "node [shape=box fixedsize=true label=\"\"]; edge [arrowhead=none];\n";
    for (std::size_t i = 0; i < boxes.size(); ++i)
        out += fmt::format("{} [width={:.4f} height={:.4f}];\n", i, boxes[i].width / px_per_inch,
                           boxes[i].height / px_per_inch);
    for (const auto& [where, rank] : {std::pair{BoxSize::Stands::first, "source"}, {BoxSize::Stands::last, "sink"}}) {
        out += fmt::format("{{rank={};", rank);
        for (std::size_t i = 0; i < boxes.size(); ++i)
            if (boxes[i].stands == where) out += fmt::format(" {};", i);
        out += "}\n";
    }
    for (const auto& [from, to] : links) out += fmt::format("{}:e -> {};\n", from, to);
    return out + "}\n";
}

/// Lines of graphviz's plain form: what it is, then numbers.
GraphLayout read(const std::string& plain, const std::vector<BoxSize>& boxes,
                 const std::vector<std::pair<std::size_t, std::size_t>>& links)
{
    GraphLayout out;
    out.middles.resize(boxes.size());
    out.curves.resize(links.size());
    std::multimap<std::pair<std::size_t, std::size_t>, std::size_t> link_at;
    for (std::size_t i = 0; i < links.size(); ++i) link_at.emplace(links[i], i);
    std::istringstream lines{plain};
    const auto spot = [&](std::istream& in) {
        double x = 0.0, y = 0.0;
        in >> x >> y;
        return Spot{px_per_inch * x, out.height - px_per_inch * y};
    };
    for (std::string line; std::getline(lines, line);) {
        std::istringstream in{line};
        std::string what;
        in >> what;
        if (what == "graph") {
            double scale = 1.0;
            in >> scale >> out.width >> out.height;
            out.width *= px_per_inch;
            out.height *= px_per_inch;
        } else if (what == "node") {
            std::size_t box = 0;
            in >> box;
            if (box < out.middles.size()) out.middles[box] = spot(in);
        } else if (what == "edge") {
            std::size_t from = 0, to = 0, points = 0;
            in >> from >> to >> points;
            const auto link = link_at.find({from, to});
            if (link == link_at.end()) continue;
            for (std::size_t i = 0; i < points; ++i) out.curves[link->second].push_back(spot(in));
            link_at.erase(link);
        }
        if (in.fail()) throw quantity::Error{"graphviz gave a layout that cannot be read: " + line};
    }
    return out;
}

} // namespace

GraphLayout lay_out(const std::vector<BoxSize>& boxes, const std::vector<std::pair<std::size_t, std::size_t>>& links)
{
    const ScratchFolder scratch;
    const auto graph = scratch.file("graph"), laid = scratch.file("laid"), said = scratch.file("said");
    std::ofstream{graph, std::ios::binary} << graph_of(boxes, links);
    const int ended = run_program({.command = "dot -Tplain", .package = "graphviz", .draws = "diagrams are laid out"},
                                  {.input = graph, .output = laid, .said = said});
    if (ended != 0) throw quantity::Error{fmt::format("graphviz ended with {}: {}", ended, bytes_of(said))};
    return read(bytes_of(laid), boxes, links);
}

} // namespace venture::draw
