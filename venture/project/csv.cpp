#include <venture/project/csv.hpp>

#include <algorithm>
#include <array>

#include <fmt/format.h>

#include <venture/project/number_marks.hpp>
#include <venture/project/text_encoding.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/spreadsheet_cell.hpp>
#include <venture/quantity/units.hpp>

namespace venture::project {

namespace codes = quantity::codes;
using quantity::OriginPool;
using quantity::Problem;
using quantity::Problems;
using quantity::Severity;

namespace {

/// Cuts a text into cells.
constexpr std::size_t most_columns = 16384; ///< as sheets of calculation have

class Splitter {
public:
    /// @param skip  lines at the top that are not read
    Splitter(std::string_view text, char separator, int skip = 0) : text_{text}, separator_{separator}
    {
        while (skip-- > 0 && at_ < text_.size()) skip_line();
    }

    std::vector<CsvRow> run()
    {
        while (at_ < text_.size()) {
            if (row_.empty() && text_[at_] == '#')
                skip_line();
            else
                cell();
        }
        end_row();
        return std::move(rows_);
    }
    /// First line of a quoted cell that does not end; 0 if there is none.
    [[nodiscard]] std::uint32_t unclosed_line() const { return unclosed_line_; }

private:
    void cell()
    {
        CsvCell cell{{}, line_, column_at(at_)};
        if (text_[at_] == '"') quoted(cell);
        const char ends[] = {separator_, '\n', '\0'};
        const auto end = std::min(text_.find_first_of(ends, at_), text_.size());
        cell.text += quantity::trimmed(text_.substr(at_, end - at_));
        row_.push_back(std::move(cell));
        at_ = end;
        if (at_ == text_.size()) return;
        if (text_[at_++] == '\n') {
            end_row();
            begin_line();
        } else if (at_ == text_.size()) {
            row_.push_back({{}, line_, column_at(at_)});
        }
    }

    void quoted(CsvCell& cell)
    {
        const auto start_line = line_;
        for (++at_; at_ < text_.size(); ++at_) {
            if (text_[at_] == '"') {
                const bool doubled = at_ + 1 < text_.size() && text_[at_ + 1] == '"';
                ++at_;
                if (!doubled) return;
            }
            cell.text += text_[at_];
            if (text_[at_] == '\n') {
                ++line_;
                line_start_ = at_ + 1;
            }
        }
        unclosed_line_ = start_line;
    }

    /// Letters are counted on from the last cell of the line.
    [[nodiscard]] std::uint32_t column_at(std::size_t at)
    {
        if (counted_from_ < line_start_ || counted_from_ > at) {
            counted_from_ = line_start_;
            letters_ = 0;
        }
        letters_ +=
            static_cast<std::uint32_t>(quantity::display_width(text_.substr(counted_from_, at - counted_from_)));
        counted_from_ = at;
        return 1 + letters_;
    }

    void begin_line()
    {
        ++line_;
        line_start_ = at_;
    }

    void skip_line()
    {
        at_ = std::min(text_.find('\n', at_), text_.size() - 1) + 1;
        begin_line();
    }

    void end_row()
    {
        for (CsvCell& cell : row_)
            if (cell.text.starts_with('\'')) cell.text = std::string{quantity::unguarded(cell.text)};
        if (std::ranges::any_of(row_, [](const CsvCell& c) { return !c.text.empty(); }))
            rows_.push_back(std::move(row_));
        row_.clear();
    }

