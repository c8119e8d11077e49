#pragma once
/// Ledgers reckoned again by a calculator that knows nothing of the program.

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>

#include <gtest/gtest.h>
#include <muParser.h>

#include <venture/quantity/ledger.hpp>

namespace venture::testing_data {

/// What a pocket calculator in degrees makes of the formula.
inline double reckoned(const quantity::LedgerLine& line)
{
    mu::Parser calculator;
    calculator.DefineFun(
        "sin", +[](double deg) { return std::sin(deg * std::numbers::pi / 180.0); });
    calculator.DefineFun(
        "cos", +[](double deg) { return std::cos(deg * std::numbers::pi / 180.0); });
    for (const quantity::LedgerInput& input : line.inputs) calculator.DefineConst(input.symbol, input.value);
    calculator.SetExpr(line.formula);
    return calculator.Eval();
}

/// Every line follows from its inputs; those from lines above are as they stand there; all say where they come from.
inline void expect_reckoned(const quantity::Ledger& ledger)
{
    std::map<std::string, double> above;
    std::string of;
    for (const quantity::LedgerLine& line : ledger) {
        if (line.of != of) above.clear();
        of = line.of;
        EXPECT_NEAR(reckoned(line), line.value, 1e-12 * std::max(1.0, std::abs(line.value)))
            << line.of << ": " << line.what << " = " << line.formula;
        for (const quantity::LedgerInput& input : line.inputs) {
            EXPECT_FALSE(input.from.empty()) << line.of << ": " << line.what << ", " << input.symbol;
            if (input.from == "above") {
                EXPECT_EQ(input.value, above.at(input.symbol)) << line.of << ", " << input.symbol;
            }
        }
        above[line.symbol] = line.value;
    }
}

} // namespace venture::testing_data
