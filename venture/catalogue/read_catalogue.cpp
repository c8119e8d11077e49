#include <venture/catalogue/read_catalogue.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/catalogue/shipped.hpp>
#include <venture/plant/kinds.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/terminal/kinds.hpp>

namespace venture::catalogue {

namespace {

/// Whether a record and its rows have all that their keys require; complains of what is missing.
bool is_complete(const quantity::ConstRecord& record, const std::string& file, Catalogue& into)
{
    bool complete = true;
    const quantity::Given<std::string>* name = quantity::name_of(record);
    for (const quantity::Key& key : record.keys()) {
        if (record.is_refused(key)) complete = false; // told where it was read
        if (record.is_given(key) || record.is_refused(key) || !key.spec.required) continue;
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

/// Products of one kind from their records.
void add_all(const rating::Kind& kind, rating::Shelf& shelf, const std::string& file, Catalogue& into)
{
    const quantity::Records records = shelf.records();
    rating::Stock& stock = into.stocks.of(kind);
    for (std::size_t i = 0; i < records.size(); ++i) {
        if (!is_complete(records[i], file, into)) continue;
        const quantity::Given<std::string>& name = *quantity::name_of(records[i]);
        if (stock.find(*name) != nullptr) {
            into.problems.add({quantity::Severity::error, quantity::codes::twice, name.origin,
                               fmt::format("a second {} is called '{}'", kind.words, *name),
                               "name each product once, as one would order it"});
            continue;
        }
        try {
            stock.products.push_back(shelf.make(i, into.origins.describe(name.origin)));
        } catch (const quantity::Error& wrong) {
            into.problems.add({quantity::Severity::error,
                               quantity::codes::contradiction,
                               name.origin,
                               fmt::format("'{}': {}", *name, wrong.what()),
                               {}});
        }
    }
}

} // namespace

std::span<const rating::Kind* const> all_kinds()
{
    static const std::vector<const rating::Kind*> all = [] {
        std::vector<const rating::Kind*> out;
        std::ranges::copy(terminal::unit_kinds(), std::back_inserter(out));
        std::ranges::copy(plant::plant_kinds(), std::back_inserter(out));
        return out;
    }();
    return all;
}

void read_catalogue_text(std::string text, const std::string& file, Catalogue& into)
{
    into.sources.add({.name = file, .role = project::FileRole::catalogue, .text = text}, text);
    const project::TomlDocument document = project::parse_toml(std::move(text), file, into.origins, into.problems);
    project::TableReader reader{file, into.origins, into.problems};
    std::vector<std::string> allowed = {"format", "note"};
    for (const rating::Kind* kind : all_kinds()) allowed.emplace_back(kind->key);
    reader.check_keys(document.root, "a product file", allowed);
    for (const rating::Kind* kind : all_kinds()) {
        const std::unique_ptr<rating::Shelf> shelf = kind->shelf();
        reader.read(document.root, shelf->records());
        add_all(*kind, *shelf, file, into);
    }
}

std::shared_ptr<const Catalogue> shipped_catalogue()
{
    static const std::shared_ptr<const Catalogue> all = [] {
        auto c = std::make_shared<Catalogue>();
        for (const ShippedFile& file : shipped_files())
            if (file.path.starts_with("catalogue/"))
                read_catalogue_text(std::string{file.text}, std::string{file.path}, *c);
        return c;
    }();
    return all;
}

} // namespace venture::catalogue
