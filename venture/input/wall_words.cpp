#include <venture/input/wall_words.hpp>

#include <algorithm>
#include <array>
#include <optional>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/quantity/units.hpp>

namespace venture::input {

using quantity::trimmed;

namespace {

/// A part that is one layer, and what stands behind it.
struct Part {
    std::string_view words;
    double usual_mm;
    std::string_view material, behind;
};
constexpr std::array parts = {
    Part{"brick cladding", 102, "facing brick", "50 mm air gap"},
    Part{"timber cladding", 20, "softwood", "25 mm well ventilated air gap"},
    Part{"metal cladding", 1, "steel", "25 mm well ventilated air gap"},
    Part{"render", 15, "cement render", ""},
    Part{"brick outer leaf", 102, "facing brick", ""},
    Part{"block outer leaf", 100, "dense concrete block", ""},
    Part{"stone outer leaf", 100, "limestone", ""},
    Part{"brick inner leaf", 102, "inner brick", ""},
    Part{"block inner leaf", 100, "aerated concrete block", ""},
    Part{"solid brick", 215, "facing brick", ""},
    Part{"solid stone", 500, "sandstone", ""},
    Part{"solid concrete", 200, "reinforced concrete", ""},
    Part{"sheathing", 9, "plywood", ""},
    Part{"plasterboard", 12.5, "plasterboard", ""},
    Part{"two plasterboards", 25, "plasterboard", ""},
    Part{"plaster", 13, "gypsum plaster", ""},
    Part{"service void", 25, "air gap", ""},
};
constexpr double cavity_mm = 50.0, timber_frame_mm = 140.0, steel_frame_mm = 100.0;
constexpr double stud_mm = 45.0, plates_share = 0.06, usual_timber_share = 0.15;

/// A phrase and the length that stands before or behind it.
struct Phrase {
    std::string words{};
    std::optional<double> mm{};
};

std::optional<double> length_mm(std::string_view number_and_unit)
{
    const auto typed = quantity::leading_number(number_and_unit);
    if (!typed || trimmed(typed->rest).empty()) return std::nullopt;
    const auto si = quantity::to_si(typed->value, trimmed(typed->rest), quantity::Kind::length);
    const double* metres = std::get_if<double>(&si);
    return metres ? std::optional{1000.0 * *metres} : std::nullopt;
}

Phrase phrase_of(std::string_view text)
{
    if (const auto before = thickness_and_name(text)) return {before->name, 1000.0 * before->thickness_m};
    const auto number = text.find_first_of("0123456789");
    if (number != std::string_view::npos && number > 0)
        if (const auto mm = length_mm(text.substr(number))) return {std::string{trimmed(text.substr(0, number))}, mm};
    return {std::string{text}, {}};
}

/// Goes through the phrases, keeping the layer that a filling or studs belong to open.
class Words {
public:
    [[nodiscard]] std::variant<WallInWords, LayerProblem> read(std::string_view text)
    {
        while (!text.empty()) {
            const auto comma = text.find(',');
            const std::string_view phrase = trimmed(text.substr(0, comma));
            text = comma == std::string_view::npos ? std::string_view{} : text.substr(comma + 1);
            if (auto wrong = take(phrase)) return *wrong;
        }
        close();
        if (out_.layers.empty()) return LayerProblem{"the wall is described by no words", {}};
        return out_;
    }

private:
    enum class Open { nothing, cavity, timber, steel };

