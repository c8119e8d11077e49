#include <venture/project/pack.hpp>

#include <algorithm>
#include <cctype>
#include <map>
#include <set>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::project {

namespace {

using quantity::Origin;

/// A name that any file system takes.
std::string file_name_for(const std::string& library, std::set<std::string>& taken)
{
    std::string name;
    for (const char c : library)
        name += std::isalnum(static_cast<unsigned char>(c)) != 0 ? static_cast<char>(std::tolower(c)) : '-';
    std::string out = fmt::format("libraries/{}.toml", name);
    for (int n = 2; !taken.insert(out).second; ++n) out = fmt::format("libraries/{}-{}.toml", name, n);
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
        throw quantity::Error{fmt::format(
            "{}:{}: the path of the library cannot be rewritten; put it into plain quotes", place.text, place.line)};
    text.replace(begin, end + 1 - begin, fmt::format("\"{}\"", by));
}

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
    auto libraries = project.input.libraries; // from the last to the first, so that places before stay valid
    for (auto it = libraries.rbegin(); it != libraries.rend(); ++it) {
        if (!it->file || !it->name) continue;
        const Origin place = project.input.origins.at(it->file.origin);
        if (place.kind != quantity::OriginKind::file)
            throw quantity::Error{
                fmt::format("library '{}' was named for this run only; name it in the project", *it->name)};
        std::string& name = new_names[*it->file];
        if (name.empty()) name = file_name_for(*it->name, taken);
        replace_quoted(content.at(std::string{place.text}), place, name);
    }
    std::vector<PackedFile> out;
    for (const SourceFile& s : project.sources.files()) {
        std::string name = s.role == FileRole::library ? new_names.at(s.name) : s.name;
        if (s.role == FileRole::project) name = project_file_name;
        into.write(name, content.at(s.name));
        out.push_back({name, s.name, s.role, s.fingerprint});
    }
    return out;
}

} // namespace venture::project
