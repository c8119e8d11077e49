#include <venture/project/project_reader.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/input/chosen_units.hpp>
#include <venture/project/formats.hpp>
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

/// The table of what rooms have that may stand in a file by itself; nothing if it is no such table.
const quantity::Nested* table_of_rooms(std::string_view name)
{
    const quantity::Nested* nested = input::RoomInput::spec().find_nested(name);
    return nested != nullptr && nested->has_own_file ? nested : nullptr;
}

/// Of the first value that a record says.
OriginId first_place(const quantity::ConstRecord& record)
{
    for (const quantity::Key& key : record.keys())
        if (record.is_given(key)) return record.origin(key);
    return {};
}

constexpr std::size_t most_files = 1000, most_bytes = 4 * largest_file_bytes; ///< of all files together

} // namespace

Problem& ProjectReader::problem(std::string_view code, OriginId where, std::string message, std::string hint)
{
    return out_.problems.add(Problem{Severity::error, code, where, std::move(message), std::move(hint)});
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
                "give a path inside the project's folder; only a [[library]] or [[catalogue]] may lie outside");
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
    for (const input::DaysInput& days : out_.input.days)
        if (!days.file || out_.sources.find(*days.file) == nullptr) read_named(days.file, FileRole::calendar);
    read_libraries();
    read_catalogues();
}

