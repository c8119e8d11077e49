#include <venture/quantity/record.hpp>

#include <algorithm>
#include <array>

#include <venture/quantity/units.hpp>

namespace venture::quantity {

Nested Nested::held_by_libraries() &&
{
    in_library = true;
    return *this;
}

Nested Nested::in_one_part() &&
{
    when_cut = WhenCut::one_part;
    return *this;
}

Nested Nested::called(std::string_view in_messages) &&
{
    told_as = in_messages;
    return *this;
}

std::string Nested::in_words() const
{
    std::string words{told_as.empty() ? name : told_as};
    std::ranges::replace(words, '_', ' ');
    return words;
}

Nested Nested::saying_the_site() &&
{
    of_site = true;
    return *this;
}

Nested Nested::with_own_file() &&
{
    has_own_file = true;
    return *this;
}

namespace {

constexpr std::array<std::string_view, 3> labels = {"month", "name", "on"};

} // namespace

RecordSpec::RecordSpec(const void* blank, std::vector<Key> keys, std::vector<Nested> nested)
    : blank_{blank},
      keys_{std::move(keys)},
      nested_{std::move(nested)}
{
}

RecordSpec RecordSpec::with_part(const RecordSpec& part, std::size_t offset) &&
{
    for (Key key : part.keys()) {
        key.offset += offset;
        keys_.push_back(std::move(key));
    }
    return std::move(*this);
}

RecordSpec RecordSpec::with_gaps() &&
{
    keeps_gaps_ = true;
    return std::move(*this);
}

std::vector<std::string> RecordSpec::names() const
{
    std::vector<std::string> out;
    for (const Key& key : keys_) out.emplace_back(key.spec.name);
    for (const Nested& nested : nested_) out.emplace_back(nested.name);
    return out;
}

const Key* RecordSpec::find_key(std::string_view name) const
{
    const auto at = std::ranges::find(keys_, name, [](const Key& key) { return key.spec.name; });
    return at == keys_.end() ? nullptr : &*at;
}

const Nested* RecordSpec::find_nested(std::string_view name) const
{
    const auto at = std::ranges::find(nested_, name, &Nested::name);
    return at == nested_.end() ? nullptr : &*at;
}

const Key& RecordSpec::key_called(std::string_view name) const
{
    const Key* key = find_key(name);
    VENTURE_ASSERT(key != nullptr);
    return *key;
}

const Key& RecordSpec::key_at(std::size_t offset) const
{
    const auto at = std::ranges::find(keys_, offset, &Key::offset);
    VENTURE_ASSERT(at != keys_.end());
    return *at;
}

std::string label_of(ConstRecord record)
{
    for (const std::string_view label : labels)
        if (const Key* key = record.spec().find_key(label); key != nullptr && record.is_given(*key)) {
            if (key->shape == ValueShape::number) return print_quantity(*record.at<double>(*key), Kind::number);
            if (key->shape == ValueShape::text) return *record.at<std::string>(*key);
        }
    return {};
}

std::string label_of(ConstRecord record, std::size_t index)
{
    std::string label = label_of(record);
    return label.empty() ? std::to_string(index + 1) : label;
}

const Given<std::string>* name_of(ConstRecord record)
{
    const Given<std::string>* name = record.find<std::string>("name");
    return name != nullptr && *name ? name : nullptr;
}

std::optional<ConstRecord> find_named(const ConstRecords& records, std::string_view name)
{
    for (std::size_t i = 0; i < records.size(); ++i)
        if (const Given<std::string>* own = name_of(records[i]); own != nullptr && **own == name) return records[i];
    return std::nullopt;
}

void take_value(Record to, ConstRecord from, const Key& key)
{
    to.visit(key, [&]<class T>(Given<T>& given) { given = from.at<T>(key); });
}

namespace {

/// Whether a record says one key by way of another one.
bool is_said_otherwise(const ConstRecord& record, const Key& key)
{
    return std::ranges::any_of(record.keys(), [&](const Key& other) {
        const bool alternatives =
            std::ranges::find(key.spec.instead_of, other.spec.name) != key.spec.instead_of.end() ||
            std::ranges::find(other.spec.instead_of, key.spec.name) != other.spec.instead_of.end();
        return alternatives && record.is_given(other);
    });
}

} // namespace

std::vector<const Key*> keys_to_take(ConstRecord own, ConstRecord from)
{
    std::vector<const Key*> out;
    for (const Key& key : own.keys())
        if (own.is_open(key) && from.is_given(key) && !is_said_otherwise(own, key)) out.push_back(&key);
    return out;
}

std::optional<double> default_number(ConstRecord record, const KeySpec& spec)
{
    if (spec.default_by.key.empty()) return spec.default_value;
    const Given<std::string>& word = record.at<std::string>(record.spec().key_called(spec.default_by.key));
    if (!word) return std::nullopt;
    const auto at = std::ranges::find(spec.default_by.cases, *word, &DefaultBy::Case::word);
    return at == spec.default_by.cases.end() ? std::nullopt : std::optional{at->value};
}

} // namespace venture::quantity
