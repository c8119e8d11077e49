#include <venture/quantity/error.hpp>

#include <cstdio>
#include <cstdlib>
#include <utility>

#include <fmt/format.h>

namespace venture::quantity {

namespace {

std::string behind(const std::string& unit) { return unit.empty() ? unit : " " + unit; }

} // namespace

RangeError::RangeError(std::string where, std::string name, double value, Range allowed, std::string unit)
    : Error{fmt::format("{}: {} is {:.6g}{}, allowed {:g} to {:g}{}", where, name, value, behind(unit), allowed.lowest,
                        allowed.highest, behind(unit))},
      where_{std::move(where)},
      name_{std::move(name)},
      unit_{std::move(unit)},
      value_{value},
      allowed_{allowed}
{
}

void check_range(std::string_view where, std::string_view name, double value, Range allowed, std::string_view unit)
{
    const bool inside = value >= allowed.lowest && value <= allowed.highest; // false for a NaN
    if (!inside) throw RangeError{std::string{where}, std::string{name}, value, allowed, std::string{unit}};
}

void assertion_failed(const char* condition, const char* file, int line)
{
    std::fprintf(stderr, "Venture has a bug: '%s' does not hold (%s:%d). Please report it.\n", condition, file, line);
    std::abort();
}

} // namespace venture::quantity
