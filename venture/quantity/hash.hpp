#pragma once
/// One number for much data: two that differ anywhere have, but for a chance of one in 2^64, another one.

#include <bit>
#include <cstdint>
#include <string_view>
#include <vector>

namespace venture::quantity {

/// XXH3 of 64 bits over words, in the order in which they come.
class Hash {
public:
    void add(double value) { add_bits(std::bit_cast<std::uint64_t>(value)); }
    void add_bits(std::uint64_t bits)
    {
        words_.push_back(bits);
        if (words_.size() == chunk_words) take_in();
    }
    /// With its length, so that neighbours cannot lend each other letters.
    void add(std::string_view text);
    [[nodiscard]] std::uint64_t value() const;

private:
    static constexpr std::size_t chunk_words = 4096;
    void take_in();

    std::vector<std::uint64_t> words_{};
    std::uint64_t so_far_ = 0;
};

} // namespace venture::quantity
