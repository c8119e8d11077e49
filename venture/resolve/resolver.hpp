#pragma once
/// Shared state of resolve(): the input, the building under construction, and what is wrong. Internal to resolve.

#include <algorithm>
#include <map>
#include <set>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

#include <venture/input/chosen_units.hpp>
#include <venture/input/completion.hpp>
#include <venture/input/key_value.hpp>
#include <venture/plan/plan_lines.hpp>
#include <venture/plan/walls.hpp>
#include <venture/resolve/faces.hpp>
#include <venture/resolve/resolve.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

/// A word as the enumerator that stands in its place among the choices.
template <class Enum>
[[nodiscard]] Enum chosen(const Given<std::string>& word, const std::vector<std::string>& choices, Enum otherwise)
{
    if (!word) return otherwise;
    const auto at = std::ranges::find(choices, *word);
    return at == choices.end() ? otherwise : static_cast<Enum>(at - choices.begin());
}

class Resolver {
public:
    explicit Resolver(const Input& input) : input_{completed(input)}, units_{chosen_units(input_.units)} {}
    [[nodiscard]] Resolved run();
    [[nodiscard]] ResolvedSite run_site();
    [[nodiscard]] ResolvedFabric run_fabric();

private:
    // resolve.cpp: every key by itself, then fabric
    enum class Of { all, site, fabric };
    void check_bounds_and_requirements(Of what);
    void check_record(std::string_view table, const ConstRecord& record);
    void tell_missing(std::string_view table, const ConstRecord& record, std::string_view keys, std::string hint,
                      std::string cause);
    void check_number(double si, const KeySpec& spec, quantity::OriginId where);
    void check_numbers(const ConstRecord& record, const Key& key);
    void check_names();
    void add_project();
    void add_storeys();
    void check_repetitions();
    /// A record, and which other one of its kind it names.
    struct Refers {
        const Given<std::string>*name, *to;
    };
    template <class Record>
    [[nodiscard]] static std::vector<Refers> refers(const std::vector<Record>& records, Given<std::string> Record::*to)
    {
        std::vector<Refers> out;
        for (const Record& r : records) out.push_back({&r.name, &(r.*to)});
        return out;
    }
    void tell_rings(std::string_view what, std::string_view does, const std::vector<Refers>& records);

    // resolve_calendars.cpp: profiles, named days and calendars
    void set_year();
    void add_profiles();
    void add_calendars();
    void add_calendar(const CalendarInput& given);
    void check_days();
    [[nodiscard]] calendar::Profile profile_of(const ProfileInput& given);
    [[nodiscard]] std::optional<calendar::YearDays> days_called(std::string_view name);
    [[nodiscard]] std::optional<calendar::YearDays> days_in(std::string_view text, quantity::OriginId where);
    [[nodiscard]] std::optional<calendar::Profile> daily_profile(const std::string& text, quantity::OriginId where);
    [[nodiscard]] std::optional<calendar::Calendar> rule_calendar(const std::string& text, quantity::OriginId where);
    [[nodiscard]] std::optional<calendar::RuleDays> rule_of(const quantity::PlacedText& rule);
    void look_for_idle_hours();
    void look_over(const calendar::Calendar& made, const CalendarInput& given);
    [[nodiscard]] std::optional<std::size_t> calendar_called(const Given<std::string>& name);
    [[nodiscard]] std::optional<std::vector<calendar::HourRange>> hours_in(std::string_view text,
                                                                           quantity::OriginId where);
    [[nodiscard]] std::size_t profile_called(const Given<std::string>& name);

    // resolve_fabric.cpp: what surfaces are made of
    void check_materials();
    void add_build_ups();
    [[nodiscard]] fabric::HeatFlow direction_of(const BuildupInput& given) const;
    void complete_words(BuildupInput& given, NamedBuildup& out);
    void add_stated(BuildupInput& given, NamedBuildup& out);
    void add_typed(BuildupInput& given, NamedBuildup& out);
    void add_layer(const quantity::PlacedText& text, fabric::StatedBuildup& buildup);
    void look_at_thickness(const fabric::StatedLayer& layer, quantity::OriginId where, const std::string& buildup);
    [[nodiscard]] std::optional<fabric::Material> material_called(const std::string& name, quantity::OriginId where);

