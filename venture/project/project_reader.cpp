#include <venture/project/project_reader.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/building/chosen_units.hpp>
#include <venture/building/keys.hpp>
#include <venture/project/formats.hpp>
#include <venture/project/record_table.hpp>
#include <venture/project/stated_csv.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::project {

namespace codes = quantity::codes;
using quantity::Given;
using quantity::OriginId;
using quantity::Problem;
using quantity::Severity;

namespace {

constexpr std::size_t most_files = 1000, most_bytes = 4 * largest_file_bytes; ///< of all files together

} // namespace

Problem& ProjectReader::problem(std::string_view code, OriginId where, std::string message, std::string hint)
{
    return out_.problems.emplace_back(Problem{Severity::error, code, where, std::move(message), std::move(hint)});
}

OriginId ProjectReader::place(const std::string& file, std::uint32_t line, std::uint32_t column)
{
    return out_.input.origins.add({quantity::OriginKind::file, file, line, column, {}});
}

void ProjectReader::check_format(toml::table& root, TableReader& reader, const std::string& file, bool must_state)
{
    const toml::node* format = root.get("format");
    if (format == nullptr) {
        if (must_state && out_.whole)
            problem(codes::format, place(file, 1, 1), "the file does not say which format it is in",
                    "begin it with: format = 1");
        return;
    }
    const auto typed = format->value_exact<std::int64_t>();
    if (!typed || !upgrade(root, *typed, upgrades()))
        problem(codes::format, reader.origin_of(*format),
                typed ? fmt::format("format {} is not known; this version reads format = {}", *typed, current_format)
                      : fmt::format("format: the number {} expected", current_format),
                "write format = 1, or use a newer version of Venture");
}

std::optional<std::string> ProjectReader::load(const Given<std::string>& named, bool may_lie_outside)
{
    const std::string why = may_lie_outside ? std::string{} : outside_project(*named);
    if (!why.empty()) {
        problem(codes::include, named.origin, fmt::format("'{}' {}", *named, why),
                "give a path inside the project's folder; only a [[library]] may lie outside");
        return std::nullopt;
    }
    if (out_.sources.files().size() >= most_files) {
        problem(codes::include, named.origin, fmt::format("more than {} files are named", most_files), {});
        return std::nullopt;
    }
    FileText read = load_ ? load_(*named) : FileText{{}, "cannot be read here: there is no folder to look in"};
    bytes_ += read.text.size();
    if (bytes_ > most_bytes)
        read.problem = fmt::format("with it the project has more than the {} bytes that are read in all", most_bytes);
    if (read.problem.empty()) return std::move(read.text);
    problem(codes::file, named.origin, fmt::format("'{}': {}", *named, read.problem),
            may_lie_outside ? "paths are relative to the project's folder" : "paths begin at the project's folder");
    return std::nullopt;
}

void ProjectReader::read(std::string text, const std::string& file)
{
    if (text.find_first_not_of(" \t\r\n") == std::string::npos) {
        out_.sources.add({.name = file, .text = text, .path = out_.folder / file}, text);
        problem(codes::file, place(file, 1, 1), "the file is empty", "`venture demo` writes a project to begin from");
        return;
    }
    read_toml(std::move(text), file, FileRole::project, out_.folder / file);
    read_tables();
    read_named(out_.input.loads.table, FileRole::loads);
    read_named(out_.input.weather.file, FileRole::weather);
    for (const building::DaysInput& days : out_.input.days)
        if (!days.file || out_.sources.find(*days.file) == nullptr) read_named(days.file, FileRole::calendar);
    read_libraries();
}

namespace {

/// What a project prints in, before anything else of it is read; SI if that cannot be read either.
quantity::PreferredUnits units_of(const toml::table& root)
{
    building::UnitsInput units;
    quantity::OriginPool scratch;
    std::vector<quantity::Problem> told_later;
    TableReader{{}, scratch, told_later}.read_single(root, "units", units);
    return told_later.empty() ? building::chosen_units(units) : quantity::PreferredUnits{};
}

} // namespace