    std::string_view text_;
    char separator_;
    std::size_t at_ = 0, line_start_ = 0, counted_from_ = 0;
    std::uint32_t line_ = 1, unclosed_line_ = 0, letters_ = 0;
    CsvRow row_{};
    std::vector<CsvRow> rows_{};
};

// In doubt the comma comes last: it is a decimal mark to many.
constexpr std::array separators = {'\t', ';', '|', ','};

/// The separator that cuts most of the first rows into as many cells as the first one.
char detect_separator(const std::string& text, int skip)
{
    constexpr std::size_t looked_at = 8000;
    const std::string_view begin = std::string_view{text}.substr(0, looked_at);
    char best = ',';
    std::size_t best_score = 0;
    for (const char separator : separators) {
        const auto rows = Splitter{begin, separator, skip}.run();
        if (rows.empty() || rows.front().size() < 2) continue;
        const auto alike = std::ranges::count(rows, rows.front().size(), &CsvRow::size);
        const std::size_t score = static_cast<std::size_t>(alike) * 100 / rows.size() * 100 + rows.front().size();
        if (score > best_score) {
            best = separator;
            best_score = score;
        }
    }
    return best;
}

/// How the numbers of a table are written, as far as they tell.
struct NumberSigns {
    bool comma_decimal = false; ///< some comma can only be a decimal mark: "3,5"
    bool point_decimal = false; ///< some point can only be one: "3.5"
};

NumberSigns signs_in(const std::vector<CsvRow>& rows, const std::vector<bool>& numeric)
{
    NumberSigns signs;
    for (const CsvRow& row : rows)
        for (std::size_t i = 0; i < std::min(row.size(), numeric.size()); ++i) {
            const CsvCell& cell = row[i];
            const auto number = numeric[i] ? marked_number(cell.text) : std::nullopt;
            if (!number || number->digits_behind == 3) continue;
            (cell.text[number->mark_at] == ',' ? signs.comma_decimal : signs.point_decimal) = true;
        }
    return signs;
}

/// A second header row holds units, and nothing else.
bool is_unit_row(const CsvRow& row)
{
    static const std::vector<std::string> symbols = [] {
        std::vector<std::string> all;
        for (const quantity::Kind kind : quantity::all_kinds())
            for (auto& symbol : quantity::unit_symbols(kind))
                if (!symbol.empty()) all.push_back(std::move(symbol));
        return all;
    }();
    bool any = false;
    for (const CsvCell& cell : row) {
        std::string_view text = cell.text;
        if (text.starts_with('[') && text.ends_with(']')) text = quantity::trimmed(text.substr(1, text.size() - 2));
        if (text.empty() || text == "-") continue;
        if (std::ranges::find(symbols, text) == symbols.end()) return false;
        any = true;
    }
    return any;
}

class Reader {
public:
    Reader(const std::string& file, const CsvStated& stated, const NumbersIn& holds_numbers, OriginPool& origins,
           Problems& problems)
        : file_{file},
          stated_{stated},
          holds_numbers_{holds_numbers},
          origins_{origins},
          problems_{problems}
    {
    }

    CsvTable run(const std::string& bytes)
    {
        CsvTable table;
        table.dialect.encoding = stated_.encoding.value_or(detect_encoding(bytes));
        const auto text = to_utf8(bytes, table.dialect.encoding);
        if (!text) {
            problem(codes::syntax, 1, 0,
                    fmt::format("the table is not in {}", quantity::name_of(table.dialect.encoding)),
                    "state its encoding, or save it as UTF-8");
            return table;
        }
        table.text = *text;
        if (const auto nothing = table.text.find('\0'); nothing != std::string::npos) {
            const auto line =
                1 + std::count(table.text.begin(), table.text.begin() + static_cast<std::ptrdiff_t>(nothing), '\n');
            problem(codes::syntax, static_cast<std::uint32_t>(line), 0,
                    "a byte of value 0 stands in it: this is no text", "save it again as text (CSV, UTF-8)");
            return table;
        }
        table.dialect.separator = stated_.separator.value_or(detect_separator(table.text, stated_.skip_lines));
        Splitter splitter{table.text, table.dialect.separator, stated_.skip_lines};
        table.rows = splitter.run();
        if (splitter.unclosed_line() > 0)
            problem(codes::syntax, splitter.unclosed_line(), 0, "a quoted cell does not end", "close it with \"");
        split_header(table);
        if (!table.header.empty() && table.header.front().size() > most_columns) {
            problem(
                codes::syntax, 1, 0,
                fmt::format("{} columns, more than the {} that are read", table.header.front().size(), most_columns),
                "is the separator right? No record has so many keys");
            table.header.clear();
            table.rows.clear();
            return table;
        }
        settle_decimal_mark(table);
        return table;
    }

private:
    void problem(std::string_view code, std::uint32_t line, std::uint32_t column, std::string message, std::string hint)
    {
        const auto where = origins_.add({quantity::OriginKind::file, file_, line, column, {}});
        problems_.add({Severity::error, code, where, std::move(message), std::move(hint)});
    }

    void split_header(CsvTable& table)
    {
        const bool two = table.rows.size() > 1 && is_unit_row(table.rows[1]);
        table.dialect.header_rows = stated_.header_rows.value_or(two ? 2 : 1);
        const auto count = static_cast<std::ptrdiff_t>(
            std::min<std::size_t>(static_cast<std::size_t>(table.dialect.header_rows), table.rows.size()));
        std::move(table.rows.begin(), table.rows.begin() + count, std::back_inserter(table.header));
        table.rows.erase(table.rows.begin(), table.rows.begin() + count);
    }

    void settle_decimal_mark(CsvTable& table)
    {
        std::size_t widest = 0;
        for (const CsvRow& row : table.rows) widest = std::max(widest, row.size());
        const std::vector<CsvHeading> names = headings(table);
        std::vector<bool> numeric(widest);
        for (std::size_t i = 0; i < widest; ++i)
            numeric[i] = holds_numbers_(i, i < names.size() ? names[i].name : std::string{});
        const NumberSigns signs = signs_in(table.rows, numeric);
        char& mark = table.dialect.decimal_mark;
        mark = stated_.decimal_mark.value_or(signs.comma_decimal && !signs.point_decimal ? ',' : '.');
        for (const CsvRow& row : table.rows)
            for (std::size_t i = 0; i < std::min(row.size(), numeric.size()); ++i)
                if (numeric[i]) check_number(row[i], mark);
    }

