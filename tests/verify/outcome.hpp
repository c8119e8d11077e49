#pragma once
/// What came of one reference case.

#include <algorithm>
#include <cmath>
#include <string>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace venture::verify {

enum class Verdict { passed, failed, not_yet, note };

struct Outcome {
    Verdict verdict = Verdict::failed;
    std::string words{}; ///< the worst error beside its tolerance, or why there is none
};

/// Compares values with a case's answers and keeps the one that comes nearest to its tolerance, or breaks it most.
class Comparison {
public:
    /// @param table  the file, whose "tolerances" say abs and rel by name
    explicit Comparison(const nlohmann::json& table) : tolerances_{table.at("tolerances")} {}

    /// @param tolerance  a name in "tolerances": |got - expected| <= max(abs, rel |expected|)
    void value(const std::string& what, double got, double expected, const std::string& tolerance)
    {
        const nlohmann::json& t = tolerances_.at(tolerance);
        const double allowed = std::max(t.value("abs", 0.0), t.value("rel", 0.0) * std::abs(expected));
        error(what, std::abs(got - expected), allowed);
    }
    void error(const std::string& what, double error, double allowed)
    {
        ++count_;
        const double share = error <= allowed && allowed == 0.0 ? 0.0 : error / allowed; // not a number fails, too
        if (!(share <= worst_)) {
            worst_ = share;
            words_ = fmt::format("{}: {:.3g} of {:.3g}", what, error, allowed);
        }
        passed_ = passed_ && error <= allowed;
    }
    void truth(const std::string& what, bool got, bool expected) { error(what, got == expected ? 0.0 : 1.0, 0.5); }

    [[nodiscard]] Outcome outcome() const
    {
        return {passed_ && count_ > 0 ? Verdict::passed : Verdict::failed,
                fmt::format("{} values, worst {}", count_, words_.empty() ? "exact" : words_)};
    }

private:
    const nlohmann::json& tolerances_;
    int count_ = 0;
    double worst_ = -1.0;
    bool passed_ = true;
    std::string words_{};
};

} // namespace venture::verify
