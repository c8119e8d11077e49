#include <venture/balance/fingerprint.hpp>

#include <venture/quantity/each_field.hpp>
#include <venture/quantity/into_hash.hpp>

namespace venture::balance {

std::uint64_t fingerprint_of(const ThermalModel& model)
{
    quantity::Hash hash;
    quantity::IntoHash into{hash};
    quantity::each_field(model, into);
    return hash.value();
}

} // namespace venture::balance
