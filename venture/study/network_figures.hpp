#pragma once
/// Circuits and what is needed of them, and what was added or taken off between rooms and plant, as rows of tables.

#include <venture/figure/tables_of.hpp>
#include <venture/study/sizing.hpp>

namespace venture::study {

void add_network_tables(figure::TablesOf<Sizing>& tables);

} // namespace venture::study
