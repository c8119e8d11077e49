#include <venture/resolve/references.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <building_questions.hpp>
#include <small_input.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/record.hpp>

namespace venture::resolve {
namespace {

using namespace testing_data;
using quantity::Record;
using quantity::ValueShape;
using testing::HasSubstr;
namespace codes = quantity::codes;

/// One record in every list, in the lists of records as well.
void fill_lists(const Record& record)
{
    for (const Nested& nested : record.spec().nested()) {
        const quantity::Records inner = record.records(nested);
        if (nested.is_list() && inner.size() == 0) inner.append();
        for (std::size_t i = 0; i < inner.size(); ++i) fill_lists(inner[i]);
    }
}

/// How often it is told that nothing bears the name at a place.
std::size_t count_told(const Input& in, quantity::OriginId where)
{
    const std::vector<quantity::Problem> problems = resolve(in).problems;
    return static_cast<std::size_t>(std::ranges::count_if(
        problems, [&](const quantity::Problem& p) { return p.code == codes::unknown_name && p.where == where; }));
}

/// Whoever adds a key that names something need not think of names that are not there.
TEST(References, AreToldOfEveryKeyThatNamesSomething)
{
    int tried = 0;
    Input in = shell();
    in.circuits.emplace_back(); // those that are assumed have names of their own
    fill_lists(Record{in});
    quantity::for_each_record_in(Record{in}, [&](const Record& record) {
        for (const Key& key : record.keys()) {
            if (key.spec.names.empty() || key.spec.names_within) continue;
            const quantity::OriginId where = in.origins.add({quantity::OriginKind::file, "project.toml", 7, 3});
            if (key.shape == ValueShape::text) {
                Given<std::string>& value = record.at<std::string>(key);
                value = {"Nowhere", where};
                EXPECT_EQ(count_told(in, where), 1U) << key.spec.name;
                value = {};
            } else {
                Given<TextList>& value = record.at<TextList>(key);
                value = TextList{{"Nowhere", where}};
                EXPECT_EQ(count_told(in, where), 1U) << key.spec.name;
                value = {};
            }
            ++tried;
        }
    });
    EXPECT_GT(tried, 40);
}

TEST(References, TakeWordsAndHoursForWhatTheyAre)
{
    Input in = shell();
    in.rooms = {room("Hall", 0, 0, 6, 5)};
    in.fabric.shade = "none";
    in.rooms[0].use.people_profile = "08-18";
    in.rooms[0].use.hours = "never";
    in.rooms[0].use.heated_by = "nothing";
    for (const quantity::Problem& p : resolve(in).problems) EXPECT_NE(p.code, codes::unknown_name) << p.message;
}

/// A wrong name hides no mistake of another kind, and no mistake hides a wrong name.
TEST(References, AreToldBesideAllElse)
{
    Input in = shell();
    in.rooms = {room("Hall", 0, 0, 6, 5), room("Store", 5, 0, 3, 5)};
    in.rooms[0].type = "hal";
    in.fabric.glazing = "dubble";
    const auto problems = resolve(in).problems;
    const auto told = [&](std::string_view code) {
        return std::ranges::count(problems, code, &quantity::Problem::code);
    };
    EXPECT_EQ(told(codes::unknown_name), 2);
    EXPECT_EQ(told(codes::overlap), 1);
}

TEST(References, SayWhatThereIs)
{
    Input in = shell();
    in.rooms = {room("Hall", 0, 0, 6, 5)};
    in.rooms[0].use.floor_finish = "wal";
    EXPECT_THAT(problem_of(in, codes::unknown_name).message, testing::StrEq("no build-up is called 'wal'"));
    EXPECT_THAT(problem_of(in, codes::unknown_name).hint, HasSubstr("did you mean"));
    in.rooms[0].use.floor_finish = "xyz";
    EXPECT_THAT(problem_of(in, codes::unknown_name).hint, HasSubstr("there are: "));
}

} // namespace
} // namespace venture::resolve
