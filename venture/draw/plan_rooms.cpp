#include <venture/draw/plan_rooms.hpp>

#include <algorithm>
#include <cmath>
#include <numeric>

#include <fmt/format.h>

namespace venture::draw {

using building::Building;

namespace {

// Pairs that stay apart for colour-blind eyes (after Okabe and Ito, lightened); the words say the same.
const std::vector<PlanKey> services = {{{0.98, 0.93, 0.82}, "heated"},
                                       {{0.85, 0.92, 0.98}, "heated and cooled"},
                                       {{0.90, 0.97, 0.95}, "cooled"},
                                       {{0.96, 0.96, 0.96}, "neither"}};
constexpr Colour hues[] = {{0.98, 0.90, 0.70}, {0.78, 0.90, 0.98}, {0.75, 0.92, 0.85}, {0.99, 0.97, 0.72},
                           {0.75, 0.82, 0.93}, {0.96, 0.80, 0.70}, {0.95, 0.83, 0.90}, {0.88, 0.88, 0.88}};
/// Light to dark, told apart by lightness alone; words stay readable on the darkest.
constexpr Colour steps[] = {
    {0.97, 0.97, 0.95}, {0.93, 0.90, 0.72}, {0.97, 0.78, 0.49}, {0.93, 0.60, 0.37}, {0.85, 0.45, 0.36}};
constexpr std::size_t step_count = std::size(steps);

std::string service_of(const building::Use& use)
{
    const bool heats = use.heating_setpoint_C.has_value(), cools = use.cooling_setpoint_C.has_value();
    return heats && cools ? "heated and cooled" : heats ? "heated" : cools ? "cooled" : "neither";
}

/// The next round number.
double rounded_up(double value)
{
    const double power = std::pow(10.0, std::floor(std::log10(value)));
    for (const double round : {1.0, 1.5, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 8.0})
        if (value <= round * power * (1.0 + 1e-9)) return round * power;
    return 10.0 * power;
}

/// What a fill by result shows, for each square metre, and its printed quantity.
double per_m2(const Building& b, const loads::RoomLoads& loads, std::size_t r, PlanFill fill)
{
    const double area = std::max(1e-9, b.rooms[r].floor_area_m2);
    if (fill == PlanFill::air) return b.rooms[r].outdoor_air_by_plan_m3_per_s() / area;
    return (fill == PlanFill::heating ? loads.rooms[r].heating_W : loads.rooms[r].cooling_W) / area;
}

} // namespace

RoomColours::RoomColours(const Building& b, const loads::RoomLoads& loads, const PlanOptions& options)
{
    if (options.figure) {
        by_steps(options.figure->values, options.figure->quantity, options.units);
        return;
    }
    std::vector<std::string> words;
    if (options.fill == PlanFill::service) {
        for (const building::Room& room : b.rooms) words.push_back(service_of(room.use));
        by_words(words, services);
        return;
    }
    if (options.fill == PlanFill::type) {
        for (const building::Room& room : b.rooms) words.push_back(room.type.empty() ? "no room type" : room.type);
        std::vector<std::string> all = words;
        std::ranges::sort(all);
        all.erase(std::unique(all.begin(), all.end()), all.end());
        std::vector<PlanKey> wanted;
        for (const std::string& type : all) wanted.push_back({hues[wanted.size() % std::size(hues)], type});
        by_words(words, wanted);
        return;
    }
    std::vector<double> values;
    for (std::size_t r = 0; r < b.rooms.size(); ++r) values.push_back(per_m2(b, loads, r, options.fill));
    by_steps(values, options.fill == PlanFill::air ? "air_flow_per_area" : "power_per_area", options.units);
}

void RoomColours::by_words(const std::vector<std::string>& words, const std::vector<PlanKey>& wanted)
{
    for (const PlanKey& key : wanted)
        if (std::ranges::find(words, key.words) != words.end()) keys_.push_back(key);
    for (const std::string& word : words)
        key_of_.push_back(static_cast<std::size_t>(std::ranges::find(keys_, word, &PlanKey::words) - keys_.begin()));
}

void RoomColours::by_steps(const std::vector<double>& values, std::string_view quantity,
                           const quantity::PreferredUnits& units)
{
    const double most = values.empty() ? 0.0 : *std::ranges::max_element(values);
    const double step = most > 0.0 ? rounded_up(most / (step_count - 1)) : 1.0;
    keys_.push_back({steps[0], "none"});
    for (std::size_t k = 1; k < step_count; ++k)
        keys_.push_back({steps[k], with_superscript("to " + units.text(step * static_cast<double>(k), quantity))});
    for (const double value : values)
        key_of_.push_back(
            value <= 0.0 ? 0 : std::min(step_count - 1, static_cast<std::size_t>(std::ceil(value / step - 1e-9))));
}

std::vector<std::string> label_lines(const Building& b, const loads::RoomLoads& loads, std::size_t r,
                                     const PlanOptions& o)
{
    const building::Room& room = b.rooms[r];
    const loads::RoomLoad& load = loads.rooms[r];
    const loads::RoomLoad* was = nullptr;
    if (o.older.building != nullptr)
        if (const auto at = o.older.building->find_room(room.name)) was = &o.older.loads->rooms[*at];
    std::vector<std::string> out;
    const auto add_load = [&](const char* what, double loads::RoomLoad::*of, bool typed) {
        const std::string now = o.units.text(load.*of, "power");
        out.push_back(what + now + (typed ? ", typed" : ""));
        if (was == nullptr) return;
        const std::string before = o.units.text(was->*of, "power");
        if (before != now) out.push_back("(was " + before + ")");
    };
    for (const PlanLabel label : o.labels) switch (label) {
        case PlanLabel::name:
            break;
        case PlanLabel::area:
            out.push_back(with_superscript(o.units.text(room.floor_area_m2, "area")));
            break;
        case PlanLabel::volume:
            out.push_back(with_superscript(o.units.text(room.volume_m3, "volume")));
            break;
        case PlanLabel::height:
            out.push_back(o.units.text(room.height_m, "length") + " high");
            break;
        case PlanLabel::temperature:
            if (room.use.heating_setpoint_C)
                out.push_back(o.units.text(room.use.heating_setpoint_C->value, "temperature"));
            break;
        case PlanLabel::heating:
            if (load.heated)
                add_load("heat ", &loads::RoomLoad::heating_W, load.heating_overruled || load.typed);
            else if (!load.cooled)
                out.emplace_back(room.left_out ? "left out" : "unheated");
            break;
        case PlanLabel::cooling:
            if (load.cooled) add_load("cool ", &loads::RoomLoad::cooling_W, load.cooling_overruled || load.typed);
            break;
        case PlanLabel::air:
            if (const double air = room.outdoor_air_by_plan_m3_per_s(); air > 0.0)
                out.push_back("air " + o.units.text(air, "air_flow"));
            break;
        }
    if (!o.more_lines.empty())
        for (const std::string& line : o.more_lines[r]) out.push_back(with_superscript(line));
    return out;
}

std::string totals_line(const Building& b, const loads::RoomLoads& loads, const quantity::PreferredUnits& units)
{
    double area = 0.0;
    for (const building::Room& room : b.rooms) area += room.floor_area_m2;
    std::vector<std::size_t> heated, cooled;
    for (std::size_t r = 0; r < loads.rooms.size(); ++r) {
        if (loads.rooms[r].heated) heated.push_back(r);
        if (loads.rooms[r].cooled) cooled.push_back(r);
    }
    std::string out = fmt::format("{} rooms, {}", b.rooms.size(), with_superscript(units.text(area, "area")));
    if (!heated.empty())
        out += ", heating " + units.text(loads::heating_together_W(loads, heated), "total_power") + " together";
    if (!cooled.empty())
        out += ", cooling " + units.text(loads::coincident_cooling(loads, cooled).total_W, "total_power") +
               " in the largest hour of all";
    return out;
}

} // namespace venture::draw
