#include <venture/report/as_xlsx.hpp>

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <sstream>

#include <fmt/format.h>
#include <unistd.h>
#include <xlsxwriter.h>

#include <venture/figure/shown.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/names.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::report {

using figure::Cell;
using figure::Column;
using figure::Sum;
using figure::Table;

namespace {

lxw_row_t row_of(std::size_t number) { return static_cast<lxw_row_t>(number); }
lxw_col_t column_of(std::size_t number) { return static_cast<lxw_col_t>(number); }

/// A workbook under way, in a file of its own that goes with it.
class Workbook {
public:
    Workbook() : file_{std::filesystem::temp_directory_path() / fmt::format("venture-{}.xlsx", ::getpid())}
    {
        book_ = workbook_new(file_.c_str());
        if (book_ == nullptr) throw quantity::Error{"a workbook could not be begun"};
        lxw_doc_properties properties{};
        constexpr time_t same_always = 946684800; // so that equal results give equal files
        properties.created = same_always;
        workbook_set_properties(book_, &properties);
        header_ = workbook_add_format(book_);
        format_set_bold(header_);
        format_set_text_wrap(header_);
        format_set_align(header_, LXW_ALIGN_VERTICAL_BOTTOM);
        format_set_bottom(header_, LXW_BORDER_MEDIUM);
        total_ = workbook_add_format(book_);
        format_set_bold(total_);
        format_set_top(total_, LXW_BORDER_THIN);
    }
    Workbook(const Workbook&) = delete;
    Workbook& operator=(const Workbook&) = delete;
    ~Workbook()
    {
        if (book_ != nullptr) workbook_close(book_);
        std::error_code ignored;
        std::filesystem::remove(file_, ignored);
    }

    lxw_worksheet* sheet(const std::string& wanted)
    {
        constexpr std::size_t longest = 31;
        std::string name = wanted.substr(0, longest);
        for (int n = 2; workbook_get_worksheet_by_name(book_, name.c_str()) != nullptr; ++n)
            name = fmt::format("{} {}", wanted.substr(0, longest - 4), n);
        lxw_worksheet* out = workbook_add_worksheet(book_, name.c_str());
        if (out == nullptr) throw quantity::Error{fmt::format("no sheet could be made for '{}'", wanted)};
        return out;
    }
    /// Numbers with so many decimals.
    lxw_format* number(int decimals, bool total)
    {
        lxw_format* out = workbook_add_format(book_);
        const std::string digits =
            decimals > 0 ? "#,##0." + std::string(static_cast<std::size_t>(decimals), '0') : "#,##0";
        format_set_num_format(out, digits.c_str());
        if (total) {
            format_set_bold(out);
            format_set_top(out, LXW_BORDER_THIN);
        }
        return out;
    }
    [[nodiscard]] lxw_format* header() const { return header_; }
    [[nodiscard]] lxw_format* total() const { return total_; }

    /// The file as it is; nothing can be added any more.
    std::string bytes()
    {
        const lxw_error wrong = workbook_close(std::exchange(book_, nullptr));
        if (wrong != LXW_NO_ERROR)
            throw quantity::Error{fmt::format("the workbook could not be written: {}", lxw_strerror(wrong))};
        std::ostringstream out;
        out << std::ifstream{file_, std::ios::binary}.rdbuf();
        return out.str();
    }

private:
    std::filesystem::path file_;
    lxw_workbook* book_ = nullptr;
    lxw_format *header_ = nullptr, *total_ = nullptr;
};

/// "SUM(C2:C9,C12)" of some rows of a column.
std::string formula_of(const Column& column, std::size_t at, const std::vector<std::size_t>& rows)
{
    const char* function = column.sum == Sum::added ? "SUM" : column.sum == Sum::largest ? "MAX" : "MIN";
    std::string ranges;
    for (std::size_t first = 0; first < rows.size();) {
        std::size_t last = first;
        while (last + 1 < rows.size() && rows[last + 1] == rows[last] + 1) ++last;
        char from[LXW_MAX_CELL_NAME_LENGTH], to[LXW_MAX_CELL_NAME_LENGTH];
        lxw_rowcol_to_cell(from, row_of(rows[first] + 1), column_of(at));
        lxw_rowcol_to_cell(to, row_of(rows[last] + 1), column_of(at));
        ranges += fmt::format("{}{}:{}", ranges.empty() ? "" : ",", from, to);
        first = last + 1;
    }
    return fmt::format("={}({})", function, ranges);
}

class Sheet {
public:
    Sheet(Workbook& book, const Table& table, const quantity::PreferredUnits& units)
        : table_{table},
          units_{units},
          sheet_{book.sheet(table.name)},
          total_words_{book.total()}
    {
        worksheet_freeze_panes(sheet_, 1, column_of(table.subjects));
        for (std::size_t c = 0; c < table.columns.size(); ++c) {
            const Column& column = table.columns[c];
            numbers_.push_back(book.number(decimals_of(column, units), false));
            total_numbers_.push_back(book.number(decimals_of(column, units), true));
            const std::string_view unit = unit_of(column, units);
            const std::string heading = heading_in_a_line(column);
            write_words(0, c, unit.empty() ? heading : fmt::format("{} [{}]", heading, unit), book.header());
        }
        for (std::size_t r = 0; r < table.rows.size(); ++r)
            for (std::size_t c = 0; c < table.columns.size(); ++c) write(r + 1, c, table.rows[r][c]);
        add_totals();
        for (std::size_t c = 0; c < table.columns.size(); ++c) {
            constexpr double least = 9.0, most = 46.0;
            worksheet_set_column(sheet_, column_of(c), column_of(c), std::clamp(widest_[c] + 2.0, least, most),
                                 nullptr);
        }
        if (!table.rows.empty())
            worksheet_autofilter(sheet_, 0, 0, row_of(table.rows.size()), column_of(table.columns.size() - 1));
    }

private:
    void write_words(std::size_t row, std::size_t column, const std::string& words, lxw_format* format)
    {
        widest_.resize(table_.columns.size(), 0.0);
        if (row > 0) widest_[column] = std::max(widest_[column], static_cast<double>(quantity::display_width(words)));
        worksheet_write_string(sheet_, row_of(row), column_of(column), quantity::harmless(words).c_str(), format);
    }

