#include <venture/building/fingerprint.hpp>

#include <algorithm>

#include <venture/building/keys.hpp>
#include <venture/quantity/hash.hpp>

namespace venture::building {

namespace {

class Taker {
public:
    std::uint64_t run(const Input& input)
    {
        for_each_table(input, [&](std::string_view name, const auto& records) {
            hash_.add(name);
            if constexpr (requires { records.begin(); })
                in_any_order(records);
            else
                record(records);
        });
        return hash_.value();
    }

private:
    /// No result hangs on which of two rooms is typed first.
    template <class Records>
    void in_any_order(const Records& records)
    {
        std::vector<std::uint64_t> each;
        for (const auto& r : records) {
            Taker taker;
            taker.record(r);
            each.push_back(taker.hash_.value());
        }
        std::ranges::sort(each);
        hash_.add_bits(each.size());
        for (const std::uint64_t one : each) hash_.add_bits(one);
    }

    template <class Records>
    void nested_table(std::string_view name, const Records& records)
    {
        hash_.add(name);
        hash_.add_bits(records.size());
        for (const auto& r : records) record(r);
    }

    template <class Record>
    void record(const Record& r)
    {
        for_each_key_set(r, [&](const auto& object, auto all) {
            for (const auto& key : all)
                if (!key.spec.of_document)
                    std::visit([&](auto field) { take(key.spec.name, object.*field); }, key.field);
        });
        for_each_nested_table(r, [&](std::string_view nested, const auto& records) { nested_table(nested, records); });
    }

    template <class T>
    void take(std::string_view key, const Given<T>& given)
    {
        if (!given) return;
        hash_.add(key);
        take(*given);
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

} // namespace venture::building
