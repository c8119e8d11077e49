#include <venture/services/services.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/input/chosen_units.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/record.hpp>
#include <venture/quantity/unknown_name.hpp>

namespace venture::services {

using input::CircuitInput;
using input::KeptInput;
using input::PlantInput;
using quantity::OriginId;
using quantity::Severity;
namespace codes = quantity::codes;

// What is typed as a duty stands for the service of the same word.
static_assert(name_of(Service::heating) == name_of(input::Duty::heating) &&
              static_cast<int>(Service::heating) == static_cast<int>(input::Duty::heating));
static_assert(name_of(Service::cooling) == name_of(input::Duty::cooling) &&
              static_cast<int>(Service::cooling) == static_cast<int>(input::Duty::cooling));

namespace {

class Connector {
public:
    Connector(const input::Input& input, const std::vector<Client>& clients, const Kinds& kinds)
        : input_{input},
          clients_{clients},
          kinds_{kinds},
          units_{input::chosen_units(input.units)}
    {
    }

    Services run()
    {
        if (input_.circuits.empty() && input_.plants.empty()) {
            assume();
        } else {
            for (const PlantInput& p : input_.plants) add_plant(p);
            for (const CircuitInput& c : input_.circuits) add_circuit(c);
        }
        for (const Client& client : clients_)
            for (Link& link = out_.rooms.emplace_back(); const Service service : {Service::heating, Service::cooling})
                link[service] = server(client, service);
        for (const KeptInput& k : input_.kept) add_kept(k);
        find_unused();
        return std::move(out_);
    }

private:
    quantity::Problem& say(Severity severity, std::string_view code, OriginId where, std::string message,
                           std::string hint = {})
    {
        return out_.problems.add(quantity::Problem{severity, code, where, std::move(message), std::move(hint)});
    }

    template <class T>
    static std::optional<std::size_t> find(const std::vector<T>& all, const std::string& name)
    {
        const auto it = std::ranges::find(all, name, &T::name);
        if (it == all.end()) return std::nullopt;
        return static_cast<std::size_t>(it - all.begin());
    }

    /// Whether the input has something of that name, readable or not.
    template <class Record>
    static bool is_given(const std::vector<Record>& all, const std::string& name)
    {
        return std::ranges::any_of(all, [&](const Record& r) { return r.name && *r.name == name; });
    }

    template <class T>
    void unknown(std::string_view what, const std::string& name, const std::vector<T>& all, OriginId where)
    {
        std::vector<std::string> names;
        for (const T& item : all) names.push_back(item.name);
        out_.problems.add(quantity::unknown_name(what, name, where, names));
    }

    /// "70/55 degC": supply and return, in the project's units.
    [[nodiscard]] std::string water(const Circuit& c) const
    {
        const auto text = [&](double t_C) { return units_.text(t_C, quantity::Kind::temperature); };
        const std::string supply = text(c.supply_C);
        return fmt::format("{}/{}", supply.substr(0, supply.find(' ')), text(c.return_C));
    }

    void assume()
    {
        const bool cools = std::ranges::any_of(clients_, &Client::cooled),
                   heats = !cools || std::ranges::any_of(clients_, &Client::heated);
        std::vector<std::string> what;
        const auto assume_one = [&](Service service) {
            const auto does_assumed = [&](const Kind* k) { return k->does(service) && k->assumed.has_value(); };
            const auto does = [&](const Kind* k) { return k->does(service); };
            const auto unit = std::ranges::find_if(kinds_.units, does_assumed);
            const auto plant = std::ranges::find_if(kinds_.plants, does);
            if (unit == kinds_.units.end() || plant == kinds_.plants.end()) return;
            const rating::AssumedWater w = *(*unit)->assumed;
            out_.circuits.push_back(
                {fmt::format("{}s", (*unit)->words), service, w.supply_C, w.return_C, *unit, out_.plants.size()});
            out_.plants.push_back({.name = std::string{(*plant)->words}, .kind = *plant});
            what.push_back(
                fmt::format("{}s at {} on one {}", (*unit)->words, water(out_.circuits.back()), (*plant)->words));
        };
        if (heats) assume_one(Service::heating);
        if (cools) assume_one(Service::cooling);
        say(Severity::note, codes::assumed, {},
            fmt::format("no circuits are given: {} are assumed, without margins", fmt::join(what, " and ")),
            "give [[circuit]] and [[plant]] tables to say otherwise");
    }

