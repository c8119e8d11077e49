#include <venture/terminal/selection.hpp>

#include <algorithm>
#include <cmath>
#include <map>
#include <set>
#include <tuple>

#include <venture/air/moist_air.hpp>
#include <venture/rating/choosing.hpp>
#include <venture/rating/sound.hpp>
#include <venture/terminal/fewest_types.hpp>
#include <venture/terminal/row_selection.hpp>

namespace venture::terminal {

using rating::At;
using rating::Service;
using services::Circuit;

namespace {

class Selector {
public:
    Selector(const loads::RoomLoads& loads, const services::Services& services, const rating::Stocks& stocks,
             const Surroundings& around, const RoomsToFurnish& rooms)
        : loads_{loads},
          services_{services},
          stocks_{stocks},
          around_{around},
          rooms_{rooms}
    {
    }

    std::vector<RoomSelection> run()
    {
        for (const services::UnitPlace& unit : services_.places.units) // in the order of the rooms
            for (const Service service : {Service::heating, Service::cooling})
                if (const auto& server = unit.servers[service])
                    if (auto wanted = asked(*server, unit.room))
                        out_.push_back(place_of(unit, *server, std::move(*wanted)));
        find_alike();
        find_fewest_types();
        for (std::size_t i = 0; i < out_.size(); ++i) {
            select(i);
            find_humidity(out_[i]);
        }
        return std::move(out_);
    }

private:
    /// In the hour of the peak, in whose air products are rated, where somebody limits the humidity or typed how much it is;
    /// elsewhere the room is as humid as the coil leaves it.
    static std::optional<double> latent_asked_W(const loads::RoomLoad& load)
    {
        const bool asked = (load.humidity_held || load.typed) && load.cooling_latent_W > 0.0;
        return asked ? std::optional{load.cooling_latent_W} : std::nullopt;
    }

    static rating::Conditions air_of(double room_C)
    {
        return rating::Conditions{}.set(At::room, room_C).set(At::entering_dry_bulb, room_C);
    }

    [[nodiscard]] double wet_bulb_of(const loads::RoomLoad& load) const
    {
        return air::wet_bulb(air::MoistAir::from_humidity_ratio(quantity::Temperature::celsius(load.cooling_air_C),
                                                                load.cooling_humidity_ratio,
                                                                quantity::Pressure::pascal(around_.pressure_Pa)))
            .celsius();
    }

    /// What a circuit asks of the units of a room; nothing where there is no load.
    [[nodiscard]] std::optional<rating::Asked> asked(const services::Server& server, std::size_t room) const
    {
        const loads::RoomLoad& load = loads_.rooms[room];
        if (!load.supplied_by.empty()) return std::nullopt;
        const Circuit& c = services_.circuits[server.circuit];
        rating::Asked out;
        if (c.carries == Service::heating) {
            out.duty = {.service = c.carries, .W = load.heating_W};
            out.at = air_of(load.heating_room_C);
        } else {
            out.duty = {c.carries, load.cooling_W, load.cooling_sensible_peak_W, latent_asked_W(load)};
            out.at = air_of(load.cooling_air_C).set(At::entering_wet_bulb, wet_bulb_of(load));
        }
        out.duty.W *= server.share;
        if (out.duty.W <= 0.0) return std::nullopt;
        if (out.duty.sensible_W) *out.duty.sensible_W *= server.share;
        if (out.duty.latent_W) *out.duty.latent_W *= server.share;
        out.at.set(At::air_pressure, around_.pressure_Pa).set(At::height_above_sea, around_.height_m);
        if (room < rooms_.primary_air.size() && rooms_.primary_air[room])
            rooms_.primary_air[room]->say_to(out.at, c.carries, load, around_.pressure_Pa);
        if (c.has_water())
            out.at.set(At::water_supply, c.supply_C).set(At::water_return, c.return_C).set(At::glycol, c.glycol);
        return out;
    }

