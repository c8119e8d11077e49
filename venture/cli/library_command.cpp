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
#include <venture/resolve/resolve.hpp>

namespace venture::cli::of_library {

namespace {

/// Where nothing has a word in its name: the products that have, or what comes nearest.
std::string near_to(const input::Input& library, const std::string& word)
{
    const auto holds = [&](const std::string& name) {
        return quantity::lower_case(name).find(quantity::lower_case(word)) != std::string::npos;
    };
    std::vector<std::string> names, products;
    const auto take = [&](const auto& records) {
        for (const auto& record : records)
            if (record.name) names.push_back(*record.name);
    };
    take(library.materials);
    take(library.build_ups);
    take(library.panes);
    take(library.glazings);
    take(library.shades);
    take(library.room_types);
    take(library.profiles);
    take(library.calendars);
    if (std::ranges::any_of(names, holds)) return {};
    for (const rating::Stock& stock : catalogue::shipped_products()->all())
        for (const auto& product : stock.products)
            if (holds(product->name())) products.push_back(product->name());
    if (!products.empty())
        return fmt::format("'{}' is no material, build-up, pane, glazing, shade, room type or profile, but products: "
                           "{}; `venture size` "
                           "chooses among them\n",
                           word, quantity::listed(products, 8));
    const auto near = quantity::nearest_name(word, names);
    return fmt::format("Nothing in the library has '{}' in its name{}.\n", word,
                       near ? fmt::format("; did you mean '{}'?", *near) : "");
}

ExitCode run(const CommonOptions& o, const std::string& word)
{
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
    parser.add("WORD", *word, "only what has it in its name");
    add_units(parser, *options);
    add_forms(parser, *options);
    return [options, word] { return run(*options, *word); };
}

} // namespace

} // namespace venture::cli::of_library

namespace venture::cli {

extern const Command library_command;
const Command library_command = {"library", Group::understand,
                                 "list the materials, build-ups, glazings, shades and room types that ship",
                                 of_library::declare};

} // namespace venture::cli
