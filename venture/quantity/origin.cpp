#include <venture/quantity/origin.hpp>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::quantity {

std::string_view name_of(OriginKind kind)
{
    switch (kind) {
    case OriginKind::unknown:
    case OriginKind::code:
        return "code";
    case OriginKind::file:
        return "typed";
    case OriginKind::library:
        return "library";
    case OriginKind::overlay:
        return "set";
    case OriginKind::default_value:
        return "default";
    case OriginKind::inherited:
        return "inherited";
    case OriginKind::computed:
        return "computed";
    }
    VENTURE_UNREACHABLE("an origin of no kind");
}

OriginPool::OriginPool() { (void)add({}); } // index 0: not stated

OriginId OriginPool::add(const Origin& origin)
{
    const auto [known, is_new] = text_index_.try_emplace(std::string{origin.text}, texts_.size());
    if (is_new) texts_.emplace_back(origin.text);
    entries_.push_back({origin.kind, known->second, origin.line, origin.column, origin.parent});
    return OriginId{static_cast<std::uint32_t>(entries_.size() - 1)};
}

Origin OriginPool::at(OriginId id) const
{
    VENTURE_ASSERT(id.index < entries_.size());
    const Entry& e = entries_[id.index];
    return {e.kind, texts_[e.text], e.line, e.column, e.parent};
}

OriginId OriginPool::place_id_behind(OriginId id) const
{
    const Origin o = at(id);
    return o.parent == OriginId{} || o.kind == OriginKind::file ? id : place_id_behind(o.parent);
}

std::string OriginPool::describe(OriginId id) const
{
    const Origin o = at(id);
    const auto behind = [&] { return o.parent == OriginId{} ? "" : fmt::format(" ({})", describe(o.parent)); };
    switch (o.kind) {
    case OriginKind::unknown:
        return "given in code";
    case OriginKind::code:
        return fmt::format("code: {}", o.text);
    case OriginKind::file:
        if (o.line == 0) return std::string{o.text};
        return o.column == 0 ? fmt::format("{}:{}", o.text, o.line) : fmt::format("{}:{}:{}", o.text, o.line, o.column);
    case OriginKind::library:
        return fmt::format("library '{}'{}", o.text, behind());
    case OriginKind::overlay:
        return fmt::format("--set {}", o.text);
    case OriginKind::default_value:
        return fmt::format("default: {}", o.text);
    case OriginKind::computed:
        return fmt::format("computed: {}{}", o.text, behind());
    case OriginKind::inherited:
        return fmt::format("{}{}", o.text, behind());
    }
    VENTURE_UNREACHABLE("an origin of no kind");
}

} // namespace venture::quantity
