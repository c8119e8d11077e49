#pragma once
/// Performance given as a table over two conditions.

#include <string>
#include <vector>

namespace venture::rating {

/// Values on a grid, read between its lines by bilinear interpolation and never outside it.
class CapacityTable {
public:
    /// @param rows, columns  condition values, rising, at least one each
    /// @param values         one list a row, as long as `columns`
    /// @throws quantity::Error if the shape is wrong or the conditions do not rise
    CapacityTable(std::string name, std::vector<double> rows, std::vector<double> columns,
                  std::vector<std::vector<double>> values);

    /// @throws quantity::RangeError outside the grid, naming the condition
    [[nodiscard]] double at(double row, double column) const;
    [[nodiscard]] const std::vector<double>& rows() const { return rows_; }
    [[nodiscard]] const std::vector<double>& columns() const { return columns_; }

private:
    std::string name_;
    std::vector<double> rows_, columns_;
    std::vector<std::vector<double>> values_;
};

} // namespace venture::rating
