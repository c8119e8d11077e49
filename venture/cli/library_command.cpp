/// `venture library`: what ships.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/catalogue/read_catalogue.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/deliver.hpp>
#include <venture/cli/fabric_pieces.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/printing.hpp>
#include <venture/quantity/names.hpp>
#include <venture/report/library_report.hpp>
#include <venture/report/product_report.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::cli::of_library {

namespace {

/// Where nothing has a word in its name: the products that have, or what comes nearest.
std::string near_to(const input::Input& library, const std::string& word)
{
    const auto holds = [&](const std::string& name) {
        return quantity::lower_case(name).find(quantity::lower_case(word)) != std::string::npos;
    };
    std::vector<std::string> names, products, kinds;
    for (const quantity::Nested& table : input::Input::spec().nested()) {
        if (!table.in_library) continue;
        kinds.push_back(table.in_words());
        const quantity::ConstRecords records = quantity::ConstRecord{library}.records(table);
        for (std::size_t i = 0; i < records.size(); ++i)
            if (const auto* name = quantity::name_of(records[i]); name != nullptr && *name) names.push_back(**name);
    }
    if (std::ranges::any_of(names, holds)) return {};
    for (const rating::Stock& stock : catalogue::shipped_products()->all())
        for (const auto& product : stock.products)
            if (holds(product->name())) products.push_back(product->name());
    if (!products.empty())
        return fmt::format("'{}' is none of what the library holds ({}), but products: {}; `venture size` chooses "
                           "among them\n",
                           word, fmt::join(kinds, ", "), quantity::listed(products, 8));
    const auto near = quantity::nearest_name(word, names);
    return fmt::format("Nothing in the library has '{}' in its name{}.\n", word,
                       near ? fmt::format("; did you mean '{}'?", *near) : "");
}

/// The kind that a word names: "fan coil", "fan coils".
const rating::Kind* kind_called(const std::string& word)
{
    const std::string small = quantity::lower_case(word);
    for (const rating::Kind* kind : catalogue::all_kinds())
        if (small == kind->words || small == fmt::format("{}s", kind->words)) return kind;
    return nullptr;
}

/// What ships of a kind, or what a project may choose from.
ExitCode list_products(const CommonOptions& o, const rating::Kind& kind, const std::vector<std::string>& where)
{
    std::optional<Job> job;
    if (!o.project.empty()) job.emplace(open(o));
    const rating::Stocks& stocks = job ? job->project().products() : *catalogue::shipped_products();
    figure::Document out;
    try {
        out.add(report::product_table(stocks, kind, where));
    } catch (const quantity::Error& wrong) {
        print_error(fmt::format("{}\n", wrong.what()));
        return ExitCode::bad_input;
    }
    if (stocks.are_invented(kind))
        out.add(fmt::format("\nInvented, of makers that do not exist; a [[catalogue]] of a project names real {}s.\n",
                            kind.words));
    if (job) return deliver(std::move(out), *job, o);
    const auto units = units_without_project(o);
    return units ? deliver(out, *units, o) : ExitCode::bad_input;
}

ExitCode run(const CommonOptions& o, const std::string& word, const std::vector<std::string>& where)
{
    if (const rating::Kind* kind = kind_called(word)) return list_products(o, *kind, where);
    if (!where.empty() || !o.project.empty())
        throw Misuse{"--where and --of list products: name a kind of them, such as \"fan coil\""};
    const project::ProjectFile all = whole_library();
    const resolve::ResolvedFabric completed = resolve::resolve_fabric(all.input);
    const auto units = units_without_project(o);
    if (!units) return ExitCode::bad_input;
    if (const std::string near = near_to(all.input, word); !near.empty()) {
        print_error(near);
        return ExitCode::bad_input;
    }
    return deliver(report::library_document(all.input, completed.fabric, word), *units, o);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto word = std::make_shared<std::string>();
    parser.add("WORD", *word,
               "only what has it in its name; or a kind of product (\"fan coil\"), to list what there is of it");
    add_units(parser, *options);
    add_forms(parser, *options);
    const auto where = std::make_shared<std::vector<std::string>>();
    parser.add("--where", *where, "of a kind of product: only what meets this, e.g. \"length <= 1 m\"; may be repeated")
        .one_each();
    parser.add("--of", options->project, "of a kind of product: what this project may choose from");
    return [options, word, where] { return run(*options, *word, *where); };
}

} // namespace

} // namespace venture::cli::of_library

namespace venture::cli {

extern const Command library_command;
const Command library_command = {"library", Group::understand,
                                 "list the materials, build-ups, glazings, shades, room types and products that ship",
                                 of_library::declare};

} // namespace venture::cli
