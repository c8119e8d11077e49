#pragma once
/// Factors on a capacity that a maker gives over one input: height above the sea, share of glycol.

#include <optional>
#include <string_view>
#include <variant>

#include <venture/quantity/record.hpp>
#include <venture/rating/grid_table.hpp>

namespace venture::rating {

/// Two keys of a product: values of the input, and the factor at each.
class FactorTable {
public:
    /// @param keys  what both are called: "glycol and glycol_factors"
    /// @throws quantity::Error  one without the other, or no table
    FactorTable(At input, std::string_view keys, const quantity::Given<quantity::QuantityList>& at,
                const quantity::Given<quantity::QuantityList>& factors);
    [[nodiscard]] bool is_given() const { return table_.has_value(); }
    /// Linear between the values; an input that is not asked for counts as nil.
    /// @returns 1 where nothing is given and the input is nil; a refusal where it is not, or outside the values
    [[nodiscard]] std::variant<double, Refusal> factor(const Conditions& at) const;

private:
    At input_;
    std::optional<GridTable> table_{};
};

} // namespace venture::rating
