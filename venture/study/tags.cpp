#include <venture/study/tags.hpp>

#include <algorithm>
#include <charconv>
#include <map>

#include <fmt/format.h>

namespace venture::study {

namespace {

/// The number between what stands before and after it; 0 if it is no such tag.
int number_of(const std::string& tag, const Tagged& like)
{
    if (tag.size() <= like.before.size() + like.after.size() || !tag.starts_with(like.before) ||
        !tag.ends_with(like.after))
        return 0;
    int number = 0;
    const char *from = tag.data() + like.before.size(), *to = tag.data() + tag.size() - like.after.size();
    const auto read = std::from_chars(from, to, number);
    return read.ec == std::errc{} && read.ptr == to ? number : 0;
}

} // namespace

std::vector<std::string> Tags::give_to(const std::vector<Tagged>& things)
{
    std::map<std::pair<std::string, std::string>, std::vector<std::size_t>> lines; // by kind and place
    for (std::size_t i = 0; i < issued.size(); ++i) {
        issued[i].gone = true;
        lines[{issued[i].kind, issued[i].place}].push_back(i);
    }
    std::vector<std::string> out(things.size());
    const auto give = [&](std::size_t thing, std::size_t line) {
        issued[line].gone = false;
        issued[line].where = things[thing].where;
        out[thing] = issued[line].tag;
    };
    // What stands where it stood keeps its tag before what has moved within its room.
    for (const bool same_spot : {true, false})
        for (std::size_t t = 0; t < things.size(); ++t) {
            if (!out[t].empty()) continue;
            const auto found = lines.find({things[t].kind, things[t].place});
            if (found == lines.end()) continue;
            for (const std::size_t line : found->second)
                if (issued[line].gone && (!same_spot || issued[line].where == things[t].where)) {
                    give(t, line);
                    break;
                }
        }
    std::map<std::pair<std::string, std::string>, int> highest; // by what stands before and after
    for (std::size_t t = 0; t < things.size(); ++t) {
        if (!out[t].empty()) continue;
        const Tagged& thing = things[t];
        const auto [last, is_first] = highest.try_emplace({thing.before, thing.after}, 0);
        if (is_first)
            for (const IssuedTag& one : issued) last->second = std::max(last->second, number_of(one.tag, thing));
        out[t] = fmt::format("{}{:0{}}{}", thing.before, ++last->second, thing.digits, thing.after);
        issued.push_back({.tag = out[t],
                          .kind = things[t].kind,
                          .place = things[t].place,
                          .where = things[t].where,
                          .own = std::vector<std::string>(own_columns.size())});
    }
    return out;
}

const IssuedTag* Tags::find(const std::string& tag) const
{
    const auto at = std::ranges::find(issued, tag, &IssuedTag::tag);
    return at == issued.end() ? nullptr : &*at;
}

} // namespace venture::study
