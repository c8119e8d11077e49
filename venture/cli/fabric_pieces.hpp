#pragma once
/// Build-ups and glazings, for commands that show one; the library that ships.

#include <optional>
#include <string>
#include <vector>

#include <venture/cli/job.hpp>
#include <venture/fabric/temperature_profile.hpp>
#include <venture/figure/document.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::cli {

/// A build-up or glazing of a building.
struct FabricPiece {
    enum class Kind { build_up, glazing };
    Kind kind = Kind::build_up;
    std::size_t index = 0;
};

/// All that bear a name. A floor that has the ground under it stands for the same without.
[[nodiscard]] std::vector<FabricPiece> find_fabric(const building::Building& building, const std::string& name);

/// Names of all build-ups and glazings.
[[nodiscard]] std::vector<std::string> fabric_names(const building::Building& building);

/// The piece of that kind with that name; nothing, and told which there are, if there is none.
[[nodiscard]] std::optional<FabricPiece> piece_called(const Job& job, const std::string& name, FabricPiece::Kind kind);
/// Winter design of the site where there is one; the ground's own films and temperature under a floor that lies on it.
[[nodiscard]] fabric::WallConditions conditions_in(const building::Building& building, std::size_t build_up,
                                                   bool has_site);

/// The library that ships, as it is typed.
[[nodiscard]] project::ProjectFile whole_library();
/// The library that ships, complete.
[[nodiscard]] resolve::ResolvedFabric shipped_fabric();

/// Takes a piece apart: under the site's winter design, or with standard conditions where there is no site.
[[nodiscard]] figure::Document explained(const building::Building& building, const FabricPiece& piece, bool has_site,
                                         const quantity::PreferredUnits& units);

} // namespace venture::cli
