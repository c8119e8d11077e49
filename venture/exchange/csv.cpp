#include <venture/exchange/csv.hpp>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::exchange {

namespace {

class Splitter {
public:
    Splitter(std::string_view text, const std::string& file, quantity::OriginPool& origins,
             std::vector<quantity::Problem>& problems)
        : text_{text},
          file_{file},
          origins_{origins},
          problems_{problems}
    {
        if (text_.starts_with("\xEF\xBB\xBF")) text_.remove_prefix(3);
        const auto first_line = text_.substr(0, text_.find('\n'));
        if (first_line.find(',') == std::string_view::npos && first_line.find(';') != std::string_view::npos)
            separator_ = ';';
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

private:
    void cell()
    {
        CsvCell cell{{}, line_, static_cast<std::uint32_t>(row_.size() + 1)};
        if (text_[at_] == '"') quoted(cell);
        const auto end = std::min(text_.find_first_of(separator_ == ',' ? ",\n" : ";\n", at_), text_.size());
        cell.text += quantity::trimmed(text_.substr(at_, end - at_));
        row_.push_back(std::move(cell));
        at_ = end;
        if (at_ < text_.size()) {
            const bool ends = text_[at_++] == '\n';
            if (ends)
                end_row();
            else if (at_ == text_.size())
                row_.push_back({{}, line_, static_cast<std::uint32_t>(row_.size() + 1)});
            if (ends) ++line_;
        }
    }

    void quoted(CsvCell& cell)
    {
        const auto start_line = line_;
        for (++at_; at_ < text_.size(); ++at_) {
            if (text_[at_] == '"') {
                if (at_ + 1 < text_.size() && text_[at_ + 1] == '"')
                    ++at_;
                else {
                    ++at_;
                    return;
                }
            }
            if (text_[at_] == '\n') ++line_;
            cell.text += text_[at_];
        }
        const auto where = origins_.add({quantity::OriginKind::file, file_, start_line, cell.column, {}});
        problems_.push_back({quantity::Severity::error, quantity::codes::syntax, where, "a quoted cell does not end",
                             "close it with \""});
    }

    void skip_line()
    {
        at_ = std::min(text_.find('\n', at_), text_.size() - 1) + 1;
        ++line_;
    }

    void end_row()
    {
        const bool empty = row_.empty() || (row_.size() == 1 && row_.front().text.empty());
        if (!empty) rows_.push_back(std::move(row_));
        row_.clear();
    }

    std::string_view text_;
    const std::string& file_;
    quantity::OriginPool& origins_;
    std::vector<quantity::Problem>& problems_;
    char separator_ = ',';
    std::size_t at_ = 0;
    std::uint32_t line_ = 1;
    CsvRow row_{};
    std::vector<CsvRow> rows_{};
};

} // namespace

std::vector<CsvRow> parse_csv(std::string_view text, const std::string& file, quantity::OriginPool& origins,
                              std::vector<quantity::Problem>& problems)
{
    return Splitter{text, file, origins, problems}.run();
}

std::string csv_cell(std::string_view text)
{
    if (text.find_first_of(",;\"\n\r") == std::string_view::npos) return std::string{text};
    std::string out = "\"";
    for (const char c : text) {
        if (c == '"') out += '"';
        out += c;
    }
    return out + '"';
}

} // namespace venture::exchange
