#include <venture/catalogue/read_catalogue.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/project/record_table.hpp>
#include <venture/project/stated_csv.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::catalogue {

namespace codes = quantity::codes;
using quantity::OriginId;
using quantity::Severity;

namespace {

/// One file on its way to products.
class Reading {
public:
    Reading(std::string file, quantity::OriginPool& origins, quantity::Problems& problems, rating::Stocks& into)
        : file_{std::move(file)},
          origins_{origins},
          problems_{problems},
          into_{into}
    {
    }

    void say(std::string_view code, OriginId where, std::string message, std::string hint = {})
    {
        problems_.add({Severity::error, code, where, std::move(message), std::move(hint)});
    }
    [[nodiscard]] OriginId place(std::uint32_t line = 0, std::uint32_t column = 0)
    {
        return origins_.add({quantity::OriginKind::file, file_, line, column, {}});
    }

    /// Products of one kind from their records.
    void add_all(const rating::Kind& kind, rating::Shelf& shelf)
    {
        const quantity::Records records = shelf.records();
        rating::Stock& stock = into_.of(kind);
        for (std::size_t i = 0; i < records.size(); ++i) {
            if (!is_complete(records[i], nullptr)) continue;
            const quantity::Given<std::string>& name = *quantity::name_of(records[i]);
            try {
                const auto product = shelf.make(i, origins_.describe(name.origin));
                if (const rating::Product* same = stock.find(product->name())) {
                    say(codes::twice, name.origin,
                        fmt::format("a second {} is called '{}'", kind.words, product->name()),
                        fmt::format("the first stands at {}; name each product once, as one would order it",
                                    same->from()));
                    continue;
                }
                stock.products.push_back(product);
                stock.said.push_back(said_of(kind, records[i]));
            } catch (const quantity::Error& wrong) {
                say(codes::contradiction, name.origin, fmt::format("'{}': {}", *name, wrong.what()));
            }
        }
    }

private:
    static rating::Said said_of(const rating::Kind& kind, const quantity::ConstRecord& record)
    {
        rating::Said out;
        for (const quantity::Key* key : rating::plain_keys(kind)) {
            auto& cell = out.emplace_back();
            if (!record.is_given(*key)) continue;
            if (key->shape == quantity::ValueShape::number)
                cell = **record.find<double>(key->spec.name);
            else
                cell = **record.find<std::string>(key->spec.name);
        }
        return out;
    }

    /// Whether a record and its rows have all that their keys require; complains of what is missing.
    /// @param product  that it belongs to, by its name
    bool is_complete(const quantity::ConstRecord& record, const quantity::Given<std::string>* product)
    {
        bool complete = true;
        const quantity::Given<std::string>* own = quantity::name_of(record);
        const quantity::Given<std::string>* name = own != nullptr ? own : product;
        for (const quantity::Key& key : record.keys()) {
            if (record.is_refused(key)) complete = false; // told where it was read
            if (record.is_given(key) || record.is_refused(key) || !key.spec.required) continue;
            complete = false;
            say(codes::missing, name != nullptr ? name->origin : place(),
                fmt::format("{} has no readable '{}' ({})", name != nullptr ? fmt::format("'{}'", **name) : "a product",
                            key.spec.name, key.spec.text));
        }
        for (const quantity::Nested& nested : record.spec().nested()) {
            const quantity::ConstRecords rows = record.records(nested);
            for (std::size_t i = 0; i < rows.size(); ++i) complete = is_complete(rows[i], name) && complete;
        }
        return complete;
    }

    std::string file_;
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    rating::Stocks& into_;
};

/// Headings of a sheet as the keys that they stand for; columns that nobody described go, if some are described.
void call_columns(project::CsvTable& table, const input::CatalogueInput& sheet, Reading& reading)
{
    if (sheet.columns.empty() || table.header.empty()) return;
    const auto all = project::headings(table);
    std::vector<std::string> names;
    for (const project::CsvHeading& h : all) names.push_back(h.name);
    std::vector<std::size_t> kept;
    for (const input::CatalogueColumnInput& c : sheet.columns) {
        if (!c.holds || !c.column) continue; // told already: a missing key
        const auto at = std::ranges::find(names, *c.column);
        if (at == names.end()) {
            const auto near = quantity::nearest_name(*c.column, names);
            reading.say(codes::unknown_name, c.column.origin, fmt::format("no column is called '{}'", *c.column),
                        near ? fmt::format("did you mean '{}'?", *near)
                             : fmt::format("there are: {}", quantity::listed(names, 12)));
            continue;
        }
        const auto i = static_cast<std::size_t>(at - names.begin());
        const std::string unit = c.unit ? *c.unit : all[i].unit;
        table.header[0][i].text = unit.empty() ? *c.holds : fmt::format("{} [{}]", *c.holds, unit);
        kept.push_back(i);
    }
    table.header.resize(1);
    table.dialect.header_rows = 1;
    const auto keep = [&](project::CsvRow& row) {
        project::CsvRow out;
        for (const std::size_t i : kept)
            if (i < row.size()) out.push_back(std::move(row[i]));
        row = std::move(out);
    };
    keep(table.header[0]);
    for (project::CsvRow& row : table.rows) keep(row);
}

} // namespace

