#include <venture/input/air_need.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& AirNeedInput::spec()
{
    using T = AirNeedInput;
    static const RecordSpec all = RecordSpec::of<T>({
        name_key<T>("what rooms call it"),
        {otherwise(number("per_person", Kind::air_flow, 0, 1, "outdoor air for each person"), 0.0, "none"),
         &T::per_person},
        {otherwise(number("per_area", Kind::air_flow_per_area, 0, 1, "outdoor air for the floor area, added to that"),
                   0.0, "none"),
         &T::per_area},
        source_key<T>(),
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
