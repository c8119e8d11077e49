#include <venture/terminal/fewest_types.hpp>

namespace venture::terminal {

std::vector<std::size_t> fewest_types(const std::vector<std::vector<bool>>& suffices)
{
    if (suffices.empty()) return {};
    const std::size_t types = suffices.front().size();
    std::vector<std::size_t> out(suffices.size(), types);
    for (;;) {
        std::size_t best = types, most = 0;
        for (std::size_t t = 0; t < types; ++t) {
            std::size_t serves = 0;
            for (std::size_t p = 0; p < suffices.size(); ++p)
                if (out[p] == types && suffices[p][t]) ++serves;
            if (serves > most) {
                most = serves;
                best = t;
            }
        }
        if (best == types) return out;
        for (std::size_t p = 0; p < suffices.size(); ++p)
            if (out[p] == types && suffices[p][best]) out[p] = best;
    }
}

} // namespace venture::terminal
