#include <venture/building/key_tables.hpp>

#include <algorithm>

#include <venture/building/keys.hpp>

namespace venture::building {

namespace {

template <class Table>
ValueShape shape_of(const Key<Table>& key)
{
    constexpr ValueShape by_index[] = {ValueShape::number, ValueShape::text, ValueShape::texts, ValueShape::numbers,
                                       ValueShape::points};
    return by_index[key.field.index()]; // the order of Key::field
}

template <class Record>
KeyTable table_of(const std::string& name, bool many)
{
    KeyTable table{.name = name, .many = many};
    Record record{};
    for_each_key_set(record, [&](auto&, auto keys) {
        for (const auto& key : keys) table.keys.push_back({&key.spec, shape_of(key)});
    });
    for_each_nested_table(record, [&](std::string_view nested, auto& records) {
        using Inner = typename std::remove_cvref_t<decltype(records)>::value_type;
        table.nested.push_back(table_of<Inner>(name + "." + std::string{nested}, true));
    });
    return table;
}

std::vector<KeyTable> all_tables()
{
    std::vector<KeyTable> out;
    Input input;
    for_each_table(input, [&](std::string_view name, auto& records) {
        using Records = std::remove_cvref_t<decltype(records)>;
        if constexpr (requires { typename Records::value_type; })
            out.push_back(table_of<typename Records::value_type>(std::string{name}, true));
        else
            out.push_back(table_of<Records>(std::string{name}, false));
    });
    for_each_library_table(
        input, [&](std::string_view name, auto&) { std::ranges::find(out, name, &KeyTable::name)->in_library = true; });
    return out;
}

} // namespace

const std::vector<KeyTable>& key_tables()
{
    static const std::vector<KeyTable> tables = all_tables();
    return tables;
}

} // namespace venture::building