    void write(std::size_t row, std::size_t column, const Cell& cell)
    {
        if (const auto* si = std::get_if<double>(&cell))
            worksheet_write_number(sheet_, row_of(row), column_of(column), in_unit(*si, table_.columns[column], units_),
                                   numbers_[column]);
        else if (const auto* count = std::get_if<std::int64_t>(&cell))
            worksheet_write_number(sheet_, row_of(row), column_of(column), static_cast<double>(*count), nullptr);
        else if (!std::holds_alternative<std::monostate>(cell))
            write_words(row, column, shown(cell, table_.columns[column], units_), nullptr);
    }

    void add_totals()
    {
        for (std::size_t t = 0; t < table_.totals.size(); ++t) {
            const figure::Total& total = table_.totals[t];
            const std::size_t row = table_.rows.size() + 1 + t;
            write_words(row, 0, total.what, total_words_);
            for (std::size_t c = 1; c < table_.columns.size(); ++c) {
                const Cell& cell = total.cells[c];
                const auto* si = std::get_if<double>(&cell);
                const auto* count = std::get_if<std::int64_t>(&cell);
                if (si == nullptr && count == nullptr) continue;
                const double value =
                    si != nullptr ? in_unit(*si, table_.columns[c], units_) : static_cast<double>(*count);
                if (table_.columns[c].sum == Sum::none)
                    worksheet_write_number(sheet_, row_of(row), column_of(c), value, total_numbers_[c]);
                else
                    worksheet_write_formula_num(sheet_, row_of(row), column_of(c),
                                                formula_of(table_.columns[c], c, total.rows).c_str(), total_numbers_[c],
                                                value);
            }
        }
    }

    const Table& table_;
    const quantity::PreferredUnits& units_;
    lxw_worksheet* sheet_;
    lxw_format* total_words_;
    std::vector<lxw_format*> numbers_{}, total_numbers_{};
    std::vector<double> widest_{};
};

void add_sentences(Workbook& book, const figure::Document& document)
{
    lxw_worksheet* sheet = book.sheet("about");
    constexpr double wide = 110.0;
    worksheet_set_column(sheet, 0, 0, wide, nullptr);
    std::size_t row = 0;
    const auto add = [&](const std::string& line, lxw_format* format) {
        if (!line.empty()) worksheet_write_string(sheet, row_of(row), 0, quantity::harmless(line).c_str(), format);
        ++row;
    };
    add(document.title, book.header());
    for (const auto& block : document.blocks)
        if (const auto* sentences = std::get_if<figure::Sentences>(&block)) {
            std::istringstream lines{sentences->lines};
            for (std::string line; std::getline(lines, line);) add(line, nullptr);
        }
}

void add_meanings(Workbook& book, const std::vector<Table>& tables)
{
    lxw_worksheet* sheet = book.sheet("meanings");
    const double widths[] = {22.0, 30.0, 90.0};
    const char* headings[] = {"sheet", "column", "meaning"};
    for (std::size_t c = 0; c < 3; ++c) {
        worksheet_set_column(sheet, column_of(c), column_of(c), widths[c], nullptr);
        worksheet_write_string(sheet, 0, column_of(c), headings[c], book.header());
    }
    std::size_t row = 1;
    for (const Table& table : tables)
        for (const Column& column : table.columns) {
            const std::string cells[] = {table.name, heading_in_a_line(column), column.meaning};
            for (std::size_t c = 0; c < 3; ++c)
                worksheet_write_string(sheet, row_of(row), column_of(c), quantity::harmless(cells[c]).c_str(), nullptr);
            ++row;
        }
}

} // namespace

std::string as_xlsx(const figure::Document& document, const quantity::PreferredUnits& units)
{
    Workbook book;
    add_sentences(book, document);
    const std::vector<Table> tables = document.data_tables();
    for (const Table& table : tables)
        if (!table.rows.empty()) const Sheet written{book, table, units};
    add_meanings(book, tables);
    return book.bytes();
}

} // namespace venture::report
