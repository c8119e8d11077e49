#include <venture/rating/point_grid.hpp>

#include <fmt/format.h>

namespace venture::rating {

void check_points(std::span<const double> first_C, std::string_view first_words, std::span<const double> second_C,
                  std::string_view second_words, std::span<const double> values)
{
    for (std::size_t i = 0; i < values.size(); ++i)
        if (std::isnan(values[i]))
            throw quantity::Error{fmt::format("its table has a gap: nothing for {} at {:g} degC with {} of {:g} degC",
                                              first_words, first_C[i / second_C.size()], second_words,
                                              second_C[i % second_C.size()])};
}

} // namespace venture::rating
