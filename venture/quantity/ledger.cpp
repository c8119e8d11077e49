#include <venture/quantity/ledger.hpp>

#include <algorithm>

#include <fmt/format.h>

namespace venture::quantity {

namespace {

bool in_symbol(char c) { return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || c == '_'; }
bool in_number(char c) { return c >= '0' && c <= '9'; }

/// What begins there and goes on without a break: a symbol, a number, or a sign.
std::string_view word_at(std::string_view formula)
{
    if (!in_symbol(formula.front()) && !in_number(formula.front())) return formula.substr(0, 1);
    const bool number = in_number(formula.front());
    const auto ends = [&](std::size_t i) {
        const char c = formula[i];
        const bool exponent = number && (c == '-' || c == '+') && formula[i - 1] == 'e';
        return !in_symbol(c) && !in_number(c) && c != '.' && !exponent;
    };
    std::size_t end = 1;
    while (end < formula.size() && !ends(end)) ++end;
    return formula.substr(0, end);
}

} // namespace

std::string LedgerLine::in_numbers(int digits) const
{
    std::string out;
    std::string_view rest = formula;
    while (!rest.empty()) {
        const std::string_view word = word_at(rest);
        rest.remove_prefix(word.size());
        const auto input = std::ranges::find(inputs, word, &LedgerInput::symbol);
        if (input == inputs.end())
            out += word;
        else
            out += input->value < 0.0 ? fmt::format("({:.{}g})", input->value, digits)
                                      : fmt::format("{:.{}g}", input->value, digits);
    }
    return out;
}

} // namespace venture::quantity
