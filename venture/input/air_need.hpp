#pragma once
/// Outdoor air that a use of rooms needs, by a standard or by anyone.

#include <venture/input/given.hpp>

namespace venture::input {

struct AirNeedInput {
    Given<std::string> name, source, note;
    Given<double> per_person, per_area;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::input