void ProjectReader::read_toml(std::string text, const std::string& file, FileRole role, std::filesystem::path path)
{
    being_read_.push_back(file);
    out_.sources.add({.name = file, .role = role, .text = text, .path = std::move(path)}, text);
    TomlDocument document = parse_toml(std::move(text), file, out_.input.origins, out_.problems);
    out_.whole = out_.whole && document.whole;
    if (role == FileRole::project) units_ = units_of(document.root);
    TableReader reader{file, out_.input.origins, out_.problems};
    reader.speak_in(units_);
    check_format(document.root, reader, file, role == FileRole::project);
    std::vector<std::string> allowed = {"format", "note", "include"};
    building::for_each_table(out_.input, [&](std::string_view name, auto& records) {
        allowed.emplace_back(name);
        if constexpr (requires { records.begin(); }) {
            reader.read_list(document.root, name, records);
        } else if (const toml::node* node = document.root.get(name)) {
            const auto [first, is_new] = single_tables_.try_emplace(std::string{name}, reader.origin_of(*node));
            if (is_new)
                reader.read_single(document.root, name, records);
            else
                problem(codes::twice, reader.origin_of(*node), fmt::format("[{}] stands in two files", name),
                        fmt::format("the first is at {}", out_.input.origins.describe(first->second)));
        }
    });
    reader.check_keys(document.root, "the project", allowed);
    read_includes(document.root, reader);
    being_read_.pop_back();
}

void ProjectReader::read_includes(const toml::table& root, TableReader& reader)
{
    for (const quantity::PlacedText& named : reader.read_texts(root, "include", "files to read as well"))
        include(named.text, named.origin);
}

void ProjectReader::include(const std::string& named, OriginId where)
{
    const std::string name = std::filesystem::path{named}.lexically_normal().generic_string();
    if (std::ranges::find(being_read_, name) != being_read_.end()) {
        problem(codes::include, where,
                fmt::format("'{}' includes itself: {} -> {}", name, fmt::join(being_read_, " -> "), name),
                "remove one of these includes");
        return;
    }
    if (out_.sources.find(name) != nullptr) {
        problem(codes::twice, where, fmt::format("'{}' is included a second time", name), "once is enough");
        return;
    }
    if (auto text = load({named, where}, false))
        read_toml(std::move(*text), name, FileRole::include, out_.folder / name);
}

void ProjectReader::read_tables()
{
    const auto is_of_rooms = [](const building::TableFileInput& t) {
        bool found = false;
        building::for_each_table_of_rooms([&](std::string_view name, auto) { found = found || name == *t.holds; });
        return found;
    };
    for (const bool of_rooms : {false, true}) // rooms first, then what they have
        for (const building::TableFileInput& t : out_.input.tables)
            if (t.file && t.holds && is_of_rooms(t) == of_rooms) read_table(t); // else: a missing key, told later
}

/// Lines of a table of what rooms have go to their rooms.
template <class Record>
void ProjectReader::share_out(std::string_view table, std::vector<building::OfRoom<Record>>&& lines,
                              std::vector<Record> building::RoomInput::*list)
{
    std::map<std::string, building::RoomInput*> rooms;
    for (building::RoomInput& room : out_.input.rooms)
        if (room.name) rooms.emplace(*room.name, &room);
    std::vector<std::string> names;
    for (const auto& [name, room] : rooms) names.push_back(name);
    for (building::OfRoom<Record>& line : lines) {
        if (!line.room) {
            if (line.room.refused) continue;
            OriginId where{};
            quantity::for_each_key_set(line.record, [&](auto& object, auto keys) {
                for (const auto& key : keys)
                    std::visit(
                        [&](auto field) {
                            if (object.*field && where == OriginId{}) where = (object.*field).origin;
                        },
                        key.field);
            });
            problem(codes::missing, where, fmt::format("a line of the table of {}s names no room", table),
                    "fill the column 'room'");
            continue;
        }
        const auto at = rooms.find(*line.room);
        if (at != rooms.end()) {
            (at->second->*list).push_back(std::move(line.record));
            continue;
        }
        const auto near = quantity::nearest_name(*line.room, names);
        problem(codes::unknown_name, line.room.origin, fmt::format("no room is called '{}'", *line.room),
                near ? fmt::format("did you mean '{}'?", *near) : std::string{});
    }
}

