#include <venture/input/input.hpp>

#include <venture/quantity/record.hpp>

namespace venture::input {

using quantity::Nested;
using quantity::RecordSpec;

Input::Input() = default;
Input::Input(const Input&) = default;
Input::Input(Input&&) noexcept = default;
Input& Input::operator=(const Input&) = default;
Input& Input::operator=(Input&&) noexcept = default;
Input::~Input() = default;

const RecordSpec& Input::spec()
{
    using T = Input;
    static const RecordSpec all = RecordSpec::of<T>(
        {}, {
                {"project", &T::project},
                {"units", &T::units},
                {"library", &T::libraries},
                {"catalogue", &T::catalogues},
                {"table", &T::tables},
                {"accepted", &T::accepted},
                Nested{"site", &T::site}.saying_the_site(),
                Nested{"weather", &T::weather}.saying_the_site(),
                Nested{"monthly_mean", &T::monthly_means}.saying_the_site().with_own_file(),
                {"fabric", &T::fabric},
                Nested{"material", &T::materials}.held_by_libraries().with_own_file(),
                Nested{"build_up", &T::build_ups}.called("build-up").held_by_libraries().with_own_file(),
                Nested{"pane", &T::panes}.held_by_libraries().with_own_file(),
                Nested{"glazing", &T::glazings}.held_by_libraries().with_own_file(),
                Nested{"shade", &T::shades}.held_by_libraries().with_own_file(),
                {"ground", &T::ground},
                Nested{"thermal_bridge", &T::thermal_bridges}.with_own_file(),
                Nested{"obstruction", &T::obstructions}.with_own_file(),
                Nested{"profile", &T::profiles}.held_by_libraries().with_own_file(),
                Nested{"days", &T::days}.held_by_libraries().with_own_file(),
                Nested{"calendar", &T::calendars}.held_by_libraries().with_own_file(),
                {"airtightness", &T::airtightness},
                Nested{"air_need", &T::air_needs}.held_by_libraries().with_own_file(),
                Nested{"air_supply", &T::air_supplies}.held_by_libraries().with_own_file(),
                Nested{"extract", &T::extracts}.with_own_file(),
                {"dwelling", &T::dwelling},
                Nested{"room_type", &T::room_types}.held_by_libraries().with_own_file(),
                {"plan", &T::plan},
                Nested{"storey", &T::storeys}.with_own_file(),
                Nested{"room", &T::rooms}.with_own_file(),
                {"repeat", &T::repeats},
                Nested{"circuit", &T::circuits}.with_own_file(),
                Nested{"plant", &T::plants}.with_own_file(),
                Nested{"serve", &T::serve}.with_own_file(),
                Nested{"primary_air", &T::primary_air}.with_own_file(),
                Nested{"choosing", &T::choosing}.with_own_file(),
                Nested{"kept", &T::kept}.with_own_file(),
                {"tags", &T::tags},
                {"loads", &T::loads},
                {"method", &T::method},
            });
    return all;
}

} // namespace venture::input
