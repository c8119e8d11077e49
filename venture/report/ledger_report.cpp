#include <venture/report/ledger_report.hpp>

#include <fmt/format.h>

namespace venture::report {

namespace {

using figure::Cell;
using figure::Told;
using quantity::LedgerInput;
using quantity::LedgerLine;

struct LineRow {
    std::size_t number = 0;
    const LedgerLine* line = nullptr;
};
struct InputRow {
    std::size_t number = 0;
    const LedgerInput* input = nullptr;
};

const figure::TableOf<LineRow>& line_columns()
{
    using L = LineRow;
    static const figure::TableOf<L> all = {
        {"arithmetic", "Arithmetic", "One result and the formula that it was reckoned by. SI.", 3, Told::data},
        {
            {{"line", "Line", "count", "its number", 0}, [](const L& l) -> Cell { return figure::whole(l.number); }},
            {{"of", "Of", "", "what it belongs to", 0}, [](const L& l) -> Cell { return l.line->of; }},
            {{"what", "What", "", "the result", 0}, [](const L& l) -> Cell { return l.line->what; }},
            {{"symbol", "Symbol", "", "that later lines take it by"},
             [](const L& l) -> Cell { return l.line->symbol; }},
            {{"formula", "Formula", "", "of the symbols of its inputs"},
             [](const L& l) -> Cell { return l.line->formula; }},
            {{"result", "Result", "", "in SI, with all its digits"}, [](const L& l) -> Cell { return l.line->value; }},
            {{"unit", "Unit", "", "of the result"}, [](const L& l) -> Cell { return l.line->unit; }},
        }};
    return all;
}

const figure::TableOf<InputRow>& input_columns()
{
    using I = InputRow;
    static const figure::TableOf<I> all = {
        {"arithmetic_input", "Inputs of arithmetic", "A number that a line is reckoned from. SI.", 2, Told::data},
        {
            {{"line", "Line", "count", "its number", 0}, [](const I& i) -> Cell { return figure::whole(i.number); }},
            {{"symbol", "Symbol", "", "in the formula", 0}, [](const I& i) -> Cell { return i.input->symbol; }},
            {{"value", "Value", "", "in SI, with all its digits"}, [](const I& i) -> Cell { return i.input->value; }},
            {{"unit", "Unit", "", "of it"}, [](const I& i) -> Cell { return i.input->unit; }},
            {{"from", "From", "", "who says so, or the line that it comes from"},
             [](const I& i) -> Cell { return i.input->from; }},
        }};
    return all;
}

/// "1" is no unit that anyone would write.
std::string with_unit(double value, const std::string& unit)
{
    return unit == "1" ? fmt::format("{:.5g}", value) : fmt::format("{:.5g} {}", value, unit);
}

std::string line_in_words(const LedgerLine& line)
{
    std::string out = fmt::format("  {}: {} = {} = {}\n", line.what, line.symbol, line.formula, line.in_numbers());
    if (line.in_numbers() == line.formula) out = fmt::format("  {}: {} = {}\n", line.what, line.symbol, line.formula);
    out.insert(out.size() - 1, " = " + with_unit(line.value, line.unit));
    for (const LedgerInput& input : line.inputs)
        if (input.from != "above")
            out += fmt::format("      {} {}: {}\n", input.symbol, with_unit(input.value, input.unit), input.from);
    return out;
}

} // namespace

std::vector<figure::Declaration> ledger_declarations()
{
    return {line_columns().declaration(), input_columns().declaration()};
}

figure::Document ledger_document(const quantity::Ledger& ledger)
{
    figure::Document out;
    std::string text, of;
    std::vector<LineRow> lines;
    std::vector<InputRow> inputs;
    for (const LedgerLine& line : ledger) {
        if (line.of != of) text += "\n" + line.of + "\n";
        of = line.of;
        text += line_in_words(line);
        lines.push_back({lines.size() + 1, &line});
        for (const LedgerInput& input : line.inputs) inputs.push_back({lines.size(), &input});
    }
    out.add(std::move(text));
    out.add(figure::table_of(line_columns(), lines));
    out.add(figure::table_of(input_columns(), inputs));
    return out;
}

} // namespace venture::report
