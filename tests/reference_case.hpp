#pragma once
/// Reads a periodic reference case (tests/reference/README.md) into a thermal model, the form the solver eats.

#include <filesystem>
#include <map>
#include <string>
#include <vector>

#include <nlohmann/json.hpp>

#include <venture/balance/periodic_day.hpp>

namespace venture::reference {

struct PeriodicCase {
    std::string name{};
    balance::ThermalModel model{};
    nlohmann::json expected{};
    std::size_t hours = 24;
};

/// The model of a room in the form of CASE.json.
[[nodiscard]] balance::ThermalModel model_of(const nlohmann::json& room, double step_s);
/// @throws nlohmann::json::exception for a case that lacks what it needs; std::runtime_error for one that nobody knows
[[nodiscard]] PeriodicCase read_periodic_case(const std::filesystem::path& folder, double step_s);

/// Largest errors of a run against the case's answers.
struct PeriodicErrors {
    double load_share = 0.0;    ///< of the largest hour mean of the same zone
    double temperature_K = 0.0; ///< air, radiant point and faces; hour means and values at the hours
    double flux_share = 0.0;    ///< of the largest flux of the same face, hour means
    balance::PeriodicDay day{};
};
[[nodiscard]] PeriodicErrors run_and_compare(const PeriodicCase& reference);

} // namespace venture::reference
