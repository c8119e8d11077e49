#include <venture/resolve/room_use.hpp>

#include <venture/air/moist_air.hpp>
#include <venture/resolve/air_supplies.hpp>
#include <venture/resolve/calendars.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/types.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Kind;

namespace {

class RoomUse : Pass {
public:
    explicit RoomUse(Work& work) : Pass{work} {}
    [[nodiscard]] Use use_of(const UseInput& given);
    void count_origins(const UseInput& given, Room& room) const;
    void list_overruled(const RoomInput& given, Room& room) const;
    void check_use(const RoomInput& given, const Room& room);

private:
    [[nodiscard]] std::optional<HumidityLimit> humidity_of(const Given<double>& relative,
                                                           const Given<double>& dew_point, const Given<double>& ratio,
                                                           const Given<double>& set_point, std::string_view key);
    void check_air(const RoomInput& given, const Room& room);
    [[nodiscard]] std::optional<Setback> setback_of(const Given<double>& temperature, const Given<std::string>& profile,
                                                    const Given<double>& ramp);
    void check_setback(const Room& room, std::string_view what, const Given<double>& setback,
                       const Given<std::string>& profile, const Given<double>& ramp,
                       const std::optional<Sourced<double>>& setpoint, double away);
};

} // namespace

std::optional<Setback> RoomUse::setback_of(const Given<double>& temperature, const Given<std::string>& profile,
                                           const Given<double>& ramp)
{
    if (!temperature) return std::nullopt;
    return Setback{sourced(temperature), profile_called(work_, profile), value_of(ramp)};
}

/// @param set_point  at which air must be able to hold so much
std::optional<HumidityLimit> RoomUse::humidity_of(const Given<double>& relative, const Given<double>& dew_point,
                                                  const Given<double>& ratio, const Given<double>& set_point,
                                                  std::string_view key)
{
    const int said = (relative ? 1 : 0) + (dew_point ? 1 : 0) + (ratio ? 1 : 0);
    if (said == 0) return std::nullopt;
    const Given<double>& first = relative ? relative : dew_point ? dew_point : ratio;
    if (said > 1) {
        problem(codes::contradiction, (ratio ? ratio : dew_point).origin,
                fmt::format("{} is said in more than one way", key),
                "keep one: relative, by dew point, or by humidity ratio");
        return std::nullopt;
    }
    using By = HumidityLimit::By;
    HumidityLimit out{relative ? By::relative : dew_point ? By::dew_point : By::ratio, *first, {}, first.origin};
    if (relative && set_point && input_.method.relative_humidity != input::HumidityAt::air) out.at_C = *set_point;
    const quantity::Pressure pressure = air::standard_pressure(value_of(input_.site.height));
    if (relative || !set_point || // that is told where it is asked for
        out.humidity_ratio(*set_point, pressure) <=
            air::humidity_ratio_at(1.0, quantity::Temperature::celsius(*set_point), pressure))
        return out;
    problem(codes::physics, first.origin,
            fmt::format("{}: air of {} can hold no such moisture", key, units_.text(*set_point, Kind::temperature)),
            "give a dew point below the set-point, or less moisture");
    return std::nullopt;
}

