#include <venture/project/read_project.hpp>

#include <fstream>
#include <sstream>

#include <fmt/format.h>

#include <venture/building/keys.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::project {

namespace codes = quantity::codes;
using quantity::Severity;

namespace {

void check_format(const toml::table& root, TableReader& reader, const std::string& file, ProjectFile& out)
{
    constexpr std::int64_t known = 1;
    const toml::node* format = root.get("format");
    if (format == nullptr) {
        if (!out.whole) return;
        const auto where = out.input.origins.add({quantity::OriginKind::file, file, 1, 1, {}});
        out.problems.push_back({Severity::error, codes::format, where, "the file does not say which format it is in",
                                "begin it with: format = 1"});
        return;
    }
    if (format->value<std::int64_t>() != known)
        out.problems.push_back({Severity::error, codes::format, reader.origin_of(*format), "only format = 1 is known",
                                "write format = 1, or use a newer version of Venture"});
}

} // namespace

FileText read_file(const std::filesystem::path& file)
{
    std::error_code ignored;
    if (!std::filesystem::exists(file, ignored)) return {{}, "no such file or folder"};
    if (!std::filesystem::is_regular_file(file, ignored)) return {{}, "not a file"};
    const auto size = std::filesystem::file_size(file, ignored);
    if (size > largest_file_bytes)
        return {{}, fmt::format("{} bytes, more than the {} that are read", size, largest_file_bytes)};
    std::ifstream in{file, std::ios::binary};
    std::ostringstream text;
    text << in.rdbuf();
    if (!in) return {{}, "cannot be read (permissions?)"};
    return {std::move(text).str(), {}};
}

ProjectFile read_project_text(std::string text, const std::string& file)
{
    ProjectFile out;
    out.sources[file] = text;
    const bool empty = text.find_first_not_of(" \t\r\n") == std::string::npos;
    if (empty) {
        const auto where = out.input.origins.add({quantity::OriginKind::file, file, 1, 1, {}});
        out.problems.push_back({Severity::error, codes::file, where, "the file is empty",
                                "`venture demo` writes a project to begin from"});
        return out;
    }
    const TomlDocument document = parse_toml(std::move(text), file, out.input.origins, out.problems);
    out.whole = document.whole;
    TableReader reader{file, out.input.origins, out.problems};
    check_format(document.root, reader, file, out);
    std::vector<std::string> allowed = {"format", "note"};
    building::for_each_table(out.input, [&](std::string_view name, auto& records) {
        allowed.emplace_back(name);
        if constexpr (requires { records.begin(); })
            reader.read_list(document.root, name, records);
        else
            reader.read_single(document.root, name, records);
    });
    reader.check_keys(document.root, "the project", allowed);
    return out;
}

ProjectFile read_project(const std::filesystem::path& path)
{
    std::error_code ignored;
    const bool is_folder = std::filesystem::is_directory(path, ignored);
    const std::filesystem::path file = is_folder ? path / project_file_name : path;
    FileText read = read_file(file);
    ProjectFile out;
    if (read.problem.empty()) {
        out = read_project_text(std::move(read.text), file.filename().string());
    } else {
        const auto where = out.input.origins.add({quantity::OriginKind::file, file.string(), 0, 0, {}});
        out.problems.push_back(
            {Severity::error, codes::file, where, read.problem,
             fmt::format("a project is a folder that holds {}; `venture demo` writes one to begin from",
                         project_file_name)});
    }
    out.folder = file.parent_path();
    return out;
}

} // namespace venture::project
