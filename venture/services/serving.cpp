#include <venture/services/serving.hpp>

#include <algorithm>
#include <cmath>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/unknown_name.hpp>

namespace venture::services {

namespace codes = quantity::codes;
using quantity::OriginId;
using quantity::Severity;

Serving::Serving(const input::Input& input, const std::vector<Client>& clients, const std::vector<Circuit>& circuits,
                 quantity::Problems& problems)
    : input_{input},
      clients_{clients},
      circuits_{circuits},
      problems_{problems},
      say{problems}
{
    for (const input::ServeInput& said : input.serve) read(said);
    std::vector<SpeaksOf> lines;
    for (const Line& line : lines_) {
        const input::ServeInput& said = *line.said;
        lines.push_back({&said.rooms, &said.type, &said.storey, said.by.origin, "line by " + *said.by});
    }
    room_lines_ = RoomLines{lines, clients, problems};
}

std::optional<std::size_t> Serving::find_circuit(const std::string& name, OriginId where)
{
    if (const auto found = find_named(circuits_, name)) return found;
    const bool is_unreadable =
        std::ranges::any_of(input_.circuits, [&](const auto& c) { return c.name && *c.name == name; });
    if (is_unreadable) return std::nullopt; // said already
    std::vector<std::string> names;
    for (const Circuit& c : circuits_) names.push_back(c.name);
    problems_.add(quantity::unknown_name("circuit", name, where, names));
    return std::nullopt;
}

void Serving::read(const input::ServeInput& said)
{
    if (!said.by) return; // said already: a missing key
    Line line{.said = &said};
    if (const auto service = said.service.which()) line.only = static_cast<Service>(*service);
    if (*said.by != "nothing") {
        line.circuit = find_circuit(*said.by, said.by.origin);
        if (!line.circuit) return;
        const Service carries = circuits_[*line.circuit].carries;
        if (line.only.value_or(carries) != carries) {
            say(Severity::error, codes::contradiction, said.service.origin,
                fmt::format("circuit '{}' does not carry {}", *said.by, name_of(*line.only)),
                fmt::format("it carries {}: leave service out", name_of(carries)));
            return;
        }
        line.only = carries;
    } else if (said.share) {
        say(Severity::error, codes::contradiction, said.share.origin, "a share that nothing serves",
            "give the shares of those that serve; they add up to 1");
        return;
    }
    lines_.push_back(line);
}

Servers Serving::of(std::size_t client)
{
    const Client& c = clients_[client];
    Servers out;
    if (c.heated) out[Service::heating] = servers(client, Service::heating);
    if (c.cooled) out[Service::cooling] = servers(client, Service::cooling);
    return out;
}

std::vector<Server> Serving::servers(std::size_t client, Service service)
{
    std::vector<const Line*> speaking;
    for (const std::size_t line : room_lines_.of(client))
        if (lines_[line].only.value_or(service) == service) speaking.push_back(&lines_[line]);
    return speaking.empty() ? by_name(clients_[client], service) : by_lines(clients_[client], service, speaking);
}

std::vector<Server> Serving::by_lines(const Client& client, Service service, const std::vector<const Line*>& lines)
{
    std::vector<Server> out;
    bool in_shares = false;
    for (const Line* line : lines) {
        const bool shares = static_cast<bool>(line->said->share);
        if (!(shares && in_shares)) out.clear();
        in_shares = shares;
        if (line->circuit) out.push_back({*line->circuit, shares ? *line->said->share : 1.0});
    }
    const Line& last = *lines.back();
    double sum = 0.0;
    for (const Server& server : out) {
        sum += server.share;
        const auto same = [&](const Server& other) { return other.circuit == server.circuit; };
        if (std::ranges::count_if(out, same) > 1) {
            say(Severity::error, codes::twice, last.said->by.origin,
                fmt::format("{} of room '{}' is served twice by circuit '{}'", name_of(service), client.room,
                            circuits_[server.circuit].name),
                "one line a circuit");
            return {};
        }
    }
    constexpr double tolerance = 1e-6;
    if (in_shares && std::abs(sum - 1.0) > tolerance) {
        say(Severity::error, codes::contradiction, last.said->share.origin,
            fmt::format("the shares of those that serve the {} of room '{}' add up to {:g}", name_of(service),
                        client.room, sum),
            "they must add up to 1")
            .cause = "shares do not add up to 1";
        return {};
    }
    const bool heating = service == Service::heating;
    const std::string& named = heating ? client.heated_by : client.cooled_by;
    const bool other = !named.empty() && (out.size() != 1 || circuits_[out.front().circuit].name != named);
    if (other) {
        quantity::Problem& told =
            say(Severity::note, codes::served_twice, heating ? client.heated_by_origin : client.cooled_by_origin,
                fmt::format("{} of room '{}': a [[serve]] line stands over '{}', named here", name_of(service),
                            client.room, named),
                "take out the one that is not meant");
        told.cause = fmt::format("{} is said twice", name_of(service));
        told.subject = fmt::format("room/{} {}", client.room, name_of(service));
    }
    return out.empty() ? unserved(client, service, "is said to be served by nothing") : out;
}

std::vector<Server> Serving::by_name(const Client& client, Service service)
{
    const bool heating = service == Service::heating;
    const std::string& named = heating ? client.heated_by : client.cooled_by;
    if (named == "nothing") return unserved(client, service, "is said to be served by nothing");
    if (!named.empty()) {
        const OriginId where = heating ? client.heated_by_origin : client.cooled_by_origin;
        const auto found = find_circuit(named, where);
        if (!found) return {};
        if (circuits_[*found].carries != service)
            say(Severity::error, codes::contradiction, where,
                fmt::format("room '{}': circuit '{}' does not carry {}", client.room, named, name_of(service)));
        return {{*found}};
    }
    std::vector<Server> carrying;
    for (std::size_t i = 0; i < circuits_.size(); ++i)
        if (circuits_[i].carries == service && circuits_[i].unit != nullptr) carrying.push_back({i});
    if (carrying.size() == 1) return carrying;
    return unserved(client, service,
                    carrying.empty() ? "no circuit carries it" : "several circuits carry it and none is named");
}

std::vector<Server> Serving::unserved(const Client& client, Service service, std::string_view why)
{
    quantity::Problem& told = say(Severity::warning, codes::unserved, client.origin,
                                  fmt::format("{} of room '{}' is not served: {}", name_of(service), client.room, why),
                                  fmt::format("name a circuit with {}, or take the set-point away",
                                              service == Service::heating ? "heated_by" : "cooled_by"));
    told.subject = fmt::format("room/{} {}", client.room, name_of(service));
    told.cause = fmt::format("{} is not served: {}", name_of(service), why);
    return {};
}

} // namespace venture::services