    std::optional<LayerProblem> take(std::string_view text)
    {
        constexpr std::string_view filled = "filled with ", studs = "studs";
        if (text.starts_with(filled)) {
            if (open_ == Open::nothing)
                return LayerProblem{fmt::format("'{}' stands behind no cavity or frame", text), {}};
            filling_ = std::string{trimmed(text.substr(filled.size()))};
            return std::nullopt;
        }
        if (text.starts_with(studs)) return take_studs(text);
        const Phrase phrase = phrase_of(text);
        if (phrase.words == "cavity") return begin(Open::cavity, phrase, cavity_mm);
        if (phrase.words == "timber frame") return begin(Open::timber, phrase, timber_frame_mm);
        if (phrase.words == "steel frame") return begin(Open::steel, phrase, steel_frame_mm);
        const auto part = std::ranges::find(parts, std::string_view{phrase.words}, &Part::words);
        close();
        if (part != parts.end()) {
            if (!phrase.mm) out_.assumed.push_back(fmt::format("{}: {:g} mm thick", part->words, part->usual_mm));
            out_.layers.push_back(fmt::format("{:g} mm {}", phrase.mm.value_or(part->usual_mm), part->material));
            if (!part->behind.empty()) {
                out_.layers.emplace_back(part->behind);
                out_.assumed.push_back(fmt::format("behind {}: {}", part->words, part->behind));
            }
            return std::nullopt;
        }
        if (std::holds_alternative<LayerWords>(parse_layer(text))) {
            out_.layers.emplace_back(text);
            return std::nullopt;
        }
        std::vector<std::string> known = {"cavity", "timber frame", "steel frame", "filled with ...", "studs at ..."};
        for (const Part& p : parts) known.emplace_back(p.words);
        const auto near = quantity::nearest_name(phrase.words, known);
        return LayerProblem{
            fmt::format("'{}' is no part of a wall; there are: {}", text.substr(0, 60), quantity::listed(known, 30)),
            near ? fmt::format("did you mean '{}'?", *near) : std::string{}};
    }

    /// "studs at 600 mm", "studs 38 mm at 400 mm".
    std::optional<LayerProblem> take_studs(std::string_view text)
    {
        const LayerProblem wrong{
            fmt::format("'{}' does not say how far apart (\"studs at 600 mm\", \"studs 38 mm at 400 mm\")", text), {}};
        if (open_ != Open::timber && open_ != Open::steel)
            return LayerProblem{fmt::format("'{}' stands behind no frame", text), {}};
        const auto at = text.find("at ");
        if (at == std::string_view::npos) return wrong;
        const auto spacing = length_mm(text.substr(at + 3));
        const std::string_view width = trimmed(text.substr(5, at - 5));
        const auto wide = width.empty() ? std::optional{stud_mm} : length_mm(width);
        if (!spacing || !wide || !(*wide > 0.0) || !(*wide < *spacing)) return wrong;
        if (open_ == Open::steel) return std::nullopt;
        if (width.empty()) out_.assumed.push_back(fmt::format("studs {:g} mm wide", *wide));
        share_ = *wide / *spacing;
        return std::nullopt;
    }

    std::optional<LayerProblem> begin(Open what, const Phrase& phrase, double usual_mm)
    {
        close();
        open_ = what;
        mm_ = phrase.mm.value_or(usual_mm);
        if (!phrase.mm) out_.assumed.push_back(fmt::format("{}: {:g} mm", phrase.words, usual_mm));
        if (what == Open::timber && !out_.layers.empty() && !out_.layers.back().ends_with("plywood")) {
            out_.layers.emplace_back("9 mm plywood");
            out_.assumed.emplace_back("sheathing outside of the frame: 9 mm plywood");
        }
        return std::nullopt;
    }

    /// Writes the layer of the cavity or frame that was begun.
    void close()
    {
        if (open_ == Open::cavity) {
            out_.layers.push_back(fmt::format("{:g} mm {}", mm_, filling_.value_or("air gap")));
        } else if (open_ != Open::nothing) {
            if (!filling_) out_.assumed.emplace_back("between the studs: mineral wool");
            const std::string filling = filling_.value_or("mineral wool");
            if (open_ == Open::timber) {
                const double share = share_ ? *share_ + plates_share : usual_timber_share;
                out_.assumed.push_back(
                    share_ ? fmt::format("plates and noggins: {:g} % of the area more than the studs",
                                         100.0 * plates_share)
                           : fmt::format("studs, plates and noggins: {:g} % of the area", 100.0 * usual_timber_share));
                out_.layers.push_back(fmt::format("{:g} mm {} with {:.4g} % softwood", mm_, filling, 100.0 * share));
            } else {
                out_.assumed.emplace_back(
                    "steel studs are not in the U-value, as ISO 6946 does not cover them: type what "
                    "they add as `correction`");
                out_.layers.push_back(fmt::format("{:g} mm {}", mm_, filling));
            }
        }
        open_ = Open::nothing;
        filling_.reset();
        share_.reset();
    }

    WallInWords out_{};
    Open open_ = Open::nothing;
    double mm_ = 0.0;
    std::optional<std::string> filling_{};
    std::optional<double> share_{};
};

} // namespace

std::variant<WallInWords, LayerProblem> wall_in_words(std::string_view text) { return Words{}.read(text); }

} // namespace venture::input