    [[nodiscard]] RoomSelection place_of(const services::UnitPlace& unit, const services::Server& server,
                                         rating::Asked asked) const
    {
        const Circuit& c = services_.circuits[server.circuit];
        RoomSelection s{.room = unit.room,
                        .circuit = server.circuit,
                        .node = unit.node,
                        .share = server.share,
                        .duty = asked.duty,
                        .at = asked.at,
                        .wish = rooms_.wishes.of(unit.room, *c.unit)};
        if (s.wish.output_factor != 1.0) s.at.set(At::output_factor, s.wish.output_factor);
        const RoomPlaces* places = places_of(s);
        if (!s.wish.warmest_surface_C && places != nullptr) s.wish.warmest_surface_C = places->warmest_surface_C;
        if (s.wish.warmest_surface_C) s.wish.wish.most_surface_C = s.wish.warmest_surface_C->value;
        if (s.wish.most_sound_dB) s.wish.wish.most_sound_dB = s.wish.most_sound_dB->value;
        if (s.wish.wall_length_m) s.wish.wish.most_total_length_m = *s.wish.wall_length_m;
        ask_for_doors(s, *c.unit);
        const double volume_m3 = loads_.rooms[unit.room].volume_m3;
        constexpr double usual_dB = 8.0; // where no volume is known; our assumption
        s.wish.wish.room_effect_dB =
            s.wish.room_effect_dB.value_or(volume_m3 > 0.0 ? rating::room_effect_dB(volume_m3) : usual_dB);
        if (const services::Kept* kept = services_.find_kept(loads_.rooms[unit.room].room, s.duty.service))
            s.kept = *kept;
        return s;
    }

    [[nodiscard]] const RoomPlaces* places_of(const RoomSelection& s) const
    {
        if (rooms_.places.empty() || !rooms_.places[s.room].known) return nullptr;
        return &rooms_.places[s.room];
    }

    /// Rooms that are to get the same: what the one that needs most needs, by each of them.
    void find_alike()
    {
        using Key = std::tuple<std::size_t, Service, std::string, long>;
        std::map<Key, std::vector<std::size_t>> alike;
        for (std::size_t i = 0; i < out_.size(); ++i) {
            if (!out_[i].wish.alike) continue;
            const loads::RoomLoad& load = loads_.rooms[out_[i].room];
            constexpr double apart_m2 = 0.1;
            const RoomPlaces* places = places_of(out_[i]);
            alike[{out_[i].circuit, out_[i].duty.service, places != nullptr ? places->type : "",
                   std::lround(load.floor_area_m2 / apart_m2)}]
                .push_back(i);
        }
        for (const auto& [key, places] : alike) {
            const auto most = *std::ranges::max_element(places, {}, [&](std::size_t i) { return out_[i].duty.W; });
            for (const std::size_t i : places)
                if (i != most) chosen_as_.emplace(i, most);
        }
    }

    /// Narrows what is wished for in rooms that ask for few types, kind by kind.
    void find_fewest_types()
    {
        std::map<const rating::Kind*, std::vector<std::size_t>> asking;
        for (std::size_t i = 0; i < out_.size(); ++i) {
            const auto& aims = out_[i].wish.wish.aims;
            if (!out_[i].kept && std::ranges::find(aims, rating::Aim::fewest_types) != aims.end())
                asking[services_.circuits[out_[i].circuit].unit].push_back(i);
        }
        for (const auto& [kind, places] : asking) {
            std::set<std::pair<std::string, std::string>> found;
            for (const auto& product : stocks_.products(*kind))
                if (!product->label().family.empty()) found.emplace(product->maker(), product->label().family);
            const std::vector<std::pair<std::string, std::string>> types{found.begin(), found.end()};
            std::vector<std::vector<bool>> suffices;
            for (const std::size_t i : places) {
                std::vector<bool>& of_place = suffices.emplace_back();
                for (const auto& type : types) of_place.push_back(suffices_with(i, type));
            }
            const std::vector<std::size_t> given = fewest_types(suffices);
            for (std::size_t p = 0; p < places.size(); ++p)
                if (given[p] < types.size()) narrow(out_[places[p]].wish.wish, types[given[p]]);
        }
    }
    static void narrow(rating::Wish& wish, const std::pair<std::string, std::string>& type)
    {
        wish.makers = {type.first};
        wish.families = {type.second};
    }
    /// Not by being half as large again as is asked.
    [[nodiscard]] bool suffices_with(std::size_t i, const std::pair<std::string, std::string>& type)
    {
        constexpr double least_full = 1.0 / 1.5;
        const RoomSelection& s = out_[i];
        if (!allows(s.wish.wish, type)) return false;
        RoomSelection tried = s;
        narrow(tried.wish.wish, type);
        choose_for(tried, tried.wish, {tried.at, tried.duty}, also(i));
        return tried.choice.chosen && tried.choice.chosen->fullness() >= least_full;
    }
    static bool allows(const rating::Wish& wish, const std::pair<std::string, std::string>& type)
    {
        const auto any = [](const std::vector<std::string>& words, const std::string& word) {
            return words.empty() || std::ranges::find(words, word) != words.end();
        };
        return any(wish.makers, type.first) && any(wish.families, type.second);
    }

