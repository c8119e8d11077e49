#pragma once
/// Reads a project file by file: itself, what it includes, its tables, its libraries. Internal to project.

#include <map>
#include <string>
#include <vector>

#include <venture/project/read_project.hpp>
#include <venture/project/record_table.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>

namespace venture::project {

class ProjectReader {
public:
    ProjectReader(const FileLoader& load, ProjectFile& out) : load_{load}, out_{out} {}

    /// Reads the project's own file, and everything that it names.
    void read(std::string text, const std::string& file);

private:
    void read_toml(std::string text, const std::string& file, FileRole role, std::filesystem::path path);
    void read_includes(const toml::table& root, TableReader& reader);
    void include(const std::string& named, quantity::OriginId where);
    void read_tables();
    void read_table(const input::TableFileInput& stated);
    void read_rooms_own(const input::TableFileInput& stated, const std::string& bytes,
                        const quantity::Nested& of_rooms);
    void read_lines(const input::TableFileInput& stated, const std::string& bytes, const quantity::RecordSpec& spec,
                    const quantity::KeySpec* whose, const RecordTable::RecordOf& record_of);
    /// Keeps the bytes of a file for whoever reads its form.
    void read_named(const quantity::Given<std::string>& named, FileRole role);
    void read_libraries();
    void read_library(const input::LibraryInput& library);
    void read_catalogues();
    void check_format(toml::table& root, TableReader& reader, const std::string& file, bool must_state);
    /// The units that bare numbers of a file are read in.
    [[nodiscard]] quantity::TypedUnits typed_units_of(const toml::table& root, TableReader& reader);
    /// Whether a file's [units] say no more than what its bare numbers are, which every file says for itself.
    [[nodiscard]] static bool is_of_this_file(const quantity::Nested& table, const toml::node& node);
    /// Bytes of a file that a key names, or a problem.
    [[nodiscard]] std::optional<std::string> load(const quantity::Given<std::string>& named, bool may_lie_outside);
    quantity::Problem& problem(std::string_view code, quantity::OriginId where, std::string message,
                               std::string hint = {});
    [[nodiscard]] quantity::OriginId place(const std::string& file, std::uint32_t line, std::uint32_t column);
    void merge_library(const quantity::Records& own, const quantity::ConstRecords& more, const std::string& library);

    const FileLoader& load_;
    ProjectFile& out_;
    std::size_t bytes_ = 0;                                     ///< brought so far
    std::vector<std::string> being_read_{};                     ///< the chain of includes that leads here
    std::map<std::string, quantity::OriginId> single_tables_{}; ///< where each table that stands once was given
    quantity::PreferredUnits units_{};                          ///< that the project prints in
    std::map<std::string, quantity::TypedUnits> typed_{};       ///< by file, where one states them
};

} // namespace venture::project
