#pragma once
/// A product of which someone typed what it gives, in no catalogue.

#include <venture/rating/product.hpp>

namespace venture::rating {

/// Gives what was typed, whatever it is asked at.
class TypedProduct : public Product {
public:
    /// @param sensible_W  of cooling
    TypedProduct(std::string name, Service service, double gives_W, double sensible_W, double sound_power_dBA);
    [[nodiscard]] std::variant<Output, Refusal> rate(const Conditions& at) const override;

private:
    Output typed_{};
};

} // namespace venture::rating
