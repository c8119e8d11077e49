#include <venture/quantity/units.hpp>

#include <array>
#include <charconv>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/compound.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unit_table.hpp>

namespace venture::quantity {

using detail::Unit;

namespace {

struct KindName {
    Kind kind;
    std::string_view name;
};

constexpr std::array kind_names = {
    KindName{Kind::number, "number"},
    KindName{Kind::fraction, "fraction"},
    KindName{Kind::length, "length"},
    KindName{Kind::area, "area"},
    KindName{Kind::volume, "volume"},
    KindName{Kind::velocity, "velocity"},
    KindName{Kind::temperature, "temperature"},
    KindName{Kind::temperature_difference, "temperature difference"},
    KindName{Kind::power, "power"},
    KindName{Kind::power_per_area, "power per area"},
    KindName{Kind::heat_transfer, "U-value"},
    KindName{Kind::heat_loss, "heat loss coefficient"},
    KindName{Kind::resistance, "thermal resistance"},
    KindName{Kind::conductivity, "conductivity"},
    KindName{Kind::density, "density"},
    KindName{Kind::specific_heat, "specific heat"},
    KindName{Kind::areal_capacity, "heat capacity per area"},
    KindName{Kind::areal_mass, "mass per area"},
    KindName{Kind::air_flow, "air flow"},
    KindName{Kind::standard_air_flow, "standard air flow"},
    KindName{Kind::air_flow_per_area, "air flow per area"},
    KindName{Kind::area_per_power, "area per power"},
    KindName{Kind::air_flow_per_power, "air flow per power"},
    KindName{Kind::air_changes, "air change rate"},
    KindName{Kind::water_flow, "water flow"},
    KindName{Kind::mass, "mass"},
    KindName{Kind::moisture_flow, "moisture flow"},
    KindName{Kind::humidity_ratio, "humidity ratio"},
    KindName{Kind::concentration, "concentration"},
    KindName{Kind::enthalpy, "enthalpy"},
    KindName{Kind::energy, "energy"},
    KindName{Kind::irradiation, "irradiation"},
    KindName{Kind::cloud_cover, "cloud cover"},
    KindName{Kind::angle, "angle"},
    KindName{Kind::hours, "duration"},
    KindName{Kind::pressure, "pressure"},
    KindName{Kind::sound_power, "sound power level"},
    KindName{Kind::sound_pressure, "sound pressure level"},
    KindName{Kind::noise_rating, "noise rating"},
    KindName{Kind::noise_criterion, "noise criterion"},
};

bool is_sound(Kind kind)
{
    return kind == Kind::sound_power || kind == Kind::sound_pressure || kind == Kind::noise_rating ||
           kind == Kind::noise_criterion;
}

/// A unit of another kind that this text spells, to say "K measures a temperature difference".
const Unit* unit_of_another_kind(std::string_view typed)
{
    for (const Unit& unit : detail::units())
        if (!unit.symbol.empty() && detail::spells(typed, unit)) return &unit;
    return nullptr;
}

std::string hint_for(std::string_view symbol, Kind kind)
{
    for (const detail::Refused& refused : detail::refused_spellings())
        if (refused.kind == kind && refused.symbol == symbol) return std::string{refused.reason};
    if (const Unit* other = unit_of_another_kind(symbol)) {
        if (is_sound(kind) && is_sound(other->kind))
            return fmt::format("'{}' is a {}; ratings of sound are not converted: that takes the spectrum and the room",
                               symbol, name_of(other->kind));
        return fmt::format("'{}' measures {}, not {}", symbol, name_of(other->kind), name_of(kind));
    }
    if (const auto near = nearest_name(symbol, unit_symbols(kind))) return fmt::format("did you mean '{}'?", *near);
    return {};
}

/// What is no number may be what another kind calls a quantity.
std::string hint_for_no_number(std::string_view text, Kind kind)
{
    if (!compound_quantity(text, Kind::resistance)) return {};
    return kind == Kind::heat_transfer
               ? fmt::format(
                     "an R-value is that of a layer: layers = [\"{} mineral wool\"]; the U-value of the whole has "
                     "its films and the other layers in it",
                     trimmed(text))
               : fmt::format("an R-value measures {}, not {}", name_of(Kind::resistance), name_of(kind));
}

void append_escaped(std::string& pattern, std::string_view spelling)
{
    constexpr std::pair<std::string_view, std::string_view> folds[] = {
        {"deg", "(deg|\u00b0)"}, {"2", "[2\u00b2]"}, {"3", "[3\u00b3]"}, {".", "[.\u00b7\u22c5]"}};
    for (std::size_t at = 0; at < spelling.size();) {
        bool done = false;
        for (const auto& [plain, folded] : folds)
            if (!done && spelling.substr(at).starts_with(plain)) {
                pattern += folded;
                at += plain.size();
                done = true;
            }
        if (done) continue;
        if (std::string_view{"()/%|+*?[]{}^$\\"}.find(spelling[at]) != std::string_view::npos) pattern += '\\';
        pattern += spelling[at++];
    }
}

} // namespace

const std::vector<Kind>& all_kinds()
{
    static const std::vector<Kind> kinds = [] {
        std::vector<Kind> out;
        for (const KindName& k : kind_names) out.push_back(k.kind);
        return out;
    }();
    return kinds;
}

std::string_view name_of(Kind kind)
{
    const auto& entry = kind_names.at(static_cast<std::size_t>(kind));
    VENTURE_ASSERT(entry.kind == kind);
    return entry.name;
}

std::string_view si_unit(Kind kind)
{
    for (const detail::Unit& unit : detail::units())
        if (unit.kind == kind && unit.factor == 1.0 && unit.offset == 0.0 && !unit.symbol.empty()) return unit.symbol;
    switch (kind) { // kinds that nobody types in SI
    case Kind::areal_capacity:
        return "J/m2K";
    case Kind::standard_air_flow:
    case Kind::water_flow:
        return "m3/s";
    case Kind::air_flow_per_area:
        return "m3/s.m2";
    case Kind::area_per_power:
        return "m2/W";
    case Kind::air_flow_per_power:
        return "m3/s.W";
    case Kind::moisture_flow:
        return "kg/s";
    case Kind::enthalpy:
        return "J/kg";
    case Kind::energy:
        return "J";
    case Kind::irradiation:
        return "J/m2";
    default:
        return "1";
    }
}

std::string_view plain_unit(Kind kind)
{
    if (kind == Kind::fraction) return {}; // a bare 0.35 is a fraction, not 0.35 %
    for (const Unit& unit : detail::units())
        if (unit.kind == kind) return unit.symbol;
    VENTURE_UNREACHABLE("a kind without a unit");
}

std::vector<std::string> unit_symbols(Kind kind)
{
    std::vector<std::string> out;
    for (const Unit& unit : detail::units())
        if (unit.kind == kind) out.emplace_back(unit.symbol);
    return out;
}

std::string typing_rule(Kind kind, std::string_view bare)
{
    const auto symbols = unit_symbols(kind);
    if (kind == Kind::number) return "a plain number";
    if (kind == Kind::fraction) return "a fraction (0.35) or a percentage (\"35 %\")";
    return fmt::format("{} in {}, or a bare number in {}", name_of(kind), listed(symbols, 12),
                       bare.empty() ? plain_unit(kind) : bare);
}

std::string quantity_pattern(Kind kind)
{
    std::string spellings;
    for (const Unit& unit : detail::units()) {
        if (unit.kind != kind || unit.symbol.empty()) continue;
        std::string_view rest = unit.others;
        append_escaped(spellings += spellings.empty() ? "" : "|", unit.symbol);
        while (!rest.empty()) {
            const auto bar = std::min(rest.find('|'), rest.size());
            append_escaped(spellings += "|", rest.substr(0, bar));
            rest.remove_prefix(std::min(bar + 1, rest.size()));
        }
    }
    std::string one = R"([+-]?([0-9]+\.?[0-9]*|\.[0-9]+)([eE][+-]?[0-9]+)?\s*)";
    if (!spellings.empty()) one += "(" + spellings + ")?";
    const std::string compound = compound_pattern(kind);
    return R"(^\s*)" + (compound.empty() ? one : "(" + one + "|" + compound + ")") + R"(\s*$)";
}

std::optional<LeadingNumber> leading_number(std::string_view text)
{
    text = trimmed(text);
    const bool plus = text.starts_with('+');
    const char* first = text.data() + (plus ? 1 : 0);
    const char* last = text.data() + text.size();
    if (plus && first != last && *first == '-') return std::nullopt;
    double value = 0.0;
    const auto [end, problem] = std::from_chars(first, last, value);
    if (problem != std::errc{} || !std::isfinite(value)) return std::nullopt;
    return LeadingNumber{value, trimmed({end, static_cast<std::size_t>(last - end)})};
}

std::variant<double, QuantityProblem> to_si(double typed, std::string_view symbol, Kind kind)
{
    if (symbol.empty() && kind == Kind::fraction) return typed;
    const Unit* unit = detail::find_unit(symbol.empty() ? plain_unit(kind) : symbol, kind);
    if (unit == nullptr)
        return QuantityProblem{fmt::format("the unit '{}'", symbol.substr(0, 60)), typing_rule(kind),
                               hint_for(symbol, kind)};
    return typed * unit->factor + unit->offset;
}

double from_si(double si, std::string_view symbol, Kind kind)
{
    const Unit* unit = detail::find_unit(symbol, kind);
    if (unit == nullptr) throw Error{fmt::format("{} has no unit '{}'", name_of(kind), symbol)};
    return (si - unit->offset) / unit->factor;
}

std::variant<double, QuantityProblem> parse_quantity(std::string_view text, Kind kind, std::string_view bare)
{
    if (const auto compound = compound_quantity(text, kind)) return *compound;
    const auto number = leading_number(text);
    const auto found = [&] { return fmt::format("'{}'", trimmed(text).substr(0, 60)); };
    if (!number) return QuantityProblem{found(), typing_rule(kind, bare), hint_for_no_number(text, kind)};
    if (number->rest.starts_with(','))
        return QuantityProblem{found(), typing_rule(kind, bare),
                               "a comma may be a decimal mark or thousands: write a point, and no thousands mark"};
    auto out = to_si(number->value, number->rest.empty() ? bare : number->rest, kind);
    if (auto* wrong = std::get_if<QuantityProblem>(&out)) wrong->expected = typing_rule(kind, bare);
    return out;
}

std::string print_quantity(double si, Kind kind, int digits)
{
    const std::string_view symbol = kind == Kind::fraction ? "%" : plain_unit(kind);
    const std::string number = fmt::format("{:.{}g}", from_si(si, symbol, kind), digits);
    return symbol.empty() ? number : fmt::format("{} {}", number, symbol);
}

} // namespace venture::quantity