std::span<const rating::Kind* const> all_kinds()
{
    static const std::vector<const rating::Kind*> all = [] {
        std::vector<const rating::Kind*> out;
        std::ranges::copy(terminal::unit_kinds(), std::back_inserter(out));
        std::ranges::copy(plant::plant_kinds(), std::back_inserter(out));
        std::ranges::copy(terminal::fitting_kinds(), std::back_inserter(out));
        return out;
    }();
    return all;
}

void read_products(std::string text, const std::string& file, quantity::OriginPool& origins,
                   quantity::Problems& problems, rating::Stocks& into)
{
    const project::TomlDocument document = project::parse_toml(std::move(text), file, origins, problems);
    project::TableReader reader{file, origins, problems};
    std::vector<std::string> allowed = {"format", "note"};
    for (const rating::Kind* kind : all_kinds()) allowed.emplace_back(kind->key);
    reader.check_keys(document.root, "a product file", allowed);
    Reading reading{file, origins, problems, into};
    for (const rating::Kind* kind : all_kinds()) {
        const std::unique_ptr<rating::Shelf> shelf = kind->shelf();
        reader.read(document.root, shelf->records());
        reading.add_all(*kind, *shelf);
    }
}

void read_sheet(const std::string& bytes, const input::CatalogueInput& sheet, quantity::OriginPool& origins,
                quantity::Problems& problems, rating::Stocks& into)
{
    Reading reading{*sheet.file, origins, problems, into};
    const auto which = sheet.kind.which();
    if (!which) {
        if (!sheet.kind.refused)
            reading.say(codes::missing, sheet.file.origin,
                        fmt::format("the [[catalogue]] of '{}' does not say what its lines are", *sheet.file),
                        fmt::format("add kind = \"{}\"", quantity::name_of(input::ProductKind{})));
        return;
    }
    const rating::Kind& kind = *all_kinds()[static_cast<std::size_t>(*which)];
    const std::unique_ptr<rating::Shelf> shelf = kind.shelf();
    const quantity::Records records = shelf->records();
    const quantity::RecordSpec& spec = records.table().spec();
    const project::CsvStated stated = project::stated_by(sheet);
    const auto holds_numbers = [&](std::size_t, const std::string& heading) {
        const auto described = std::ranges::find_if(
            sheet.columns, [&](const input::CatalogueColumnInput& c) { return c.column && *c.column == heading; });
        const std::string& key = described != sheet.columns.end() && described->holds ? *described->holds : heading;
        return project::RecordTable::holds_numbers(spec, key);
    };
    const std::size_t told = problems.size();
    project::CsvTable table = project::read_csv(bytes, *sheet.file, stated, holds_numbers, origins, problems);
    if (table.header.empty()) {
        if (problems.size() == told)
            reading.say(codes::file, reading.place(), fmt::format("'{}' is empty", *sheet.file),
                        "begin with a row of column names");
        return;
    }
    note_dialect(table, stated, *sheet.file, origins, problems);
    call_columns(table, sheet, reading);
    project::RecordTable{table, *sheet.file, origins, problems}.read(spec, nullptr,
                                                                     [&](const auto&) { return records.append(); });
    shelf->join_points();
    reading.add_all(kind, *shelf);
}

std::shared_ptr<const rating::Stocks> shipped_products()
{
    static const std::shared_ptr<const rating::Stocks> all = [] {
        auto out = std::make_shared<rating::Stocks>();
        quantity::OriginPool origins;
        quantity::Problems problems;
        for (const ShippedFile& file : shipped_files())
            if (file.path.starts_with("catalogue/"))
                read_products(std::string{file.text}, std::string{file.path}, origins, problems, *out);
        VENTURE_ASSERT(problems.empty());
        for (const rating::Kind* kind : all_kinds()) out->of(*kind).invented = true;
        return out;
    }();
    return all;
}

std::shared_ptr<const rating::Stocks> products_of(input::Input& input, const project::Sources& sources,
                                                  quantity::Problems& problems)
{
    if (input.catalogues.empty()) return shipped_products();
    auto out = std::make_shared<rating::Stocks>();
    for (const input::CatalogueInput& catalogue : input.catalogues) {
        const project::SourceFile* file = catalogue.file ? sources.find(*catalogue.file) : nullptr;
        if (file == nullptr) continue; // told when it was to be read
        if (quantity::lower_case(file->name).ends_with(".toml"))
            read_products(file->text, file->name, input.origins, problems, *out);
        else
            read_sheet(file->text, catalogue, input.origins, problems, *out);
    }
    out->fill_up(*shipped_products());
    return out;
}

} // namespace venture::catalogue
