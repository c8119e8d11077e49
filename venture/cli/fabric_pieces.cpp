#include <venture/cli/fabric_pieces.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/air/moist_air.hpp>
#include <venture/catalogue/shipped_library.hpp>
#include <venture/cli/printing.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/buildup_report.hpp>
#include <venture/report/glazing_report.hpp>

namespace venture::cli {

using building::Building;

fabric::WallConditions conditions_in(const Building& b, std::size_t index, bool has_site)
{
    const building::NamedBuildup& build_up = b.build_ups[index];
    fabric::HeatFlow direction = build_up.direction;
    for (const building::Surface& s : b.surfaces)
        if (s.build_up == index) direction = building::heat_flow(s.attitude);
    fabric::WallConditions c = fabric::conditions_of(direction);
    if (has_site) {
        c.outside = quantity::Temperature::celsius(b.site.winter.dry_bulb_C);
        c.pressure = air::standard_pressure(b.site.place.height_m);
    }
    if (build_up.ground) {
        c.outside = quantity::Temperature::celsius(build_up.ground->design_ground_C);
        c.films.outside_m2K_per_W = 0.0;
    }
    return c;
}

project::ProjectFile whole_library()
{
    project::ProjectFile out;
    catalogue::read_shipped_library(out.input, out.problems);
    return out;
}

std::optional<FabricPiece> piece_called(const Job& job, const std::string& name, FabricPiece::Kind kind)
{
    std::vector<std::string> names;
    if (job.building()) {
        for (const FabricPiece& piece : find_fabric(*job.building(), name))
            if (piece.kind == kind) return piece;
        if (kind == FabricPiece::Kind::build_up)
            for (const auto& b : job.building()->build_ups) names.push_back(b.layers.name);
        else
            for (const auto& g : job.building()->glazings) names.push_back(g.values.name);
    }
    const auto near = quantity::nearest_name(name, names);
    print_error(fmt::format("no {} is called '{}'{}; there are: {}; `venture library` lists those that ship\n",
                            kind == FabricPiece::Kind::build_up ? "build-up" : "glazing", name,
                            near ? fmt::format(" (did you mean '{}'?)", *near) : "",
                            names.empty() ? "none" : quantity::listed(names, 20)));
    return std::nullopt;
}

std::vector<FabricPiece> find_fabric(const Building& b, const std::string& name)
{
    std::vector<FabricPiece> out;
    for (std::size_t i = b.build_ups.size(); i-- > 0;) // floors on the ground stand behind those that they are made of
        if (b.build_ups[i].layers.name == name || (b.build_ups[i].ground && b.build_ups[i].made.layers.name == name)) {
            out.push_back({FabricPiece::Kind::build_up, i});
            break;
        }
    for (std::size_t i = 0; i < b.glazings.size(); ++i)
        if (b.glazings[i].values.name == name) out.push_back({FabricPiece::Kind::glazing, i});
    return out;
}

std::vector<std::string> fabric_names(const Building& b)
{
    std::vector<std::string> out;
    for (const auto& build_up : b.build_ups) out.push_back(build_up.layers.name);
    for (const auto& g : b.glazings) out.push_back(g.values.name);
    return out;
}

resolve::ResolvedFabric shipped_fabric() { return resolve::resolve_fabric(whole_library().input); }

figure::Document explained(const Building& b, const FabricPiece& piece, bool has_site,
                           const quantity::PreferredUnits& units)
{
    if (piece.kind == FabricPiece::Kind::glazing)
        return report::glazing_document(b.glazings[piece.index], b.shades, units);
    return report::buildup_document(b.build_ups[piece.index], conditions_in(b, piece.index, has_site), units);
}

} // namespace venture::cli
