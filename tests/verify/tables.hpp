#pragma once
/// Groups of the reference tables: which the library answers, and which it does not yet.

#include <functional>
#include <map>
#include <string>

#include <venture/fabric/buildup.hpp>
#include <verify/outcome.hpp>

namespace venture::verify {

/// Answers one group of a table: the whole file, and the group in it.
using Answer = std::function<Outcome(const nlohmann::json& table, const nlohmann::json& group)>;
/// By the table's topic and the group's key.
using Answers = std::map<std::pair<std::string, std::string>, Answer>;

void add_moist_air(Answers& answers);
void add_sun_and_sky(Answers& answers);
void add_envelope(Answers& answers);
void add_glass_and_waves(Answers& answers);
void add_load_methods(Answers& answers);
void add_rating(Answers& answers);
void add_emitters(Answers& answers);
void add_radiator_sets(Answers& answers);
void add_ventilation(Answers& answers);
void add_air_systems(Answers& answers);
inline const std::string topic_of_rating =
    "rating and selection: capacity tables, packaged equipment, fan coils, beams, "
    "radiators, floors, panels, noise";
/// Those of the load methods that are plain sums.
void add_load_sums(Answers& answers, const std::string& topic);

/// Answers a file of response factors, and tells beside it how far the stepper's own are from them.
[[nodiscard]] Outcome response_factors_of(const nlohmann::json& document);
/// Answers a file of the step response of a wall, by the stepper of the heat balance at one-minute steps.
[[nodiscard]] Outcome step_response_of(const nlohmann::json& document);

/// Which end a list of layers begins at.
enum class LayersFrom { outside, inside };
[[nodiscard]] fabric::Buildup layers_of(const nlohmann::json& layers, LayersFrom from);

/// Whether a group belongs to what is planned and not built.
[[nodiscard]] bool is_not_yet(const std::string& topic, const std::string& group);
/// Whether a top-level key of a table describes it, and is no case.
[[nodiscard]] bool is_description(const std::string& key);

} // namespace venture::verify