    // resolve_ground.cpp: what goes round their layers
    [[nodiscard]] static std::string wrong_bridge(const ThermalBridgeInput& given);
    void add_bridge(const ThermalBridgeInput& given, std::size_t room);
    void add_thermal_bridges(bool shaped);
    struct OnGround;
    [[nodiscard]] bool over_void() const;
    [[nodiscard]] std::map<std::int64_t, OnGround> floors_on_ground();
    [[nodiscard]] OnGround& level_of(const Surface& surface, std::map<std::int64_t, OnGround>& levels) const;
    [[nodiscard]] fabric::GroundYear ground_of(const Surface& surface, const OnGround& on) const;
    [[nodiscard]] bool add_with_ground(const Surface& surface, const OnGround& on);
    void check_ground_is_whole();
    void set_coldest_month();
    void add_ground();

    // resolve_glass.cpp: windows and their shades
    void add_glazings();
    void tell_too_much(const PaneInput& pane);
    void add_glazing(GlazingInput& given, NamedGlazing& out);
    [[nodiscard]] std::optional<fabric::GlazedUnit> unit_of(const GlazingInput& given);
    void complete_from_panes(GlazingInput& given, NamedGlazing& out);
    void add_shades();
    void add_shutter(const ShadeInput& given, NamedShade& out);
    [[nodiscard]] std::optional<std::size_t> shade_of(const OpeningInput& opening);

    // resolve_site.cpp: the place and its design conditions
    void add_site();
    [[nodiscard]] climate::CoolingMonth month_of(const MonthInput& month);
    void check_below_dry_bulb(const Given<double>& value, std::string_view key, const Given<double>& dry_bulb);
    void check_pair(const Given<double>& peak, const Given<double>& dry_bulb, std::string_view key);
    void check_means_are_used();
    void look_at_winter_dew_point();
    void move_to_height();

    // resolve_place.cpp: what of it can hardly be meant
    void look_at_place();
    void look_at_seasons();

    // resolve_outlines.cpp: where rooms stand on the plan
    struct RoomOutline {
        Ring ring{}; ///< empty: told what is wrong
        std::vector<Ring> holes{};
        double typed_m2 = 0.0; ///< between the lines that lengths run to: inside faces, or centre lines
        bool on_plan = true;
        std::vector<RoomFace> faces{}; ///< of a room that is given by them
        double volume_m3 = 0.0;        ///< of such a room
    };
    [[nodiscard]] std::vector<RoomOutline> find_outlines();
    template <class Record>
    [[nodiscard]] Ring outline_of(std::string_view what, const Record& record);
    [[nodiscard]] Ring mended_points(const Ring& ring, quantity::OriginId where, const std::string& subject);
    [[nodiscard]] Ring walked(const RoomInput& room);
    void place_outlines(std::vector<RoomOutline>& outlines);
    void move_to_centre_lines(std::vector<PlanRoom>& rooms);
    void mend(std::vector<PlanRoom>& rooms);
    void cut_holes(const std::vector<PlanRoom>& rooms, std::vector<RoomOutline>& outlines) const;
    void add_obstructions();

    // resolve_solids.cpp: rooms given by their faces
    [[nodiscard]] static bool is_given_by_faces(const RoomInput& room);
    void check_face_keys();
    [[nodiscard]] RoomOutline enclosed(const RoomInput& room, double level_m);
    static void set_solid(Room& room, const RoomOutline& outline);

