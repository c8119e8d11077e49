#include <venture/input/fingerprint.hpp>

#include <gtest/gtest.h>

#include <small_input.hpp>
#include <venture/input/completion.hpp>
#include <venture/quantity/record.hpp>

namespace venture::input {
namespace {

using quantity::Key;
using quantity::Nested;
using quantity::Record;

using namespace testing_data;

/// Moves one value of an input, whatever is there or not.
struct Mover {
    void operator()(Given<double>& given) const { given = given ? *given + 1.0 : 1.0; }
    void operator()(Given<std::string>& given) const { given = given ? *given + "!" : std::string{"!"}; }
    void operator()(Given<TextList>& given) const
    {
        TextList texts = given ? *given : TextList{};
        texts.push_back({"!", {}});
        given = texts;
    }
    void operator()(Given<QuantityList>& given) const
    {
        QuantityList values = given ? *given : QuantityList{};
        values.push_back(1.0);
        given = values;
    }
    void operator()(Given<PointList>& given) const
    {
        PointList points = given ? *given : PointList{};
        points.push_back({1.0, 2.0, 3.0});
        given = points;
    }
};

/// Every list of tables gets a record, so that all keys of all records can be tried.
void fill(const Record& record)
{
    for (const Nested& nested : record.spec().nested()) {
        const quantity::Records inner = record.records(nested);
        if (nested.is_list() && inner.size() == 0) (void)inner.append();
        for (std::size_t i = 0; i < inner.size(); ++i) fill(inner[i]);
    }
}

TEST(FingerprintOfInput, ChangesWithEveryKeyThatResultsFollowFrom)
{
    Input input = one_room();
    fill(input);
    const std::uint64_t base = fingerprint_of(input);
    std::size_t tried = 0, of_document = 0;
    quantity::for_each_record_in(Record{input}, [&](const Record& record) {
        for (const Key& key : record.keys())
            record.visit(key, [&](auto& given) {
                const auto before = given;
                Mover{}(given);
                EXPECT_EQ(fingerprint_of(input) == base, key.spec.of_document) << key.spec.name;
                given = before;
                ++(key.spec.of_document ? of_document : tried);
            });
    });
    EXPECT_GT(tried, 400U);
    EXPECT_GT(of_document, 40U); // notes, title block, units
}

/// Defaults are values too; where they come from is not.
TEST(FingerprintOfInput, IsThatOfWhatActs)
{
    const auto of = [](const Input& in) { return fingerprint_of(completed(in)); };
    Input in = one_room();
    const std::uint64_t base = of(in);
    in.rooms[0].use.infiltration = 0.3; // the default, typed
    in.rooms[0].use.heating_setpoint = *one_room().rooms[0].use.heating_setpoint;
    in.project.name = "Another name";
    EXPECT_EQ(of(in), base);
    in.rooms[0].use.infiltration = 0.31;
    EXPECT_NE(of(in), base);
}

} // namespace
} // namespace venture::input
