#include <venture/project/toml_lines.hpp>

#include <algorithm>
#include <cctype>

#include <fmt/format.h>

namespace venture::project {

namespace {

/// Opened less closed brackets of a line, outside quotes and comments.
int brackets_in(const std::string& line)
{
    int open = 0;
    char quote = 0;
    for (const char c : line) {
        if (quote == 0 && c == '#') break;
        if (c == '"' || c == '\'') quote = quote == 0 ? c : (quote == c ? '\0' : quote);
        if (quote == 0) open += (c == '[' || c == '{') ? 1 : (c == ']' || c == '}') ? -1 : 0;
    }
    return open;
}

} // namespace

TomlLines::TomlLines(const std::string& text)
{
    std::size_t start = 0;
    while (start <= text.size()) {
        const auto end = std::min(text.find('\n', start), text.size());
        lines_.push_back(text.substr(start, end - start));
        start = end + 1;
    }
}

std::string TomlLines::joined() const { return fmt::format("{}", fmt::join(lines_, "\n")); }

std::string TomlLines::line(std::size_t number) const
{
    return number >= 1 && number <= lines_.size() ? lines_[number - 1] : std::string{};
}

std::size_t TomlLines::index_of(std::size_t number) const
{
    return std::clamp<std::size_t>(number, 1, lines_.size()) - 1;
}

/// Our tables have names that begin with a letter; a line of a list ("[0, 0],") is no header.
bool TomlLines::is_header(std::size_t index) const
{
    const std::string& line = lines_[index];
    auto at = line.find_first_not_of(" \t");
    if (at == std::string::npos || line[at] != '[') return false;
    at = line.find_first_not_of("[ \t", at);
    return at != std::string::npos && (std::isalpha(static_cast<unsigned char>(line[at])) != 0 || line[at] == '_');
}

std::optional<TomlLines::List> TomlLines::list_around(std::size_t number) const
{
    int open = 0;
    std::size_t i = index_of(number);
    while (i > 0 && open <= 0) {
        --i;
        if (is_header(i)) return std::nullopt;
        open += brackets_in(lines_[i]);
    }
    if (open <= 0) return std::nullopt;
    List list{i + 1, {}};
    open = 0;
    for (std::size_t j = i; j < lines_.size() && (j == i || !is_header(j)) && !list.closed; ++j) {
        open += brackets_in(lines_[j]);
        if (open <= 0) list.closed = j + 1;
    }
    return list;
}

bool TomlLines::follows_from_the_last(std::size_t number) const
{
    const std::size_t at = index_of(number);
    if (!last_mistake_) return false;
    const bool continues = at == *last_mistake_ + 1 && !is_header(at) && lines_[at].find('=') == std::string::npos;
    return at <= *last_mistake_ || continues;
}

bool TomlLines::blank_mistake(std::size_t number)
{
    const std::size_t at = index_of(number);
    const bool again = last_mistake_ && at <= *last_mistake_;
    last_mistake_ = at;
    if (again || is_header(at)) return blank_table(at);
    return blank(at, at) || blank_table(at);
}

bool TomlLines::blank_lines(std::size_t first, std::size_t last)
{
    last_mistake_ = index_of(last);
    return blank(index_of(first), index_of(last));
}

/// From a line to the next header; if that changes nothing, from the header before it.
bool TomlLines::blank_table(std::size_t index)
{
    if (blank(index, end_of_table(index))) return true;
    while (index > 0 && !is_header(index)) --index;
    return blank(index, end_of_table(index));
}

std::size_t TomlLines::end_of_table(std::size_t index) const
{
    while (index + 1 < lines_.size() && !is_header(index + 1)) ++index;
    return index;
}

bool TomlLines::blank(std::size_t first, std::size_t last)
{
    bool changed = false;
    for (std::size_t i = first; i <= last; ++i) {
        changed |= !lines_[i].empty();
        lines_[i].clear();
    }
    return changed;
}

} // namespace venture::project
