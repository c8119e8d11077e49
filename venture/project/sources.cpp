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

SourceFile& Sources::add(SourceFile file, std::string_view bytes)
{
    file.fingerprint = fingerprint(bytes);
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
