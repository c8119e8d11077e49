#include <venture/quantity/problems.hpp>

#include <algorithm>

namespace venture::quantity {

Problem& Problems::add(Problem problem)
{
    if (problem.where != OriginId{}) {
        const auto [first, last] = told_at_.equal_range(problem.where.index);
        for (auto at = first; at != last; ++at)
            if (Problem& known = all_[at->second]; known.code == problem.code && known.message == problem.message)
                return known;
        told_at_.emplace(problem.where.index, all_.size());
    }
    return all_.emplace_back(std::move(problem));
}

void Problems::add_all(std::vector<Problem> more)
{
    for (Problem& problem : more) add(std::move(problem));
}

std::size_t Problems::count_errors() const
{
    return static_cast<std::size_t>(std::ranges::count(all_, Severity::error, &Problem::severity));
}

std::vector<Problem> Problems::all() &&
{
    told_at_.clear();
    return std::exchange(all_, {});
}

} // namespace venture::quantity
