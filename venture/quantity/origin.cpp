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

std::string place_in_file(const Origin& origin)
{
    if (origin.line == 0) return std::string{origin.text};
    return fmt::format("{}:{}{}", origin.text, origin.line,
                       origin.column == 0 ? "" : fmt::format(":{}", origin.column));
}

OriginPool::OriginPool() { (void)add({}); } // index 0: not stated

OriginId OriginPool::add(const Origin& origin)
{
    entries_.push_back({origin.kind, index_of(origin.text), origin.line, origin.column, origin.parent,
                        origin.unit.empty() ? 0 : index_of(origin.unit)});
    return OriginId{static_cast<std::uint32_t>(entries_.size() - 1)};
}

std::uint32_t OriginPool::index_of(std::string_view text)
{
    const auto [known, is_new] = text_index_.try_emplace(std::string{text}, texts_.size());
    if (is_new) texts_.emplace_back(text);
    return known->second;
}

Origin OriginPool::at(OriginId id) const
{
    VENTURE_ASSERT(id.index < entries_.size());
    const Entry& e = entries_[id.index];
    return {e.kind, texts_[e.text], e.line, e.column, e.parent, texts_[e.unit]};
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
        return o.unit.empty() ? place_in_file(o) : fmt::format("{}, read in {}", place_in_file(o), o.unit);
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