    /// What the same units do for another service: it stands beside.
    [[nodiscard]] std::optional<rating::Asked> also(std::size_t i) const
    {
        for (const std::size_t other : {i - 1, i + 1})
            if (other < out_.size() && out_[other].node == out_[i].node)
                return rating::Asked{out_[other].at, out_[other].duty};
        return std::nullopt;
    }

    void select(std::size_t i)
    {
        RoomSelection& s = out_[i];
        if (s.kept) return rate_kept(s);
        const auto as = chosen_as_.find(i);
        const std::size_t m = as == chosen_as_.end() ? i : as->second;
        const RoomSelection& model = out_[m];
        choose_for(s, model.wish, {model.at, model.duty}, also(m));
        if (m != i)
            for (auto* rated : {&s.choice.chosen, &s.choice.runner_up, &s.choice.next_down})
                if (*rated && (*rated)->duty.service == s.duty.service) (*rated)->duty = s.duty;
    }

    void find_humidity(RoomSelection& s) const
    {
        if (!s.choice.chosen || s.duty.latent_W || s.at.has(At::primary_flow)) return;
        s.humidity = humidity_with(*s.choice.chosen, s.at, loads_.rooms[s.room], s.share, around_.pressure_Pa);
    }

    void choose_for(RoomSelection& s, const RoomWish& wish, const rating::Asked& asked,
                    const std::optional<rating::Asked>& besides)
    {
        const rating::Kind& kind = *services_.circuits[s.circuit].unit;
        const RoomPlaces* places = kind.in_rows() && !s.wish.wall_length_m ? places_of(s) : nullptr;
        const rating::Products products = stocks_.products(kind);
        if (places == nullptr) {
            s.choice = rating::choose(products, wish.wish, asked, besides, brackets_of(kind));
            if (kind.along == rating::Along::doors) stand_at_doors(s, kind);
            return;
        }
        PlacedChoice placed = choose_row_for(products, wish, *places, asked, kind.along);
        s.choice = std::move(placed.choice);
        s.placing = placed.placing;
        s.standing = std::move(placed.standing);
    }

    /// One at each door to outdoors, as wide and as high as the largest of them.
    void ask_for_doors(RoomSelection& s, const rating::Kind& kind) const
    {
        const RoomPlaces* places = places_of(s);
        if (kind.along != rating::Along::doors || places == nullptr || places->doors.empty()) return;
        rating::Wish& wish = s.wish.wish;
        wish.counts.fewest = static_cast<int>(places->doors.size());
        wish.counts.most = std::max(wish.counts.most, wish.counts.fewest);
        for (const Spot& door : places->doors) {
            wish.least_length_m = std::max(wish.least_length_m, door.width_m);
            wish.least_reach_m = std::max(wish.least_reach_m, door.height_m);
        }
    }
    void stand_at_doors(RoomSelection& s, const rating::Kind& kind) const
    {
        const RoomPlaces* places = places_of(s);
        if (places == nullptr || places->doors.empty() || !s.choice.chosen || s.choice.chosen->refused) return;
        s.placing = Placing::over_doors;
        s.standing = standing_of(s.choice.chosen->product(), s.choice.chosen->count(), *places, kind.along);
    }

