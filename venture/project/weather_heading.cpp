#include <venture/project/weather_heading.hpp>

#include <algorithm>

#include <fmt/format.h>

#include <venture/input/key_value.hpp>
#include <venture/project/table_reader.hpp>
#include <venture/project/toml_document.hpp>
#include <venture/quantity/codes.hpp>
#include <venture/quantity/record.hpp>

namespace venture::project {

namespace {

constexpr std::string_view first_line = "# [weather]", byte_order_mark = "\xEF\xBB\xBF";

std::string_view without_mark(std::string_view text)
{
    if (text.starts_with(byte_order_mark)) text.remove_prefix(byte_order_mark.size());
    return text;
}

/// The lines behind #, as TOML; lines keep their numbers.
std::string heading_of(std::string_view text)
{
    std::string toml;
    for (text = without_mark(text); text.starts_with('#');) {
        const auto end = std::min(text.find('\n'), text.size());
        std::string_view line = text.substr(1, end - 1);
        if (line.ends_with('\r')) line.remove_suffix(1);
        toml += fmt::format("{}\n", line);
        text.remove_prefix(std::min(end + 1, text.size()));
    }
    return toml;
}

} // namespace

bool has_weather_heading(const std::string& text) { return without_mark(text).starts_with(first_line); }

void read_weather_heading(const std::string& text, const std::string& file, input::WeatherInput& stated,
                          quantity::OriginPool& origins, quantity::Problems& problems)
{
    constexpr std::ptrdiff_t most_lines = 400; // there are not half as many keys
    std::string toml = heading_of(text);
    if (std::ranges::count(toml, '\n') > most_lines) {
        problems.add({quantity::Severity::error, quantity::codes::weather_records,
                      origins.add({quantity::OriginKind::file, file, 1, 0, {}}),
                      fmt::format("the file's description of itself has more than {} lines", most_lines),
                      "put comments behind the headings, or leave out the first line, # [weather]"});
        return;
    }
    const TomlDocument document = parse_toml(std::move(toml), file, origins, problems);
    TableReader reader{file, origins, problems};
    input::WeatherInput own;
    reader.read_single(document.root, "weather", quantity::Record{own});
    const quantity::Record onto{stated};
    const quantity::ConstRecord said{own};
    for (const quantity::Key& key : said.keys()) {
        if (!said.is_given(key)) continue;
        if (key.shape == quantity::ValueShape::number)
            if (auto outside = input::bounds_problem(*said.at<double>(key), key.spec, said.origin(key))) {
                problems.add(std::move(*outside));
                continue;
            }
        if (onto.is_open(key)) quantity::take_value(onto, said, key);
    }
    if (stated.columns.empty()) stated.columns = std::move(own.columns);
}

} // namespace venture::project
