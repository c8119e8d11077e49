#include <venture/project/schema.hpp>

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <venture/building/key_tables.hpp>

namespace venture::project {
namespace {

using nlohmann::json;

json schema(SchemaOf what) { return json::parse(schema_json(what)); }

TEST(Schema, HasEveryTableWithEveryKeyAndNoOthers)
{
    const json properties = schema(SchemaOf::project)["properties"];
    EXPECT_EQ(properties.size(), building::key_tables().size() + 3); // format, note, include
    for (const building::KeyTable& table : building::key_tables()) {
        const json& own = properties.at(table.name);
        const json& one = table.many ? own.at("items") : own;
        EXPECT_EQ(one["properties"].size(), table.keys.size() + table.nested.size()) << table.name;
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
