#pragma once
/// What rooms are used for: set-points, people, gains, outdoor air.

#include <array>
#include <cstdint>
#include <string_view>
#include <vector>

#include <venture/input/given.hpp>
#include <venture/input/region.hpp>

namespace venture::input {

/// Whose share of the load a gain is counted to.
enum class GainKind : std::uint8_t { equipment, lighting, cooking };

/// What set-points refer to.
enum class Control : std::uint8_t { operative, air };

/// What people do.
enum class Activity : std::uint8_t {
    asleep,
    seated_at_rest,
    seated_light_work,
    office_work,
    standing,
    walking,
    bench_work,
    heavy_work,
    sport
};

/// What planned outdoor air goes by, while it is on.
enum class VentilationControl : std::uint8_t { constant, head_count, carbon_dioxide };

/// Of a dwelling.
enum class Appliances : std::uint8_t { few, usual, many };

} // namespace venture::input

namespace venture {

template <>
struct quantity::WordsOf<input::GainKind> {
    static constexpr std::array<std::string_view, 3> words = {"equipment", "lighting", "cooking"};
};

template <>
struct quantity::WordsOf<input::Control> {
    static constexpr std::array<std::string_view, 2> words = {"operative", "air"};
};

template <>
struct quantity::WordsOf<input::Activity> {
    static constexpr std::array<std::string_view, 9> words = {"asleep",      "seated at rest", "seated light work",
                                                              "office work", "standing",       "walking",
                                                              "bench work",  "heavy work",     "sport"};
};

template <>
struct quantity::WordsOf<input::VentilationControl> {
    static constexpr std::array<std::string_view, 3> words = {"constant", "head count", "carbon dioxide"};
};

template <>
struct quantity::WordsOf<input::Appliances> {
    static constexpr std::array<std::string_view, 3> words = {"few", "usual", "many"};
};

} // namespace venture

namespace venture::input {

/// Heat and moisture from something in a room.
struct GainInput {
    GainInput();
    GainInput(const GainInput&);
    GainInput(GainInput&&) noexcept;
    GainInput& operator=(const GainInput&);
    GainInput& operator=(GainInput&&) noexcept;
    ~GainInput();

    Given<std::string> name, profile, note;
    Given<double> power, power_per_area, count, moisture, radiant, latent, lost, to_void;
    Choice<GainKind> kind;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// What a room can have by its use; a room type holds the same.
struct UseInput {
    UseInput();
    UseInput(const UseInput&);
    UseInput(UseInput&&) noexcept;
    UseInput& operator=(const UseInput&);
    UseInput& operator=(UseInput&&) noexcept;
    ~UseInput();

    Given<double> heating_setpoint, cooling_setpoint;
    Given<double> humidity_limit, dew_point_limit, humidity_ratio_limit;
    Given<double> least_humidity, least_dew_point, least_humidity_ratio;
    Given<double> heating_setback, preheating, cooling_setback, precooling;
    Given<std::string> heating_profile, cooling_profile;
    Given<double> stratification, moisture_buffer;
    Given<double> people, area_per_person, people_expected, sensible_per_person, latent_per_person;
    Choice<Activity> activity;
    Given<double> lighting, lighting_power, equipment, equipment_power, moisture;
    Given<double> people_radiant, lighting_radiant, equipment_radiant, lighting_to_void, gain_diversity;
    Given<std::string> hours; ///< of people, lighting and equipment that have none of their own
    Given<std::string> people_profile, lighting_profile, equipment_profile, moisture_profile, ventilation_profile;
    Given<double> infiltration, infiltration_summer, ventilation_per_person, ventilation_per_area, ventilation_rate,
        ventilation_flow;
    Given<std::string> air_need, outdoor_air_by;
    Given<double> air_effectiveness, carbon_dioxide_limit, carbon_dioxide_per_person;
    Choice<VentilationControl> ventilation_control;
    Given<double> least_ventilation, ventilation_lag;
    Given<double> vents, flues, chimneys;
    Given<std::string> floor_finish, ceiling_finish;
    Given<double> furniture;
    Given<double> heating_limit, cooling_limit, drying_limit, humidifying_limit;
    Given<double> radiant_share, warmest_surface;
    Given<std::string> heated_by, cooled_by;
    Choice<Control> control;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct RoomTypeInput {
    RoomTypeInput();
    RoomTypeInput(const RoomTypeInput&);
    RoomTypeInput(RoomTypeInput&&) noexcept;
    RoomTypeInput& operator=(const RoomTypeInput&);
    RoomTypeInput& operator=(RoomTypeInput&&) noexcept;
    ~RoomTypeInput();

    Given<std::string> name, like, purpose, source, note;
    Choice<Region> region;
    UseInput use{};
    std::vector<GainInput> gains{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

/// A dwelling's people, appliances and plants, in short.
struct DwellingInput {
    Given<double> people;
    Given<std::string> note;
    Given<TextList> rooms;
    Choice<Appliances> appliances;
    Whole bedrooms, plants;
    [[nodiscard]] bool is_used() const { return bedrooms || people || plants || appliances || rooms; }
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
