#include <venture/project/write_table.hpp>

#include <cmath>
#include <limits>

#include <fmt/format.h>

#include <venture/input/input.hpp>
#include <venture/project/csv.hpp>
#include <venture/quantity/record.hpp>
#include <venture/quantity/units.hpp>

namespace venture::project {

namespace {

using quantity::Given;
using quantity::KeySpec;
using quantity::Kind;

/// The number in its plain unit that reads as exactly this one.
std::string plain_number(double si, Kind kind)
{
    const std::string_view unit = quantity::plain_unit(kind);
    if (unit.empty()) return fmt::format("{}", si); // a plain number, or a fraction
    const auto reads_as = [&](double typed) {
        const auto back = quantity::to_si(typed, unit, kind);
        return std::get<double>(back);
    };
    const double typed = quantity::from_si(si, unit, kind);
    double below = typed, above = typed;
    for (int ulps = 0; ulps < 4; ++ulps) {
        for (const double near : {below, above})
            if (reads_as(near) == si) return fmt::format("{}", near);
        below = std::nextafter(below, -std::numeric_limits<double>::infinity());
        above = std::nextafter(above, std::numeric_limits<double>::infinity());
    }
    return fmt::format("{}", typed);
}

/// Columns of records, filled line by line.
class Writer {
public:
    /// @param whose  stands in a column before the record's own, if anything does
    void add(const quantity::ConstRecord& record, const KeySpec* whose = nullptr, const Given<std::string>& name = {})
    {
        std::size_t column = 0;
        for (Column& c : columns_) c.cells.emplace_back();
        if (whose != nullptr) column = put(column, *whose, name);
        for (const quantity::Key& key : record.keys())
            record.visit(key, [&](const auto& given) { column = put(column, key.spec, given); });
        ++lines_;
    }

    [[nodiscard]] WrittenTable written() const
    {
        WrittenTable out{.lines = lines_};
        std::string heading;
        std::vector<std::string> lines(lines_);
        for (const Column& c : columns_) {
            if (!c.used) continue;
            const bool first = heading.empty();
            heading += (first ? "" : ",") + csv_cell(c.unit.empty() ? c.name : fmt::format("{} [{}]", c.name, c.unit));
            for (std::size_t i = 0; i < lines.size(); ++i) lines[i] += (first ? "" : ",") + csv_cell(c.cells[i]);
        }
        out.csv = heading + "\n";
        for (const std::string& line : lines) out.csv += line + "\n";
        return out;
    }

private:
    struct Column {
        std::string name{}, unit{};
        bool used = false;
        std::vector<std::string> cells{};
    };

    std::size_t cell(std::size_t column, const std::string& name, std::string_view unit, const std::string& text)
    {
        if (column == columns_.size())
            columns_.push_back({name, std::string{unit}, false, std::vector<std::string>(lines_ + 1)});
        columns_[column].used = columns_[column].used || !text.empty();
        columns_[column].cells.back() = text;
        return column + 1;
    }

    std::size_t put(std::size_t at, const KeySpec& spec, const Given<double>& value)
    {
        return cell(at, std::string{spec.name}, quantity::plain_unit(spec.kind),
                    value ? plain_number(*value, spec.kind) : std::string{});
    }
    std::size_t put(std::size_t at, const KeySpec& spec, const Given<std::string>& value)
    {
        return cell(at, std::string{spec.name}, "", value ? *value : std::string{});
    }
    std::size_t put(std::size_t at, const KeySpec& spec, const Given<quantity::TextList>& value)
    {
        std::string all;
        if (value)
            for (const quantity::PlacedText& item : *value) all += (all.empty() ? "" : "|") + item.text;
        return cell(at, std::string{spec.name}, "", all);
    }
    std::size_t put(std::size_t at, const KeySpec& spec, const Given<quantity::QuantityList>& value)
    {
        if (spec.count != 2) return at;
        const std::string name{spec.name};
        const auto unit = quantity::plain_unit(spec.kind);
        at = cell(at, name + " x", unit, value ? plain_number((*value)[0], spec.kind) : std::string{});
        return cell(at, name + " y", unit, value ? plain_number((*value)[1], spec.kind) : std::string{});
    }
    std::size_t put(std::size_t at, const KeySpec& spec, const Given<quantity::PointList>& value)
    {
        std::string all;
        if (value)
            for (const quantity::Point& p : *value)
                all += fmt::format("{}{} {}{}", all.empty() ? "" : "|", p.x_m, p.y_m,
                                   spec.count == 3 ? fmt::format(" {}", p.z_m) : std::string{});
        return cell(at, std::string{spec.name}, quantity::plain_unit(spec.kind), all);
    }

    std::vector<Column> columns_{};
    std::size_t lines_ = 0;
};

/// What stands in records of a table and in no column of it: tables inside that have no file of their own, and lists of
/// numbers other than pairs.
void tell_left(std::string_view table, const quantity::ConstRecords& records, WrittenTable& out)
{
    for (const quantity::Nested& nested : records.table().spec().nested()) {
        if (nested.has_own_file && table == "room") continue;
        std::size_t left = 0;
        for (std::size_t i = 0; i < records.size(); ++i) left += records[i].records(nested).size();
        if (left > 0) out.left.push_back(fmt::format("{} [[{}.{}]]", left, table, nested.name));
    }
    for (const quantity::Key& key : records.table().spec().keys())
        for (std::size_t i = 0; i < records.size(); ++i)
            if (key.shape == quantity::ValueShape::numbers && key.spec.count != 2 && records[i].is_given(key))
                out.left.push_back(fmt::format("the {} {} of '{}'",
                                               records[i].at<quantity::QuantityList>(key).value->size(), key.spec.name,
                                               quantity::label_of(records[i], i)));
}

} // namespace

WrittenTable write_table(const input::Input& input, std::string_view table)
{
    Writer writer;
    WrittenTable out;
    const quantity::ConstRecord all{input};
    if (const quantity::Nested* own = input::Input::spec().find_nested(table); own != nullptr && own->is_list()) {
        const quantity::ConstRecords records = all.records(*own);
        for (std::size_t i = 0; i < records.size(); ++i) writer.add(records[i]);
        out = writer.written();
        tell_left(table, records, out);
    } else if (const quantity::Nested* of_rooms = input::RoomInput::spec().find_nested(table)) {
        for (const input::RoomInput& room : input.rooms) {
            const quantity::ConstRecords records = quantity::ConstRecord{room}.records(*of_rooms);
            for (std::size_t i = 0; i < records.size(); ++i)
                writer.add(records[i], &input::whose_room(of_rooms->spec()), room.name);
        }
        out = writer.written();
    }
    return out;
}

std::vector<std::string> writable_tables() { return quantity::spec_of(&input::TableFileInput::holds).choices; }

} // namespace venture::project
