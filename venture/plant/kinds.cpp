#include <venture/plant/kinds.hpp>

#include <venture/rating/kind_list.hpp>

namespace venture::plant {

#define VENTURE_DECLARE(kind, words) extern const rating::Kind kind;
VENTURE_PLANT_KINDS(VENTURE_DECLARE)
#undef VENTURE_DECLARE

std::span<const rating::Kind* const> plant_kinds()
{
#define VENTURE_ADDRESS(kind, words) &kind,
    static const rating::Kind* const all[] = {VENTURE_PLANT_KINDS(VENTURE_ADDRESS)};
#undef VENTURE_ADDRESS
    return all;
}

} // namespace venture::plant
