#include <venture/input/fingerprint.hpp>

#include <algorithm>

#include <venture/quantity/hash.hpp>
#include <venture/quantity/record.hpp>

namespace venture::input {

using quantity::ConstRecord;
using quantity::ConstRecords;
using quantity::Key;
using quantity::Nested;

namespace {

class Taker {
public:
    std::uint64_t run(const Input& input)
    {
        const ConstRecord all{input};
        for (const Nested& table : Input::spec().nested()) {
            const ConstRecords records = all.records(table);
            hash_.add(table.name);
            if (table.is_list())
                in_any_order(records);
            else
                record(records[0]);
        }
        return hash_.value();
    }

private:
    /// No result hangs on which of two rooms is typed first.
    void in_any_order(const ConstRecords& records)
    {
        std::vector<std::uint64_t> each;
        for (std::size_t i = 0; i < records.size(); ++i) {
            Taker taker;
            taker.record(records[i]);
            each.push_back(taker.hash_.value());
        }
        std::ranges::sort(each);
        hash_.add_bits(each.size());
        for (const std::uint64_t one : each) hash_.add_bits(one);
    }

    void record(const ConstRecord& r)
    {
        for (const Key& key : r.keys())
            if (!key.spec.of_document && r.is_given(key)) {
                hash_.add(key.spec.name);
                r.visit(key, [&](const auto& given) { take(*given); });
            }
        for (const Nested& nested : r.spec().nested()) {
            const ConstRecords records = r.records(nested);
            hash_.add(nested.name);
            hash_.add_bits(records.size());
            for (std::size_t i = 0; i < records.size(); ++i) record(records[i]);
        }
    }

    void take(double value) { hash_.add(value); }
    void take(const std::string& text) { hash_.add(text); }
    void take(const TextList& texts)
    {
        hash_.add_bits(texts.size());
        for (const quantity::PlacedText& t : texts) hash_.add(t.text);
    }
    void take(const QuantityList& values)
    {
        hash_.add_bits(values.size());
        for (const double v : values) hash_.add(v);
    }
    void take(const PointList& points)
    {
        hash_.add_bits(points.size());
        for (const quantity::Point& p : points)
            for (const double v : {p.x_m, p.y_m, p.z_m}) hash_.add(v);
    }

    quantity::Hash hash_{};
};

} // namespace

std::uint64_t fingerprint_of(const Input& input) { return Taker{}.run(input); }

} // namespace venture::input
