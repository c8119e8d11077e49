#pragma once
/// Records at run time: structs of given values seen through the one declaration of their keys, so that readers, writers,
/// overlays, checks and help are plain functions of these views.

#include <concepts>
#include <cstddef>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <type_traits>
#include <vector>

#include <venture/quantity/choice.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/key.hpp>

namespace venture::quantity {

class RecordSpec;

/// A struct whose keys are declared: `static const RecordSpec& spec()`.
template <class T>
concept Declared = requires {
    {
        T::spec()
    } -> std::same_as<const RecordSpec&>;
};

/// What a value is: the types that Given may hold in a record.
enum class ValueShape : std::uint8_t { number, text, texts, numbers, points };

template <class T>
[[nodiscard]] consteval ValueShape shape_of()
{
    if constexpr (std::is_same_v<T, double>) return ValueShape::number;
    if constexpr (std::is_same_v<T, std::string>) return ValueShape::text;
    if constexpr (std::is_same_v<T, TextList>) return ValueShape::texts;
    if constexpr (std::is_same_v<T, QuantityList>) return ValueShape::numbers;
    if constexpr (std::is_same_v<T, PointList>) return ValueShape::points;
}

namespace detail {

/// An object to measure members on.
template <class T>
const T& blank()
{
    static const T one{};
    return one;
}

template <class T, class Member>
[[nodiscard]] std::size_t offset_in(const T& object, Member T::*member)
{
    return static_cast<std::size_t>(reinterpret_cast<const char*>(std::addressof(object.*member)) -
                                    reinterpret_cast<const char*>(std::addressof(object)));
}

template <class Void>
[[nodiscard]] Void* moved(Void* object, std::size_t by)
{
    using Byte = std::conditional_t<std::is_const_v<Void>, const std::byte, std::byte>;
    return static_cast<Byte*>(object) + by;
}

/// What can be done with a vector of records whose type is not known here.
struct ListAccess {
    std::size_t size_of_one = 0;
    std::size_t (*size)(const void* list) = nullptr;
    const void* (*data)(const void* list) = nullptr;
    void (*append)(void* list) = nullptr;
    void (*append_copy)(void* list, const void* record) = nullptr;
    void (*clear)(void* list) = nullptr;
};

template <class T>
inline constexpr ListAccess list_access = {
    .size_of_one = sizeof(T),
    .size = [](const void* list) { return static_cast<const std::vector<T>*>(list)->size(); },
    .data = [](const void* list) -> const void* { return static_cast<const std::vector<T>*>(list)->data(); },
    .append = [](void* list) { static_cast<std::vector<T>*>(list)->emplace_back(); },
    .append_copy =
        [](void* list, const void* record) {
            static_cast<std::vector<T>*>(list)->push_back(*static_cast<const T*>(record));
        },
    .clear = [](void* list) { static_cast<std::vector<T>*>(list)->clear(); }};

} // namespace detail

/// A key, and where in its record the value stands.
struct Key {
    KeySpec spec;
    ValueShape shape;
    std::size_t offset;

    template <class T, class V>
    Key(KeySpec s, Given<V> T::*member)
        : spec{std::move(s)},
          shape{shape_of<V>()},
          offset{detail::offset_in(detail::blank<T>(), member)}
    {
    }
    template <class T, class E>
    Key(KeySpec s, Choice<E> T::*member)
        : spec{std::move(s)},
          shape{ValueShape::text},
          offset{detail::offset_in(detail::blank<T>(), member)}
    {
        static_assert(sizeof(Choice<E>) == sizeof(Given<std::string>));
        spec.choices.assign(WordsOf<E>::words.begin(), WordsOf<E>::words.end());
    }
    template <class T>
    Key(KeySpec s, Whole T::*member)
        : spec{std::move(s)},
          shape{ValueShape::number},
          offset{detail::offset_in(detail::blank<T>(), member)}
    {
        static_assert(sizeof(Whole) == sizeof(Given<double>));
        spec.whole = true;
    }
};

/// A table inside a record: one, or a list of them.
struct Nested {
    std::string_view name;
    const RecordSpec& (*spec)();
    std::size_t offset;
    const detail::ListAccess* list = nullptr; ///< nothing: stands once
    bool (*is_used)(const void* record) =
        nullptr;               ///< of one that stands once: whether it says anything; nothing: always
    bool in_library = false;   ///< a library may hold it
    bool of_site = false;      ///< says where it is and what weather it has
    bool has_own_file = false; ///< may stand in a CSV file by itself; inside a record, with a column for whose it is
    WhenCut when_cut = WhenCut::same;
    std::string_view told_as = {}; ///< in messages; its name, with blanks, where nothing is said
    [[nodiscard]] bool is_list() const { return list != nullptr; }

