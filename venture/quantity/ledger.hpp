#pragma once
/// Arithmetic written down by the functions that do it, on demand: each line can be reckoned again from what it prints.

#include <string>
#include <vector>

namespace venture::quantity {

/// A number that a line is reckoned from. SI.
struct LedgerInput {
    std::string symbol{}; ///< as the formula has it
    double value = 0.0;
    std::string unit{};
    std::string from{}; ///< where it was said, or the line that it comes from
};

/// One result and how it was reckoned. SI.
struct LedgerLine {
    std::string of{};      ///< what all belongs to: "north wall to outdoors"
    std::string what{};    ///< "loss"
    std::string symbol{};  ///< that later lines take it by
    std::string formula{}; ///< of the inputs' symbols, with + - * / ^ and brackets
    std::vector<LedgerInput> inputs{};
    double value = 0.0;
    std::string unit{};

    /// The formula with its numbers in place of symbols, each with so many digits that count.
    [[nodiscard]] std::string in_numbers(int digits = 5) const;
};

using Ledger = std::vector<LedgerLine>;

/// Where a function writes its lines, and what they belong to.
struct LedgerOf {
    Ledger& ledger;
    std::string of{};
    void write(LedgerLine line) const
    {
        line.of = of;
        ledger.push_back(std::move(line));
    }
};

} // namespace venture::quantity
