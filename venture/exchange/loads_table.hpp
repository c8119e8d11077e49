#pragma once
/// Room loads typed in a table by someone else: no geometry, no solver.

#include <string>
#include <vector>

#include <venture/loads/room_loads.hpp>
#include <venture/quantity/problems.hpp>

namespace venture::exchange {

struct LoadsTable {
    loads::RoomLoads loads{};           ///< every room typed
    std::vector<std::string> assumed{}; ///< conditions that the table does not state, in words
    std::string text{};                 ///< the table in UTF-8
};

/// Reads a CSV with one line a room. Columns, in any order, each with its unit in brackets where it is not the plain
/// one:
///     room                       name, unique
///     heating [W]                design heating load
///     sensible cooling [W]       sensible part of the design cooling load
///     sensible peak [W]          largest sensible cooling by itself; that of the hour above if the column is missing
///     latent cooling [W]         latent part of it, 0 if the column is missing
///     floor area [m2]            optional
///     heating room [degC]        room temperature in heating, 20 degC assumed if missing
///     cooling room [degC]        room temperature in cooling, 24 degC assumed if missing
///     relative humidity [%]      of the room in cooling, 50 % assumed if missing
///     storey                     optional
[[nodiscard]] LoadsTable read_loads_table(const std::string& bytes, const std::string& file,
                                          quantity::OriginPool& origins, quantity::Problems& problems);

/// The table of some loads, as read_loads_table() reads it.
[[nodiscard]] std::string write_loads_table(const loads::RoomLoads& loads);

} // namespace venture::exchange
