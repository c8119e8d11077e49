#include <venture/project/schema.hpp>

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <venture/input/input.hpp>
#include <venture/quantity/record.hpp>

namespace venture::project {
namespace {

using nlohmann::json;

json schema(SchemaOf what) { return json::parse(schema_json(what)); }

TEST(Schema, HasEveryTableWithEveryKeyAndNoOthers)
{
    const json properties = schema(SchemaOf::project)["properties"];
    EXPECT_EQ(properties.size(), input::Input::spec().nested().size() + 3); // format, note, include
    for (const quantity::Nested& table : input::Input::spec().nested()) {
        const json& own = properties.at(std::string{table.name});
        const json& one = table.is_list() ? own.at("items") : own;
        EXPECT_EQ(one["properties"].size(), table.spec().names().size()) << table.name;
        EXPECT_EQ(one["additionalProperties"], false) << table.name;
    }
}

TEST(Schema, CarriesBoundsOfBareNumbersInThePlainUnit)
{
    const json flow =
        schema(SchemaOf::project)["properties"]["room"]["items"]["properties"]["ventilation_per_person"]["anyOf"];
    EXPECT_EQ(flow[0]["maximum"], 10000.0); // 10 m3/s in L/s
    EXPECT_EQ(flow[1]["type"], "string");
}

TEST(Schema, OfAnIncludeNeedsNoFormatAndOfALibraryHoldsLess)
{
    EXPECT_TRUE(schema(SchemaOf::project).contains("required"));
    EXPECT_FALSE(schema(SchemaOf::include).contains("required"));
    EXPECT_TRUE(schema(SchemaOf::include)["properties"].contains("room"));
    EXPECT_FALSE(schema(SchemaOf::library)["properties"].contains("room"));
    EXPECT_TRUE(schema(SchemaOf::library)["properties"].contains("material"));
}

} // namespace
} // namespace venture::project
