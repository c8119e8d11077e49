#include <venture/project/library.hpp>

#include <algorithm>
#include <iterator>
#include <map>
#include <set>

#include <venture/input/wall_words.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>

namespace venture::project {

using quantity::Given;

namespace {

/// All words of an input that name a record of some table.
class Named {
public:
    explicit Named(const input::Input& input) { add(quantity::ConstRecord{input}); }

    /// A name is meant where it is a whole text, or part of one: the end of a layer, or a word of a wall in words.
    [[nodiscard]] bool has(std::string_view table, const std::string& name) const
    {
        const auto at = of_.find(table);
        return asked_.contains(name) || (at != of_.end() && at->second.has(name));
    }
    /// Of any table.
    void ask_for(const std::string& name) { asked_.insert(name); }
    void add(const quantity::ConstRecord& record)
    {
        quantity::for_each_record_in(record, [&](const quantity::ConstRecord& r) {
            for (const quantity::Key& key : r.keys()) {
                if (key.spec.names.empty() || !r.is_given(key)) continue;
                if (key.shape == quantity::ValueShape::text) {
                    take(key.spec, *r.at<std::string>(key));
                    if (std::ranges::find(key.spec.names, "material") != key.spec.names.end())
                        take_layers(*r.at<std::string>(key));
                } else
                    for (const quantity::PlacedText& text : *r.at<quantity::TextList>(key)) take(key.spec, text.text);
            }
        });
    }

private:
    struct Words {
        std::set<std::string> whole{}, texts{}; ///< each once: rooms say the same again and again
        [[nodiscard]] bool has(const std::string& name) const
        {
            return whole.contains(name) ||
                   std::ranges::any_of(texts, [&](const std::string& t) { return t.find(name) != std::string::npos; });
        }
    };

    void take(const quantity::KeySpec& spec, const std::string& text)
    {
        for (const std::string_view table : spec.names) {
            Words& words = of_[std::string{table}];
            if (!spec.names_within) {
                words.whole.insert(text);
                continue;
            }
            words.texts.insert(text);
        }
    }
    /// A wall in words names the materials of its layers.
    void take_layers(const std::string& text)
    {
        if (!walls_.insert(text).second) return;
        const auto wall = input::wall_in_words(text);
        if (!std::holds_alternative<input::WallInWords>(wall)) return;
        std::set<std::string>& materials = of_["material"].texts;
        for (const std::string& layer : std::get<input::WallInWords>(wall).layers) materials.insert(layer);
    }

    std::map<std::string, Words, std::less<>> of_{}; ///< by table
    std::set<std::string> asked_{}, walls_{};
};

bool is_of_region(const input::RoomTypeInput& type, const input::Input& own)
{
    return !type.region || (own.project.region && *own.project.region == *type.region);
}

std::string with_region(const input::RoomTypeInput& type) { return *type.name + " (" + *type.region + ")"; }

/// Whether some key may name a record of either: then no two of them may be called the same.
bool share_names(std::string_view table, std::string_view other, const quantity::RecordSpec& record)
{
    const auto names = [](const quantity::Key& key, std::string_view what) {
        return std::ranges::find(key.spec.names, what) != key.spec.names.end();
    };
    return std::ranges::any_of(record.keys(),
                               [&](const quantity::Key& key) {
                                   return !key.spec.names_within && names(key, table) && names(key, other);
                               }) ||
           std::ranges::any_of(record.nested(), [&](const quantity::Nested& nested) {
               return share_names(table, other, nested.spec());
           });
}

/// Whether there is such a record already.
bool has_record(const quantity::ConstRecord& input, const quantity::Nested& table, std::string_view name)
{
    return std::ranges::any_of(input.spec().nested(), [&](const quantity::Nested& other) {
        return other.is_list() && quantity::find_named(input.records(other), name).has_value() &&
               (other.name == table.name || share_names(table.name, other.name, input.spec()));
    });
}

} // namespace

void read_whole_library(input::Input& input, quantity::Problems& problems, LibraryFile library)
{
    TomlDocument document = parse_toml(std::move(library.text), library.file, input.origins, problems);
    TableReader reader{library.file, input.origins, problems, library.name};
    for (const quantity::Nested& table : input::Input::spec().nested())
        if (table.in_library) reader.read(document.root, quantity::Record{input}.records(table));
}

void take_from_library(input::Input& own, quantity::Problems& problems, LibraryFile file,
                       const std::vector<std::string>& also)
{
    input::Input library;
    std::swap(library.origins, own.origins); // one pool for both
    read_whole_library(library, problems, std::move(file));
    std::swap(library.origins, own.origins);
    // types of the project's region by their names, those of others by "NAME (REGION)"
    for (input::RoomTypeInput& type : library.room_types)
        if (type.name && !is_of_region(type, own)) type.name.value = with_region(type);
    Named named{own};
    for (const std::string& asked : also) named.ask_for(asked);
    const quantity::Record all{library}, into{own};
    for (bool more = true; more;) { // what is taken may name something in turn
        more = false;
        for (const quantity::Nested& table : input::Input::spec().nested()) {
            const quantity::Records from = all.records(table);
            for (std::size_t i = 0; table.in_library && i < from.size(); ++i) {
                const Given<std::string>* called = quantity::name_of(from[i]);
                if (called == nullptr || !named.has(table.name, **called) || has_record(into, table, **called))
                    continue;
                into.records(table).append_copy(from[i]);
                named.add(from[i]);
                more = true;
            }
        }
    }
    for (const quantity::Nested& table : input::Input::spec().nested()) {
        const quantity::ConstRecords held = quantity::ConstRecord{library}.records(table);
        for (std::size_t i = 0; table.in_library && i < held.size(); ++i)
            if (const Given<std::string>* called = quantity::name_of(held[i]))
                own.offered[std::string{table.name}].push_back(**called);
    }
}

} // namespace venture::project
