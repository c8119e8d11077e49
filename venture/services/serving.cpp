#include <venture/services/serving.hpp>

#include <algorithm>
#include <cmath>
#include <unordered_map>
#include <unordered_set>

#include <fnmatch.h>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/unknown_name.hpp>

namespace venture::services {

namespace codes = quantity::codes;
using quantity::OriginId;
using quantity::Severity;

namespace {

bool is_pattern(const quantity::PlacedText& name) { return name.text.find('*') != std::string::npos; }

} // namespace

bool is_named_like(const std::string& name, const std::string& pattern)
{
    std::string plain; // only the star means something
    for (const char c : pattern) {
        if (c == '?' || c == '[' || c == '\\') plain += '\\';
        plain += c;
    }
    return fnmatch(plain.c_str(), name.c_str(), 0) == 0;
}

Serving::Serving(const input::Input& input, const std::vector<Client>& clients, const std::vector<Circuit>& circuits,
                 quantity::Problems& problems)
    : input_{input},
      clients_{clients},
      circuits_{circuits},
      problems_{problems},
      say{problems}
{
    for (const input::ServeInput& said : input.serve) read(said);
    find_lines_of_clients();
    tell_idle_lines();
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

/// Names are looked up, so that a line for each of thousands of rooms costs no more than the rooms; only lines that speak of
/// many are held against all of them.
void Serving::find_lines_of_clients()
{
    std::unordered_map<std::string_view, std::vector<std::size_t>> by_name;
    std::vector<std::size_t> wide;
    for (std::size_t i = 0; i < lines_.size(); ++i) {
        const auto& rooms = lines_[i].said->rooms;
        if (!rooms || std::ranges::any_of(*rooms, is_pattern)) {
            wide.push_back(i);
            continue;
        }
        for (const quantity::PlacedText& name : *rooms) by_name[name.text].push_back(i);
    }
    for (const Client& client : clients_) {
        std::vector<std::size_t> lines = wide;
        if (const auto named = by_name.find(client.room); named != by_name.end())
            lines.insert(lines.end(), named->second.begin(), named->second.end());
        std::ranges::sort(lines);
        const auto again = std::ranges::unique(lines);
        lines.erase(again.begin(), again.end());
        std::erase_if(lines, [&](std::size_t line) { return !speaks_of(lines_[line], client); });
        lines_of_.push_back(std::move(lines));
    }
}

/// Names that no room bears, and lines that speak of none.
void Serving::tell_idle_lines()
{
    std::vector<bool> speaks(lines_.size());
    for (const std::vector<std::size_t>& lines : lines_of_)
        for (const std::size_t line : lines) speaks[line] = true;
    std::vector<std::string> names;
    for (const Client& c : clients_) names.push_back(c.room);
    const std::unordered_set<std::string_view> known{names.begin(), names.end()};
    for (std::size_t i = 0; i < lines_.size(); ++i) {
        const input::ServeInput& said = *lines_[i].said;
        bool is_told = false;
        if (said.rooms)
            for (const quantity::PlacedText& name : *said.rooms) {
                const auto is_like = [&](const std::string& room) { return is_named_like(room, name.text); };
                if (is_pattern(name) ? std::ranges::any_of(names, is_like) : known.contains(name.text)) continue;
                is_told = true;
                if (is_pattern(name))
                    say(Severity::warning, codes::unused, name.origin,
                        fmt::format("no room has a name like '{}'", name.text), "* stands for any letters")
                        .subject = "rooms like " + name.text;
                else
                    problems_.add(quantity::unknown_name("room", name.text, name.origin, names));
            }
        if (is_told || speaks[i]) continue;
        say(Severity::warning, codes::unused, said.by.origin, "this line speaks of no room",
            "its rooms, type and storey must all hold for a room")
            .subject = "line by " + *said.by;
    }
}

bool Serving::speaks_of(const Line& line, const Client& client)
{
    const input::ServeInput& said = *line.said;
    if (said.type && *said.type != client.type) return false;
    if (said.storey && *said.storey != client.storey) return false;
    return !said.rooms || std::ranges::any_of(*said.rooms, [&](const quantity::PlacedText& name) {
        return is_named_like(client.room, name.text);
    });
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
    for (const std::size_t line : lines_of_[client])
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
