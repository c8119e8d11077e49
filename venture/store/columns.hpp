#pragma once
/// Which numbers of a run stand in columns of its tables: schema, writing and reading go by these lists. Internal to store.

#include <utility>

#include <venture/loads/building_year.hpp>

namespace venture::store::columns {

template <class T, class V = double>
using Column = std::pair<const char*, V T::*>;

inline constexpr Column<loads::BuildingYear> of_run[] = {{"heating_peak_W", &loads::BuildingYear::heating_peak_W},
                                                         {"cooling_peak_W", &loads::BuildingYear::cooling_peak_W},
                                                         {"worst_closure", &loads::BuildingYear::worst_closure},
                                                         {"film_residual", &loads::BuildingYear::film_residual}};
inline constexpr Column<loads::BuildingYear, std::size_t> hours_of_run[] = {
    {"heating_peak_hour", &loads::BuildingYear::heating_peak_hour},
    {"cooling_peak_hour", &loads::BuildingYear::cooling_peak_hour}};

inline constexpr Column<loads::RoomYear> sizes_of_room[] = {{"floor_area_m2", &loads::RoomYear::floor_area_m2},
                                                            {"volume_m3", &loads::RoomYear::volume_m3}};
inline constexpr Column<balance::ZoneRun> of_room[] = {{"heated_h", &balance::ZoneRun::heated_h},
                                                       {"cooled_h", &balance::ZoneRun::cooled_h},
                                                       {"too_cold_h", &balance::ZoneRun::too_cold_h},
                                                       {"too_warm_h", &balance::ZoneRun::too_warm_h},
                                                       {"too_dry_h", &balance::ZoneRun::too_dry_h},
                                                       {"too_humid_h", &balance::ZoneRun::too_humid_h},
                                                       {"heating_J", &balance::ZoneRun::heating_J},
                                                       {"cooling_J", &balance::ZoneRun::cooling_J},
                                                       {"latent_J", &balance::ZoneRun::latent_J},
                                                       {"heating_peak_W", &balance::ZoneRun::heating_peak_W},
                                                       {"cooling_peak_W", &balance::ZoneRun::cooling_peak_W},
                                                       {"warmest_C", &balance::ZoneRun::warmest_C},
                                                       {"coldest_C", &balance::ZoneRun::coldest_C},
                                                       {"film_residual_W", &balance::ZoneRun::film_residual_W}};
inline constexpr Column<balance::ZoneRun, std::size_t> hours_of_room[] = {
    {"heating_peak_hour", &balance::ZoneRun::heating_peak_hour},
    {"cooling_peak_hour", &balance::ZoneRun::cooling_peak_hour}};

inline constexpr Column<loads::MonthHeat> of_month[] = {{"heating_J", &loads::MonthHeat::heating_J},
                                                        {"cooling_J", &loads::MonthHeat::cooling_J},
                                                        {"latent_J", &loads::MonthHeat::latent_J},
                                                        {"humidifying_J", &loads::MonthHeat::humidifying_J}};
inline constexpr Column<loads::MonthDamp> damp_of_month[] = {{"damp_h", &loads::MonthDamp::hours},
                                                             {"air_C", &loads::MonthDamp::air_C},
                                                             {"vapour_Pa", &loads::MonthDamp::vapour_Pa},
                                                             {"outdoor_C", &loads::MonthDamp::outdoor_C},
                                                             {"wet_opening_h", &loads::MonthDamp::wet_opening_h}};
inline constexpr Column<loads::DurationPoint> of_duration[] = {{"hours", &loads::DurationPoint::hours},
                                                               {"heating_W", &loads::DurationPoint::heating_W},
                                                               {"cooling_W", &loads::DurationPoint::cooling_W}};
inline constexpr Column<loads::MonthAir> air_of_month[] = {
    {"hours", &loads::MonthAir::hours},
    {"outdoor_air_m3", &loads::MonthAir::outdoor_air_m3},
    {"recovered_heat_J", &loads::MonthAir::recovered_heat_J},
    {"recovered_cold_J", &loads::MonthAir::recovered_cold_J},
    {"free_cooling_J", &loads::MonthAir::free_cooling_J},
    {"heats_then_cools_J", &loads::MonthAir::heats_then_cools_J},
    {"heats_then_cools_h", &loads::MonthAir::heats_then_cools_h},
    {"fan_J", &loads::MonthAir::fan_J},
    {"coil_heating_J", &loads::MonthAir::heating_J},
    {"reheat_J", &loads::MonthAir::reheat_J},
    {"coil_cooling_sensible_J", &loads::MonthAir::cooling_sensible_J},
    {"coil_cooling_latent_J", &loads::MonthAir::cooling_latent_J},
    {"coil_humidifying_J", &loads::MonthAir::humidifying_J}};

} // namespace venture::store::columns
