#include <gtest/gtest.h>

#include <venture/quantity/record.hpp>

namespace venture::quantity {
namespace {

enum class Mood { calm, very_calm };

} // namespace

template <>
struct WordsOf<Mood> {
    static constexpr std::array<std::string_view, 2> words = {"calm", "very calm"};
};

namespace {

struct Person {
    Choice<Mood> mood;
    Whole hats;
    [[nodiscard]] static const RecordSpec& spec()
    {
        static const RecordSpec all =
            RecordSpec::of<Person>({{{.name = "mood", .text = "of the person"}, &Person::mood},
                                    {{.name = "hats", .text = "how many"}, &Person::hats}});
        return all;
    }
};

TEST(Choice, IsAWordForFilesAndAnEnumeratorForCode)
{
    Person p;
    EXPECT_FALSE(p.mood.which());
    EXPECT_FALSE(p.mood == Mood::calm);
    p.mood = "very calm";
    EXPECT_EQ(p.mood.which(), Mood::very_calm);
    p.mood = Mood::calm;
    EXPECT_EQ(*p.mood, "calm");
    EXPECT_TRUE(p.mood == Mood::calm);
    p.mood = "angry"; // told where it is read
    EXPECT_FALSE(p.mood.which());
}

TEST(Choice, TellsItsWordsToWhoeverSeesTheRecord)
{
    Person p;
    const Key& key = Person::spec().key_called("mood");
    EXPECT_EQ(key.shape, ValueShape::text);
    EXPECT_EQ(key.spec.choices, (std::vector<std::string>{"calm", "very calm"}));
    Record{p}.at<std::string>(key) = Given<std::string>{"calm"};
    EXPECT_TRUE(p.mood == Mood::calm);
    EXPECT_EQ(&spec_of(&Person::mood), &key.spec);
}

TEST(Whole, IsANumberForFilesAndAnIntegerForCode)
{
    Person p;
    EXPECT_FALSE(p.hats.number());
    const Key& key = Person::spec().key_called("hats");
    EXPECT_TRUE(key.spec.whole);
    Record{p}.at<double>(key) = 3.0;
    EXPECT_EQ(p.hats.number(), 3);
}

} // namespace
} // namespace venture::quantity
