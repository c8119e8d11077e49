#include <venture/report/product_report.hpp>

#include <algorithm>
#include <array>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::report {

using quantity::Key;

namespace {

/// What a number of a kind is printed as.
std::string quantity_of(const quantity::KeySpec& spec)
{
    if (spec.kind == quantity::Kind::fraction) return "fine_ratio";
    if (spec.kind == quantity::Kind::number) return "ratio";
    if (spec.kind == quantity::Kind::sound_power) return "sound_power";
    const auto& printed = quantity::printed_quantities();
    const auto at = std::ranges::find(printed, spec.kind, &quantity::PrintedQuantity::kind);
    VENTURE_ASSERT(at != printed.end());
    return std::string{at->key};
}

/// "length <= 1 m".
class Condition {
public:
    Condition(const std::string& typed, const std::vector<const Key*>& keys)
    {
        const auto sign = typed.find_first_of("<>=");
        const std::string key{quantity::trimmed(typed.substr(0, sign))};
        const auto at = std::ranges::find(keys, key, [](const Key* k) { return k->spec.name; });
        if (sign == std::string::npos || at == keys.end()) {
            std::vector<std::string> names;
            for (const Key* k : keys) names.emplace_back(k->spec.name);
            const auto near = quantity::nearest_name(key, names);
            throw quantity::Error{fmt::format(
                "--where \"{}\": write a key, one of = < > <= >=, and a value; keys are {}{}", typed,
                quantity::listed(names, 20),
                near && sign != std::string::npos ? fmt::format(" (did you mean '{}'?)", *near) : std::string{})};
        }
        index_ = static_cast<std::size_t>(at - keys.begin());
        const bool equal_too = sign + 1 < typed.size() && typed[sign + 1] == '=';
        less_ = typed[sign] == '<';
        more_ = typed[sign] == '>';
        equal_ = typed[sign] == '=' || equal_too;
        const std::string value{quantity::trimmed(typed.substr(sign + (equal_too ? 2 : 1)))};
        if ((*at)->shape == quantity::ValueShape::text) {
            text_ = quantity::lower_case(value);
            return;
        }
        const auto read = quantity::parse_quantity(value, (*at)->spec.kind);
        if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&read))
            throw quantity::Error{
                fmt::format("--where \"{}\": {} found, {} expected", typed, wrong->found, wrong->expected)};
        number_ = std::get<double>(read);
    }
    /// What nobody says meets no condition.
    [[nodiscard]] bool holds(const rating::Said& said) const
    {
        constexpr double last_digits = 1e-9;
        const auto& value = said[index_];
        if (const auto* text = std::get_if<std::string>(&value)) return equal_ && quantity::lower_case(*text) == text_;
        const auto* number = std::get_if<double>(&value);
        if (number == nullptr) return false;
        const double apart = *number - number_, same = last_digits * std::max(1.0, std::abs(number_));
        if (std::abs(apart) <= same) return equal_;
        return apart < 0.0 ? less_ : more_;
    }

private:
    std::size_t index_ = 0;
    bool less_ = false, more_ = false, equal_ = false;
    double number_ = 0.0;
    std::string text_{};
};

} // namespace

figure::Declaration product_declaration(const rating::Kind& kind)
{
    figure::Declaration out{.name = std::string{kind.key},
                            .title = fmt::format("{}s to choose from", kind.words),
                            .meaning = fmt::format("A {} as its catalogue has it.", kind.words)};
    out.title.front() = static_cast<char>(std::toupper(static_cast<unsigned char>(out.title.front())));
    for (const Key* key : rating::plain_keys(kind)) {
        const bool number = key->shape == quantity::ValueShape::number;
        std::string heading{key->spec.name};
        std::ranges::replace(heading, '_', ' ');
        out.columns.push_back({.key = std::string{key->spec.name},
                               .heading = std::move(heading),
                               .quantity = number ? quantity_of(key->spec) : std::string{},
                               .meaning = std::string{key->spec.text},
                               .rank = key->spec.required ? 1 : 2,
                               .show = figure::Show::if_any});
    }
    out.columns.front().rank = 0;
    out.columns.push_back({.key = "from", .heading = "from", .meaning = "where its data stand", .rank = 4});
    return out;
}

figure::Table product_table(const rating::Stocks& stocks, const rating::Kind& kind,
                            const std::vector<std::string>& where)
{
    std::vector<Condition> conditions;
    const auto keys = rating::plain_keys(kind);
    for (const std::string& typed : where) conditions.emplace_back(typed, keys);
    figure::Table out{product_declaration(kind)};
    for (const rating::Stock& stock : stocks.all()) {
        if (stock.kind != &kind) continue;
        for (std::size_t i = 0; i < stock.products.size(); ++i) {
            if (!std::ranges::all_of(conditions, [&](const Condition& c) { return c.holds(stock.said[i]); })) continue;
            std::vector<figure::Cell>& cells = out.rows.emplace_back();
            for (const auto& value : stock.said[i])
                cells.push_back(std::visit(
                    [](const auto& v) -> figure::Cell {
                        if constexpr (std::is_same_v<std::decay_t<decltype(v)>, std::monostate>)
                            return {};
                        else
                            return v;
                    },
                    value));
            cells.emplace_back(stock.products[i]->from());
        }
    }
    return out;
}

} // namespace venture::report
