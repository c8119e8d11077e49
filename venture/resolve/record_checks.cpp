#include <venture/resolve/record_checks.hpp>

#include <map>

#include <venture/input/key_value.hpp>
#include <venture/resolve/pass.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;

namespace {

class RecordChecks : Pass {
public:
    explicit RecordChecks(Work& work) : Pass{work} {}
    void check(Of what);
    void check_names();

private:
    void check_record(std::string_view table, const ConstRecord& record);
    void check_number(double si, const KeySpec& spec, quantity::OriginId where);
    void check_numbers(const ConstRecord& record, const Key& key);
    void check_word(const ConstRecord& record, const Key& key);
    void check_company(std::string_view table, const ConstRecord& record, const Key& key);
};

/// Values that somebody else's record states are checked there.
bool is_own(const quantity::OriginPool& origins, quantity::OriginId origin)
{
    const auto kind = origins.at(origin).kind;
    return kind != quantity::OriginKind::inherited && kind != quantity::OriginKind::default_value;
}

/// What to do about design conditions that are not there.
constexpr std::string_view how_to_find_design_conditions =
    "heating takes two numbers, cooling six a month (dry_bulb, wet_bulb with it, daily_range, beam_depth, "
    "diffuse_depth, ground): find them for the nearest station in tables of climatic design conditions (the ASHRAE "
    "Handbook has them by month, national annexes of EN 12831-1 those of winter), or give the project a [weather] "
    "year and they are derived from it (`venture climate derive` shows them)";

} // namespace

void RecordChecks::check_number(double si, const KeySpec& spec, quantity::OriginId where)
{
    if (auto outside = bounds_problem(si, spec, where, units_)) {
        problems_.add(std::move(*outside));
        work_.numbers_sound = false;
    }
}

void RecordChecks::check_numbers(const ConstRecord& record, const Key& key)
{
    const quantity::OriginId where = record.origin(key);
    if (key.shape == quantity::ValueShape::number) check_number(*record.at<double>(key), key.spec, where);
    if (key.shape == quantity::ValueShape::numbers)
        for (const double v : *record.at<QuantityList>(key)) check_number(v, key.spec, where);
    if (key.shape == quantity::ValueShape::points)
        for (const quantity::Point p : *record.at<PointList>(key))
            for (const double v : {p.x_m, p.y_m, p.z_m}) check_number(v, key.spec, where);
}

/// Files are checked where they are read; an input made in code is here.
void RecordChecks::check_word(const ConstRecord& record, const Key& key)
{
    std::string word;
    if (key.shape != quantity::ValueShape::text) return;
    if (auto wrong = input::read_word(*record.at<std::string>(key), key.spec, record.origin(key), word))
        problems_.add(std::move(*wrong));
}

bool holds(const ConstRecord& record, const quantity::SaysWith& with)
{
    const Key& other = record.spec().key_called(with.key);
    if (!record.is_given(other)) return record.is_refused(other); // told already
    if (with.words.empty()) return *record.at<double>(other) > 0.0;
    return std::ranges::find(with.words, *record.at<std::string>(other)) != with.words.end();
}

/// That it is typed where nothing comes of it.
void RecordChecks::check_company(std::string_view table, const ConstRecord& record, const Key& key)
{
    const auto& any_of = key.spec.says_with;
    if (any_of.empty() || std::ranges::any_of(any_of, [&](const auto& with) { return holds(record, with); })) return;
    const Given<std::string>* name = quantity::name_of(record);
    const bool is_named = name != nullptr && *name;
    quantity::Problem& told =
        problem(codes::unused, record.origin(key),
                fmt::format("{}{} says {}, of which nothing comes without {}", table,
                            is_named ? fmt::format(" '{}'", **name) : "", key.spec.name, quantity::in_words(any_of)),
                fmt::format("type that, or leave {} out", key.spec.name));
    told.severity = quantity::Severity::warning; // variants turn on and off what stands beside it
    told.subject = is_named ? fmt::format("{}/{}", table, **name) : std::string{table};
}

void RecordChecks::check_record(std::string_view table, const ConstRecord& record)
{
    std::string conditions; // that a weather year would give: told once for the record
    for (const Key& key : record.keys()) {
        const KeySpec& spec = key.spec;
        if (record.is_refused(key)) work_.numbers_sound = false;
        if (record.is_given(key) && is_own(input_.origins, record.origin(key))) {
            check_numbers(record, key);
            check_word(record, key);
            check_company(table, record, key);
        }
        if (!record.is_open(key) || !spec.required) continue;
        if (spec.from_weather)
            conditions += fmt::format("{}'{}'", conditions.empty() ? "" : ", ", spec.name);
        else
            tell_missing(table, record, fmt::format("'{}' ({})", spec.name, spec.text),
                         fmt::format("`venture explain {}/{}` tells more", table, spec.name),
                         fmt::format("[{}] has no '{}'", table, spec.name));
    }
    if (!conditions.empty())
        tell_missing(table, record, conditions, std::string{how_to_find_design_conditions},
                     std::string{no_design_conditions});
    for (const Nested& nested : record.spec().nested()) {
        const ConstRecords inner = record.records(nested);
        for (std::size_t i = 0; i < inner.size(); ++i) check_record(nested.name, inner[i]);
    }
}

void RecordChecks::check(Of what)
{
    const ConstRecord all{input_};
    for (const Nested& table : Input::spec().nested()) {
        const ConstRecords records = all.records(table);
        if (!takes_in(what, table) || !records.is_used()) continue;
        for (std::size_t i = 0; i < records.size(); ++i) check_record(table.name, records[i]);
    }
}

void RecordChecks::check_names()
{
    const ConstRecord all{input_};
    for (const Nested& table : Input::spec().nested()) {
        std::map<std::string, quantity::OriginId> seen;
        const ConstRecords records = all.records(table);
        for (std::size_t i = 0; table.is_list() && i < records.size(); ++i) {
            const Given<std::string>* name = quantity::name_of(records[i]);
            if (name == nullptr) continue;
            const auto [first, is_new] = seen.emplace(**name, name->origin);
            if (!is_new)
                problem(codes::twice, name->origin, fmt::format("a second {} is called '{}'", table.name, **name),
                        fmt::format("the first is at {}", input_.origins.describe(first->second)));
        }
    }
}

bool takes_in(Of what, const Nested& table)
{
    return what == Of::all || (what == Of::site && table.of_site) || (what == Of::fabric && table.in_library);
}

void check_records(Work& work, Of what) { RecordChecks{work}.check(what); }

void check_names(Work& work) { RecordChecks{work}.check_names(); }

} // namespace venture::resolve
