#include <venture/project/sources.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>
#include <venture/quantity/hash.hpp>

namespace venture::project {

std::string_view name_of(FileRole role)
{
    switch (role) {
    case FileRole::project:
        return "project";
    case FileRole::include:
        return "include";
    case FileRole::table:
        return "table";
    case FileRole::loads:
        return "loads";
    case FileRole::weather:
        return "weather";
    case FileRole::calendar:
        return "calendar";
    case FileRole::library:
        return "library";
    case FileRole::catalogue:
        return "catalogue";
    }
    VENTURE_UNREACHABLE("a file without a role");
}

namespace {

/// Whether a name that stays within a folder leads to a file that lies neither there nor beside it, where files are that
/// several projects share.
bool leads_out(const std::filesystem::path& file, const std::filesystem::path& name)
{
    namespace fs = std::filesystem;
    if (file.empty() || name.is_absolute() || std::ranges::find(name, fs::path{".."}) != name.end()) return false;
    fs::path folder = file;
    for (auto part = name.begin(); part != name.end(); ++part) folder = folder.parent_path();
    std::error_code failed;
    const fs::path from = fs::canonical(folder.empty() ? fs::path{"."} : folder, failed),
                   to = fs::canonical(file, failed);
    if (failed) return false; // is no file of a folder
    const fs::path way = to.lexically_relative(from.parent_path());
    return !way.empty() && *way.begin() == "..";
}

} // namespace

SourceFile& Sources::add(SourceFile file, std::string_view bytes)
{
    file.fingerprint = fingerprint(bytes);
    file.linked_out = leads_out(file.path, file.name);
    return files_.emplace_back(std::move(file));
}

std::size_t Sources::index(std::string_view name) const
{
    return static_cast<std::size_t>(std::ranges::find(files_, name, &SourceFile::name) - files_.begin());
}

const SourceFile* Sources::find(std::string_view name) const
{
    const std::size_t i = index(name);
    return i < files_.size() ? &files_[i] : nullptr;
}

std::string fingerprint(std::string_view bytes)
{
    quantity::Hash hash;
    hash.add(bytes);
    return fmt::format("{:016x}", hash.value());
}

} // namespace venture::project
