#include <venture/input/layer_text.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>

namespace venture::input {

using quantity::Kind;
using quantity::trimmed;

namespace {

constexpr std::string_view expected =
    "a thickness and a material (\"102 mm brick\"), or a resistance and a name (\"0.18 m2K/W air gap\")";

/// "45 mm softwood" as number, unit and the rest.
struct Measure {
    double value = 0.0;
    std::string_view unit{}, rest{};
};

/// A quantity of one word or more before a name.
/// @param with  what stands in it
std::optional<std::pair<double, std::string_view>> words_then_name(std::string_view text, Kind kind, char with = ' ')
{
    for (auto blank = text.find(' '); blank != std::string_view::npos; blank = text.find(' ', blank + 1)) {
        const std::string_view words = text.substr(0, blank);
        if (with != ' ' && words.find(with) == std::string_view::npos) continue;
        const auto read = quantity::parse_quantity(words, kind);
        if (const double* si = std::get_if<double>(&read)) return std::pair{*si, trimmed(text.substr(blank))};
    }
    return std::nullopt;
}

std::optional<Measure> measure(std::string_view text)
{
    if (const auto inches = words_then_name(text, Kind::length, '/')) // "3 1/2 in batts"
        return Measure{inches->first, quantity::plain_unit(Kind::length), inches->second};
    const auto typed = quantity::leading_number(text);
    if (!typed) return std::nullopt;
    const std::string_view rest = trimmed(typed->rest);
    const auto blank = rest.find(' ');
    if (blank == std::string_view::npos) return Measure{typed->value, rest, {}};
    return Measure{typed->value, rest.substr(0, blank), trimmed(rest.substr(blank))};
}

std::optional<double> in_si(const Measure& m, Kind kind)
{
    const auto si = quantity::to_si(m.value, m.unit, kind);
    if (const double* value = std::get_if<double>(&si)) return *value;
    return std::nullopt;
}

/// "R-38 loft wool", "RSI 6.7 loft wool" as resistance and name.
std::optional<LayerWords> by_r_value(std::string_view text)
{
    if (!text.starts_with('R')) return std::nullopt;
    const auto read = words_then_name(text, Kind::resistance);
    if (!read) return std::nullopt;
    LayerWords out;
    out.is_resistance = true;
    out.resistance_m2K_per_W = read->first;
    out.name = std::string{read->second};
    return out;
}

/// Where a word stands before a number: materials may have "with" in their names, but no number behind it.
std::size_t find_before_number(std::string_view text, std::string_view word)
{
    for (std::size_t at = text.find(word); at != std::string_view::npos; at = text.find(word, at + 1))
        if (quantity::leading_number(trimmed(text.substr(at + word.size())))) return at;
    return std::string_view::npos;
}

/// " with 12 % softwood".
std::string bridge_by_share(std::string_view words, LayerWords& out)
{
    const auto m = measure(words);
    const auto share = m ? in_si(*m, Kind::fraction) : std::nullopt;
    if (!share || m->unit.empty() || m->rest.empty())
        return fmt::format("'with {}' does not say a share of the area and a material", words.substr(0, 40));
    out.bridge = std::string{m->rest};
    out.bridge_share = *share;
    return {};
}

/// " between 45 mm softwood every 600 mm".
std::string bridge_by_spacing(std::string_view words, LayerWords& out)
{
    const auto wrong = [&] {
        return fmt::format(
            "'between {}' does not say a width, a material and a spacing (\"between 45 mm softwood every "
            "600 mm\")",
            words.substr(0, 40));
    };
    const auto every = words.find(" every ");
    if (every == std::string_view::npos) return wrong();
    const auto wide = measure(words.substr(0, every)), apart = measure(words.substr(every + 7));
    if (!wide || !apart || wide->rest.empty() || !apart->rest.empty()) return wrong();
    const auto width = in_si(*wide, Kind::length), spacing = in_si(*apart, Kind::length);
    if (!width || !spacing || !(*width > 0.0) || !(*width < *spacing)) return wrong();
    out.bridge = std::string{wide->rest};
    out.bridge_share = *width / *spacing;
    return {};
}

/// "20 to 140 mm polystyrene" or "2 cm to 140 mm polystyrene", taken apart.
struct Range {
    double value = 0.0;
    std::string_view unit{}; ///< empty: that of the second thickness
    std::string_view rest{}; ///< from the second thickness on
};

std::optional<Range> range_of(std::string_view text)
{
    const auto from = measure(text);
    if (!from) return std::nullopt;
    const bool shares_unit = from->unit == "to";
    std::string_view rest = from->rest;
    if (!shares_unit) {
        if (!rest.starts_with("to ")) return std::nullopt;
        rest = trimmed(rest.substr(3));
    }
    if (!quantity::leading_number(rest)) return std::nullopt;
    return Range{from->value, shares_unit ? std::string_view{} : from->unit, rest};
}

/// A layer that tapers: the greater thickness is the layer's.
std::variant<LayerWords, LayerProblem> tapered_layer(const Range& range, std::string_view text)
{
    auto layer = parse_layer(range.rest);
    auto* words = std::get_if<LayerWords>(&layer);
    if (words == nullptr) return layer;
    const auto m = measure(range.rest);
    const auto other =
        m ? in_si({range.value, range.unit.empty() ? m->unit : range.unit, {}}, Kind::length) : std::nullopt;
    if (!other || words->is_resistance || words->gap || !words->bridge.empty())
        return LayerProblem{
            fmt::format("'{}' cannot taper: a gap, a resistance or a bridged layer is even", text.substr(0, 60)),
            "a layer that tapers is a material (\"20 to 140 mm polystyrene\")"};
    if (*other < 0.0 || *other == words->thickness_m)
        return LayerProblem{
            fmt::format("'{}' does not taper; expected two thicknesses that differ, 0 or more", text.substr(0, 60)),
            {}};
    words->tapers_to_m = std::min(*other, words->thickness_m);
    words->thickness_m = std::max(*other, words->thickness_m);
    return layer;
}

/// "50 mm well ventilated air gap", once its thickness is known.
std::optional<fabric::StatedGap> gap_of(std::string_view name, double thickness_m)
{
    constexpr std::string_view gap = "air gap";
    if (!name.ends_with(gap)) return std::nullopt;
    const std::string_view before = trimmed(name.substr(0, name.size() - gap.size()));
    fabric::StatedGap out{.thickness_m = thickness_m};
    if (before.empty()) return out;
    constexpr double bright_foil = 0.05;
    if (before == "well ventilated")
        out.ventilation = fabric::Ventilation::well;
    else if (before == "slightly ventilated")
        out.ventilation = fabric::Ventilation::slight;
    else if (before == "foil-faced")
        out.emissivity_1 = bright_foil;
    else
        return std::nullopt;
    return out;
}

} // namespace

std::optional<ThicknessAndName> thickness_and_name(std::string_view text)
{
    const auto m = measure(text);
    const auto thickness = m ? in_si(*m, Kind::length) : std::nullopt;
    if (!thickness || m->unit.empty() || m->rest.empty()) return std::nullopt;
    return ThicknessAndName{*thickness, std::string{m->rest}};
}

std::variant<LayerWords, LayerProblem> parse_layer(std::string_view text)
{
    if (const auto range = range_of(text)) return tapered_layer(*range, text);
    if (auto layer = by_r_value(text)) return *layer;
    const auto m = measure(text);
    if (!m || m->rest.empty())
        return LayerProblem{fmt::format("'{}' is no layer; expected {}", text.substr(0, 60), expected), {}};
    LayerWords out;
    if (const auto r = in_si(*m, Kind::resistance)) {
        out.is_resistance = true;
        out.resistance_m2K_per_W = *r;
        out.name = std::string{m->rest};
        return out;
    }
    const auto thickness = quantity::to_si(m->value, m->unit, Kind::length);
    if (const auto* wrong = std::get_if<quantity::QuantityProblem>(&thickness))
        return LayerProblem{fmt::format("{} found in '{}'; expected {}", wrong->found, text.substr(0, 60), expected),
                            wrong->hint};
    out.thickness_m = std::get<double>(thickness);
    if (!(out.thickness_m > 0.0))
        return LayerProblem{fmt::format("'{}' is a layer of no thickness; expected more than 0", text.substr(0, 60)),
                            "leave it out, or type its resistance (\"0.18 m2K/W air gap\")"};
    std::string_view name = m->rest;
    std::string wrong;
    constexpr std::string_view with = " with ", between = " between ";
    if (const auto at = find_before_number(name, between); at != std::string_view::npos) {
        wrong = bridge_by_spacing(name.substr(at + between.size()), out);
        name = name.substr(0, at);
    } else if (const auto share = find_before_number(name, with); share != std::string_view::npos) {
        wrong = bridge_by_share(name.substr(share + with.size()), out);
        name = name.substr(0, share);
    }
    if (!wrong.empty()) return LayerProblem{std::move(wrong), {}};
    out.name = std::string{trimmed(name)};
    constexpr std::string_view gaps_by_other_names[] = {"air", "air space", "air cavity", "cavity", "gap"};
    if (std::ranges::find(gaps_by_other_names, out.name) != std::end(gaps_by_other_names))
        return LayerProblem{fmt::format("'{}' is no layer; expected {}", text.substr(0, 60), expected),
                            fmt::format("air between layers is an air gap: \"{} air gap\"",
                                        trimmed(text.substr(0, text.size() - m->rest.size())))};
    out.gap = gap_of(out.name, out.thickness_m);
    return out;
}

} // namespace venture::input