    static const Kind* kind_at(std::span<const Kind* const> kinds, std::size_t index)
    {
        return index < kinds.size() ? kinds[index] : nullptr;
    }
    /// The services that its list of kinds can do: "radiators: heating; fan coils: cooling".
    static std::string abilities(std::span<const Kind* const> kinds)
    {
        std::vector<std::string> out;
        for (const Kind* k : kinds) {
            std::vector<std::string_view> gives;
            for (const Service s : k->gives) gives.push_back(name_of(s));
            out.push_back(fmt::format("a {}: {}", k->words, fmt::join(gives, ", ")));
        }
        return fmt::format("{}", fmt::join(out, "; "));
    }

    void add_plant(const PlantInput& p)
    {
        const auto kind = p.kind.which();
        if (!p.name || !kind) return; // said already: a missing key
        out_.plants.push_back({*p.name, kind_at(kinds_.plants, static_cast<std::size_t>(*kind)),
                               p.margin ? *p.margin : 0.0, p.units.number().value_or(1),
                               p.diversity ? *p.diversity : 1.0, p.air_warmer.value.value_or(0.0)});
    }

    void add_circuit(const CircuitInput& c)
    {
        const auto carries = c.carries.which();
        const auto kind = c.unit.which();
        if (!c.name || !carries || !kind || !c.plant || !c.supply || !c.back) return; // said already
        const auto service = static_cast<Service>(*carries);
        const Kind* const unit = kind_at(kinds_.units, static_cast<std::size_t>(*kind));
        const bool falls = *c.supply > *c.back;
        if (falls != (service == Service::heating))
            say(Severity::error, codes::contradiction, c.back.origin,
                fmt::format("circuit '{}' carries {} with {:g} degC supply and {:g} degC return", *c.name, *c.carries,
                            *c.supply, *c.back),
                "heating water comes back colder, chilled water warmer: were the two swapped?");
        if (unit != nullptr && !unit->does(service))
            say(Severity::error, codes::contradiction, c.unit.origin,
                fmt::format("circuit '{}' carries {}: a {} has no such rating here", *c.name, *c.carries, *c.unit),
                abilities(kinds_.units));
        const auto plant = find(out_.plants, *c.plant);
        if (!plant && is_given(input_.plants, *c.plant)) return; // said already: something in that plant is unreadable
        if (!plant)
            unknown("plant", *c.plant, out_.plants, c.plant.origin);
        else if (const Kind* feeds = out_.plants[*plant].kind; feeds != nullptr && !feeds->does(service))
            say(Severity::error, codes::contradiction, c.plant.origin,
                fmt::format("circuit '{}' carries {} but its plant '{}' is a {}", *c.name, *c.carries, *c.plant,
                            feeds->words),
                abilities(kinds_.plants));
        out_.circuits.push_back(
            {*c.name, service, *c.supply, *c.back, unit, plant.value_or(0), c.diversity ? *c.diversity : 1.0});
    }