    void rate_kept(RoomSelection& s) const
    {
        const Circuit& c = services_.circuits[s.circuit];
        const RoomPlaces* places = c.unit->along != rating::Along::nothing ? places_of(s) : nullptr;
        if (s.kept->chosen_for_W && *s.kept->chosen_for_W > 0.0) s.duty_moved = s.duty.W / *s.kept->chosen_for_W - 1.0;
        const rating::Product* product = s.kept->typed ? s.kept->typed.get() : stocks_.find(*c.unit, s.kept->product);
        s.kept_unknown = product == nullptr;
        if (product == nullptr) return;
        s.choice.chosen = rating::rated_at(*product, s.kept->count, s.at, s.duty);
        if (places == nullptr || s.kept->typed) return; // of what was typed nobody knows how large it is
        s.standing = standing_of(*product, s.kept->count, *places, c.unit->along);
        const auto windows = std::ranges::count_if(s.standing, &Standing::under_window);
        if (std::ssize(s.standing) == s.kept->count)
            s.placing = c.unit->along == rating::Along::doors ? Placing::over_doors
                        : windows == s.kept->count            ? Placing::under_windows
                        : windows == 0                        ? Placing::along_walls
                                                              : Placing::windows_and_walls;
    }

    /// Bounds pay where many rooms ask the same products.
    [[nodiscard]] rating::Brackets* brackets_of(const rating::Kind& kind)
    {
        constexpr std::size_t many = 40;
        if (out_.size() < many) return nullptr;
        return &brackets_.try_emplace(&kind, stocks_.products(kind)).first->second;
    }

    const loads::RoomLoads& loads_;
    const services::Services& services_;
    const rating::Stocks& stocks_;
    const Surroundings& around_;
    const RoomsToFurnish& rooms_;
    std::vector<RoomSelection> out_{};
    std::map<std::size_t, std::size_t> chosen_as_{}; ///< by place: the one that it is like and that needs more
    std::map<const rating::Kind*, rating::Brackets> brackets_{};
};

/// What the water of units brings or takes while they give a room what it needs: so much of the time, or so far open, that the
/// harder part is met. The heat of their fans helps to heat.
class CoilLoad {
public:
    /// @param all     of all units, to the full   @param floats  nobody limits the humidity: the sensible part alone decides
    CoilLoad(Service service, const rating::Output& all, bool floats)
        : heats_{service == Service::heating},
          floats_{floats},
          total_W_{all.gives_W[service]},
          sensible_W_{heats_ ? total_W_ : all.sensible_W},
          water_sensible_W_{sensible_W_ + (heats_ ? -1.0 : 1.0) * all.fan_W}
    {
    }
    void take(rating::Demand& demand) const
    {
        if (!heats_) demand.latent_W.resize(demand.hours(), 0.0);
        for (std::size_t h = 0; h < demand.hours(); ++h) {
            const double runs = std::max(sensible_W_ > 0.0 ? demand.sensible_W[h] / sensible_W_ : 0.0,
                                         total_W_ > 0.0 && !floats_ ? demand.total_W(h) / total_W_ : 0.0);
            demand.sensible_W[h] = runs * water_sensible_W_;
            if (!heats_) demand.latent_W[h] = runs * (total_W_ - sensible_W_);
        }
        demand.sum_of_peaks_W = demand.peak_W();
    }

private:
    bool heats_, floats_;
    double total_W_, sensible_W_, water_sensible_W_;
};

} // namespace

std::vector<RoomSelection> select_units(const loads::RoomLoads& loads, const services::Services& services,
                                        const rating::Stocks& stocks, const Surroundings& around,
                                        const RoomsToFurnish& rooms)
{
    return Selector{loads, services, stocks, around, rooms}.run();
}

services::PassOn what_units_take(const std::vector<RoomSelection>& units)
{
    std::map<std::pair<services::NodeId, Service>, CoilLoad> coils;
    for (const RoomSelection& unit : units)
        if (unit.choice.chosen && !unit.choice.chosen->refused)
            coils.emplace(std::pair{unit.node, unit.duty.service},
                          CoilLoad{unit.duty.service, unit.humidity ? unit.humidity->all : unit.choice.chosen->all(),
                                   unit.humidity.has_value()});
    return [coils](services::NodeId node, Service service, rating::Demand& demand) {
        if (const auto coil = coils.find({node, service}); coil != coils.end()) coil->second.take(demand);
    };
}

} // namespace venture::terminal
