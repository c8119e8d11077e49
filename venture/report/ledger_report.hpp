#pragma once
/// Arithmetic as a document: each line in symbols' numbers, and who said those.

#include <venture/figure/document.hpp>
#include <venture/quantity/ledger.hpp>

namespace venture::report {

/// Lines below what they belong to; for data a table of lines and one of their inputs, with all digits.
[[nodiscard]] figure::Document ledger_document(const quantity::Ledger& ledger);
[[nodiscard]] std::vector<figure::Declaration> ledger_declarations();

} // namespace venture::report
