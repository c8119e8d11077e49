#include <venture/study/unit_findings.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/rating/choosing.hpp>

namespace venture::study {

using quantity::Problem;
using quantity::Severity;
using terminal::RoomSelection;
using terminal::Standing;

namespace {

class UnitFindings {
public:
    UnitFindings(const Sizing& sizing, const RoomSelection& unit, const quantity::PreferredUnits& units,
                 std::vector<Problem>& into)
        : u_{unit},
          kind_{*sizing.services.circuits[unit.circuit].unit},
          load_{sizing.loads.rooms[unit.room]},
          units_{units},
          into_{into}
    {
    }

    void run()
    {
        const auto& chosen = u_.choice.chosen;
        if (!chosen || chosen->refused) return;
        if (u_.kept) {
            check_place();
            check_sound();
            check_surface();
        }
        check_number();
        check_dryness();
    }

private:
    void say(Severity severity, std::string_view code, std::string message, std::string hint)
    {
        into_.push_back({.severity = severity,
                         .code = code,
                         .where = u_.kept ? u_.kept->origin : load_.origin,
                         .message = fmt::format("{}, {}: {}", load_.room, quantity::name_of(u_.duty.service), message),
                         .hint = std::move(hint),
                         .subject = fmt::format("{} {} unit", load_.room, quantity::name_of(u_.duty.service)),
                         .inputs = u_.choice.chosen->called()});
    }
    [[nodiscard]] std::string length(double m) const { return units_.text(m, "length"); }

    /// Under the windows that it was meant for, or else along the walls.
    void check_place()
    {
        if (!kind_.in_rows() || u_.standing.empty()) return;
        for (const Standing& s : u_.standing) {
            const rating::Label& label = s.product->label();
            const double room_m = s.spot.height_m - u_.wish.floor_gap_m - (s.under_window ? u_.wish.sill_gap_m : 0.0);
            constexpr double rounding_m = 1e-6;
            if (label.height_m > room_m + rounding_m)
                return say(Severity::warning, quantity::codes::no_place,
                           fmt::format("{} is {} high, but under the {} there are {}{}", label.name,
                                       length(label.height_m), s.spot.called, length(std::max(0.0, room_m)),
                                       s.under_window ? fmt::format(" (sill at {})", length(s.spot.height_m)) : ""),
                           "a lower one, or one by a wall: take the [[kept]] table away to see what fits");
            const double along_m = s.spot.width_m - 2.0 * u_.wish.side_gap_m;
            if (label.length_m > along_m + rounding_m)
                return say(Severity::warning, quantity::codes::no_place,
                           fmt::format("{} is {} long, but along the {} there are {}", label.name,
                                       length(label.length_m), s.spot.called, length(std::max(0.0, along_m))),
                           "a shorter one, or several");
        }
        if (std::ssize(u_.standing) < u_.kept->count)
            say(Severity::warning, quantity::codes::no_place,
                fmt::format("there is a place for {} of {}", u_.standing.size(), u_.kept->count),
                "fewer and larger ones");
    }

    void check_sound()
    {
        if (!u_.wish.most_sound_dB) return;
        const rating::Rated& chosen = *u_.choice.chosen;
        const double one_dB = chosen.units.front().one.sound_power_dBA - u_.wish.wish.room_effect_dB,
                     all_dB = chosen.all().sound_power_dBA - u_.wish.wish.room_effect_dB;
        if (all_dB <= u_.wish.most_sound_dB->value) return;
        const std::string each = chosen.count() > 1 ? fmt::format(", each {:.1f}", one_dB) : "";
        say(Severity::warning, quantity::codes::too_loud,
            std::isnan(all_dB)
                ? fmt::format("nobody says how loud {} is; at most {:.1f} dB(A) are asked for", chosen.called(),
                              u_.wish.most_sound_dB->value)
                : fmt::format("{} make {:.1f} dB(A) in the room together{}; at most {:.1f} are asked for",
                              chosen.called(), all_dB, each, u_.wish.most_sound_dB->value),
            "a larger one at a lower speed, or fewer");
    }

    void check_surface()
    {
        if (!u_.wish.warmest_surface_C || u_.duty.service != rating::Service::heating) return;
        const double surface_C = rating::surface_C(u_.choice.chosen->product().label(), u_.at);
        if (!(surface_C > u_.wish.warmest_surface_C->value)) return;
        say(Severity::warning, quantity::codes::too_warm,
            fmt::format("{} can be touched at {}, where at most {} are allowed", u_.choice.chosen->called(),
                        units_.text(surface_C, "temperature"),
                        units_.text(u_.wish.warmest_surface_C->value, "temperature")),
            "one in a casing, or colder water");
    }

    void check_number()
    {
        constexpr int many = 6;
        if (u_.kept || !kind_.in_rows() || u_.choice.chosen->count() < many) return;
        say(Severity::note, quantity::codes::many_units,
            fmt::format("{} {}s: {}", u_.choice.chosen->count(), kind_.words, u_.choice.chosen->called()),
            "another kind of unit may serve so large a need better: fewer, larger ones for tall rooms, or heated air");
    }

    /// Where nobody limits humidity the coil decides it.
    void check_dryness()
    {
        if (u_.duty.service != rating::Service::cooling || u_.duty.latent_W || !u_.choice.chosen->all().dry) return;
        constexpr double worth_saying_W = 100.0;
        if (load_.cooling_latent_W < worth_saying_W) return;
        say(Severity::note, quantity::codes::stays_dry,
            fmt::format(
                "{} takes none of the {} of moisture at {} of water: nobody limits the humidity, and it rises{}",
                u_.choice.chosen->called(), units_.text(load_.cooling_latent_W, "total_power"),
                units_.text(u_.at[rating::At::water_supply], "temperature"),
                u_.humidity ? fmt::format(" to {:.0f} %", 100.0 * u_.humidity->relative) : ""),
            "colder water, or outdoor air that is dried; humidity_limit of the room makes it count");
    }

    const RoomSelection& u_;
    const rating::Kind& kind_;
    const loads::RoomLoad& load_;
    const quantity::PreferredUnits& units_;
    std::vector<Problem>& into_;
};

} // namespace

void add_unit_findings(const Sizing& sizing, const RoomSelection& unit, const quantity::PreferredUnits& units,
                       std::vector<Problem>& into)
{
    UnitFindings{sizing, unit, units, into}.run();
}

} // namespace venture::study