    // resolve_perimeter.cpp: rooms cut into parts
    void cut_perimeters(std::vector<RoomOutline>& outlines);
    [[nodiscard]] std::vector<CeilingSlope> distances_from(const RoomInput& room, const Ring& ring);
    void take_share(const Record& part, double share);
    [[nodiscard]] RoomInput part_of(const RoomInput& room, const std::string& name, const Ring& ring,
                                    const Ring& whole);
    static void share_out_openings(const RoomInput& room, const Ring& whole,
                                   std::vector<std::pair<RoomInput, RoomOutline>>& parts);
    void open_between_parts();

    // resolve_rooms.cpp: rooms and their use
    void add_rooms();
    void add_room(RoomInput& given, const RoomOutline& outline);
    void add_slopes(const RoomInput& given, Room& room);
    void take_out_voids(const RoomInput& given, Room& room);
    [[nodiscard]] Use use_of(const UseInput& given);
    [[nodiscard]] std::optional<Setback> setback_of(const Given<double>& temperature, const Given<std::string>& profile,
                                                    const Given<double>& ramp);
    void check_setback(const Room& room, std::string_view what, const Given<double>& setback,
                       const Given<std::string>& profile, const Given<double>& ramp,
                       const std::optional<Sourced<double>>& setpoint, double away);
    void count_origins(const UseInput& given, Room& room) const;
    void list_overruled(const RoomInput& given, Room& room) const;
    void tell_near_miss(const NearMiss& miss);
    void check_use(const RoomInput& given, const Room& room);
    [[nodiscard]] std::optional<std::size_t> other_room(std::string_view key, const Given<std::string>& name,
                                                        std::size_t room);
    void add_transfer_air(const TransferAirInput& given, std::size_t room);
    void set_typed_loads(const RoomInput& given, Room& room);
    void set_thermostat(const Given<std::string>& governing, std::size_t room);
    void check_air_balance();

    // resolve_types.cpp: what rooms are for
    void check_room_types();
    [[nodiscard]] std::vector<const RoomTypeInput*> types_of(const RoomInput& room) const;
    void check_type_fits(const RoomInput& given, const Room& room);
    void check_hours_fit(const RoomInput& given, const RoomTypeInput& type, const Room& room);
    [[nodiscard]] bool has_hours_of(const std::string& purpose) const;
    [[nodiscard]] std::string purpose_of_hours(const std::string& name, std::size_t depth = 0) const;

    // resolve_gains.cpp: people, and heat and moisture from all that is inside
    void set_people(RoomInput& given, Room& room);
    void set_activity(UseInput& given, Use& use);
    void add_gains();
    [[nodiscard]] Gain gain_of(const GainInput& given, const Room& room);

    // resolve_dwelling.cpp: what a dwelling as a whole says of its rooms
    void spread_dwelling();
    [[nodiscard]] std::vector<std::size_t> rooms_of_dwelling();
    [[nodiscard]] bool room_says_itself(quantity::OriginId origin) const;
    struct OfDwelling {
        double whole = 0.0;
        Given<double> UseInput::*key;
        Sourced<double> Use::*onto;
        bool per_m2 = false; ///< the key is for each square metre
        quantity::Kind kind; ///< of the whole
        std::string what{};
        quantity::OriginId from{};
    };
    void spread(const OfDwelling& of, const std::vector<std::size_t>& rooms);

    // resolve_leakage.cpp: outdoor air that nobody asked for
    void add_leakage();
    using SomeSurfaces = std::vector<const Surface*>;
    struct Leaks {
        SomeSurfaces to_outdoors{};
        double envelope_m2 = 0.0; ///< between what is heated or cooled and what is not
    };
    [[nodiscard]] std::vector<Leaks> leaks_of_rooms() const;
    [[nodiscard]] double leaks_at_50_Pa_m_per_s(const std::vector<Leaks>& of_rooms);
    void set_infiltration(std::size_t room, const Leaks& of, double leaks_m_per_s);
    [[nodiscard]] double through_doors_m3_per_s(const Use& use, const SomeSurfaces& to_outdoors, bool winter) const;