    /// Complains of numbers that read differently with the other mark.
    void check_number(const CsvCell& cell, char mark)
    {
        if (const auto number = marked_number(cell.text)) {
            const char found = cell.text[number->mark_at];
            if (found == mark) return;
            const bool thousands = number->digits_behind == 3;
            const char* name = found == ',' ? "comma" : "point";
            problem(codes::quantity, cell.line, cell.column,
                    thousands
                        ? fmt::format("'{}' is ambiguous: is the {} a decimal mark or for thousands?", cell.text, name)
                        : fmt::format("'{}' has a decimal {} in a table of decimal {}", cell.text, name,
                                      mark == ',' ? "commas" : "points"),
                    thousands ? "write no thousands marks, or state decimal_mark"
                              : "use one mark, or state decimal_mark");
        } else if (cell.text.size() <= 40 && has_thousands_marks(cell.text)) {
            problem(codes::quantity, cell.line, cell.column, fmt::format("'{}' has thousands marks", cell.text),
                    "write it without");
        }
    }

    const std::string& file_;
    const CsvStated& stated_;
    const NumbersIn& holds_numbers_;
    OriginPool& origins_;
    Problems& problems_;
};

} // namespace

CsvTable read_csv(const std::string& bytes, const std::string& file, const CsvStated& stated,
                  const NumbersIn& holds_numbers, OriginPool& origins, Problems& problems)
{
    return Reader{file, stated, holds_numbers, origins, problems}.run(bytes);
}

std::vector<CsvHeading> headings(const CsvTable& table)
{
    const auto without_brackets = [](std::string_view text) {
        if (text.starts_with('[') && text.ends_with(']')) text = text.substr(1, text.size() - 2);
        return std::string{quantity::trimmed(text)};
    };
    std::vector<CsvHeading> out;
    if (table.header.empty()) return out;
    for (std::size_t i = 0; i < table.header.front().size(); ++i) {
        const CsvCell& cell = table.header.front()[i];
        const auto bracket = std::min(cell.text.find('['), cell.text.size());
        CsvHeading h{std::string{quantity::trimmed(std::string_view{cell.text}.substr(0, bracket))},
                     without_brackets(std::string_view{cell.text}.substr(bracket)), cell.line, cell.column};
        if (table.header.size() > 1 && i < table.header[1].size() && h.unit.empty())
            h.unit = without_brackets(table.header[1][i].text);
        if (h.unit == "-") h.unit.clear();
        out.push_back(std::move(h));
    }
    return out;
}

std::string in_words(const CsvDialect& d)
{
    const char* between = d.separator == ','   ? "commas"
                          : d.separator == ';' ? "semicolons"
                          : d.separator == '|' ? "bars"
                                               : "tabs";
    return fmt::format("{} between cells, decimal {}, {}, {}", between, d.decimal_mark == ',' ? "commas" : "points",
                       quantity::name_of(d.encoding),
                       d.header_rows == 2   ? "two header rows"
                       : d.header_rows == 1 ? "one header row"
                                            : "no header row");
}

void note_dialect(const CsvTable& table, const CsvStated& stated, const std::string& file, OriginPool& origins,
                  Problems& problems)
{
    const bool all_stated = stated.separator && stated.decimal_mark && stated.encoding && stated.header_rows;
    if (all_stated || table.dialect == CsvDialect{}) return;
    problems.add({Severity::note, codes::table_read_as, origins.add({quantity::OriginKind::file, file, 1, 0, {}}),
                  fmt::format("read with {}", in_words(table.dialect)),
                  "state separator, decimal_mark, encoding and header_rows if that is not so"});
}

std::string with_decimal_point(const std::string& cell, char decimal_mark)
{
    const auto number = decimal_mark == ',' ? marked_number(cell) : std::nullopt;
    if (!number) return cell;
    std::string out = cell;
    out[number->mark_at] = '.';
    return out;
}

std::string csv_cell(std::string_view words)
{
    const std::string text = quantity::guarded(words);
    const bool has_blank_end = quantity::trimmed(text).size() != text.size(); // which is read only in quotes
    if (text.find_first_of(",;\"\n\r\t|") == std::string::npos && !text.starts_with('#') && !has_blank_end) return text;
    std::string out = "\"";
    for (const char c : text) {
        if (c == '"') out += '"';
        out += c;
    }
    return out + '"';
}

} // namespace venture::project
