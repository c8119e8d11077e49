#include <venture/building/key_tables.hpp>

#include <algorithm>
#include <functional>
#include <set>

#include <gtest/gtest.h>

namespace venture::building {
namespace {

void for_each(const std::vector<KeyTable>& tables, const std::function<void(const KeyTable&)>& visit)
{
    for (const KeyTable& table : tables) {
        visit(table);
        for_each(table.nested, visit);
    }
}

TEST(KeyTables, HoldEveryTableOnceAndEveryKeyOnceInIt)
{
    std::set<std::string> tables;
    int keys = 0;
    for_each(key_tables(), [&](const KeyTable& table) {
        EXPECT_TRUE(tables.insert(table.name).second) << table.name;
        std::set<std::string_view> names;
        for (const KeyEntry& entry : table.keys)
            EXPECT_TRUE(names.insert(entry.spec->name).second) << table.name << "/" << entry.spec->name;
        for (const KeyTable& nested : table.nested)
            EXPECT_FALSE(names.contains(nested.name.substr(nested.name.rfind('.') + 1))) << nested.name;
        keys += static_cast<int>(table.keys.size());
    });
    for (const char* name : {"project", "units", "site", "site.month", "room", "room.opening", "library", "accepted"})
        EXPECT_TRUE(tables.contains(name)) << name;
    EXPECT_GT(keys, 100);
}

TEST(KeyTables, HaveDefaultsInsideTheirBoundsAndAmongTheirWords)
{
    for_each(key_tables(), [&](const KeyTable& table) {
        for (const KeyEntry& entry : table.keys) {
            const quantity::KeySpec& s = *entry.spec;
            const std::string where = table.name + "/" + std::string{s.name};
            EXPECT_FALSE(s.required && (s.default_value || !s.default_word.empty())) << where;
            if (s.default_value) {
                EXPECT_GE(*s.default_value, s.allowed.lowest) << where;
                EXPECT_LE(*s.default_value, s.allowed.highest) << where;
            }
            if (!s.default_word.empty() && !s.choices.empty()) {
                EXPECT_NE(std::ranges::find(s.choices, s.default_word), s.choices.end()) << where;
            }
        }
    });
}

TEST(KeyTables, TellTheShapesOfValues)
{
    const auto room = std::ranges::find(key_tables(), "room", &KeyTable::name);
    ASSERT_NE(room, key_tables().end());
    EXPECT_TRUE(room->many);
    EXPECT_FALSE(room->in_library);
    const auto shape = [&](std::string_view key) {
        return std::ranges::find_if(room->keys, [&](const KeyEntry& e) { return e.spec->name == key; })->shape;
    };
    EXPECT_EQ(shape("name"), ValueShape::text);
    EXPECT_EQ(shape("size"), ValueShape::numbers);
    EXPECT_EQ(shape("corners"), ValueShape::points);
    EXPECT_EQ(shape("people"), ValueShape::number); // of its use
}

} // namespace
} // namespace venture::building