Use RoomUse::use_of(const UseInput& given)
{
    const auto if_typed = [](const Given<double>& value) {
        return value ? std::optional{sourced(value)} : std::nullopt;
    };
    return {.heating_setpoint_C = if_typed(given.heating_setpoint),
            .cooling_setpoint_C = if_typed(given.cooling_setpoint),
            .humidity_limit = humidity_of(given.humidity_limit, given.dew_point_limit, given.humidity_ratio_limit,
                                          given.cooling_setpoint, "the upper limit of humidity"),
            .least_humidity = humidity_of(given.least_humidity, given.least_dew_point, given.least_humidity_ratio,
                                          given.heating_setpoint, "the lower limit of humidity"),
            .heating_setback = setback_of(given.heating_setback, given.heating_profile, given.preheating),
            .cooling_setback = setback_of(given.cooling_setback, given.cooling_profile, given.precooling),
            .stratification_K = value_of(given.stratification),
            .moisture_buffer = value_of(given.moisture_buffer),
            .control_operative = given.control.which() != input::Control::air,
            .people = sourced(given.people),
            .sensible_per_person_W = sourced(given.sensible_per_person),
            .latent_per_person_W = sourced(given.latent_per_person),
            .lighting_W_per_m2 = sourced(given.lighting),
            .equipment_W_per_m2 = sourced(given.equipment),
            .equipment_W = sourced(given.equipment_power),
            .moisture_kg_per_s = sourced(given.moisture),
            .infiltration_per_h = sourced(given.infiltration),
            .infiltration_summer_per_h =
                given.infiltration_summer ? sourced(given.infiltration_summer) : sourced(given.infiltration),
            .ventilation_per_person_m3_per_s = sourced(given.ventilation_per_person),
            .ventilation_per_area_m_per_s = sourced(given.ventilation_per_area),
            .ventilation_per_h = sourced(given.ventilation_rate),
            .ventilation_m3_per_s = sourced(given.ventilation_flow),
            .air_effectiveness = given.air_effectiveness ? sourced(given.air_effectiveness) : Sourced<double>{1.0, {}},
            .carbon_dioxide_limit = if_typed(given.carbon_dioxide_limit),
            .carbon_dioxide_per_person_m3_per_s = sourced(given.carbon_dioxide_per_person),
            .ventilation_control = given.ventilation_control.which().value_or(input::VentilationControl::constant),
            .least_ventilation_m_per_s = sourced(given.least_ventilation),
            .ventilation_lag_s = value_of(given.ventilation_lag),
            .air_supply = air_supply_called(work_, given.outdoor_air_by),
            .furniture_J_per_m2K = sourced(given.furniture),
            .heating_limit_W = if_typed(given.heating_limit),
            .cooling_limit_W = if_typed(given.cooling_limit),
            .drying_limit_kg_per_s = if_typed(given.drying_limit),
            .humidifying_limit_kg_per_s = if_typed(given.humidifying_limit),
            .radiant_share = sourced(given.radiant_share),
            .warmest_surface_C = if_typed(given.warmest_surface),
            .people_profile = profile_called(work_, given.people_profile),
            .lighting_profile = profile_called(work_, given.lighting_profile),
            .equipment_profile = profile_called(work_, given.equipment_profile),
            .moisture_profile = profile_called(work_, given.moisture_profile),
            .ventilation_profile = profile_called(work_, given.ventilation_profile),
            .heated_by = sourced(given.heated_by),
            .cooled_by = sourced(given.cooled_by)};
}

namespace {

constexpr std::string_view says_of_others = "hours"; ///< a key that stands for three others, which are looked at

} // namespace

void RoomUse::count_origins(const UseInput& given, Room& room) const
{
    const ConstRecord use{given};
    for (const Key& key : use.keys()) {
        if (!use.is_given(key) || key.spec.name == says_of_others) continue;
        const auto kind = input_.origins.at(use.origin(key)).kind;
        if (kind == quantity::OriginKind::inherited)
            ++room.values_by_type;
        else if (kind == quantity::OriginKind::default_value)
            ++room.values_by_default;
        else
            ++room.values_given;
    }
}

namespace {

std::string as_text(const ConstRecord& record, const Key& key)
{
    return key.shape == quantity::ValueShape::number ? quantity::print_quantity(*record.at<double>(key), key.spec.kind)
                                                     : fmt::format("'{}'", *record.at<std::string>(key));
}

bool is_equal(const ConstRecord& a, const ConstRecord& b, const Key& key)
{
    return key.shape == quantity::ValueShape::number ? *a.at<double>(key) == *b.at<double>(key)
                                                     : *a.at<std::string>(key) == *b.at<std::string>(key);
}

} // namespace

/// What a room says itself although its type does.
void RoomUse::list_overruled(const RoomInput& given, Room& room) const
{
    const ConstRecord own{given.use};
    for (const RoomTypeInput* type : types_of(input_, given)) {
        const ConstRecord theirs{type->use};
        for (const Key& key : own.keys()) {
            if (key.spec.name == says_of_others || !own.is_given(key) || !theirs.is_given(key)) continue;
            const auto kind = input_.origins.at(own.origin(key)).kind;
            const bool typed = kind != quantity::OriginKind::inherited && kind != quantity::OriginKind::default_value;
            if (!typed || is_equal(own, theirs, key) ||
                std::ranges::find(room.overruled, key.spec.name, &OverruledValue::key) != room.overruled.end())
                continue;
            room.overruled.push_back({std::string{key.spec.name}, as_text(own, key), as_text(theirs, key)});
        }
    }
}

/// @param away  sign of the way in which a setback lies from its set-point
void RoomUse::check_setback(const Room& room, std::string_view what, const Given<double>& setback,
                            const Given<std::string>& profile, const Given<double>& ramp,
                            const std::optional<Sourced<double>>& setpoint, double away)
{
    const auto says = [&](quantity::OriginId where, std::string text, std::string hint) {
        problem(codes::contradiction, where, fmt::format("room '{}' {}", room.name, text), std::move(hint));
    };
    if (!setback) {
        const auto& typed = profile ? profile.origin : ramp.origin;
        if (profile || ramp)
            says(typed, fmt::format("says when {} holds, but has no {}_setback to go to", what, what),
                 fmt::format("type {}_setback, or leave the others out", what));
        return;
    }
    if (!setpoint)
        says(setback.origin, fmt::format("has a {}_setback but no {} set-point", what, what),
             fmt::format("type {}_setpoint", what));
    else if (away * (*setback - setpoint->value) < 0.0)
        says(setback.origin,
             fmt::format("has a {} set-point of {} and a setback of {}, which asks for more", what,
                         units_.text(setpoint->value, Kind::temperature), units_.text(*setback, Kind::temperature)),
             "swap the two, or mend one");
    if (!profile)
        says(setback.origin, fmt::format("has a {}_setback, but no profile says when", what),
             fmt::format("type {}_profile, the name of a [[profile]]", what));
}

