#include <venture/terminal/kinds.hpp>

#include <venture/rating/kind_list.hpp>

namespace venture::terminal {

#define VENTURE_DECLARE(kind, words) extern const rating::Kind kind;
VENTURE_UNIT_KINDS(VENTURE_DECLARE)
#undef VENTURE_DECLARE

std::span<const rating::Kind* const> unit_kinds()
{
#define VENTURE_ADDRESS(kind, words) &kind,
    static const rating::Kind* const all[] = {VENTURE_UNIT_KINDS(VENTURE_ADDRESS)};
#undef VENTURE_ADDRESS
    return all;
}

} // namespace venture::terminal
