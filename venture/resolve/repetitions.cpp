#include <venture/resolve/repetitions.hpp>

#include <span>
#include <unordered_map>

#include <venture/input/rings.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class Repetitions : Pass {
public:
    explicit Repetitions(Work& work) : Pass{work} {}
    void check();
};

} // namespace

void tell_rings(quantity::Problems& problems, std::string_view what, std::string_view does,
                const std::vector<Refers>& records)
{
    std::unordered_map<std::string_view, std::size_t> index;
    for (std::size_t i = 0; i < records.size(); ++i)
        if (*records[i].name) index.try_emplace(**records[i].name, i);
    std::vector<std::optional<std::size_t>> next;
    for (const Refers& r : records) {
        const auto at = *r.to ? index.find(**r.to) : index.end();
        next.push_back(at == index.end() ? std::nullopt : std::optional{at->second});
    }
    for (const std::vector<std::size_t>& ring : rings_of(next)) {
        const Refers& first = records[ring.front()];
        std::vector<std::string> way;
        for (const std::size_t one : ring) way.push_back(fmt::format("'{}'", **records[one].name));
        problems.add({.code = codes::repeat,
                      .where = first.to->origin,
                      .message = ring.size() == 1
                                     ? fmt::format("{} '{}' {} itself", what, **first.name, does)
                                     : fmt::format("{} '{}' {} itself in the end, by way of {}", what, **first.name,
                                                   does, quantity::listed(std::span{way}.subspan(1), 6)),
                      .hint = fmt::format("let one of them name another {}, or none", what)});
    }
}

void Repetitions::check()
{
    for (const StoreyInput& storey : input_.storeys)
        if (storey.without && !storey.repeats)
            problem(codes::contradiction, (*storey.without).empty() ? storey.name.origin : (*storey.without)[0].origin,
                    fmt::format("storey '{}' leaves rooms out, but repeats no storey", value_of(storey.name)),
                    "type repeats, or leave without out");
    tell_rings(problems_, "storey", "repeats", refers(input_.storeys, &StoreyInput::repeats));
    for (const RepeatInput& repeat : input_.repeats)
        if (!repeat.shift && !repeat.mirror_x && !repeat.mirror_y && !repeat.storey && repeat.rooms &&
            !(*repeat.rooms).empty())
            problem(codes::repeat, (*repeat.rooms)[0].origin,
                    fmt::format("'{}' would stand again where it stands already", (*repeat.rooms)[0].text),
                    "give it a shift, a mirror or a storey");
    tell_rings(problems_, "room", "is like", refers(input_.rooms, &RoomInput::like));
}

void check_repetitions(Work& work) { Repetitions{work}.check(); }

} // namespace venture::resolve
