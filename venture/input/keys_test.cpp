#include <venture/input/input.hpp>

#include <algorithm>
#include <functional>
#include <set>

#include <gtest/gtest.h>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {
namespace {

using quantity::Key;
using quantity::KeySpec;
using quantity::Nested;
using quantity::RecordSpec;
using quantity::ValueShape;

/// Visits every table with its whole name: "room", "room.opening".
void for_each_table(const std::function<void(const std::string&, const Nested&)>& visit,
                    const RecordSpec& spec = Input::spec(), const std::string& outer = {})
{
    for (const Nested& nested : spec.nested()) {
        const std::string name = outer.empty() ? std::string{nested.name} : outer + "." + std::string{nested.name};
        visit(name, nested);
        for_each_table(visit, nested.spec(), name);
    }
}

void for_each_key(const std::function<void(const std::string&, const RecordSpec&, const Key&)>& visit)
{
    for_each_table([&](const std::string& table, const Nested& nested) {
        for (const Key& key : nested.spec().keys()) visit(table + "/" + std::string{key.spec.name}, nested.spec(), key);
    });
}

TEST(Keys, StandOnceInEveryTableAndTablesOnce)
{
    std::set<std::string> tables;
    std::size_t keys = 0;
    for_each_table([&](const std::string& table, const Nested& nested) {
        EXPECT_TRUE(tables.insert(table).second) << table;
        const std::vector<std::string> names = nested.spec().names();
        EXPECT_EQ(std::set<std::string>(names.begin(), names.end()).size(), names.size()) << table;
        keys += nested.spec().keys().size();
    });
    for (const char* name : {"project", "units", "site", "site.month", "room", "room.opening", "library", "accepted"})
        EXPECT_TRUE(tables.contains(name)) << name;
    EXPECT_GT(keys, 100U);
}

TEST(Keys, HaveDefaultsInsideTheirBoundsAndAmongTheirWords)
{
    for_each_key([](const std::string& where, const RecordSpec&, const Key& key) {
        const KeySpec& s = key.spec;
        EXPECT_FALSE(s.text.empty()) << where;
        EXPECT_LE(s.allowed.lowest, s.allowed.highest) << where;
        const bool has_default = s.default_value || !s.default_word.empty() || !s.default_by.key.empty();
        EXPECT_EQ(has_default, !s.default_source.empty()) << where;
        EXPECT_FALSE(s.required && has_default) << where;
        std::vector<double> values;
        if (s.default_value) values.push_back(*s.default_value);
        for (const quantity::DefaultBy::Case& one : s.default_by.cases) values.push_back(one.value);
        for (const double value : values) {
            EXPECT_EQ(key.shape, ValueShape::number) << where;
            EXPECT_GE(value, s.allowed.lowest) << where;
            EXPECT_LE(value, s.allowed.highest) << where;
        }
        if (!s.default_word.empty() && !s.choices.empty()) {
            EXPECT_NE(std::ranges::find(s.choices, s.default_word), s.choices.end()) << where;
        }
    });
}

/// What a key says of other keys and tables is so.
TEST(Keys, NameKeysAndTablesThatThereAre)
{
    for_each_key([](const std::string& where, const RecordSpec& table, const Key& key) {
        const KeySpec& s = key.spec;
        for (const std::string_view other : s.instead_of) EXPECT_NE(table.find_key(other), nullptr) << where;
        for (const std::string_view other : {s.taken_from, s.default_with, s.default_by.key})
            if (!other.empty()) {
                EXPECT_NE(table.find_key(other), nullptr) << where << " " << other;
            }
        for (const quantity::SaysWith& with : s.says_with) {
            const Key& other = table.key_called(with.key);
            EXPECT_EQ(other.shape, with.words.empty() ? ValueShape::number : ValueShape::text) << where;
            for (const std::string_view word : with.words)
                EXPECT_NE(std::ranges::find(other.spec.choices, word), other.spec.choices.end())
                    << where << " " << word;
        }
        if (!s.default_by.key.empty()) {
            const Key& by = table.key_called(s.default_by.key);
            const bool of_one_word = s.text.starts_with(
                fmt::format("with {} = \"{}\": ", s.default_by.key, s.default_by.cases.front().word));
            EXPECT_EQ(s.default_by.cases.size(), of_one_word ? 1 : by.spec.choices.size())
                << where << ": a default for every word, or for the one that the key goes with";
            for (const quantity::DefaultBy::Case& one : s.default_by.cases)
                EXPECT_NE(std::ranges::find(by.spec.choices, one.word), by.spec.choices.end()) << where;
        }
        if (s.when_cut == quantity::WhenCut::by_floor_area) {
            EXPECT_EQ(key.shape, ValueShape::number) << where;
        }
        for (const std::string_view named : s.names) {
            const Nested* there = Input::spec().find_nested(named);
            ASSERT_NE(there, nullptr) << where << " " << named;
            EXPECT_NE(there->spec().find_key("name"), nullptr) << where << " " << named;
        }
    });
}

/// A text is a choice, a name of something, or words that nothing hangs on; whoever adds a key must say which.
TEST(Keys, SayOfEveryTextWhatItNames)
{
    std::set<std::string> free;
    for_each_key([&](const std::string& where, const RecordSpec&, const Key& key) {
        const bool text = key.shape == ValueShape::text || key.shape == ValueShape::texts;
        const std::set<std::string_view> words = {"name", "source", "purpose", "note"};
        if (text && key.spec.choices.empty() && key.spec.names.empty() && !key.spec.of_document &&
            !words.contains(key.spec.name))
            free.insert(where);
    });
    const std::set<std::string> known = {"choosing/aims",
                                         "choosing/families",
                                         "choosing/makers",
                                         "choosing/speed",
                                         "choosing/mounting",
                                         "choosing/unit",
                                         "circuit/unit",
                                         "circuit/valve",
                                         "tags/rule",
                                         "tags.prefix/prefix",
                                         "days/events",
                                         "days/file",
                                         "kept/product",
                                         "loads/table",
                                         "profile/hours",
                                         "room/load_reason",
                                         "room/perimeter_on",
                                         "room/slopes",
                                         "room/walk",
                                         "room.face/on",
                                         "room.opening/in",
                                         "site/summer_time_first",
                                         "site/summer_time_last",
                                         "weather/file",
                                         "weather/missing",
                                         "weather.column/column",
                                         "weather.column/unit"};
    for (const std::string& where : free) EXPECT_TRUE(known.contains(where)) << where << ": what does it name?";
}

TEST(Keys, TellTheShapesOfValues)
{
    const Nested* room = Input::spec().find_nested("room");
    ASSERT_NE(room, nullptr);
    EXPECT_TRUE(room->is_list());
    EXPECT_FALSE(room->in_library);
    const auto shape = [&](std::string_view key) { return room->spec().key_called(key).shape; };
    EXPECT_EQ(shape("name"), ValueShape::text);
    EXPECT_EQ(shape("size"), ValueShape::numbers);
    EXPECT_EQ(shape("corners"), ValueShape::points);
    EXPECT_EQ(shape("people"), ValueShape::number); // of its use
}

} // namespace
} // namespace venture::input
