#include <venture/report/product_report.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>
#include <venture/terminal/radiator.hpp>

namespace venture::report {
namespace {

/// Of a key among those that a product table has columns of.
std::size_t place_of(std::string_view called)
{
    const auto keys = rating::plain_keys(terminal::radiator);
    return static_cast<std::size_t>(
        std::ranges::find(keys, called, [](const quantity::Key* key) { return key->spec.name; }) - keys.begin());
}

rating::Stocks three_radiators()
{
    rating::Stocks out;
    rating::Stock& stock = out.of(terminal::radiator);
    for (const auto& [name, maker, length] :
         {std::tuple{"Short", "Tansy", 0.4}, {"Middle", "Tansy", 1.0}, {"Long", "Foxmill", 2.0}}) {
        terminal::RadiatorData d;
        d.name = std::string{name};
        d.height = 0.6;
        d.length = length;
        d.output = 1000.0 * length;
        d.exponent = 1.3;
        stock.products.push_back(std::make_shared<const terminal::Radiator>(d, "r.toml:1"));
        rating::Said said(rating::plain_keys(terminal::radiator).size());
        for (const auto& [key, value] :
             std::initializer_list<std::pair<std::string_view, rating::Said::value_type>>{{"name", std::string{name}},
                                                                                          {"maker", std::string{maker}},
                                                                                          {"height", 0.6},
                                                                                          {"length", length},
                                                                                          {"output", 1000.0 * length},
                                                                                          {"exponent", 1.3}})
            said[place_of(key)] = value;
        stock.said.push_back(std::move(said));
    }
    return out;
}

std::vector<std::string> names_where(const std::vector<std::string>& where)
{
    std::vector<std::string> out;
    for (const auto& row : product_table(three_radiators(), terminal::radiator, where).rows)
        out.push_back(std::get<std::string>(row.front()));
    return out;
}

TEST(ProductTable, HasAColumnForEachKeyAndWhereItStands)
{
    const figure::Table table = product_table(three_radiators(), terminal::radiator, {});
    EXPECT_EQ(table.name, "radiator");
    ASSERT_EQ(table.rows.size(), 3u);
    EXPECT_EQ(std::get<double>(table.rows[1][table.column("length")]), 1.0);
    EXPECT_EQ(std::get<std::string>(table.rows[1][table.column("from")]), "r.toml:1");
    EXPECT_EQ(table.columns[table.column("output")].quantity, "power");
}

TEST(ProductTable, TakesConditionsOnItsKeys)
{
    using testing::ElementsAre;
    EXPECT_THAT(names_where({"length <= 1 m"}), ElementsAre("Short", "Middle"));
    EXPECT_THAT(names_where({"length<1000 mm"}), ElementsAre("Short"));
    EXPECT_THAT(names_where({"output > 0.5 kW", "maker = tansy"}), ElementsAre("Middle"));
    EXPECT_THAT(names_where({"length = 2"}), ElementsAre("Long"));
    EXPECT_THAT(names_where({"length >= 3"}), ElementsAre());
}

std::string refusal(const std::string& condition)
{
    try {
        (void)names_where({condition});
        return "nothing";
    } catch (const quantity::Error& wrong) {
        return wrong.what();
    }
}

TEST(ProductTable, TellsWhatIsNoCondition)
{
    EXPECT_THAT(refusal("lenght < 1"), testing::HasSubstr("did you mean 'length'?"));
    EXPECT_THAT(refusal("length"), testing::HasSubstr("write a key, one of"));
    EXPECT_THAT(refusal("length < 3 kW"), testing::HasSubstr("expected"));
}

} // namespace
} // namespace venture::report
