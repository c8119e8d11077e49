#include <venture/building/fingerprint.hpp>

#include <gtest/gtest.h>

#include <small_building.hpp>
#include <venture/building/keys.hpp>

namespace venture::building {
namespace {

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

/// Goes through all keys of all records and tries each in turn. Lists of tables that are empty get one record.
class EveryKey {
public:
    void run()
    {
        Input input = one_room();
        fill(input);
        base_ = fingerprint_of(input);
        for_each_table(input, [&](std::string_view name, auto& records) { table(std::string{name}, records, input); });
    }
    std::size_t tried = 0, of_document = 0;

private:
    static void fill(Input& input)
    {
        for_each_table(input, [&](std::string_view, auto& records) {
            if constexpr (requires { records.emplace_back(); }) {
                if (records.empty()) records.emplace_back();
                for (auto& r : records) fill_nested(r);
            } else
                fill_nested(records);
        });
    }
    template <class Record>
    static void fill_nested(Record& record)
    {
        quantity::for_each_nested_table(record, [](std::string_view, auto& nested) {
            if (nested.empty()) nested.emplace_back();
        });
    }
    template <class Records>
    void table(const std::string& name, Records& records, const Input& input)
    {
        if constexpr (requires { records.begin(); })
            for (auto& r : records) record(name, r, input);
        else
            record(name, records, input);
    }
    template <class Record>
    void record(const std::string& name, Record& r, const Input& input)
    {
        quantity::for_each_key_set(r, [&](auto& object, auto all) {
            for (const auto& key : all)
                std::visit([&](auto field) { move(name, key.spec, object.*field, input); }, key.field);
        });
        quantity::for_each_nested_table(r, [&](std::string_view nested, auto& records) {
            table(name + "." + std::string{nested}, records, input);
        });
    }
    template <class T>
    void move(const std::string& name, const KeySpec& spec, Given<T>& given, const Input& input)
    {
        const Given<T> before = given;
        Mover{}(given);
        EXPECT_EQ(fingerprint_of(input) == base_, spec.of_document) << name << "/" << spec.name;
        given = before;
        ++(spec.of_document ? of_document : tried);
    }

    std::uint64_t base_ = 0;
};

TEST(FingerprintOfInput, ChangesWithEveryKeyThatResultsFollowFrom)
{
    EveryKey every;
    every.run();
    EXPECT_GT(every.tried, 400U);
    EXPECT_GT(every.of_document, 40U); // notes, title block, units
}

/// Defaults are values too; where they come from is not.
TEST(FingerprintOfInput, IsThatOfWhatActs)
{
    const auto of = [](const Input& in) { return built(in).fingerprint; };
    Input in = one_room();
    const std::uint64_t base = of(in);
    in.rooms[0].use.infiltration = 0.3; // the default, typed
    in.rooms[0].use.heating_setpoint = *one_room().rooms[0].use.heating_setpoint;
    in.project.name = std::string{"Another name"};
    EXPECT_EQ(of(in), base);
    in.rooms[0].use.infiltration = 0.31;
    EXPECT_NE(of(in), base);
}

} // namespace
} // namespace venture::building
