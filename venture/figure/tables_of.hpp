#pragma once
/// All tables that a subject (a building, its loads) is told in: each declared, filled and listed in one place.

#include <functional>

#include <venture/figure/document.hpp>
#include <venture/quantity/error.hpp>

namespace venture::figure {

template <class Subject>
class TablesOf {
public:
    /// @param rows  of a subject
    template <class Row, class Rows>
    TablesOf& add(const TableOf<Row>& columns, Rows rows)
    {
        return add(columns.declaration(),
                   [&columns, rows = std::move(rows)](const Subject& of) { return table_of(columns, rows(of)); });
    }
    /// With totals, marks or columns of its own.
    TablesOf& add(Declaration declaration, std::function<Table(const Subject&)> fill)
    {
        tables_.push_back({std::move(declaration), std::move(fill)});
        return *this;
    }

    [[nodiscard]] std::vector<Declaration> declarations() const
    {
        std::vector<Declaration> out;
        for (const One& table : tables_) out.push_back(table.declaration);
        return out;
    }
    /// @throws quantity::Error if none is called so
    [[nodiscard]] Table table(std::string_view name, const Subject& of) const
    {
        for (const One& one : tables_)
            if (one.declaration.name == name) return one.fill(of);
        throw quantity::Error("no table '" + std::string{name} + "'");
    }
    /// Those whose names are wanted, in their order.
    template <class Wanted>
    [[nodiscard]] std::vector<Table> tables(const Subject& of, const Wanted& wanted) const
    {
        std::vector<Table> out;
        for (const One& one : tables_)
            if (wanted(one.declaration.name)) out.push_back(one.fill(of));
        return out;
    }
    /// What the document does not hold yet, so that a table once listed is told.
    void add_rest(Document& document, const Subject& of) const
    {
        for (Table& table : tables(of, [&](const std::string& name) { return !document.holds(name); }))
            document.add(std::move(table));
    }

private:
    struct One {
        Declaration declaration{};
        std::function<Table(const Subject&)> fill{};
    };
    std::vector<One> tables_{};
};

} // namespace venture::figure
