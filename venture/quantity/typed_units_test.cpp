#include <venture/quantity/typed_units.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/quantity/preferred_units.hpp>

namespace venture::quantity {
namespace {

using ::testing::HasSubstr;

TypedUnits read(std::string_view words) { return std::get<TypedUnits>(TypedUnits::parse(words)); }
std::string why_not(std::string_view words) { return std::get<std::string>(TypedUnits::parse(words)); }

const KeySpec height{.name = "height", .kind = Kind::length},
    layer{.name = "t", .kind = Kind::length, .printed_as = "thickness"}, angle{.name = "bearing", .kind = Kind::angle},
    flow{.name = "flow", .kind = Kind::air_flow};

TEST(TypedUnits, ArePlainUnlessStated)
{
    EXPECT_FALSE(TypedUnits{}.of(height));
    EXPECT_FALSE(read("SI").of(height));
    EXPECT_FALSE(read("length=m").of(height));
}

TEST(TypedUnits, OfASetGoByWhatAKeyIsPrintedAs)
{
    const TypedUnits ip = read("inch-pound");
    EXPECT_EQ(ip.of(height), "ft");
    EXPECT_EQ(ip.of(layer), "in");
    EXPECT_EQ(ip.of(flow), "cfm");
    EXPECT_FALSE(ip.of(angle)); // which has one unit
}

TEST(TypedUnits, OneByOneStandOverASet)
{
    const TypedUnits mixed = read(" inch-pound , length = mm,thickness=cm, length=in");
    EXPECT_EQ(mixed.of(height), "in");
    EXPECT_EQ(mixed.of(layer), "cm");
    EXPECT_EQ(mixed.of(flow), "cfm");
    EXPECT_EQ(mixed.words(), "inch-pound , length = mm,thickness=cm, length=in");
}

TEST(TypedUnits, SayWhatIsWrong)
{
    EXPECT_THAT(why_not("imperial"), HasSubstr("there are SI, inch-pound"));
    EXPECT_THAT(why_not("lenght=mm"), HasSubstr("did you mean 'length'?"));
    EXPECT_THAT(why_not("length=furlong"), HasSubstr("it has m, cm, mm, ft, in"));
    EXPECT_THAT(why_not(""), HasSubstr("no units are named"));
}

/// Whatever a set of units names is a unit of its kind, and reads back what it prints.
TEST(TypedUnits, OfEveryKindReadWhatIsPrinted)
{
    const TypedUnits ip = read("inch-pound");
    const PreferredUnits printed{"inch-pound"};
    for (const PrintedQuantity& q : printed_quantities()) {
        const KeySpec key{.name = "x", .kind = q.kind, .printed_as = q.key};
        const std::string_view unit = ip.of(key).value_or(plain_unit(q.kind));
        if (q.inch_pound != q.si) {
            EXPECT_EQ(unit, printed.symbol(q.key)) << q.key;
        }
        EXPECT_TRUE(std::holds_alternative<double>(to_si(1.0, unit, q.kind))) << q.key;
    }
}

} // namespace
} // namespace venture::quantity
