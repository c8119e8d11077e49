#include <verify/tables.hpp>

#include <array>
#include <set>
#include <string_view>

namespace venture::verify {

bool is_not_yet(const std::string& topic, const std::string& group)
{
    static const std::map<std::string, std::set<std::string>> planned = {
        {"emitters, heat exchangers, heat pumps, capacity tables", {"chilled_beams", "panels", "heat_pumps"}},
        {topic_of_rating, {"latent_split", "heat_pump_balance", "furnace_next_size", "beams", "floor_and_ceiling"}},
        {"air systems",
         {"process_chain", "constant_volume_reheat", "variable_volume_reheat", "duct_losses_unconditioned",
          "natural_ventilation", "natural_ventilation_single_sided", "natural_ventilation_cross", "hourly_small"}},
        {"fluids, ducts and pipes",
         {"dry_air", "water", "friction_factor", "round_ducts", "rectangular_ducts", "flat_oval_ducts",
          "round_duct_sizing", "rectangular_duct_sizing", "pipes", "duct_paths"}},
        {"boreholes, line sources", {"single", "two_interacting", "infinite_line", "wall_temperature"}},
    };
    const auto found = planned.find(topic);
    return found != planned.end() && found->second.contains(group);
}

bool is_description(const std::string& key)
{
    constexpr std::array<std::string_view, 10> keys = {
        "name",        "set",        "topic",       "basis",    "confidence",
        "conventions", "tolerances", "self_checks", "left_out", "doubtful_conventions"};
    return std::ranges::find(keys, key) != keys.end();
}

} // namespace venture::verify
