#include <venture/terminal/wishes.hpp>

#include <algorithm>
#include <array>

#include <fmt/format.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/unknown_name.hpp>

namespace venture::terminal {

using quantity::Given;
using rating::Aim;

namespace {

template <class From, class To>
void take(const From& given, To& into)
{
    if (given) into = *given;
}

std::vector<std::string> words_of(const Given<quantity::TextList>& given)
{
    std::vector<std::string> out;
    for (const quantity::PlacedText& word : *given) out.push_back(word.text);
    return out;
}

void lay_over(const input::ChoosingInput& said, RoomWish& out)
{
    rating::Wish& wish = out.wish;
    if (said.makers) wish.makers = words_of(said.makers);
    if (said.families) wish.families = words_of(said.families);
    take(said.speed, wish.speed);
    take(said.mounting, wish.mounting);
    if (const auto most = said.most_units.number()) {
        wish.counts.most = *most;
        out.counted = true;
    }
    take(said.most_height, wish.most_height_m);
    take(said.most_length, wish.most_length_m);
    take(said.most_depth, wish.most_depth_m);
    take(said.most_over, wish.most_over);
    take(said.external_pressure, wish.least_external_Pa);
    take(said.room_effect, out.room_effect_dB);
    take(said.floor_gap, out.floor_gap_m);
    take(said.sill_gap, out.sill_gap_m);
    take(said.side_gap, out.side_gap_m);
    take(said.window_share, out.window_share);
    take(said.wall_length, out.wall_length_m);
    if (said.most_sound) out.most_sound_dB = {*said.most_sound, said.most_sound.origin};
    if (said.warmest_surface) out.warmest_surface_C = {*said.warmest_surface, said.warmest_surface.origin};
    if (const auto alike = said.alike.which()) out.alike = alike == input::Alike::yes;
}

} // namespace

bool RoomWish::is_limited() const
{
    const std::array limits = {wish.most_height_m, wish.most_length_m,  wish.most_depth_m, wish.most_total_length_m,
                               wish.most_sound_dB, wish.most_surface_C, wish.most_over};
    return wish.least_external_Pa > 0.0 || wish.least_length_m > 0.0 || !wish.makers.empty() ||
           !wish.families.empty() || !wish.speed.empty() || !wish.mounting.empty() ||
           std::ranges::any_of(limits, [](double limit) { return limit != rating::no_limit; });
}

Wishes::Wishes(const input::Input& input, const std::vector<services::Client>& clients,
               std::span<const rating::Kind* const> kinds, quantity::Problems& problems)
{
    for (const input::ChoosingInput& said : input.choosing) read(said, kinds, problems);
    std::vector<services::SpeaksOf> lines;
    for (const Line& line : lines_) {
        const input::ChoosingInput& said = line.said;
        quantity::OriginId where = said.rooms.origin;
        if (!said.rooms) where = said.type ? said.type.origin : said.storey.origin;
        lines.push_back({&said.rooms, &said.type, &said.storey, where, "line of what is wanted"});
    }
    room_lines_ = services::RoomLines{lines, clients, problems};
}

void Wishes::read(const input::ChoosingInput& said, std::span<const rating::Kind* const> kinds,
                  quantity::Problems& problems)
{
    Line line{.said = said};
    if (const auto unit = said.unit.which()) line.only = kinds[static_cast<std::size_t>(*unit)];
    if (said.aims)
        for (const quantity::PlacedText& word : *said.aims) {
            const auto& words = quantity::WordsOf<Aim>::words;
            const auto* const known = std::ranges::find(words, word.text);
            if (known != words.end()) {
                line.aims.push_back(static_cast<Aim>(known - words.begin()));
                continue;
            }
            const std::vector<std::string> there{words.begin(), words.end()};
            problems.add(quantity::unknown_name("aim", word.text, word.origin, there));
        }
    if (said.weights && (!said.aims || (*said.weights).size() != (*said.aims).size()))
        problems.add(
            {quantity::Severity::error, quantity::codes::contradiction, said.weights.origin,
             fmt::format("{} weights for {} aims", (*said.weights).size(), said.aims ? (*said.aims).size() : 0),
             "one weight for each aim of the same line"});
    lines_.push_back(std::move(line));
}

RoomWish Wishes::of(std::size_t client, const rating::Kind& kind) const
{
    RoomWish out;
    out.wish.counts = {1, usual_most_units};
    if (lines_.empty()) return out;
    double connection = 1.0, cover = 1.0, finish = 1.0;
    for (const std::size_t i : room_lines_.of(client)) {
        const Line& line = lines_[i];
        if (line.only != nullptr && line.only != &kind) continue;
        lay_over(line.said, out);
        take(line.said.connection, connection);
        take(line.said.cover, cover);
        take(line.said.finish, finish);
        if (line.aims.empty()) continue;
        out.wish.aims = line.aims;
        out.wish.weights.clear();
        if (line.said.weights) out.wish.weights = *line.said.weights;
    }
    out.output_factor = connection * cover * finish;
    return out;
}

} // namespace venture::terminal
