#include <venture/rating/typed_product.hpp>

namespace venture::rating {

TypedProduct::TypedProduct(std::string name, Service service, double gives_W, double sensible_W, double sound_power_dBA)
    : Product{{.name = std::move(name), .from = "typed"}}
{
    typed_.gives_W[service] = gives_W;
    if (service == Service::cooling) typed_.sensible_W = sensible_W;
    typed_.dry = service != Service::cooling || sensible_W == gives_W;
    typed_.sound_power_dBA = sound_power_dBA;
}

std::variant<Output, Refusal> TypedProduct::rate(const Conditions& /*at*/) const { return typed_; }

} // namespace venture::rating
