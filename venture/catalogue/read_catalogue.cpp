#include <venture/catalogue/read_catalogue.hpp>

#include <fmt/format.h>

#include <venture/catalogue/product_keys.hpp>
#include <venture/catalogue/shipped.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::catalogue {

namespace {

using rating::CapacityTable;

/// Whether a record and its rows have all that their keys require; complains of what is missing.
template <class Record>
bool is_complete(const Record& record, const std::string& file, Catalogue& into)
{
    bool complete = true;
    for (const auto& key : quantity::keys<Record>())
        std::visit(
            [&](auto field) {
                if ((record.*field) || !key.spec.required) return;
                complete = false;
                quantity::OriginId where = into.origins.add({quantity::OriginKind::file, file, 0, 0, {}});
                std::string name = "a product";
                if constexpr (requires { record.name; })
                    if (record.name) {
                        name = "'" + *record.name + "'";
                        where = record.name.origin;
                    }
                into.problems.push_back(
                    {quantity::Severity::error,
                     quantity::codes::missing,
                     where,
                     fmt::format("{} has no readable '{}' ({})", name, key.spec.name, key.spec.text),
                     {}});
            },
            key.field);
    quantity::for_each_nested_table(record, [&](std::string_view, const auto& rows) {
        for (const auto& row : rows) complete = is_complete(row, file, into) && complete;
    });
    return complete;
}

template <class Row>
CapacityTable table_of(const std::string& name, const std::vector<Row>& rows, const QuantityList& columns,
                       Given<QuantityList> Row::*values)
{
    std::vector<double> conditions;
    std::vector<std::vector<double>> grid;
    for (const Row& row : rows) {
        conditions.push_back(*row.supply);
        grid.push_back(*(row.*values));
    }
    return CapacityTable{name, std::move(conditions), columns, std::move(grid)};
}

void add(const RadiatorInput& r, Catalogue& into)
{
    into.units.radiators.push_back({*r.name, r.maker ? *r.maker : "", *r.height, *r.length, *r.output, *r.exponent});
}

void add(const FanCoilInput& f, Catalogue& into)
{
    into.units.fan_coils.push_back({*f.name, f.maker ? *f.maker : "", *f.air_flow, *f.entering_dry_bulb,
                                    *f.bypass_factor, *f.water_rise,
                                    table_of(*f.name, f.at_water, *f.wet_bulbs, &FanCoilRow::total),
                                    table_of(*f.name, f.at_water, *f.wet_bulbs, &FanCoilRow::sensible)});
}

void add(const BoilerInput& b, Catalogue& into)
{
    into.plants.boilers.push_back({*b.name, b.maker ? *b.maker : "", *b.output, *b.highest_supply});
}

void add(const ChillerInput& c, Catalogue& into)
{
    into.plants.chillers.push_back(
        {*c.name, c.maker ? *c.maker : "", table_of(*c.name, c.at_water, *c.outdoor, &ChillerRow::capacity)});
}

template <class Record>
void read_products(project::TableReader& reader, const toml::table& root, std::string_view table,
                   const std::string& file, Catalogue& into)
{
    std::vector<Record> records;
    reader.read_list(root, table, records);
    for (const Record& record : records) {
        if (!is_complete(record, file, into)) continue;
        try {
            add(record, into);
            into.places[*record.name] = record.name.origin;
        } catch (const quantity::Error& wrong) {
            into.problems.push_back(
                {quantity::Severity::error, quantity::codes::contradiction, record.name.origin, wrong.what(), {}});
        }
    }
}

} // namespace

void read_catalogue_text(std::string text, const std::string& file, Catalogue& into)
{
    into.sources.add({.name = file, .role = project::FileRole::catalogue, .text = text}, text);
    const project::TomlDocument document = project::parse_toml(std::move(text), file, into.origins, into.problems);
    project::TableReader reader{file, into.origins, into.problems};
    reader.check_keys(document.root, "a product file", {"format", "note", "radiator", "fan_coil", "boiler", "chiller"});
    read_products<RadiatorInput>(reader, document.root, "radiator", file, into);
    read_products<FanCoilInput>(reader, document.root, "fan_coil", file, into);
    read_products<BoilerInput>(reader, document.root, "boiler", file, into);
    read_products<ChillerInput>(reader, document.root, "chiller", file, into);
}

const Catalogue& shipped_catalogue()
{
    static const Catalogue all = [] {
        Catalogue c;
        for (const ShippedFile& file : shipped_files())
            if (file.path.starts_with("catalogue/"))
                read_catalogue_text(std::string{file.text}, std::string{file.path}, c);
        return c;
    }();
    return all;
}

} // namespace venture::catalogue
