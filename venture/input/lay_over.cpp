#include <venture/input/lay_over.hpp>

#include <venture/quantity/record.hpp>

namespace venture::input {

using quantity::ConstRecord;
using quantity::Key;
using quantity::Nested;
using quantity::OriginId;
using quantity::Record;

namespace {

/// Where origins of one pool stand in another one, to which they are added.
std::vector<OriginId> moved_into(quantity::OriginPool& pool, const quantity::OriginPool& from)
{
    std::vector<OriginId> out(from.size());
    for (std::uint32_t i = 1; i < from.size(); ++i) {
        quantity::Origin origin = from.at({i});
        origin.parent = out[origin.parent.index]; // which was there before it
        out[i] = pool.add(origin);
    }
    return out;
}

void move_origins(Record record, const std::vector<OriginId>& to)
{
    quantity::for_each_record_in(record, [&](Record one) {
        for (const Key& key : one.keys()) one.visit(key, [&](auto& given) { given.origin = to[given.origin.index]; });
    });
}

void merge(ConstRecord from, Record to)
{
    for (const Key& key : from.keys()) {
        if (from.is_open(key)) continue;
        to.visit(key, [&]<class T>(quantity::Given<T>& given) { given = from.at<T>(key); });
    }
    for (const Nested& nested : from.spec().nested()) {
        const quantity::ConstRecords given = from.records(nested);
        const quantity::Records old = to.records(nested);
        if (nested.list == nullptr) {
            merge(given[0], old[0]);
        } else if (given.size() > 0) {
            old.clear();
            for (std::size_t i = 0; i < given.size(); ++i) old.append_copy(given[i]);
        }
    }
}

void merge_list(const quantity::ConstRecords& from, const quantity::Records& to)
{
    for (std::size_t i = 0; i < from.size(); ++i) {
        const std::string label = label_of(from[i]);
        std::size_t same = 0;
        while (same < to.size() && (label.empty() || label_of(to[same]) != label)) ++same;
        if (same < to.size())
            merge(from[i], to[same]);
        else
            to.append_copy(from[i]);
    }
}

} // namespace

void lay_over(Input& base, const Input& over, std::vector<quantity::Problem>& problems)
{
    const std::vector<OriginId> to = moved_into(base.origins, over.origins);
    Input laid = over;
    move_origins(Record{laid}, to);
    for (quantity::Problem& p : problems) p.where = to[p.where.index];
    const ConstRecord from{laid};
    const Record all{base};
    for (const Nested& table : Input::spec().nested()) {
        if (table.list != nullptr)
            merge_list(from.records(table), all.records(table));
        else if (from.records(table).is_used())
            merge(from.records(table)[0], all.records(table)[0]);
    }
}

} // namespace venture::input