    template <class T, Declared Inner>
    Nested(std::string_view called, std::vector<Inner> T::*member)
        : name{called},
          spec{&Inner::spec},
          offset{detail::offset_in(detail::blank<T>(), member)},
          list{&detail::list_access<Inner>}
    {
    }
    template <class T, Declared Inner>
    Nested(std::string_view called, Inner T::*member)
        : name{called},
          spec{&Inner::spec},
          offset{detail::offset_in(detail::blank<T>(), member)}
    {
        if constexpr (requires(const Inner& one) { one.is_used(); })
            is_used = [](const void* record) { return static_cast<const Inner*>(record)->is_used(); };
    }
    [[nodiscard]] Nested held_by_libraries() &&;
    [[nodiscard]] Nested saying_the_site() &&;
    [[nodiscard]] Nested with_own_file() &&;
    [[nodiscard]] Nested in_one_part() &&;
    [[nodiscard]] Nested called(std::string_view in_messages) &&;
    /// One of its records, in messages: "room type".
    [[nodiscard]] std::string in_words() const;
};

/// The declaration of a record: its keys, those of parts that share its table, and the tables inside it.
class RecordSpec {
public:
    template <class T>
    [[nodiscard]] static RecordSpec of(std::vector<Key> keys, std::vector<Nested> nested = {})
    {
        return {&detail::blank<T>(), std::move(keys), std::move(nested)};
    }
    /// Adds the keys of a part that is typed in the same table: the use of a room, say.
    template <class T, Declared Part>
    [[nodiscard]] RecordSpec with_part(Part T::*member) &&
    {
        return std::move(*this).with_part(Part::spec(), detail::offset_in(detail::blank<T>(), member));
    }
    /// Its gaps are for others to fill, so that defaults do not: a room type's are the rooms'.
    [[nodiscard]] RecordSpec with_gaps() &&;

    [[nodiscard]] const std::vector<Key>& keys() const { return keys_; }
    [[nodiscard]] const std::vector<Nested>& nested() const { return nested_; }
    [[nodiscard]] bool keeps_gaps() const { return keeps_gaps_; }
    /// Of all keys, then of all tables inside.
    [[nodiscard]] std::vector<std::string> names() const;
    /// Nothing if there is none of that name.
    [[nodiscard]] const Key* find_key(std::string_view name) const;
    [[nodiscard]] const Nested* find_nested(std::string_view name) const;
    /// @pre there is one
    [[nodiscard]] const Key& key_called(std::string_view name) const;

    /// The key of a member. @pre the member has one
    template <class T, class Member>
    [[nodiscard]] const Key& key_of(Member T::*member) const
    {
        return key_at(detail::offset_in(*static_cast<const T*>(blank_), member));
    }

private:
    RecordSpec(const void* blank, std::vector<Key> keys, std::vector<Nested> nested);
    [[nodiscard]] RecordSpec with_part(const RecordSpec& part, std::size_t offset) &&;
    [[nodiscard]] const Key& key_at(std::size_t offset) const;

    const void* blank_;
    std::vector<Key> keys_;
    std::vector<Nested> nested_;
    bool keeps_gaps_ = false;
};

/// What a member's key is; every member that the library reads has one.
template <Declared T, class Member>
[[nodiscard]] const KeySpec& spec_of(Member T::*member)
{
    return T::spec().key_of(member).spec;
}

template <class Void>
class BasicRecords;

/// A record seen through its declaration. `Void` is `void`, or `const void` of one to read.
template <class Void>
class BasicRecord {
public:
    template <class T>
    using Value = std::conditional_t<std::is_const_v<Void>, const Given<T>, Given<T>>;

    template <Declared T>
        requires(!std::same_as<std::remove_const_t<T>, BasicRecord> && (std::is_const_v<Void> || !std::is_const_v<T>))
    BasicRecord(T& record) : spec_{&T::spec()},
                             object_{std::addressof(record)} // NOLINT(google-explicit-constructor)
    {
    }
    BasicRecord(const RecordSpec& spec, Void* object) : spec_{&spec}, object_{object} {}
    operator BasicRecord<const void>() const // NOLINT(google-explicit-constructor): as a pointer to const
        requires(!std::is_const_v<Void>)
    {
        return {*spec_, object_};
    }

    [[nodiscard]] const RecordSpec& spec() const { return *spec_; }
    [[nodiscard]] const std::vector<Key>& keys() const { return spec_->keys(); }
    [[nodiscard]] Void* object() const { return object_; }

