#include <venture/rating/typed_product.hpp>

#include <gtest/gtest.h>

namespace venture::rating {
namespace {

TEST(TypedProduct, GivesWhatWasTypedAndNothingElse)
{
    const TypedProduct product{"old one", Service::cooling, 2000.0, 1500.0, 45.0};
    const auto out = std::get<Output>(product.rate({}));
    EXPECT_EQ(out.gives_W[Service::cooling], 2000.0);
    EXPECT_EQ(out.latent_W(), 500.0);
    EXPECT_FALSE(out.dry);
    EXPECT_EQ(out.gives_W[Service::heating], 0.0);
    EXPECT_EQ(out.sound_power_dBA, 45.0);
    EXPECT_TRUE(std::isnan(out.water_kg_per_s));
}

TEST(TypedProduct, IsDryWhereNothingIsLatent)
{
    EXPECT_TRUE(std::get<Output>(TypedProduct("dry", Service::cooling, 900.0, 900.0, unknown).rate({})).dry);
}

} // namespace
} // namespace venture::rating
