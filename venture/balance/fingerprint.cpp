#include <venture/balance/fingerprint.hpp>

#include <venture/quantity/each_field.hpp>
#include <venture/quantity/hash.hpp>

namespace venture::balance {

namespace {

struct IntoHash {
    quantity::Hash& hash;
    void operator()(double value) const { hash.add(value); }
    void operator()(const std::string& text) const { hash.add(text); }
    template <class T>
        requires(std::is_integral_v<T> || std::is_enum_v<T>)
    void operator()(T value) const
    {
        hash.add_bits(static_cast<std::uint64_t>(value));
    }
};

} // namespace

std::uint64_t fingerprint_of(const ThermalModel& model)
{
    quantity::Hash hash;
    IntoHash into{hash};
    quantity::each_field(model, into);
    return hash.value();
}

} // namespace venture::balance
