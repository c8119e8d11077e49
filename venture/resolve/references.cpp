#include <venture/resolve/references.hpp>

#include <map>
#include <set>

#include <venture/quantity/unknown_name.hpp>
#include <venture/resolve/pass.hpp>

namespace venture::resolve {

namespace {

class References : Pass {
public:
    explicit References(Work& work) : Pass{work} {}
    void check(Of what);

private:
    struct Named {
        std::vector<std::string> names{}; ///< in the order of the input
        std::set<std::string_view> sorted{};
        [[nodiscard]] bool holds(std::string_view name) const { return sorted.contains(name); }
    };
    void check_record(const ConstRecord& record);
    void check_name(const KeySpec& spec, const std::string& name, quantity::OriginId where);
    [[nodiscard]] const Named& names_of(std::string_view table);
    [[nodiscard]] bool may_be_made_later(std::string_view table, std::string_view name);

    std::map<std::string_view, Named> names_{}; ///< by table, once asked for
};

const References::Named& References::names_of(std::string_view table)
{
    const auto [at, is_new] = names_.try_emplace(table);
    Named& named = at->second;
    if (!is_new) return named;
    const ConstRecords records = ConstRecord{input_}.records(*Input::spec().find_nested(table));
    for (std::size_t i = 0; i < records.size(); ++i)
        if (const Given<std::string>* name = quantity::name_of(records[i])) named.names.push_back(**name);
    named.sorted.insert(named.names.begin(), named.names.end());
    return named;
}

/// Of a part that a room is cut into ("Office south"), and of the circuits and plants that are assumed where none is typed:
/// whoever makes them tells what is not there then.
bool References::may_be_made_later(std::string_view table, std::string_view name)
{
    if (table == "circuit" || table == "plant") return input_.circuits.empty() && input_.plants.empty();
    const auto blank = name.rfind(' ');
    return table == "room" && blank != std::string_view::npos && names_of(table).holds(name.substr(0, blank));
}

void References::check_name(const KeySpec& spec, const std::string& name, quantity::OriginId where)
{
    const bool is_hours = spec.or_hours && !name.empty() && name.front() >= '0' && name.front() <= '9';
    if (is_hours || std::ranges::find(spec.or_words, name) != spec.or_words.end()) return;
    std::string what;
    std::vector<std::string> there;
    for (const std::string_view table : spec.names) {
        const Named& named = names_of(table);
        if (named.holds(name) || may_be_made_later(table, name)) return;
        what += (what.empty() ? "" : " or ") + Input::spec().find_nested(table)->in_words();
        there.insert(there.end(), named.names.begin(), named.names.end());
    }
    tell_unknown(what, {name, where}, there);
}

/// What a record took from another one is told where it was typed.
void References::check_record(const ConstRecord& record)
{
    for (const Key& key : record.keys()) {
        if (key.spec.names.empty() || key.spec.names_within || !record.is_given(key)) continue;
        const auto kind = input_.origins.at(record.origin(key)).kind;
        if (kind == quantity::OriginKind::inherited || kind == quantity::OriginKind::default_value) continue;
        if (key.shape == quantity::ValueShape::text)
            check_name(key.spec, *record.at<std::string>(key), record.origin(key));
        if (key.shape == quantity::ValueShape::texts)
            for (const quantity::PlacedText& text : *record.at<TextList>(key))
                check_name(key.spec, text.text, text.origin);
    }
}

void References::check(Of what)
{
    const std::size_t before = problems_.size();
    const ConstRecord all{input_};
    for (const Nested& table : Input::spec().nested()) {
        const ConstRecords records = all.records(table);
        if (!takes_in(what, table) || !records.is_used()) continue;
        for (std::size_t i = 0; i < records.size(); ++i)
            quantity::for_each_record_in(records[i], [&](const ConstRecord& record) { check_record(record); });
    }
    work_.broken_references = problems_.size() - before;
}

} // namespace

void check_references(Work& work, Of what) { References{work}.check(what); }

} // namespace venture::resolve