namespace {

/// What a project prints in, before anything else of it is read; SI if that cannot be read either.
quantity::PreferredUnits units_of(const toml::table& root)
{
    input::UnitsInput units;
    quantity::OriginPool scratch;
    quantity::Problems told_later;
    TableReader{{}, scratch, told_later}.read_single(root, "units", quantity::Record{units});
    return told_later.empty() ? input::chosen_units(units) : quantity::PreferredUnits{};
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
    reader.read_in(typed_[file] = typed_units_of(document.root, reader));
    check_format(document.root, reader, file, role == FileRole::project);
    std::vector<std::string> allowed = {"format", "note", "include"};
    for (const quantity::Nested& table : input::Input::spec().nested()) {
        allowed.emplace_back(table.name);
        const toml::node* node = document.root.get(table.name);
        if (node == nullptr) continue;
        if (!table.is_list() && !is_of_this_file(table, *node)) {
            const auto [first, is_new] = single_tables_.try_emplace(std::string{table.name}, reader.origin_of(*node));
            if (!is_new) {
                problem(codes::twice, reader.origin_of(*node), fmt::format("[{}] stands in two files", table.name),
                        fmt::format("the first is at {}", out_.input.origins.describe(first->second)));
                continue;
            }
        }
        reader.read(document.root, quantity::Record{out_.input}.records(table));
    }
    reader.check_keys(document.root, "the project", allowed);
    read_includes(document.root, reader);
    being_read_.pop_back();
}

quantity::TypedUnits ProjectReader::typed_units_of(const toml::table& root, TableReader& reader)
{
    const toml::node* typed = root["units"]["typed"].node();
    const auto words = typed != nullptr ? typed->value_exact<std::string>() : std::nullopt;
    if (!words) return {};
    auto read = quantity::TypedUnits::parse(*words);
    if (const auto* wrong = std::get_if<std::string>(&read)) {
        problem(codes::choice, reader.origin_of(*typed), fmt::format("typed: {}", *wrong));
        return {};
    }
    problem(
        codes::typed_units, reader.origin_of(*typed),
        fmt::format("bare numbers of this file, and of tables without units that it names, are read as '{}'", *words),
        "those with a unit, libraries, products and --set are read as ever")
        .severity = Severity::note;
    return std::get<quantity::TypedUnits>(std::move(read));
}

bool ProjectReader::is_of_this_file(const quantity::Nested& table, const toml::node& node)
{
    const toml::table* keys = node.as_table();
    return table.name == "units" && keys != nullptr &&
           std::ranges::all_of(*keys, [](const auto& one) { return one.first == "typed" || one.first == "note"; });
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
    for (const bool of_rooms : {false, true}) // rooms first, then what they have
        for (const input::TableFileInput& t : out_.input.tables)
            if (t.file && t.holds && (table_of_rooms(*t.holds) != nullptr) == of_rooms)
                read_table(t); // else: a missing key, told later
}

void ProjectReader::read_table(const input::TableFileInput& t)
{
    const auto bytes = load(t.file, false);
    if (!bytes) return;
    if (const quantity::Nested* of_rooms = table_of_rooms(*t.holds)) return read_rooms_own(t, *bytes, *of_rooms);
    if (const quantity::Nested* table = input::Input::spec().find_nested(*t.holds)) {
        const quantity::Records records = quantity::Record{out_.input}.records(*table);
        read_lines(t, *bytes, table->spec(), nullptr, [&](const auto&) { return records.append(); });
    }
}

/// Lines of a table of what rooms have go to their rooms.
void ProjectReader::read_rooms_own(const input::TableFileInput& t, const std::string& bytes,
                                   const quantity::Nested& of_rooms)
{
    std::map<std::string, input::RoomInput*> rooms;
    for (input::RoomInput& room : out_.input.rooms)
        if (room.name) rooms.emplace(*room.name, &room);
    std::vector<std::string> names;
    for (const auto& [name, room] : rooms) names.push_back(name);
    input::RoomInput nobody; // has the lines that name no room
    std::vector<std::size_t> unnamed;
    const auto record_of = [&](const Given<std::string>& whose) {
        const auto at = whose ? rooms.find(*whose) : rooms.end();
        input::RoomInput& room = at == rooms.end() ? nobody : *at->second;
        const quantity::Records records = quantity::Record{room}.records(of_rooms);
        if (!whose && !whose.refused) unnamed.push_back(records.size());
        if (whose && at == rooms.end()) {
            const auto near = quantity::nearest_name(*whose, names);
            problem(codes::unknown_name, whose.origin, fmt::format("no room is called '{}'", *whose),
                    near ? fmt::format("did you mean '{}'?", *near) : std::string{});
        }
        return records.append();
    };
    read_lines(t, bytes, of_rooms.spec(), &input::whose_room(of_rooms.spec()), record_of);
    const quantity::ConstRecords lines = quantity::ConstRecord{nobody}.records(of_rooms);
    for (const std::size_t line : unnamed)
        problem(codes::missing, first_place(lines[line]),
                fmt::format("a line of the table of {}s names no room", of_rooms.name),
                fmt::format("fill the column '{}'", input::whose_room(of_rooms.spec()).name));
}

void ProjectReader::read_lines(const input::TableFileInput& t, const std::string& bytes,
                               const quantity::RecordSpec& spec, const quantity::KeySpec* whose,
                               const RecordTable::RecordOf& record_of)
{
    const CsvStated stated = stated_by(t);
    const auto holds_numbers = [&](std::size_t, const std::string& heading) {
        return RecordTable::holds_numbers(spec, heading);
    };
    const std::size_t told = out_.problems.size();
    const CsvTable table = read_csv(bytes, *t.file, stated, holds_numbers, out_.input.origins, out_.problems);
    const bool sound = out_.problems.size() == told;
    out_.sources.add({.name = *t.file, .role = FileRole::table, .text = table.text, .path = out_.folder / *t.file},
                     bytes);
    note_dialect(table, stated, *t.file, out_.input.origins, out_.problems);
    if (table.header.empty()) {
        if (sound) problem(codes::file, place(*t.file, 1, 0), "the table is empty", "begin with a row of column names");
        return;
    }
    RecordTable reader{table, *t.file, out_.input.origins, out_.problems};
    reader.speak_in(units_);
    reader.read_in(typed_[std::string{out_.input.origins.place_behind(t.file.origin).text}]);
    reader.read(spec, whose, record_of);
}

void ProjectReader::read_named(const Given<std::string>& named, FileRole role)
{
    if (!named) return;
    if (auto bytes = load(named, false))
        out_.sources.add({.name = *named, .role = role, .text = *bytes, .path = out_.folder / *named}, *bytes);
}

void ProjectReader::read_catalogues()
{
    for (const input::CatalogueInput& catalogue : out_.input.catalogues) {
        if (!catalogue.file || out_.sources.find(*catalogue.file) != nullptr) continue;
        if (auto bytes = load(catalogue.file, true))
            out_.sources.add({.name = *catalogue.file,
                              .role = FileRole::catalogue,
                              .text = *bytes,
                              .path = out_.folder / *catalogue.file},
                             *bytes);
    }
}

void ProjectReader::read_libraries()
{
    for (const input::LibraryInput& library : out_.input.libraries)
        if (library.name && library.file) read_library(library);
}

void ProjectReader::read_library(const input::LibraryInput& library)
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
    input::Input more;
    for (const quantity::Nested& table : input::Input::spec().nested()) {
        if (!table.in_library) continue;
        allowed.emplace_back(table.name);
        const quantity::Records held = quantity::Record{more}.records(table);
        reader.read(document.root, held);
        merge_library(quantity::Record{out_.input}.records(table), held, *library.name);
    }
    reader.check_keys(document.root, "a library", allowed);
}

void ProjectReader::merge_library(const quantity::Records& own, const quantity::ConstRecords& more,
                                  const std::string& library)
{
    for (std::size_t i = 0; i < more.size(); ++i) {
        const Given<std::string>* name = quantity::name_of(more[i]);
        const auto same = name == nullptr ? std::nullopt : quantity::find_named(own, **name);
        const OriginId where = same ? quantity::name_of(*same)->origin : OriginId{};
        const bool of_project = same && out_.input.origins.at(where).kind != quantity::OriginKind::library;
        if (!of_project) {
            own.append_copy(more[i]);
            continue;
        }
        problem(codes::overruled, where,
                fmt::format("{} '{}' stands instead of the one of library '{}'", own.table().name, **name, library),
                fmt::format("that one is at {}", out_.input.origins.describe(name->origin)))
            .severity = Severity::note;
    }
}

} // namespace venture::project
