#include <venture/quantity/hash.hpp>

#define XXH_INLINE_ALL
#include <xxhash.h>

namespace venture::quantity {

void Hash::add(std::string_view text)
{
    add_bits(text.size());
    add_bits(XXH3_64bits(text.data(), text.size()));
}

void Hash::take_in()
{
    so_far_ = XXH3_64bits_withSeed(words_.data(), words_.size() * sizeof(std::uint64_t), so_far_);
    words_.clear();
}

std::uint64_t Hash::value() const
{
    return XXH3_64bits_withSeed(words_.data(), words_.size() * sizeof(std::uint64_t), so_far_);
}

} // namespace venture::quantity
