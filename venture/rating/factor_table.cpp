#include <venture/rating/factor_table.hpp>

#include <string>

namespace venture::rating {

FactorTable::FactorTable(At input, std::string_view keys, const quantity::Given<quantity::QuantityList>& at,
                         const quantity::Given<quantity::QuantityList>& factors)
    : input_{input}
{
    if (at.value.has_value() != factors.value.has_value())
        throw quantity::Error{std::string{keys} + " belong together: one is missing"};
    if (at) table_ = GridTable{{{input, *at}}, *factors};
}

std::variant<double, Refusal> FactorTable::factor(const Conditions& at) const
{
    const double value = at.value_or(input_, 0.0);
    if (table_) {
        const Conditions here = Conditions{}.set(input_, value);
        if (auto refused = table_->refuses(here)) return *refused;
        return table_->at(here);
    }
    if (value == 0.0) return 1.0;
    return Refusal{Refusal::Why::no_factors, input_, value};
}

} // namespace venture::rating
