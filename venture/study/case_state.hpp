#pragma once
/// What a case has come to. Internal to study.

#include <venture/study/case.hpp>

namespace venture::study {

struct Case::State {
    Given given;
    Options options{};
    input::Input input{}; ///< on its way: completed by what is resolved
    quantity::PreferredUnits units{};
    quantity::Problems problems{};
    std::optional<climate::WeatherYear> weather{};
    std::optional<climate::Site> site{};
    std::optional<building::Building> building{};
    std::optional<TypedLoads> typed{};
    services::Services services{};
    terminal::PrimaryAirs primary_air{}; ///< by client
    terminal::Wishes wishes{};
    TagRule tag_rule{};
    loads::DesignLoads loads{};
    airside::CoilLoads coils{};
    std::shared_ptr<const rating::Stocks> stocks{};
    std::optional<Sizing> sizing{};
    bool weather_asked = false, site_asked = false, building_asked = false, loads_asked = false, year_asked = false;

    [[nodiscard]] bool failed() const { return problems.has_error(); }
    void use_weather();
    void resolve_site();
    void resolve_building();
    void compute_loads();
    void read_products();
    void choose();

private:
    [[nodiscard]] std::optional<climate::WeatherYear> make_weather();
    [[nodiscard]] std::optional<climate::WeatherYear> at_height(double height_m);
    [[nodiscard]] std::optional<climate::WeatherYear> at_site();
    [[nodiscard]] quantity::OriginId place_of_weather() const;
    void derive_conditions(const climate::WeatherYear& year);
    /// Where the weather year is wrong, missing design conditions follow from it.
    void drop_what_weather_would_give(std::vector<quantity::Problem>& more) const;
    /// Tells what is wrong with circuits and plants of an input whose building does not stand.
    void check_services_alone();
    void tell_capped_humidity();
    void tell_typed_loads();
    /// Of loads that another case computed.
    void point_to_own_origins();
    [[nodiscard]] std::vector<services::Client> clients() const;
    [[nodiscard]] loads::RoomLoads for_their_units() const;
};

} // namespace venture::study
