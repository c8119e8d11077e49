#include <venture/project/read_project.hpp>

#include <fstream>
#include <sstream>

#include <fmt/format.h>

#include <venture/project/project_reader.hpp>
#include <venture/quantity/codes.hpp>

namespace venture::project {

namespace fs = std::filesystem;

FileText read_file(const fs::path& file)
{
    std::error_code ignored;
    if (!fs::exists(file, ignored)) return {{}, "no such file or folder"};
    if (!fs::is_regular_file(file, ignored)) return {{}, "not a file"};
    const auto size = fs::file_size(file, ignored);
    if (size > largest_file_bytes)
        return {{}, fmt::format("{} bytes, more than the {} that are read", size, largest_file_bytes)};
    std::ifstream in{file, std::ios::binary};
    std::ostringstream text;
    text << in.rdbuf();
    if (!in) return {{}, "cannot be read (permissions?)"};
    return {std::move(text).str(), {}};
}

std::string outside_project(const fs::path& named)
{
    if (named.empty()) return "is no path";
    if (named.is_absolute()) return "begins at the root of the disk";
    for (const fs::path& part : named)
        if (part == "..") return "leads out of the project's folder (..)";
    return {};
}

ProjectFile read_project_text(std::string text, const std::string& file, const FileLoader& load)
{
    ProjectFile out;
    ProjectReader{load, out}.read(std::move(text), file);
    return out;
}

ProjectFile read_project(const fs::path& path)
{
    std::error_code ignored;
    const bool is_folder = fs::is_directory(path, ignored);
    const fs::path file = is_folder ? path / project_file_name : path;
    ProjectFile out{.folder = file.parent_path()};
    FileText read = read_file(file);
    if (!read.problem.empty()) {
        const auto where = out.input.origins.add({quantity::OriginKind::file, file.string(), 0, 0, {}});
        out.problems.add({quantity::Severity::error, quantity::codes::file, where, read.problem,
                          fmt::format("a project is a folder that holds {}; `venture demo` writes one to begin from",
                                      project_file_name)});
        return out;
    }
    const FileLoader load = [&](const fs::path& named) { return read_file(out.folder / named); };
    ProjectReader{load, out}.read(std::move(read.text), file.filename().string());
    return out;
}

} // namespace venture::project
