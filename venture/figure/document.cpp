#include <venture/figure/document.hpp>

#include <algorithm>

namespace venture::figure {

bool Document::holds(std::string_view name) const
{
    return std::ranges::any_of(blocks, [&](const auto& block) {
        const auto* table = std::get_if<Table>(&block);
        return table != nullptr && table->told != Told::people && table->name == name;
    });
}

std::vector<Table> Document::data_tables() const
{
    std::vector<Table> out;
    for (const auto& block : blocks) {
        const auto* table = std::get_if<Table>(&block);
        if (table == nullptr || table->told == Told::people) continue;
        const auto same = std::ranges::find(out, table->name, &Table::name);
        if (same == out.end()) {
            out.push_back(*table);
            continue;
        }
        for (Total total : table->totals) {
            for (std::size_t& row : total.rows) row += same->rows.size();
            same->totals.push_back(std::move(total));
        }
        same->rows.insert(same->rows.end(), table->rows.begin(), table->rows.end());
    }
    return out;
}

} // namespace venture::figure
