#include <venture/rating/kind.hpp>

#include <algorithm>

namespace venture::rating {

bool Kind::does(Service service) const { return std::ranges::find(gives, service) != gives.end(); }

bool Kind::is_rated_at(At what) const { return std::ranges::find(needs, what) != needs.end(); }

std::vector<const quantity::Key*> plain_keys(const Kind& kind)
{
    static const std::string_view unread = "note";
    std::vector<const quantity::Key*> out;
    const quantity::RecordSpec& spec = kind.shelf()->records().table().spec();
    for (const quantity::Key& key : spec.keys())
        if ((key.shape == quantity::ValueShape::number || key.shape == quantity::ValueShape::text) &&
            key.spec.name != unread)
            out.push_back(&key);
    return out;
}

const Product* Stock::find(std::string_view name) const
{
    const auto at = std::ranges::find_if(products, [&](const auto& p) { return p->name() == name; });
    return at == products.end() ? nullptr : at->get();
}

Stock& Stocks::of(const Kind& kind)
{
    const auto at = std::ranges::find(all_, &kind, &Stock::kind);
    return at != all_.end() ? *at : all_.emplace_back(Stock{&kind, {}});
}

std::span<const std::shared_ptr<const Product>> Stocks::products(const Kind& kind) const
{
    const auto at = std::ranges::find(all_, &kind, &Stock::kind);
    if (at == all_.end()) return {};
    return at->products;
}

void Stocks::fill_up(const Stocks& others)
{
    for (const Stock& other : others.all_)
        if (products(*other.kind).empty()) of(*other.kind) = other;
}

bool Stocks::are_invented(const Kind& kind) const
{
    const auto at = std::ranges::find(all_, &kind, &Stock::kind);
    return at != all_.end() && at->invented;
}

const Product* Stocks::find(const Kind& kind, std::string_view name) const
{
    const auto at = std::ranges::find(all_, &kind, &Stock::kind);
    return at == all_.end() ? nullptr : at->find(name);
}

} // namespace venture::rating
