#pragma once
/// What is wrong, as it is found.

#include <cstdint>
#include <unordered_map>
#include <utility>
#include <vector>

#include <venture/quantity/problem.hpp>

namespace venture::quantity {

/// Collects problems in the order in which they were found.
class Problems {
public:
    using value_type = Problem;
    using const_iterator = std::vector<Problem>::const_iterator;

    /// Adds a problem, unless the same was told of the same place: what stands for several keys, or in a type of many rooms,
    /// is told once. @return it, or the one that was told; good until the next is added
    Problem& add(Problem problem);
    void add_all(std::vector<Problem> more);

    [[nodiscard]] bool has_error() const { return quantity::has_error(all_); }
    [[nodiscard]] std::size_t count_errors() const;
    [[nodiscard]] bool empty() const { return all_.empty(); }
    [[nodiscard]] std::size_t size() const { return all_.size(); }
    [[nodiscard]] const_iterator begin() const { return all_.begin(); }
    [[nodiscard]] const_iterator end() const { return all_.end(); }
    [[nodiscard]] const Problem& operator[](std::size_t i) const { return all_[i]; }
    [[nodiscard]] const Problem& front() const { return all_.front(); }
    [[nodiscard]] const std::vector<Problem>& all() const& { return all_; }
    /// Leaves none.
    [[nodiscard]] std::vector<Problem> all() &&;

private:
    std::vector<Problem> all_{};
    std::unordered_multimap<std::uint32_t, std::size_t> told_at_{}; ///< by origin: which of them
};

} // namespace venture::quantity
