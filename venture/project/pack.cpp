#include <venture/project/pack.hpp>

#include <algorithm>
#include <cctype>
#include <map>
#include <set>
#include <tuple>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::project {

namespace {

using quantity::Origin;

/// A name that any file system takes.
std::string file_name_for(const std::string& folder, const std::string& called, const std::string& ending,
                          std::set<std::string>& taken)
{
    std::string name;
    for (const char c : called)
        name += std::isalnum(static_cast<unsigned char>(c)) != 0 ? static_cast<char>(std::tolower(c)) : '-';
    std::string out = fmt::format("{}/{}{}", folder, name, ending);
    for (int n = 2; !taken.insert(out).second; ++n) out = fmt::format("{}/{}-{}{}", folder, name, n, ending);
    return out;
}

/// Byte at which a line and a column (in letters, both from 1) stand.
std::size_t byte_at(const std::string& text, std::uint32_t line, std::uint32_t column)
{
    std::size_t at = 0;
    for (std::uint32_t i = 1; i < line && at != std::string::npos; ++i) {
        at = text.find('\n', at);
        if (at != std::string::npos) ++at;
    }
    VENTURE_ASSERT(at != std::string::npos);
    if (line == 1 && text.starts_with("\xEF\xBB\xBF")) at += 3;
    for (std::uint32_t i = 1; i < column; ++i) {
        ++at;
        while (at < text.size() && (static_cast<unsigned char>(text[at]) & 0xC0U) == 0x80U) ++at;
    }
    return at;
}

/// Replaces the quoted text that begins at a place.
void replace_quoted(std::string& text, const Origin& place, const std::string& by)
{
    const std::size_t begin = byte_at(text, place.line, place.column);
    const char quote = begin < text.size() ? text[begin] : ' ';
    std::size_t end = begin + 1;
    while (end < text.size() && text[end] != quote) end += text[end] == '\\' && quote == '"' ? 2U : 1U;
    const bool plain = (quote == '"' || quote == '\'') && text.compare(begin, 3, std::string(3, quote)) != 0;
    if (!plain || end >= text.size())
        throw quantity::Error{
            fmt::format("{}:{}: its path cannot be rewritten; put it into plain quotes", place.text, place.line)};
    text.replace(begin, end + 1 - begin, fmt::format("\"{}\"", by));
}

/// A file that several projects share, on its way into this one.
struct Shared {
    const quantity::Given<std::string>* file = nullptr;
    std::string folder{}, called{}, ending{};
    Origin place{}; ///< where it is named
};

std::string bytes_of(const SourceFile& source)
{
    FileText read = read_file(source.path);
    if (!read.problem.empty()) throw quantity::Error{fmt::format("{}: {}", source.path.string(), read.problem)};
    if (fingerprint(read.text) != source.fingerprint)
        throw quantity::Error{fmt::format("{}: changed while it was packed; try again", source.path.string())};
    return std::move(read.text);
}

} // namespace

std::vector<PackedFile> pack(const ProjectFile& project, OutputFolder& into)
{
    std::map<std::string, std::string> content; // by the name that places are told with
    for (const SourceFile& s : project.sources.files()) content[s.name] = bytes_of(s);
    std::set<std::string> taken;
    std::map<std::string, std::string> new_names;
    std::vector<Shared> shared;
    for (const input::LibraryInput& l : project.input.libraries)
        if (l.file && l.name) shared.push_back({&l.file, "libraries", *l.name, ".toml"});
    for (const input::CatalogueInput& c : project.input.catalogues)
        if (c.file) {
            const std::filesystem::path path{*c.file};
            shared.push_back({&c.file, "catalogues", path.stem().string(), path.extension().string()});
        }
    for (Shared& s : shared) {
        s.place = project.input.origins.at(s.file->origin);
        if (s.place.kind != quantity::OriginKind::file)
            throw quantity::Error{fmt::format("'{}' was named for this run only; name it in the project", **s.file)};
        std::string& name = new_names[**s.file];
        if (name.empty()) name = file_name_for(s.folder, s.called, s.ending, taken);
    }
    // From the last to the first, so that places before stay valid.
    std::ranges::sort(shared, std::greater{}, [](const Shared& s) { return std::tuple{s.place.line, s.place.column}; });
    for (const Shared& s : shared)
        replace_quoted(content.at(std::string{s.place.text}), s.place, new_names.at(**s.file));
    std::vector<PackedFile> out;
    for (const SourceFile& s : project.sources.files()) {
        const auto renamed = new_names.find(s.name);
        std::string name = renamed != new_names.end() ? renamed->second : s.name;
        if (s.role == FileRole::project) name = project_file_name;
        into.write(name, content.at(s.name));
        out.push_back({name, s.name, s.role, s.fingerprint});
    }
    return out;
}

} // namespace venture::project
