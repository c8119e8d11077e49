#include <venture/terminal/kinds.hpp>

#include <venture/rating/kind_list.hpp>

namespace venture::terminal {

#define VENTURE_DECLARE(kind, words) extern const rating::Kind kind;
VENTURE_UNIT_KINDS(VENTURE_DECLARE)
VENTURE_FITTING_KINDS(VENTURE_DECLARE)
#undef VENTURE_DECLARE

#define VENTURE_ADDRESS(kind, words) &kind,

std::span<const rating::Kind* const> unit_kinds()
{
    static const rating::Kind* const all[] = {VENTURE_UNIT_KINDS(VENTURE_ADDRESS)};
    return all;
}

std::span<const rating::Kind* const> fitting_kinds()
{
    static const rating::Kind* const all[] = {VENTURE_FITTING_KINDS(VENTURE_ADDRESS)};
    return all;
}

#undef VENTURE_ADDRESS

} // namespace venture::terminal
