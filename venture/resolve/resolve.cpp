#include <venture/resolve/resolve.hpp>

#include <map>
#include <span>
#include <unordered_map>

#include <fmt/format.h>

#include <venture/input/fingerprint.hpp>
#include <venture/input/rings.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/resolve/resolver.hpp>

namespace venture::resolve {

using quantity::Severity;
namespace codes = quantity::codes;

quantity::Problem& Resolver::problem(std::string_view code, quantity::OriginId where, std::string message,
                                     std::string hint)
{
    if (where != quantity::OriginId{}) { // what stands for several keys, or in a type of many rooms, is told once
        const auto [first, last] = told_at_.equal_range(where.index);
        for (auto at = first; at != last; ++at)
            if (quantity::Problem& known = problems_[at->second]; known.code == code && known.message == message)
                return known;
        told_at_.emplace(where.index, problems_.size());
    }
    return problems_.emplace_back(quantity::Problem{Severity::error, code, where, std::move(message), std::move(hint)});
}

namespace {

/// Where a record stands, for what is missing from it.
quantity::OriginId place_of(const ConstRecord& record, const quantity::OriginPool& origins)
{
    quantity::OriginId place{};
    for (const Key& key : record.keys()) {
        const quantity::OriginId origin = record.origin(key);
        if (record.is_given(key) && origins.at(origin).kind == quantity::OriginKind::file &&
            (place == quantity::OriginId{} || origin.index < place.index))
            place = origin;
    }
    return place;
}

/// Values that somebody else's record states are checked there.
bool is_own(const quantity::OriginPool& origins, quantity::OriginId origin)
{
    const auto kind = origins.at(origin).kind;
    return kind != quantity::OriginKind::inherited && kind != quantity::OriginKind::default_value;
}

/// What to do about design conditions that are not there.
constexpr std::string_view how_to_find_design_conditions =
    "heating takes two numbers, cooling six a month (dry_bulb, wet_bulb with it, daily_range, beam_depth, "
    "diffuse_depth, ground): find them for the nearest station in tables of climatic design conditions (the ASHRAE "
    "Handbook has them by month, national annexes of EN 12831-1 those of winter), or give the project a [weather] "
    "year and they are derived from it (`venture climate derive` shows them)";

} // namespace

void Resolver::check_number(double si, const KeySpec& spec, quantity::OriginId where)
{
    if (auto outside = bounds_problem(si, spec, where, units_)) {
        problems_.push_back(std::move(*outside));
        numbers_sound_ = false;
    }
}

void Resolver::check_numbers(const ConstRecord& record, const Key& key)
{
    const quantity::OriginId where = record.origin(key);
    if (key.shape == quantity::ValueShape::number) check_number(*record.at<double>(key), key.spec, where);
    if (key.shape == quantity::ValueShape::numbers)
        for (const double v : *record.at<QuantityList>(key)) check_number(v, key.spec, where);
    if (key.shape == quantity::ValueShape::points)
        for (const quantity::Point p : *record.at<PointList>(key))
            for (const double v : {p.x_m, p.y_m, p.z_m}) check_number(v, key.spec, where);
}

bool Resolver::is_sound(const ConstRecord& record)
{
    return std::ranges::none_of(record.keys(), [&](const Key& key) {
        return record.is_refused(key) || (key.shape == quantity::ValueShape::number && record.is_given(key) &&
                                          bounds_problem(*record.at<double>(key), key.spec, record.origin(key)));
    });
}

void Resolver::tell_missing(std::string_view table, const ConstRecord& record, std::string_view keys, std::string hint,
                            std::string cause)
{
    const std::string label = label_of(record);
    problem(codes::missing, place_of(record, input_.origins),
            fmt::format("[{}]{} has no {}", table, label.empty() ? "" : fmt::format(" '{}'", label), keys),
            std::move(hint))
        .cause = std::move(cause);
}

void Resolver::check_record(std::string_view table, const ConstRecord& record)
{
    std::string conditions; // that a weather year would give: told once for the record
    for (const Key& key : record.keys()) {
        const KeySpec& spec = key.spec;
        if (record.is_refused(key)) numbers_sound_ = false;
        if (record.is_given(key) && is_own(input_.origins, record.origin(key))) check_numbers(record, key);
        if (!record.is_open(key) || !spec.required) continue;
        if (spec.from_weather)
            conditions += fmt::format("{}'{}'", conditions.empty() ? "" : ", ", spec.name);
        else
            tell_missing(table, record, fmt::format("'{}' ({})", spec.name, spec.text),
                         fmt::format("`venture explain {}/{}` tells more", table, spec.name),
                         fmt::format("[{}] has no '{}'", table, spec.name));
    }
    if (!conditions.empty())
        tell_missing(table, record, conditions, std::string{how_to_find_design_conditions},
                     std::string{no_design_conditions});
    for (const Nested& nested : record.spec().nested()) {
        const ConstRecords inner = record.records(nested);
        for (std::size_t i = 0; i < inner.size(); ++i) check_record(nested.name, inner[i]);
    }
}

void Resolver::check_bounds_and_requirements(Of what)
{
    const ConstRecord all{input_};
    for (const Nested& table : Input::spec().nested()) {
        if ((what == Of::site && !table.of_site) || (what == Of::fabric && !table.in_library)) continue;
        const ConstRecords records = all.records(table);
        if (!records.is_used()) continue;
        for (std::size_t i = 0; i < records.size(); ++i) check_record(table.name, records[i]);
    }
}

void Resolver::check_names()
{
    const ConstRecord all{input_};
    for (const Nested& table : Input::spec().nested()) {
        std::map<std::string, quantity::OriginId> seen;
        const ConstRecords records = all.records(table);
        for (std::size_t i = 0; table.is_list() && i < records.size(); ++i) {
            const Given<std::string>* name = quantity::name_of(records[i]);
            if (name == nullptr) continue;
            const auto [first, is_new] = seen.emplace(**name, name->origin);
            if (!is_new)
                problem(codes::twice, name->origin, fmt::format("a second {} is called '{}'", table.name, **name),
                        fmt::format("the first is at {}", input_.origins.describe(first->second)));
        }
    }
}

void Resolver::add_project()
{
    const ProjectInput& p = input_.project;
    building_.project = {value_of(p.name), value_of(p.client), value_of(p.number), value_of(p.author),
                         value_of(p.revision)};
}

void Resolver::add_storeys()
{
    for (const StoreyInput& given : input_.storeys)
        building_.storeys.push_back({value_of(given.name), value_of(given.level), value_of(given.height)});
}

/// Rooms that storeys and [[repeat]] name.
/// Records of which one names another and so on, back to the first. @param does  what they do to each other
void Resolver::tell_rings(std::string_view what, std::string_view does, const std::vector<Refers>& records)
{
    std::unordered_map<std::string_view, std::size_t> index;
    for (std::size_t i = 0; i < records.size(); ++i)
        if (*records[i].name) index.try_emplace(**records[i].name, i);
    std::vector<std::optional<std::size_t>> next;
    for (const Refers& r : records) {
        const auto at = *r.to ? index.find(**r.to) : index.end();
        next.push_back(at == index.end() ? std::nullopt : std::optional{at->second});
    }
    for (const std::vector<std::size_t>& ring : rings_of(next)) {
        const Refers& first = records[ring.front()];
        std::vector<std::string> way;
        for (const std::size_t one : ring) way.push_back(fmt::format("'{}'", **records[one].name));
        problem(codes::repeat, first.to->origin,
                ring.size() == 1 ? fmt::format("{} '{}' {} itself", what, **first.name, does)
                                 : fmt::format("{} '{}' {} itself in the end, by way of {}", what, **first.name, does,
                                               quantity::listed(std::span{way}.subspan(1), 6)),
                fmt::format("let one of them name another {}, or none", what));
    }
}

void Resolver::check_repetitions()
{
    const auto rooms_called = [&](const TextList& names) {
        for (const quantity::PlacedText& name : names)
            (void)find("room", Given<std::string>{name.text, name.origin}, input_.rooms,
                       [](const RoomInput& room) { return value_of(room.name); });
    };
    for (const StoreyInput& storey : input_.storeys) {
        if (storey.without && !storey.repeats)
            problem(codes::contradiction, (*storey.without).empty() ? storey.name.origin : (*storey.without)[0].origin,
                    fmt::format("storey '{}' leaves rooms out, but repeats no storey", value_of(storey.name)),
                    "type repeats, or leave without out");
        if (storey.without) rooms_called(*storey.without);
        if (!storey.repeats) continue;
        (void)find("storey", storey.repeats, input_.storeys, [](const StoreyInput& s) { return value_of(s.name); });
    }
    tell_rings("storey", "repeats", refers(input_.storeys, &StoreyInput::repeats));
    for (const RepeatInput& repeat : input_.repeats) {
        if (repeat.rooms) rooms_called(*repeat.rooms);
        if (!repeat.shift && !repeat.mirror_x && !repeat.mirror_y && !repeat.storey && repeat.rooms &&
            !(*repeat.rooms).empty())
            problem(codes::repeat, (*repeat.rooms)[0].origin,
                    fmt::format("'{}' would stand again where it stands already", (*repeat.rooms)[0].text),
                    "give it a shift, a mirror or a storey");
    }
    for (const RoomInput& room : input_.rooms) {
        if (!room.like) continue;
        (void)find("room", room.like, input_.rooms, [](const RoomInput& r) { return value_of(r.name); });
    }
    tell_rings("room", "is like", refers(input_.rooms, &RoomInput::like));
}

Resolved Resolver::run()
{
    check_bounds_and_requirements(Of::all);
    check_names();
    add_project();
    add_site();
    check_materials();
    add_build_ups();
    add_glazings();
    add_profiles();
    add_calendars();
    add_shades();
    add_storeys();
    check_repetitions();
    check_fabric_names();
    check_face_keys();
    check_ground_is_whole();
    check_room_types();
    const bool tables_sound = !quantity::has_error(problems_);
    add_rooms();
    add_obstructions();
    // Shapes are only worth matching when every room has one; the names they use can be told all the same.
    const bool all_shaped = numbers_sound_ && building_.rooms.size() == input_.rooms.size() && !building_.rooms.empty();
    if (all_shaped && (tables_sound || !quantity::has_error(problems_))) add_surfaces();
    if (all_shaped && !quantity::has_error(problems_)) add_leakage();
    if (building_.rooms.size() == input_.rooms.size()) check_air_balance();
    if (building_.rooms.size() == input_.rooms.size())
        add_thermal_bridges(all_shaped && !quantity::has_error(problems_));
    if (all_shaped && !quantity::has_error(problems_)) add_ground();
    if (all_shaped && !quantity::has_error(problems_)) look_over_rooms();
    Resolved out{.problems = std::move(problems_)};
    if (!quantity::has_error(out.problems) && numbers_sound_) {
        building_.origins = input_.origins;
        building_.fingerprint = fingerprint_of(input_);
        out.building = std::move(building_);
    }
    out.effective = std::move(input_);
    return out;
}

ResolvedSite Resolver::run_site()
{
    check_bounds_and_requirements(Of::site);
    add_site();
    ResolvedSite out{.problems = std::move(problems_)};
    if (!quantity::has_error(out.problems) && numbers_sound_) out.site = std::move(building_.site);
    out.effective = std::move(input_);
    return out;
}

ResolvedFabric Resolver::run_fabric()
{
    check_bounds_and_requirements(Of::fabric);
    check_materials();
    add_build_ups();
    add_glazings();
    add_profiles();
    add_calendars();
    add_shades();
    return {.fabric = std::move(building_), .problems = std::move(problems_), .effective = std::move(input_)};
}

Resolved resolve(const Input& input) { return Resolver{input}.run(); }

ResolvedFabric resolve_fabric(const Input& input) { return Resolver{input}.run_fabric(); }

ResolvedSite resolve_site(const Input& input) { return Resolver{input}.run_site(); }

} // namespace venture::resolve