    std::optional<std::size_t> server(const Client& client, Service duty)
    {
        const bool heating = duty == Service::heating;
        if (!(heating ? client.heated : client.cooled)) return std::nullopt;
        const std::string& named = heating ? client.heated_by : client.cooled_by;
        const OriginId where = heating ? client.heated_by_origin : client.cooled_by_origin;
        if (named == "nothing") return unserved(client, duty, "is said to be served by nothing");
        if (!named.empty()) {
            const auto found = find(out_.circuits, named);
            if (!found && is_given(input_.circuits, named)) return std::nullopt; // said already
            if (!found)
                unknown("circuit", named, out_.circuits, where);
            else if (out_.circuits[*found].carries != duty)
                say(Severity::error, codes::contradiction, where,
                    fmt::format("room '{}': circuit '{}' does not carry {}", client.room, named, name_of(duty)));
            return found;
        }
        std::vector<std::size_t> carrying;
        for (std::size_t i = 0; i < out_.circuits.size(); ++i)
            if (out_.circuits[i].carries == duty) carrying.push_back(i);
        if (carrying.size() == 1) return carrying.front();
        return unserved(client, duty,
                        carrying.empty() ? "no circuit carries it" : "several circuits carry it and none is named");
    }

    std::optional<std::size_t> unserved(const Client& client, Service duty, std::string_view why)
    {
        quantity::Problem& told = say(Severity::warning, codes::unserved, client.origin,
                                      fmt::format("{} of room '{}' is not served: {}", name_of(duty), client.room, why),
                                      fmt::format("name a circuit with {}, or take the set-point away",
                                                  duty == Service::heating ? "heated_by" : "cooled_by"));
        told.subject = fmt::format("room/{} {}", client.room, name_of(duty));
        told.cause = fmt::format("{} is not served: {}", name_of(duty), why);
        return std::nullopt;
    }

    void add_kept(const KeptInput& k)
    {
        const auto duty = k.duty.which();
        if (!k.serves || !duty || !k.product) return; // said already
        const bool is_plant = find(out_.plants, *k.serves).has_value();
        const bool is_room = std::ranges::find(clients_, *k.serves, &Client::room) != clients_.end();
        if (!is_plant && !is_room) {
            std::vector<std::string> names;
            for (const Client& c : clients_) names.push_back(c.room);
            for (const Plant& p : out_.plants) names.push_back(p.name);
            out_.problems.add(quantity::unknown_name("room or plant", *k.serves, k.serves.origin, names));
        }
        Kept kept{*k.serves,          static_cast<Service>(*duty),
                  *k.product,         k.count.number().value_or(1),
                  k.chosen_for.value, k.serves.origin};
        if (out_.find_kept(kept.serves, kept.duty) != nullptr)
            say(Severity::error, codes::twice, k.serves.origin,
                fmt::format("a second product is kept for the {} of '{}'", *k.duty, *k.serves));
        out_.kept.push_back(std::move(kept));
    }

    void find_unused()
    {
        for (std::size_t c = 0; c < out_.circuits.size() && !input_.circuits.empty(); ++c) {
            const bool used =
                std::ranges::any_of(out_.rooms, [&](const Link& l) { return std::ranges::find(l, c) != l.end(); });
            if (!used)
                say(Severity::warning, codes::unused, input_.circuits[c].name.origin,
                    fmt::format("circuit '{}' serves no room", out_.circuits[c].name),
                    "name it in heated_by or cooled_by of a room, or take it out")
                    .subject = "circuit/" + out_.circuits[c].name;
        }
    }

    const input::Input& input_;
    const std::vector<Client>& clients_;
    const Kinds& kinds_;
    quantity::PreferredUnits units_; ///< that messages speak in
    Services out_{};
};

} // namespace

const Kept* Services::find_kept(std::string_view serves, Service duty) const
{
    const auto it = std::ranges::find_if(kept, [&](const Kept& k) { return k.serves == serves && k.duty == duty; });
    return it == kept.end() ? nullptr : &*it;
}

std::vector<std::size_t> Services::rooms_of_plant(std::size_t plant) const
{
    std::vector<std::size_t> out;
    for (std::size_t r = 0; r < rooms.size(); ++r) {
        const auto hangs = [&](const std::optional<std::size_t>& c) { return c && circuits[*c].plant == plant; };
        if (std::ranges::any_of(rooms[r], hangs)) out.push_back(r);
    }
    return out;
}

Services connect(const input::Input& input, const std::vector<Client>& clients, const Kinds& kinds)
{
    return Connector{input, clients, kinds}.run();
}

} // namespace venture::services
