#pragma once
/// Fills records from TOML tables, driven by the declarations of their keys. Internal to the edge.

#include <string>
#include <utility>
#include <vector>

#include <fmt/format.h>
#include <toml++/toml.h>

#include <venture/building/key_value.hpp>
#include <venture/quantity/key.hpp>
#include <venture/quantity/problem.hpp>

namespace venture::project {

class TableReader {
public:
    /// @param library  name of the library that the file is; empty if it is none
    TableReader(std::string file, quantity::OriginPool& origins, std::vector<quantity::Problem>& problems,
                std::string library = {})
        : file_{std::move(file)},
          library_{std::move(library)},
          origins_{origins},
          problems_{problems}
    {
    }

    /// The units that bounds are told in; SI unless called.
    void speak_in(quantity::PreferredUnits units) { units_ = std::move(units); }

    /// Reads `root[name]`, a table that stands once, into a record.
    template <class Record>
    void read_single(const toml::table& root, std::string_view name, Record& record)
    {
        const toml::node* node = root.get(name);
        if (node == nullptr) return;
        if (const toml::table* table = node->as_table()) return read_record(*table, name, record);
        wrong_type(*node, fmt::format("[{}] stands once in a project", name), fmt::format("write [{}]", name));
    }

    /// Reads `root[name]`, a list of tables, into records.
    template <class Record>
    void read_list(const toml::table& root, std::string_view name, std::vector<Record>& records)
    {
        const toml::node* node = root.get(name);
        if (node == nullptr) return;
        const toml::array* list = node->as_array();
        if (list == nullptr || !list->is_array_of_tables())
            return wrong_type(*node, fmt::format("'{}' is a list of tables", name),
                              fmt::format("write [[{}]] over each", name));
        for (const toml::node& item : *list) read_record(*item.as_table(), name, records.emplace_back());
    }

    /// Reads `root[name]`, a text or a list of texts.
    [[nodiscard]] quantity::TextList read_texts(const toml::table& root, std::string_view name, std::string_view text);

    /// Complains of keys that are not among the allowed ones.
    void check_keys(const toml::table& table, std::string_view where, const std::vector<std::string>& allowed);

    [[nodiscard]] quantity::OriginId origin_of(const toml::node& node);
    [[nodiscard]] quantity::OriginId origin_of(const toml::key& key);

private:
    template <class Record>
    void read_record(const toml::table& table, std::string_view name, Record& record)
    {
        std::vector<std::string> allowed;
        const std::string outer =
            std::exchange(table_, table_.empty() ? std::string{name} : fmt::format("{}.{}", table_, name));
        quantity::for_each_key_set(record, [&](auto& part, auto keys) {
            for (const auto& key : keys) {
                allowed.emplace_back(key.spec.name);
                const toml::node* node = table.get(key.spec.name);
                if (node == nullptr) continue;
                std::visit(
                    [&](auto field) {
                        read_value(*node, key.spec, part.*field);
                        (part.*field).refused = !(part.*field);
                    },
                    key.field);
            }
        });
        quantity::for_each_nested_table(record, [&](std::string_view nested, auto& records) {
            allowed.emplace_back(nested);
            read_list(table, nested, records);
        });
        check_keys(table, fmt::format("[{}]", table_), allowed);
        table_ = outer;
    }

    void read_value(const toml::node& node, const quantity::KeySpec& spec, quantity::Given<double>& out);
    void read_value(const toml::node& node, const quantity::KeySpec& spec, quantity::Given<std::string>& out);
    void read_value(const toml::node& node, const quantity::KeySpec& spec, quantity::Given<quantity::TextList>& out);
    void read_value(const toml::node& node, const quantity::KeySpec& spec,
                    quantity::Given<quantity::QuantityList>& out);
    void read_value(const toml::node& node, const quantity::KeySpec& spec, quantity::Given<quantity::PointList>& out);

    /// One number, typed bare or with a unit; complains and gives nothing if it is none.
    [[nodiscard]] std::optional<double> number(const toml::node& node, const quantity::KeySpec& spec);
    void wrong_type(const toml::node& node, std::string message, std::string hint);
    [[nodiscard]] std::string hint_of(const quantity::KeySpec& spec) const;

    [[nodiscard]] quantity::OriginId add_place(const toml::source_region& region);

    std::string file_, library_, table_{}; ///< the last: the table being read
    quantity::OriginPool& origins_;
    std::vector<quantity::Problem>& problems_;
    quantity::PreferredUnits units_{};
};

} // namespace venture::project
