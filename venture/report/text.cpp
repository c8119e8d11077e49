#include <venture/report/text.hpp>

#include <iterator>

#include <venture/quantity/names.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::report {

namespace {

/// Columns before the words of a line: its blanks, and a label that two blanks or more part from them, if there is room for words
/// behind it.
std::size_t indent_of(std::string_view line, std::size_t width)
{
    constexpr std::size_t of_none = 2, least = 20;
    const std::size_t first = line.find_first_not_of(' ');
    if (first == std::string_view::npos) return 0;
    const std::size_t parted = line.find("  ", first), behind = line.find_first_not_of(' ', parted);
    if (parted != std::string_view::npos && behind != std::string_view::npos && behind + least <= width) return behind;
    return first > 0 ? first + of_none : 0;
}

void add_line(std::string& out, std::string_view line, std::size_t width)
{
    if (quantity::display_width(line) <= width) {
        out.append(line);
        out += '\n';
        return;
    }
    const std::size_t indent = indent_of(line, width), first = std::min(indent, line.find_first_not_of(' '));
    const bool behind_label = line.substr(first, indent - first).find("  ") != std::string_view::npos;
    const std::size_t kept = behind_label ? indent : first; // stands on the first line as it is
    const std::vector<std::string> parts = quantity::wrapped(line.substr(kept), width - indent);
    for (std::size_t i = 0; i < parts.size(); ++i)
        out += (i == 0 ? std::string{line.substr(0, kept)} : std::string(indent, ' ')) + parts[i] + "\n";
}

} // namespace

Text& Text::operator+=(Text more)
{
    for (auto& block : more.blocks_) {
        auto* own = blocks_.empty() ? nullptr : std::get_if<std::string>(&blocks_.back());
        if (const auto* lines = std::get_if<std::string>(&block); lines != nullptr && own != nullptr)
            *own += *lines;
        else
            blocks_.push_back(std::move(block));
    }
    return *this;
}

std::string Text::laid_out(std::size_t width) const
{
    std::string out;
    for (const auto& block : blocks_) {
        if (const auto* table = std::get_if<TextTable>(&block)) {
            out += table->text(width);
            continue;
        }
        const std::string lines = quantity::harmless(std::get<std::string>(block), true);
        for (std::size_t at = 0; at < lines.size();) {
            const std::size_t end = std::min(lines.find('\n', at), lines.size());
            add_line(out, std::string_view{lines}.substr(at, end - at), width);
            if (end == lines.size()) out.pop_back(); // was not ended
            at = end + 1;
        }
    }
    return out;
}

} // namespace venture::report
