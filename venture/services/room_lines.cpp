#include <venture/services/room_lines.hpp>

#include <algorithm>
#include <unordered_map>
#include <unordered_set>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/unknown_name.hpp>
#include <venture/services/telling.hpp>

namespace venture::services {

namespace {

bool is_pattern(const quantity::PlacedText& name) { return name.text.find('*') != std::string::npos; }

bool names_rooms(const SpeaksOf& line) { return line.rooms != nullptr && static_cast<bool>(*line.rooms); }

bool allows(const quantity::Given<std::string>* wanted, const std::string& is)
{
    return wanted == nullptr || !*wanted || **wanted == is;
}

bool speaks_of(const SpeaksOf& line, const Client& client)
{
    if (!allows(line.type, client.type) || !allows(line.storey, client.storey)) return false;
    return !names_rooms(line) || std::ranges::any_of(**line.rooms, [&](const quantity::PlacedText& name) {
        return quantity::is_named_like(client.room, name.text);
    });
}

} // namespace

RoomLines::RoomLines(const std::vector<SpeaksOf>& lines, const std::vector<Client>& clients,
                     quantity::Problems& problems)
{
    find_lines_of(clients, lines);
    tell_idle(lines, clients, problems);
}

/// Names are looked up, so that a line for each of thousands of rooms costs no more than the rooms; only lines that speak of
/// many are held against all of them.
void RoomLines::find_lines_of(const std::vector<Client>& clients, const std::vector<SpeaksOf>& lines)
{
    std::unordered_map<std::string_view, std::vector<std::size_t>> by_name;
    std::vector<std::size_t> wide;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (!names_rooms(lines[i]) || std::ranges::any_of(**lines[i].rooms, is_pattern)) {
            wide.push_back(i);
            continue;
        }
        for (const quantity::PlacedText& name : **lines[i].rooms) by_name[name.text].push_back(i);
    }
    for (const Client& client : clients) {
        std::vector<std::size_t> speaking = wide;
        if (const auto named = by_name.find(client.room); named != by_name.end())
            speaking.insert(speaking.end(), named->second.begin(), named->second.end());
        std::ranges::sort(speaking);
        const auto again = std::ranges::unique(speaking);
        speaking.erase(again.begin(), again.end());
        std::erase_if(speaking, [&](std::size_t line) { return !speaks_of(lines[line], client); });
        lines_of_.push_back(std::move(speaking));
    }
}

void RoomLines::tell_idle(const std::vector<SpeaksOf>& lines, const std::vector<Client>& clients,
                          quantity::Problems& problems) const
{
    const Teller say{problems};
    std::vector<bool> speaks(lines.size());
    for (const std::vector<std::size_t>& speaking : lines_of_)
        for (const std::size_t line : speaking) speaks[line] = true;
    std::vector<std::string> names;
    for (const Client& c : clients) names.push_back(c.room);
    const std::unordered_set<std::string_view> known{names.begin(), names.end()};
    for (std::size_t i = 0; i < lines.size(); ++i) {
        bool is_told = false;
        if (names_rooms(lines[i]))
            for (const quantity::PlacedText& name : **lines[i].rooms) {
                const auto is_like = [&](const std::string& room) { return quantity::is_named_like(room, name.text); };
                if (is_pattern(name) ? std::ranges::any_of(names, is_like) : known.contains(name.text)) continue;
                is_told = true;
                if (is_pattern(name))
                    say(quantity::Severity::warning, quantity::codes::unused, name.origin,
                        fmt::format("no room has a name like '{}'", name.text), "* stands for any letters")
                        .subject = "rooms like " + name.text;
                else
                    problems.add(quantity::unknown_name("room", name.text, name.origin, names));
            }
        if (is_told || speaks[i]) continue;
        say(quantity::Severity::warning, quantity::codes::unused, lines[i].where, "this line speaks of no room",
            "its rooms, type and storey must all hold for a room")
            .subject = lines[i].called;
    }
}

} // namespace venture::services
