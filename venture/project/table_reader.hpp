#pragma once
/// Fills records from TOML tables, driven by the declarations of their keys. Internal to the edge.

#include <optional>
#include <string>
#include <vector>

#include <toml++/toml.h>

#include <venture/quantity/preferred_units.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/quantity/record.hpp>
#include <venture/quantity/typed_units.hpp>

namespace venture::project {

class TableReader {
public:
    /// @param library  name of the library that the file is; empty if it is none
    TableReader(std::string file, quantity::OriginPool& origins, quantity::Problems& problems, std::string library = {})
        : file_{std::move(file)},
          library_{std::move(library)},
          origins_{origins},
          problems_{problems}
    {
    }

    /// The units that bounds are told in; SI unless called.
    void speak_in(quantity::PreferredUnits units) { units_ = std::move(units); }

    /// The units that bare numbers are read in; plain ones unless called.
    void read_in(quantity::TypedUnits units) { typed_ = std::move(units); }

    /// Reads `root[name]`, a table that stands once, into a record.
    void read_single(const toml::table& root, std::string_view name, const quantity::Record& record);

    /// Reads `root[name]`, a list of tables, into records.
    void read_list(const toml::table& root, std::string_view name, const quantity::Records& records);

    /// Reads the table of a record inside another one, whichever it is.
    void read(const toml::table& root, const quantity::Records& records);

    /// Reads `root[name]`, a text or a list of texts.
    [[nodiscard]] quantity::TextList read_texts(const toml::table& root, std::string_view name, std::string_view text);

    /// Complains of keys that are not among the allowed ones.
    void check_keys(const toml::table& table, std::string_view where, const std::vector<std::string>& allowed);

    [[nodiscard]] quantity::OriginId origin_of(const toml::node& node);
    [[nodiscard]] quantity::OriginId origin_of(const toml::key& key);

private:
    void read_record(const toml::table& table, std::string_view name, const quantity::Record& record);
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

    /// @param unit  that a bare number there was read in, where it is not the plain one
    [[nodiscard]] quantity::OriginId add_place(const toml::source_region& region, std::string_view unit = {});
    /// Of numbers: with the unit that the file states for bare ones.
    [[nodiscard]] quantity::OriginId origin_of_numbers(const toml::node& node, const quantity::KeySpec& spec);

    std::string file_, library_, table_{}; ///< the last: the table being read
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    quantity::PreferredUnits units_{};
    quantity::TypedUnits typed_{};
};

} // namespace venture::project
