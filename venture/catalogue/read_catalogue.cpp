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
bool is_complete(const quantity::ConstRecord& record, const std::string& file, Catalogue& into)
{
    bool complete = true;
    const Given<std::string>* name = quantity::name_of(record);
    for (const quantity::Key& key : record.keys()) {
        if (record.is_given(key) || !key.spec.required) continue;
        complete = false;
        into.problems.add(
            {quantity::Severity::error,
             quantity::codes::missing,
             name != nullptr ? name->origin : into.origins.add({quantity::OriginKind::file, file, 0, 0, {}}),
             fmt::format("{} has no readable '{}' ({})", name != nullptr ? fmt::format("'{}'", **name) : "a product",
                         key.spec.name, key.spec.text),
             {}});
    }
    for (const quantity::Nested& nested : record.spec().nested()) {
        const quantity::ConstRecords rows = record.records(nested);
        for (std::size_t i = 0; i < rows.size(); ++i) complete = is_complete(rows[i], file, into) && complete;
    }
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

/// The tables of a product file.
struct ProductFile {
    std::vector<RadiatorInput> radiators{};
    std::vector<FanCoilInput> fan_coils{};
    std::vector<BoilerInput> boilers{};
    std::vector<ChillerInput> chillers{};
    [[nodiscard]] static const quantity::RecordSpec& spec()
    {
        using T = ProductFile;
        static const quantity::RecordSpec all = quantity::RecordSpec::of<T>({}, {{"radiator", &T::radiators},
                                                                                 {"fan_coil", &T::fan_coils},
                                                                                 {"boiler", &T::boilers},
                                                                                 {"chiller", &T::chillers}});
        return all;
    }
};

template <class T>
void add_all(const std::vector<T>& products, const std::string& file, Catalogue& into)
{
    for (const T& product : products) {
        if (!is_complete(product, file, into)) continue;
        try {
            add(product, into);
            into.places[*product.name] = product.name.origin;
        } catch (const quantity::Error& wrong) {
            into.problems.add(
                {quantity::Severity::error, quantity::codes::contradiction, product.name.origin, wrong.what(), {}});
        }
    }
}

} // namespace

void read_catalogue_text(std::string text, const std::string& file, Catalogue& into)
{
    into.sources.add({.name = file, .role = project::FileRole::catalogue, .text = text}, text);
    const project::TomlDocument document = project::parse_toml(std::move(text), file, into.origins, into.problems);
    project::TableReader reader{file, into.origins, into.problems};
    std::vector<std::string> allowed = ProductFile::spec().names();
    allowed.insert(allowed.begin(), {"format", "note"});
    reader.check_keys(document.root, "a product file", allowed);
    ProductFile products;
    for (const quantity::Nested& table : ProductFile::spec().nested())
        reader.read(document.root, quantity::Record{products}.records(table));
    add_all(products.radiators, file, into);
    add_all(products.fan_coils, file, into);
    add_all(products.boilers, file, into);
    add_all(products.chillers, file, into);
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
