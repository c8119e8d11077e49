#include <venture/quantity/typed_units.hpp>

#include <algorithm>
#include <ranges>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/unit_table.hpp>

namespace venture::quantity {

namespace {

/// A key's own choice, or that of its kind.
const PrintedQuantity* printed_of(const KeySpec& key)
{
    const auto& all = printed_quantities();
    const auto at = std::ranges::find_if(all, [&](const PrintedQuantity& q) {
        return key.printed_as.empty() ? q.kind == key.kind : q.key == key.printed_as;
    });
    return at == all.end() ? nullptr : &*at;
}

} // namespace

std::variant<TypedUnits, std::string> TypedUnits::parse(std::string_view words)
{
    TypedUnits out;
    out.words_ = std::string{trimmed(words)};
    if (out.words_.empty()) return "no units are named; there are SI, inch-pound, and single ones as in \"length=mm\"";
    for (const auto part : std::views::split(out.words_, ',')) {
        const std::string_view one = trimmed(std::string_view{part.begin(), part.end()});
        const auto equals = one.find('=');
        if (equals == std::string_view::npos) {
            if (std::ranges::find(unit_presets(), one) == unit_presets().end())
                return fmt::format("'{}' is no set of units; there are {}, and single ones as in \"length=mm\"", one,
                                   listed(unit_presets()));
            if (one == unit_presets().front()) continue;
            for (const PrintedQuantity& q : printed_quantities())
                if (q.inch_pound != q.si) out.chosen_.push_back({q.key, q.inch_pound});
            continue;
        }
        const std::string_view key = trimmed(one.substr(0, equals)), unit = trimmed(one.substr(equals + 1));
        const auto q = std::ranges::find(printed_quantities(), key, &PrintedQuantity::key);
        if (q == printed_quantities().end()) {
            std::vector<std::string> keys;
            for (const PrintedQuantity& known : printed_quantities()) keys.emplace_back(known.key);
            const auto near = nearest_name(key, keys);
            return fmt::format("nothing that has units is called '{}'{}", key,
                               near ? fmt::format("; did you mean '{}'?", *near) : "");
        }
        const detail::Unit* found = detail::find_unit(unit, q->kind);
        if (found == nullptr)
            return fmt::format("{} has no unit '{}'; it has {}", key, unit, listed(unit_symbols(q->kind), 12));
        out.chosen_.push_back({q->key, found->symbol});
    }
    return out;
}

std::optional<std::string_view> TypedUnits::of(const KeySpec& key) const
{
    if (chosen_.empty()) return std::nullopt;
    const PrintedQuantity* printed = printed_of(key);
    if (printed == nullptr) return std::nullopt;
    const auto last = std::ranges::find(chosen_.rbegin(), chosen_.rend(), printed->key, &Chosen::key);
    if (last == chosen_.rend() || last->unit == plain_unit(key.kind)) return std::nullopt;
    return last->unit;
}

} // namespace venture::quantity