    /// The value of a key of this record. @pre the key is of that shape
    template <class T>
    [[nodiscard]] Value<T>& at(const Key& key) const
    {
        VENTURE_ASSERT(key.shape == shape_of<T>());
        return *static_cast<Value<T>*>(detail::moved(object_, key.offset));
    }
    /// The same by name; nothing if there is no such key, or one of another shape.
    template <class T>
    [[nodiscard]] Value<T>* find(std::string_view name) const
    {
        const Key* key = spec_->find_key(name);
        return key != nullptr && key->shape == shape_of<T>() ? &at<T>(*key) : nullptr;
    }
    /// Calls `visit(given)` with the value of a key, whatever its type.
    template <class Visit>
    decltype(auto) visit(const Key& key, Visit&& visit) const
    {
        switch (key.shape) {
        case ValueShape::number:
            return visit(at<double>(key));
        case ValueShape::text:
            return visit(at<std::string>(key));
        case ValueShape::texts:
            return visit(at<TextList>(key));
        case ValueShape::numbers:
            return visit(at<QuantityList>(key));
        case ValueShape::points:
            return visit(at<PointList>(key));
        }
        VENTURE_UNREACHABLE("a value of no shape");
    }
    [[nodiscard]] bool is_given(const Key& key) const
    {
        return visit(key, [](const auto& given) { return given.value.has_value(); });
    }
    /// Something was typed that could not be read.
    [[nodiscard]] bool is_refused(const Key& key) const
    {
        return visit(key, [](const auto& given) { return given.refused; });
    }
    [[nodiscard]] bool is_open(const Key& key) const
    {
        return visit(key, [](const auto& given) { return given.is_open(); });
    }
    [[nodiscard]] OriginId origin(const Key& key) const
    {
        return visit(key, [](const auto& given) { return given.origin; });
    }
    [[nodiscard]] BasicRecords<Void> records(const Nested& nested) const;

private:
    const RecordSpec* spec_;
    Void* object_;
};

using Record = BasicRecord<void>;
using ConstRecord = BasicRecord<const void>;

/// The records of a table: a list, or the one that stands once.
template <class Void>
class BasicRecords {
public:
    BasicRecords(const Nested& table, Void* where) : table_{&table}, where_{where} {}
    [[nodiscard]] const Nested& table() const { return *table_; }
    [[nodiscard]] std::size_t size() const { return table_->list == nullptr ? 1 : table_->list->size(where_); }
    /// @pre i < size()
    [[nodiscard]] BasicRecord<Void> operator[](std::size_t i) const
    {
        if (table_->list == nullptr) return {table_->spec(), where_};
        const void* one = detail::moved(table_->list->data(where_), i * table_->list->size_of_one);
        if constexpr (std::is_const_v<Void>)
            return {table_->spec(), one};
        else
            return {table_->spec(), const_cast<void*>(one)}; // of a list that may be changed
    }
    operator BasicRecords<const void>() const // NOLINT(google-explicit-constructor): as a pointer to const
        requires(!std::is_const_v<Void>)
    {
        return {*table_, where_};
    }
    /// One that stands once may say nothing at all, and then has no defaults and needs nothing.
    [[nodiscard]] bool is_used() const { return table_->is_used == nullptr || table_->is_used(where_); }
    /// A new record at the end. @pre the table is a list
    BasicRecord<Void> append() const
        requires(!std::is_const_v<Void>)
    {
        table_->list->append(where_);
        return (*this)[size() - 1];
    }
    /// @pre the same, and the record is of its kind
    void append_copy(ConstRecord record) const
        requires(!std::is_const_v<Void>)
    {
        table_->list->append_copy(where_, record.object());
    }
    void clear() const
        requires(!std::is_const_v<Void>)
    {
        table_->list->clear(where_);
    }

private:
    const Nested* table_;
    Void* where_;
};

using Records = BasicRecords<void>;
using ConstRecords = BasicRecords<const void>;

template <class Void>
BasicRecords<Void> BasicRecord<Void>::records(const Nested& nested) const
{
    return {nested, detail::moved(object_, nested.offset)};
}

/// What a record is called in a key path: its name, the face it is on, its month; empty if it has none.
[[nodiscard]] std::string label_of(ConstRecord record);
/// The same; the `index`th of its list (from 0) is called by its number from 1 if it has no name.
[[nodiscard]] std::string label_of(ConstRecord record, std::size_t index);

/// The name that a record bears; nothing if it bears none.
[[nodiscard]] const Given<std::string>* name_of(ConstRecord record);
/// The record of a list that bears a name; nothing if none does.
[[nodiscard]] std::optional<ConstRecord> find_named(const ConstRecords& records, std::string_view name);

/// Gives one record the value that another of the same kind has. @param origin  instead of the value's own, if stated
void take_value(Record to, ConstRecord from, const Key& key);

/// The keys of a record that are open and that another one of its kind says, in their order; but those that the record
/// says in another way (KeySpec::instead_of).
[[nodiscard]] std::vector<const Key*> keys_to_take(ConstRecord own, ConstRecord from);

/// The default of a number, by the record's own words where it goes by one; nothing if there is none.
[[nodiscard]] std::optional<double> default_number(ConstRecord record, const KeySpec& spec);

/// Calls `visit(record)` for a record and all records inside it, the outer ones first.
template <class Void, class Visit>
void for_each_record_in(BasicRecord<Void> record, const Visit& visit)
{
    visit(record);
    for (const Nested& nested : record.spec().nested()) {
        const BasicRecords<Void> inner = record.records(nested);
        for (std::size_t i = 0; i < inner.size(); ++i) for_each_record_in(inner[i], visit);
    }
}

} // namespace venture::quantity
