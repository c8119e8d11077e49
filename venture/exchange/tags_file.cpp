#include <venture/exchange/tags_file.hpp>

#include <algorithm>
#include <array>
#include <map>

#include <fmt/format.h>

#include <venture/project/csv.hpp>
#include <venture/project/output.hpp>
#include <venture/project/read_project.hpp>
#include <venture/quantity/error.hpp>

namespace venture::exchange {

namespace fs = std::filesystem;
using study::IssuedTag;
using study::Tags;

namespace {

constexpr std::string_view is_gone = "gone";
enum Known : std::uint8_t { tag, kind, place, where, state, number_known };
constexpr std::array<std::string_view, number_known> known = {"tag", "kind", "place", "where", "state"};

std::string& part_of(IssuedTag& line, std::size_t which, std::string& said_state)
{
    switch (which) {
    case tag:
        return line.tag;
    case kind:
        return line.kind;
    case place:
        return line.place;
    case where:
        return line.where;
    default:
        return said_state;
    }
}

class Reading {
public:
    Reading(std::string file, const std::string& bytes)
        : file_{std::move(file)},
          table_{project::read_csv(
              bytes, file_, {}, [](std::size_t, const std::string&) { return false; }, origins_, problems_)}
    {
        for (const quantity::Problem& p : problems_.all())
            if (p.severity == quantity::Severity::error) say(origins_.describe(p.where), p.message);
    }

    Tags run()
    {
        find_columns();
        if (wrong_.empty())
            for (const project::CsvRow& row : table_.rows) read(row);
        if (!wrong_.empty())
            throw quantity::Error{fmt::format("{}\n  it is left as it is: mend it, or move it away to begin anew",
                                              fmt::join(wrong_, "\n"))};
        return std::move(out_);
    }

private:
    void say(const std::string& place_of_it, const std::string& what)
    {
        wrong_.push_back(fmt::format("{}: {}", place_of_it, what));
    }

    void find_columns()
    {
        std::array<int, number_known> times{};
        for (const project::CsvHeading& heading : headings(table_)) {
            const auto* const at = std::ranges::find(known, heading.name);
            const auto which = static_cast<std::size_t>(at - known.begin());
            columns_.push_back(which);
            if (which < number_known) {
                ++times[which];
                continue;
            }
            const std::string name =
                heading.unit.empty() ? heading.name : fmt::format("{} [{}]", heading.name, heading.unit);
            if (std::ranges::find(out_.own_columns, name) != out_.own_columns.end())
                say(fmt::format("{}:{}", file_, heading.line), fmt::format("two columns are called '{}'", name));
            out_.own_columns.push_back(name);
        }
        for (std::size_t i = 0; i < number_known; ++i)
            if (times[i] != 1)
                say(fmt::format("{}:1", file_),
                    fmt::format("{} column '{}': it is a list of tags with columns {}",
                                times[i] == 0 ? "no" : "more than one", known[i], fmt::join(known, ", ")));
    }

    void read(const project::CsvRow& row)
    {
        IssuedTag line;
        std::string said_state;
        for (std::size_t c = 0; c < columns_.size(); ++c) {
            const std::string text = c < row.size() ? row[c].text : "";
            if (columns_[c] == number_known)
                line.own.push_back(text);
            else
                part_of(line, columns_[c], said_state) = text;
        }
        const std::string at = fmt::format("{}:{}", file_, row.front().line);
        if (row.size() > columns_.size())
            say(at, fmt::format("{} cells under {} headings", row.size(), columns_.size()));
        if (line.tag.empty() || line.kind.empty() || line.place.empty())
            return say(at, "a line needs tag, kind and place");
        if (!said_state.empty() && said_state != is_gone)
            return say(at, fmt::format("state '{}': it is empty, or '{}'", said_state, is_gone));
        const auto [first, is_new] = lines_.try_emplace(line.tag, row.front().line);
        if (!is_new)
            return say(at,
                       fmt::format("tag '{}' stands on line {} as well: each is given once", line.tag, first->second));
        line.gone = said_state == is_gone;
        out_.issued.push_back(std::move(line));
    }

    std::string file_;
    quantity::OriginPool origins_{};
    quantity::Problems problems_{};
    project::CsvTable table_;
    std::vector<std::size_t> columns_{}; ///< of Known; number_known: someone's own
    std::map<std::string, std::uint32_t> lines_{};
    std::vector<std::string> wrong_{};
    Tags out_{};
};

} // namespace

std::string text_of(const Tags& tags)
{
    std::vector<std::string> cells{known.begin(), known.end()};
    cells.insert(cells.end(), tags.own_columns.begin(), tags.own_columns.end());
    std::string out;
    const auto add_row = [&] {
        for (std::size_t i = 0; i < cells.size(); ++i) out += (i == 0 ? "" : ",") + project::csv_cell(cells[i]);
        out += '\n';
    };
    add_row();
    for (const IssuedTag& line : tags.issued) {
        cells = {line.tag, line.kind, line.place, line.where, std::string{line.gone ? is_gone : ""}};
        cells.insert(cells.end(), line.own.begin(), line.own.end());
        add_row();
    }
    return out;
}

Tags tags_in(const std::string& text, const std::string& file) { return Reading{file, text}.run(); }

Tags read_tags(const fs::path& file)
{
    std::error_code ignored;
    if (!fs::exists(file, ignored)) return {};
    const project::FileText text = project::read_file(file);
    if (!text.problem.empty()) throw quantity::Error{fmt::format("{}: {}", file.string(), text.problem)};
    return tags_in(text.text, file.filename().string());
}

void write_tags(const fs::path& file, const Tags& tags)
{
    const std::string now = text_of(tags);
    std::error_code ignored;
    if (fs::exists(file, ignored) && project::read_file(file).text == now) return;
    project::replace_file(file, now);
}

} // namespace venture::exchange
