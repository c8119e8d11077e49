#include <venture/loads/damp.hpp>

#include <algorithm>

#include <venture/air/moist_air.hpp>
#include <venture/building/cold_faces.hpp>
#include <venture/climate/date.hpp>
#include <venture/loads/building_year.hpp>

namespace venture::loads {

using figure::Cell;
using figure::Told;
using figure::where;

namespace {

constexpr double least_difference_K = 2.0; ///< warmer outdoors, no face is colder than the room

double humidity_at(double face_C, double vapour_Pa)
{
    return vapour_Pa / air::saturation_pressure(quantity::Temperature::celsius(face_C)).pascal();
}

/// That keeps a face just below most_humid_face; nothing or less: any does.
double needed_factor(const MonthDamp& m)
{
    const auto saturated = quantity::Pressure::pascal(m.vapour_Pa / most_humid_face);
    return (air::dew_point(saturated).celsius() - m.outdoor_C) / (m.air_C - m.outdoor_C);
}

DampRow row_of(const RoomYear& room, const building::ColdestFaces& coldest)
{
    DampRow out{.room = room.room};
    if (coldest.surface) {
        out.surface = coldest.surface->face;
        out.factor = coldest.surface->temperature_factor;
    }
    if (coldest.opening) {
        out.opening = coldest.opening->face;
        out.opening_factor = coldest.opening->temperature_factor;
    }
    for (std::size_t i = 0; i < room.damp.size(); ++i) {
        const MonthDamp& m = room.damp[i];
        out.wet_opening_h += m.wet_opening_h;
        if (!coldest.surface || m.hours <= 0.0 || m.air_C - m.outdoor_C < least_difference_K) continue;
        const double humidity = humidity_at(coldest.surface->temperature_C(m.air_C, m.outdoor_C), m.vapour_Pa);
        if (humidity <= out.face_humidity) continue;
        out.face_humidity = humidity;
        out.needed_factor = needed_factor(m);
        out.month = static_cast<int>(i) + 1;
    }
    return out;
}

} // namespace

std::vector<DampRow> damp_rows(const building::Building& b, const BuildingYear& year)
{
    const auto coldest = building::coldest_faces(b);
    std::vector<DampRow> out;
    for (std::size_t r = 0; r < year.rooms.size(); ++r)
        if (coldest[r].surface || coldest[r].opening) out.push_back(row_of(year.rooms[r], coldest[r]));
    return out;
}

const figure::TableOf<DampRow>& damp_columns()
{
    using D = DampRow;
    static const figure::TableOf<D> all = {
        {"room_damp", "Damp at inside faces",
         "A room's coldest faces to outdoors, by temperature factors after ISO 13788 and the run's humidity.", 1,
         Told::data},
        {
            {{"room", "Room", "", "name of the room", 0}, [](const D& d) -> Cell { return d.room; }},
            {{"surface", "Coldest surface", "", "of walls, roofs and exposed floors, behind furniture"},
             [](const D& d) -> Cell { return where(!d.surface.empty(), d.surface); }},
            {{"factor", "Temperature factor", "fine_ratio", "(face - outdoors)/(room - outdoors)"},
             [](const D& d) -> Cell { return where(!d.surface.empty(), d.factor); }},
            {{"needed_factor", "Needed", "fine_ratio", "that keeps the face below 80 % in its worst month"},
             [](const D& d) -> Cell { return where(d.month > 0 && d.needed_factor > 0.0, d.needed_factor); }},
            {{"face_humidity", "Humidity there", "share",
              "at the face, mean of its worst month; above 80 % mould can grow"},
             [](const D& d) -> Cell { return where(d.month > 0, d.face_humidity); }},
            {{"month", "Worst month", "", "of the surface"},
             [](const D& d) -> Cell { return where(d.month > 0, climate::month_name(std::max(d.month, 1))); }},
            {{"opening", "Coldest window", "", "or door"},
             [](const D& d) -> Cell { return where(!d.opening.empty(), d.opening); }},
            {{"opening_factor", "Its factor", "fine_ratio", "of the whole window, its frame with it"},
             [](const D& d) -> Cell { return where(!d.opening.empty(), d.opening_factor); }},
            {{"wet_opening", "Wet", "hours", "in which it is colder than the dew point of the room's air"},
             [](const D& d) -> Cell { return where(!d.opening.empty(), d.wet_opening_h); }},
        }};
    return all;
}

} // namespace venture::loads