void ProjectReader::read_table(const building::TableFileInput& t)
{
    const auto bytes = load(t.file, false);
    if (!bytes) return;
    building::for_each_table_of_rooms(
        [&]<class Record>(std::string_view name, std::vector<Record> building::RoomInput::*list) {
            if (name != *t.holds) return;
            std::vector<building::OfRoom<Record>> lines;
            read_lines(t, *bytes, lines);
            share_out(name, std::move(lines), list);
        });
    building::for_each_table(out_.input, [&](std::string_view name, auto& records) {
        if constexpr (requires { records.begin(); })
            if (name == *t.holds) read_lines(t, *bytes, records);
    });
}

template <class Record>
void ProjectReader::read_lines(const building::TableFileInput& t, const std::string& bytes,
                               std::vector<Record>& records)
{
    const CsvStated stated = stated_by(t);
    const auto holds_numbers = [](std::size_t, const std::string& heading) {
        return RecordTable::holds_numbers<Record>(heading);
    };
    const CsvTable table = read_csv(bytes, *t.file, stated, holds_numbers, out_.input.origins, out_.problems);
    out_.sources.add({.name = *t.file, .role = FileRole::table, .text = table.text, .path = out_.folder / *t.file},
                     bytes);
    note_dialect(table, stated, *t.file, out_.input.origins, out_.problems);
    if (table.header.empty()) {
        problem(codes::file, place(*t.file, 1, 0), "the table is empty", "begin with a row of column names");
        return;
    }
    RecordTable reader{table, *t.file, out_.input.origins, out_.problems};
    reader.speak_in(units_);
    reader.read(records);
}

void ProjectReader::read_named(const Given<std::string>& named, FileRole role)
{
    if (!named) return;
    if (auto bytes = load(named, false))
        out_.sources.add({.name = *named, .role = role, .text = *bytes, .path = out_.folder / *named}, *bytes);
}

void ProjectReader::read_libraries()
{
    for (const building::LibraryInput& library : out_.input.libraries)
        if (library.name && library.file) read_library(library);
}

void ProjectReader::read_library(const building::LibraryInput& library)
{
    auto text = load(library.file, true);
    if (!text) return;
    const std::string& file = *library.file;
    const std::string bytes = *text;
    out_.sources.add(
        {.name = file, .role = FileRole::library, .text = bytes, .path = out_.folder / file, .library = *library.name},
        bytes);
    TomlDocument document = parse_toml(std::move(*text), file, out_.input.origins, out_.problems);
    out_.whole = out_.whole && document.whole;
    TableReader reader{file, out_.input.origins, out_.problems, *library.name};
    check_format(document.root, reader, file, false);
    std::vector<std::string> allowed = {"format", "note"};
    building::for_each_library_table(out_.input, [&](std::string_view name, auto& own) {
        allowed.emplace_back(name);
        std::remove_cvref_t<decltype(own)> more;
        reader.read_list(document.root, name, more);
        merge_library(name, own, std::move(more), *library.name);
    });
    reader.check_keys(document.root, "a library", allowed);
}

template <class Record>
void ProjectReader::merge_library(std::string_view table, std::vector<Record>& own, std::vector<Record>&& more,
                                  const std::string& library)
{
    for (Record& record : more) {
        const auto same = std::ranges::find_if(
            own, [&](const Record& r) { return r.name && record.name && *r.name == *record.name; });
        const bool of_project =
            same != own.end() && out_.input.origins.at(same->name.origin).kind != quantity::OriginKind::library;
        if (!of_project) {
            own.push_back(std::move(record));
            continue;
        }
        problem(codes::overruled, same->name.origin,
                fmt::format("{} '{}' stands instead of the one of library '{}'", table, *record.name, library),
                fmt::format("that one is at {}", out_.input.origins.describe(record.name.origin)))
            .severity = Severity::note;
    }
}

} // namespace venture::project
