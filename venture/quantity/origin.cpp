#include <venture/quantity/origin.hpp>

#include <utility>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::quantity {

OriginId OriginPool::add(Origin origin)
{
    origins_.push_back(std::move(origin));
    return OriginId{static_cast<std::uint32_t>(origins_.size() - 1)};
}

const Origin& OriginPool::at(OriginId id) const
{
    VENTURE_ASSERT(id.index < origins_.size());
    return origins_[id.index];
}

std::string OriginPool::describe(OriginId id) const
{
    const Origin& o = at(id);
    switch (o.kind) {
    case OriginKind::unknown:
        return "given in code";
    case OriginKind::code:
        return fmt::format("code: {}", o.text);
    case OriginKind::file:
        if (o.line == 0) return o.text;
        return o.column == 0 ? fmt::format("{}:{}", o.text, o.line) : fmt::format("{}:{}:{}", o.text, o.line, o.column);
    case OriginKind::overlay:
        return fmt::format("--set {}", o.text);
    case OriginKind::default_value:
        return fmt::format("default: {}", o.text);
    case OriginKind::computed:
        return fmt::format("computed: {}", o.text);
    case OriginKind::room_type:
        return fmt::format("room type '{}' ({})", o.text, describe(o.parent));
    }
    VENTURE_UNREACHABLE("an origin of no kind");
}

} // namespace venture::quantity