    // resolve_finishes.cpp: what lies on floors, hangs under ceilings, and colours faces
    void add_finishes();
    [[nodiscard]] std::optional<std::size_t> finish_of(std::size_t room, Attitude attitude);
    void set_colours();

    // resolve_phases.cpp: rooms that do not stand yet, or no longer
    void drop_absent_rooms(std::vector<RoomOutline>& outlines);
    void leave_out(const RoomInput& given, Room& room);

    // resolve_findings.cpp: what is odd about the whole
    void look_over_rooms();
    void look_at_hours();
    void look_at_calendars();
    void look_at_left_out();
    void look_at_voids();
    void look_at_build_ups();
    void look_at_cellars();
    void look_at_fill();
    void look_at_bridges();
    void look_at_winter();

    // resolve_room_findings.cpp: what is odd about single rooms
    void look_at_glass();
    void look_at_size(const Room& room);
    void look_at_gains(const Room& room);
    void look_at_moisture(const Room& room);
    void look_at_heat_and_air(std::size_t room);
    void look_at_air(const Room& room);
    void look_at_people(const Room& room);
    void look_at_name(const Room& room);
    void look_at_sliding();

    // resolve_surfaces.cpp: what encloses them
    void check_fabric_names();
    void add_surfaces();
    void name_faces();
    void name_face(const FaceInput& face, std::size_t room);
    [[nodiscard]] static std::string side_of(const RoomInput& room, const std::string& face);
    void apply_faces();
    void apply_build_up(const FaceInput& face, std::size_t room, Surface& surface);
    [[nodiscard]] std::string face_of_corners(const FaceInput& face, std::size_t room) const;
    void tell_bridged(const NearMiss& gap);
    void join_alike();
    void apply_face(const FaceInput& face, std::size_t room);
    void check_face(const FaceInput& face);
    [[nodiscard]] std::optional<Neighbour> stated_neighbour(const FaceInput& face, std::size_t room);
    [[nodiscard]] std::optional<Neighbour> stated_room(const FaceInput& face, std::size_t room);
    void check_stated();
    void set_build_up(Surface& surface);
    [[nodiscard]] double thickness_of(const Given<std::string>& name) const;
    [[nodiscard]] double outside_wall_m(const RoomInput& given, const std::string& wall_name) const;
    [[nodiscard]] std::vector<Surface*> faces_called(std::string_view name, std::size_t room, quantity::OriginId where);

    // resolve_partitions.cpp: which way walls between rooms face, and walls that like rooms share
    [[nodiscard]] std::size_t turned_round(std::size_t build_up);
    void set_build_up_as_seen_from(std::size_t room, std::size_t build_up, Surface& surface,
                                   const Given<std::string>& typed);
    [[nodiscard]] bool name_each_other(const Surface& a, const Surface& b) const;
    void join_sides(Surface& stays, const Surface& goes);
    void join_stated_pairs();
    void give_both_ways();
    void end_party_walls_in_the_middle();

    // resolve_openings.cpp: windows and doors in them
    void add_openings();
    void add_opening(const OpeningInput& opening, std::size_t room);
    [[nodiscard]] Surface* surface_for(const OpeningInput& opening, std::size_t room, const std::string& label);
    [[nodiscard]] static Plates plates_of(const OpeningInput& opening);
    void check_plates(const OpeningInput& opening, const std::string& label);
    void set_open_share(const OpeningInput& given, const std::string& label, Opening& out);
    void fill_opening(const OpeningInput& opening, quantity::OriginId where, const std::string& label, Opening& out);
    [[nodiscard]] std::optional<quantity::OriginId> size_of_opening(const OpeningInput& opening, std::size_t room);