void RoomUse::check_use(const RoomInput& given, const Room& room)
{
    const Use& use = room.use;
    if (use.heating_setpoint_C && use.cooling_setpoint_C &&
        use.heating_setpoint_C->value > use.cooling_setpoint_C->value)
        problem(codes::contradiction, use.cooling_setpoint_C->origin,
                fmt::format("room '{}' would be heated to {} and cooled to {} at once", room.name,
                            units_.text(use.heating_setpoint_C->value, Kind::temperature),
                            units_.text(use.cooling_setpoint_C->value, Kind::temperature)),
                "keep some kelvin between the two");
    check_setback(room, "heating", given.use.heating_setback, given.use.heating_profile, given.use.preheating,
                  use.heating_setpoint_C, -1.0);
    check_setback(room, "cooling", given.use.cooling_setback, given.use.cooling_profile, given.use.precooling,
                  use.cooling_setpoint_C, 1.0);
    if (use.cooling_setpoint_C && input_.site.months.empty())
        problem(codes::missing, use.cooling_setpoint_C->origin,
                fmt::format("room '{}' is to be cooled, but the site has no design month", room.name),
                "add [[site.month]] tables for the months that may be the hardest");
    if (use.humidity_limit && !use.cooling_setpoint_C)
        problem(codes::contradiction, use.humidity_limit->origin,
                fmt::format("room '{}' has a humidity limit but no cooling set-point: nothing dries it", room.name));
    if (use.least_humidity && !use.heating_setpoint_C)
        problem(codes::contradiction, use.least_humidity->origin,
                fmt::format("room '{}' has a least humidity but no heating set-point that it refers to", room.name));
    if (use.drying_limit_kg_per_s && !use.humidity_limit)
        problem(codes::contradiction, use.drying_limit_kg_per_s->origin,
                fmt::format("room '{}' has a drying limit but no humidity limit that it is dried to", room.name));
    if (use.humidifying_limit_kg_per_s && !use.least_humidity)
        problem(codes::contradiction, use.humidifying_limit_kg_per_s->origin,
                fmt::format("room '{}' has a humidifying limit but no least humidity", room.name));
    check_air(given, room);
}

/// What outdoor air goes by, and what it is held to.
void RoomUse::check_air(const RoomInput& given, const Room& room)
{
    const Use& use = room.use;
    const auto says = [&](quantity::OriginId where, std::string text, std::string hint) {
        problem(codes::contradiction, where, fmt::format("room '{}' {}", room.name, text), std::move(hint));
    };
    if (use.humidity_limit && use.least_humidity && use.heating_setpoint_C && use.cooling_setpoint_C) {
        const quantity::Pressure pressure = air::standard_pressure(value_of(input_.site.height));
        for (const double air_C : {use.heating_setpoint_C->value, use.cooling_setpoint_C->value}) {
            const double most = use.humidity_limit->humidity_ratio(air_C, pressure),
                         least = use.least_humidity->humidity_ratio(air_C, pressure);
            constexpr double rounding = 1.0 + 1e-9;
            if (least <= most * rounding) continue;
            says(use.least_humidity->origin,
                 fmt::format("would be humidified to {} and dried to {} at once, in air of {}",
                             building::in_words(*use.least_humidity, units_),
                             building::in_words(*use.humidity_limit, units_), units_.text(air_C, Kind::temperature)),
                 "the least must hold no more moisture than the limit");
            break;
        }
    }
    if (use.ventilation_control == input::VentilationControl::carbon_dioxide && !use.carbon_dioxide_limit)
        says(given.use.ventilation_control.origin, "is ventilated by carbon dioxide, but has no carbon_dioxide_limit",
             "type carbon_dioxide_limit, e.g. \"1000 ppm\"");
    if (use.ventilation_control != input::VentilationControl::constant && use.people.value <= 0.0)
        says(given.use.ventilation_control.origin, "is ventilated by how many people are there, and nobody is",
             "type people, or ventilation_control = \"constant\"");
}

Use use_of(Work& work, const UseInput& given) { return RoomUse{work}.use_of(given); }

void count_values(Work& work, const RoomInput& given, Room& room)
{
    RoomUse use{work};
    use.count_origins(given.use, room);
    use.list_overruled(given, room);
}

void check_use(Work& work, const RoomInput& given, const Room& room) { RoomUse{work}.check_use(given, room); }

} // namespace venture::resolve
