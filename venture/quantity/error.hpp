#pragma once
/// What goes wrong in pure computation, and how it is told.

#include <stdexcept>
#include <string>
#include <string_view>

namespace venture::quantity {

/// Root of every exception that the library throws on purpose.
class Error : public std::runtime_error {
public:
    using std::runtime_error::runtime_error;
};

/// Closed interval of allowed values.
struct Range {
    double lowest = 0.0;
    double highest = 0.0;
};

/// A value outside the physics or outside a method's range. Fields serve programs, what() serves people.
class RangeError : public Error {
public:
    /// @param where  function or object that refuses, e.g. "saturation_pressure"
    /// @param name   what was refused, e.g. "temperature"
    RangeError(std::string where, std::string name, double value, Range allowed, std::string unit);

    [[nodiscard]] const std::string& where() const noexcept { return where_; }
    [[nodiscard]] const std::string& name() const noexcept { return name_; }
    [[nodiscard]] double value() const noexcept { return value_; }
    [[nodiscard]] Range allowed() const noexcept { return allowed_; }
    [[nodiscard]] const std::string& unit() const noexcept { return unit_; }

private:
    std::string where_, name_, unit_;
    double value_;
    Range allowed_;
};

/// @throws RangeError if value is not a number or lies outside `allowed`
void check_range(std::string_view where, std::string_view name, double value, Range allowed, std::string_view unit);

/// Ends the program after telling place and condition: a bug in Venture, never a user's mistake.
[[noreturn]] void assertion_failed(const char* condition, const char* file, int line);

} // namespace venture::quantity

/// A condition that only a bug can break. Kept in release builds.
#define VENTURE_ASSERT(condition)                                                                                      \
    ((condition) ? static_cast<void>(0) : ::venture::quantity::assertion_failed(#condition, __FILE__, __LINE__))

/// A place that only a bug can reach, e.g. behind a switch that handles every case.
#define VENTURE_UNREACHABLE(what) ::venture::quantity::assertion_failed(what, __FILE__, __LINE__)
