#include <venture/loads/damp_tally.hpp>

#include <venture/air/moist_air.hpp>

namespace venture::loads::detail {

namespace {

constexpr int coldest_C = -100, warmest_C = 200; // that the curve of saturation goes to

double saturation_Pa(double t_C) { return air::saturation_pressure(quantity::Temperature::celsius(t_C)).pascal(); }

/// At whole degrees, from the coldest.
const std::vector<double>& saturation_by_degree()
{
    static const std::vector<double> all = [] {
        std::vector<double> out;
        for (int t_C = coldest_C; t_C <= warmest_C; ++t_C) out.push_back(saturation_Pa(t_C));
        return out;
    }();
    return all;
}

/// Most faces are not even as humid as saturation at the whole degree below them, which saves the curve.
bool is_wet(const building::ColdestFaces& coldest, double air_C, double outdoor_C, double vapour_Pa)
{
    if (!coldest.opening || outdoor_C >= air_C) return false;
    const double face_C = coldest.opening->temperature_C(air_C, outdoor_C);
    if (face_C <= coldest_C || face_C >= warmest_C) return false;
    return vapour_Pa > saturation_by_degree()[static_cast<std::size_t>(face_C - coldest_C)] &&
           vapour_Pa > saturation_Pa(face_C);
}

} // namespace

DampTally::DampTally(const building::Building& b, const Compiled& compiled, const Spell& spell)
    : coldest_{building::coldest_faces(b)},
      zone_of_room_{compiled.zone_of_room},
      spell_{spell},
      per_hour_{compiled.model.steps / spell.month.size()},
      rooms_(b.rooms.size())
{
}

void DampTally::take(std::size_t step, const balance::StepResult& r)
{
    if ((step + 1) % per_hour_ != 0) return;
    const std::size_t hour = step / per_hour_, month = static_cast<std::size_t>(spell_.month[hour] - 1);
    const double outdoor_C = spell_.dry_bulb_C[(hour + 1) * spell_.samples_per_hour];
    for (std::size_t i = 0; i < rooms_.size(); ++i) {
        const balance::ZoneStep& now = r.zones[zone_of_room_[i]];
        MonthDamp& sum = rooms_[i].at(month);
        const double vapour_Pa = air::vapour_pressure(now.humidity_ratio, spell_.pressure).pascal();
        ++sum.hours;
        sum.air_C += now.air_C;
        sum.vapour_Pa += vapour_Pa;
        sum.outdoor_C += outdoor_C;
        sum.wet_opening_h += is_wet(coldest_[i], now.air_C, outdoor_C, vapour_Pa) ? 1.0 : 0.0;
    }
}

std::array<MonthDamp, 12> DampTally::months(std::size_t room) const
{
    std::array<MonthDamp, 12> out = rooms_[room];
    for (MonthDamp& m : out)
        if (m.hours > 0.0)
            for (double MonthDamp::*const mean : {&MonthDamp::air_C, &MonthDamp::vapour_Pa, &MonthDamp::outdoor_C})
                m.*mean /= m.hours;
    return out;
}

} // namespace venture::loads::detail
