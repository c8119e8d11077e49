#include <venture/resolve/effective.hpp>

#include <fmt/format.h>

#include <venture/quantity/names.hpp>
#include <venture/resolve/vocabulary.hpp>

namespace venture::resolve {

using quantity::Kind;

namespace {

class Lister {
public:
    std::vector<EffectiveValue> run(const Input& input, const Building* building)
    {
        const ConstRecord all{input};
        for (const Nested& nested : Input::spec().nested())
            table(std::string{nested.name}, std::string{nested.name}, all.records(nested));
        if (building != nullptr) computed(*building, input);
        return std::move(out_);
    }

private:
    void table(const std::string& name, const std::string& path, const ConstRecords& records)
    {
        for (std::size_t i = 0; i < records.size(); ++i)
            record(name, records.table().is_list() ? fmt::format("{}/{}", path, label_of(records[i], i)) : path,
                   records[i]);
    }

    void record(const std::string& name, const std::string& path, const ConstRecord& r)
    {
        for (const Key& key : r.keys())
            if (key.spec.name != "note" && r.is_given(key))
                r.visit(key, [&](const auto& given) {
                    out_.push_back({.path = fmt::format("{}/{}", path, key.spec.name),
                                    .table = name,
                                    .key = std::string{key.spec.name},
                                    .value = *given,
                                    .kind = key.spec.kind,
                                    .origin = given.origin});
                });
        for (const Nested& nested : r.spec().nested())
            table(fmt::format("{}.{}", name, nested.name), fmt::format("{}/{}", path, nested.name), r.records(nested));
    }

    void add_computed(const std::string& path, std::string key, double value, Kind kind, quantity::OriginId origin,
                      std::string how)
    {
        out_.push_back({.path = fmt::format("{}/{}", path, key),
                        .table = "room",
                        .key = std::move(key),
                        .value = value,
                        .kind = kind,
                        .origin = origin,
                        .how = std::move(how)});
    }

    void computed(const Building& b, const Input& input)
    {
        for (std::size_t r = 0; r < b.rooms.size(); ++r) {
            const RoomInput& given = input.rooms[r];
            const auto shape = given.corners ? given.corners.origin : given.size.origin;
            const std::string path = "room/" + b.rooms[r].name;
            add_computed(path, "floor area", b.rooms[r].floor_area_m2, Kind::area, shape, "from its outline");
            add_computed(path, "volume", b.rooms[r].volume_m3, Kind::volume, shape, "floor area x height");
        }
        for (const Surface& s : b.surfaces) {
            const std::string path = fmt::format("room/{}/{}", b.rooms[s.room].name, s.name);
            add_computed(path, "net area", s.net_m2(), Kind::area, b.rooms[s.room].origin,
                         "its shape less its openings");
            add_computed(path, "U-value", u_value(b, s), Kind::heat_transfer, b.build_ups[s.build_up].origin,
                         fmt::format("layers of '{}' with films after ISO 6946", b.build_ups[s.build_up].layers.name));
        }
    }

    std::vector<EffectiveValue> out_{};
};

/// Whether a path begins with what is asked for; a * in it stands for one name, which may hold no slash.
bool begins_with(std::string_view path, std::string_view asked)
{
    const auto star = asked.find('*');
    if (star == std::string_view::npos) return path == asked || (path.starts_with(asked) && path[asked.size()] == '/');
    if (!path.starts_with(asked.substr(0, star))) return false;
    asked.remove_prefix(star + 1);
    if (asked.empty()) return true;
    const auto slash = path.find('/', star);
    return slash != std::string_view::npos && begins_with(path.substr(slash), asked);
}

} // namespace

std::vector<EffectiveValue> effective_values(const Input& effective, const Building* building)
{
    return Lister{}.run(effective, building);
}

std::vector<EffectiveValue> asked_for(std::vector<EffectiveValue> values, std::string_view what,
                                      const quantity::OriginPool& origins)
{
    const std::string_view wanted = quantity::trimmed(what);
    if (wanted.empty()) return values;
    std::erase_if(values, [&](const EffectiveValue& v) {
        const auto kind = v.how.empty() ? origins.at(v.origin).kind : quantity::OriginKind::computed;
        return v.key != wanted && name_of(kind) != wanted && !begins_with(v.path, wanted);
    });
    return values;
}

} // namespace venture::resolve
