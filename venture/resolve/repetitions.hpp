#pragma once
/// Rooms that storeys, [[repeat]] and `like` name, and records that name one another in a ring. Internal to resolve.

#include <string_view>
#include <vector>

#include <venture/resolve/work.hpp>

namespace venture::resolve {

/// A record, and which other one of its kind it names.
struct Refers {
    const Given<std::string>*name, *to;
};
template <class Record>
[[nodiscard]] std::vector<Refers> refers(const std::vector<Record>& records, Given<std::string> Record::*to)
{
    std::vector<Refers> out;
    for (const Record& r : records) out.push_back({&r.name, &(r.*to)});
    return out;
}
/// Tells of records of which one names another and so on, back to the first. @param does  what they do to each other
void tell_rings(quantity::Problems& problems, std::string_view what, std::string_view does,
                const std::vector<Refers>& records);

void check_repetitions(Work& work);

} // namespace venture::resolve
