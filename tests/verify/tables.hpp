#pragma once
/// Groups of the reference tables: which the library answers, and which it does not yet.

#include <functional>
#include <map>
#include <string>

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

/// Answers a file of response factors.
[[nodiscard]] Outcome response_factors_of(const nlohmann::json& document);

/// Whether a group belongs to what is planned and not built.
[[nodiscard]] bool is_not_yet(const std::string& topic, const std::string& group);
/// Whether a top-level key of a table describes it, and is no case.
[[nodiscard]] bool is_description(const std::string& key);

} // namespace venture::verify