    // resolve_opening_places.cpp: where they stand in it, none over another
    struct ToPlace {
        const OpeningInput* given;
        quantity::OriginId where;
        std::string label;
        Opening opening;
        [[nodiscard]] std::size_t count() const;
        [[nodiscard]] double row_m() const; ///< all of them side by side
        [[nodiscard]] bool has_place() const { return given->from_left || given->from_right; }
    };
    void place_openings();
    void place_in(Surface& surface, std::vector<ToPlace>& openings);
    static void size_by_wall(const Surface& surface, std::vector<ToPlace>& openings);
    static void seat(const Surface& surface, double foot_m, ToPlace& one);
    static void spread(const Surface& surface, std::vector<ToPlace>& openings);
    [[nodiscard]] bool fits(const Surface& surface, const ToPlace& one, double free_m2);
    void tell_overlaps(const Surface& surface, const std::vector<ToPlace>& openings);

    /// What is no error, about something.
    quantity::Problem& finding(quantity::Severity severity, std::string_view code, quantity::OriginId where,
                               const std::string& subject, std::string message, std::string hint);
    quantity::Problem& problem(std::string_view code, quantity::OriginId where, std::string message,
                               std::string hint = {});
    /// Index of a name in a list of named things; complains if it is not there.
    template <class Range, class Name>
    std::optional<std::size_t> find(std::string_view what, const Given<std::string>& name, const Range& range,
                                    Name name_of)
    {
        for (std::size_t i = 0; i < std::size(range); ++i)
            if (const auto& called = name_of(range[i]); called == *name) return i;
        std::vector<std::string> names;
        for (const auto& item : range) names.push_back(name_of(item));
        std::vector<std::string> known = names;
        known.insert(known.end(), input_.offered.begin(), input_.offered.end());
        const auto near = quantity::nearest_name(*name, known);
        const std::string there = names.empty() ? "none" : quantity::listed(names, near ? 3 : 8);
        problem(quantity::codes::unknown_name, name.origin,
                fmt::format("no {} is called '{}'; there are: {}", what, *name, there),
                near ? fmt::format("did you mean '{}'?", *near) : std::string{});
        return std::nullopt;
    }
    /// Whether nothing of a record was refused or lies outside its bounds, which is told by itself.
    [[nodiscard]] static bool is_sound(const ConstRecord& record);
    /// The value with its origin; nothing typed where something must be is told elsewhere, and stands as 0 here.
    template <class T>
    [[nodiscard]] static Sourced<T> sourced(const Given<T>& given)
    {
        return {given ? *given : T{}, given.origin};
    }
    template <class T>
    [[nodiscard]] static T value_of(const Given<T>& given)
    {
        return given ? *given : T{};
    }
    /// Marks a value as computed from another one.
    template <class T>
    Given<T> computed(T value, std::string_view how, quantity::OriginId from)
    {
        return {std::move(value),
                input_.origins.add({.kind = quantity::OriginKind::computed, .text = how, .parent = from})};
    }

    Input input_;                    ///< completed
    quantity::PreferredUnits units_; ///< that messages speak in
    Building building_{};
    std::vector<quantity::Problem> problems_{};
    std::unordered_multimap<std::uint32_t, std::size_t> told_at_{}; ///< by origin: numbers of problems
    std::vector<std::size_t> cut_from_{};              ///< of each room, which room of the input it is a part of
    std::map<std::string, calendar::YearDays> days_{}; ///< that [[days]] name
    std::map<std::size_t, std::size_t> turned_{};      ///< build-ups and the same the other way round
    std::set<const CalendarInput*> calendars_made_{};
    std::set<std::uint32_t> hours_told_{};                   ///< origins of hours that are of another purpose
    std::vector<std::string> calendars_begun_{};             ///< one asks for the next
    std::map<std::size_t, std::vector<ToPlace>> to_place_{}; ///< openings, by surface
    std::set<std::size_t> stated_{};                         ///< surfaces of which the input says what lies beyond
    std::map<std::pair<std::size_t, std::string>, std::string> called_{}; ///< by room and name in small letters: the
                                                                          ///< face as it is called without
    static constexpr std::size_t no_build_up = SIZE_MAX;                  ///< yet
    bool numbers_sound_ = true;                                           ///< every number lies in its bounds
};

} // namespace venture::resolve
