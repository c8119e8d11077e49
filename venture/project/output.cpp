#include <venture/project/output.hpp>

#include <fstream>

#include <fmt/format.h>
#include <nlohmann/json.hpp>

#include <venture/project/read_project.hpp>
#include <venture/project/sources.hpp>
#include <venture/quantity/error.hpp>

namespace venture::project {

namespace fs = std::filesystem;

void replace_file(const fs::path& target, const std::string& content)
{
    const fs::path temporary = target.parent_path() / (target.filename().string() + ".part");
    std::error_code problem;
    {
        std::ofstream out{temporary, std::ios::binary | std::ios::trunc};
        out << content;
        out.flush();
        if (!out) {
            fs::remove(temporary, problem);
            throw quantity::Error{fmt::format("{}: cannot be written", target.string())};
        }
    }
    fs::rename(temporary, target, problem);
    if (problem) throw quantity::Error{fmt::format("{}: cannot be written: {}", target.string(), problem.message())};
}

OutputFolder::OutputFolder(fs::path folder, bool force) : folder_{std::move(folder)}, force_{force}
{
    std::error_code problem;
    fs::create_directories(folder_, problem);
    if (problem || !fs::is_directory(folder_))
        throw quantity::Error{fmt::format("{}: the folder cannot be made: {}", folder_.string(), problem.message())};
    const FileText manifest = read_file(folder_ / manifest_name);
    if (!manifest.problem.empty()) return;
    const auto doc = nlohmann::json::parse(manifest.text, nullptr, false);
    if (!doc.is_object() || !doc.contains("files") || !doc["files"].is_object())
        throw quantity::Error{
            fmt::format("{}: not understood; remove it to begin anew", (folder_ / manifest_name).string())};
    for (const auto& [name, mark] : doc["files"].items())
        if (mark.is_string()) written_[name] = mark.get<std::string>();
}

void OutputFolder::check_ours(const std::string& name) const
{
    const fs::path target = folder_ / name;
    std::error_code ignored;
    if (force_ || !fs::exists(target, ignored)) return;
    const auto known = written_.find(name);
    if (known == written_.end())
        throw quantity::Error{
            fmt::format("{}: stands there and was not written by Venture; move it, or give --force", target.string())};
    if (fingerprint(read_file(target).text) != known->second)
        throw quantity::Error{
            fmt::format("{}: was changed since Venture wrote it; move it, or give --force", target.string())};
}

void OutputFolder::write(const std::string& name, const std::string& content)
{
    check_ours(name);
    std::error_code problem;
    fs::create_directories((folder_ / name).parent_path(), problem);
    replace_file(folder_ / name, content);
    written_[name] = fingerprint(content);
    write_manifest();
}

void OutputFolder::write_manifest() const
{
    nlohmann::json doc = {{"written_by", "Venture"}, {"files", written_}};
    replace_file(folder_ / manifest_name, doc.dump(2) + "\n");
}

} // namespace venture::project
