#pragma once
/// Outdoor air that one room needs for its people and for what it and its furniture give off.

namespace venture::air {

/// Sources: ASHRAE 62.1, ventilation rate procedure (breathing zone, zone air distribution effectiveness); EN 16798-1,
/// annex B, method by perceived air quality (total for people and for the building, ventilation effectiveness). Both
/// add a flow for people to one for the floor.
struct RoomNeed {
    double people = 0.0, per_person_m3_per_s = 0.0;
    double area_m2 = 0.0, per_area_m_per_s = 0.0;
    double effectiveness = 1.0; ///< of what is supplied, how much the breathing zone gets; 0.1..2

    /// @param present  share of the people that are there, 0..1
    [[nodiscard]] double breathing_zone_m3_per_s(double present = 1.0) const
    {
        return people * present * per_person_m3_per_s + area_m2 * per_area_m_per_s;
    }
    /// What must be supplied for that. @throws quantity::RangeError  effectiveness out of range, anything negative
    [[nodiscard]] double supply_m3_per_s(double present = 1.0) const;
};

} // namespace venture::air
