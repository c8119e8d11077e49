/// What a project takes from a library that ships with the program.

#include <algorithm>
#include <array>
#include <iterator>
#include <set>

#include <venture/building/keys.hpp>
#include <venture/building/wall_words.hpp>
#include <venture/project/read_project.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>

namespace venture::project {

namespace {

/// All words of an input that may be names.
class Named {
public:
    explicit Named(const building::Input& input)
    {
        building::for_each_table(input, [&](std::string_view, const auto& records) {
            if constexpr (requires { records.begin(); })
                for (const auto& record : records) add(record);
            else
                add(records);
        });
    }
    /// A name is meant where it is a whole text, or part of one: the end of a layer, or a word of a wall in words.
    [[nodiscard]] bool has(const std::string& name) const
    {
        return whole_.contains(name) ||
               std::ranges::any_of(texts_, [&](const std::string& t) { return t.find(name) != std::string::npos; });
    }
    [[nodiscard]] bool is_whole(const std::string& name) const { return whole_.contains(name); }
    void add(const std::string& name) { whole_.insert(name); }
    template <class Record>
    void add(const Record& record)
    {
        building::for_each_key_set(record, [&](const auto& object, auto all) {
            for (const auto& key : all)
                if (std::ranges::find(no_names, key.spec.name) == no_names.end())
                    std::visit([&](auto field) { take(object.*field); }, key.field);
        });
        building::for_each_nested_table(record, [&](std::string_view, const auto& nested) {
            for (const auto& inner : nested) add(inner);
        });
    }

private:
    static constexpr std::array<std::string_view, 4> no_names = {"name", "note", "source", "purpose"};

    template <class T>
    void take(const quantity::Given<T>& given)
    {
        if (!given) return;
        if constexpr (std::is_same_v<T, std::string>) {
            whole_.insert(*given);
            if (!texts_.insert(*given).second) return; // looked at already
        }
        if constexpr (std::is_same_v<T, std::string>) // a wall in words names the materials of its layers
            if (const auto wall = building::wall_in_words(*given); std::holds_alternative<building::WallInWords>(wall))
                std::ranges::copy(std::get<building::WallInWords>(wall).layers, std::inserter(texts_, texts_.end()));
        if constexpr (std::is_same_v<T, quantity::TextList>)
            for (const auto& text : *given) texts_.insert(text.text);
    }
    std::set<std::string> whole_{};
    std::set<std::string> texts_{}; ///< each once: rooms say the same again and again
};

template <class Record>
bool has_record(const std::vector<Record>& all, const std::string& name)
{
    return std::ranges::any_of(all, [&](const Record& r) { return r.name && *r.name == name; });
}

bool is_of_region(const building::RoomTypeInput& type, const building::Input& own)
{
    return !type.region || (own.project.region && *own.project.region == *type.region);
}

std::string with_region(const building::RoomTypeInput& type) { return *type.name + " (" + *type.region + ")"; }

/// Types of the project's region by their names, those of others by "NAME (REGION)". A name is meant where it is a whole
/// text. @return whether any was taken
bool take_types(const std::vector<building::RoomTypeInput>& from, building::Input& own, Named& named)
{
    bool any = false;
    for (building::RoomTypeInput type : from) {
        if (!type.name) continue;
        if (!is_of_region(type, own)) type.name.value = with_region(type);
        if (has_record(own.room_types, *type.name) || !named.is_whole(*type.name)) continue;
        named.add(type);
        own.room_types.push_back(std::move(type));
        any = true;
    }
    return any;
}

} // namespace

void read_whole_library(ProjectFile& project, const std::string& name, const std::string& file, std::string text)
{
    TomlDocument document = parse_toml(std::move(text), file, project.input.origins, project.problems);
    TableReader reader{file, project.input.origins, project.problems, name};
    building::for_each_library_table(project.input, [&](std::string_view table, auto& own) {
        std::remove_cvref_t<decltype(own)> more;
        reader.read_list(document.root, table, more);
        own.insert(own.end(), more.begin(), more.end());
    });
}

void take_from_library(ProjectFile& project, const std::string& name, const std::string& file, std::string text,
                       const std::vector<std::string>& also)
{
    building::Input& own = project.input;
    ProjectFile library;
    std::swap(library.input.origins, own.origins); // one pool for both
    read_whole_library(library, name, file, std::move(text));
    std::swap(library.input.origins, own.origins);
    project.problems.insert(project.problems.end(), library.problems.begin(), library.problems.end());
    building::Input& all = library.input;
    Named named{own};
    for (const std::string& asked : also) named.add(asked);
    for (bool more = true; more;) { // what is taken may name something in turn
        more = false;
        const auto take = [&](auto& from, auto& to, const auto&... alike) {
            for (auto& record : from) {
                if (!record.name || !named.has(*record.name)) continue;
                if (has_record(to, *record.name) || (has_record(alike, *record.name) || ...)) continue;
                to.push_back(record);
                named.add(record);
                more = true;
            }
        };
        take(all.materials, own.materials);
        take(all.build_ups, own.build_ups);
        take(all.panes, own.panes);
        take(all.glazings, own.glazings);
        take(all.shades, own.shades);
        take(all.profiles, own.profiles, own.calendars); // one name for either
        take(all.days, own.days);
        take(all.calendars, own.calendars, own.profiles);
        more = take_types(all.room_types, own, named) || more;
    }
    building::for_each_library_table(all, [&](std::string_view, const auto& records) {
        for (const auto& record : records) {
            if (!record.name) continue;
            own.offered.push_back(*record.name);
            if constexpr (requires { record.region; })
                if (record.region && !is_of_region(record, own)) own.offered.back() = with_region(record);
        }
    });
}

} // namespace venture::project
