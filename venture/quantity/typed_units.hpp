#pragma once
/// The units that bare numbers are read in: the plain one of each kind, unless a file states others for its own.

#include <optional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include <venture/quantity/key.hpp>

namespace venture::quantity {

class TypedUnits {
public:
    /// The plain ones.
    TypedUnits() = default;
    /// Reads a preset, single units by the keys of printed_quantities(), or both: "inch-pound", "length=mm",
    /// "inch-pound,thickness=mm". @returns why not, in words
    [[nodiscard]] static std::variant<TypedUnits, std::string> parse(std::string_view words);

    /// Unit of a key's bare numbers; nothing where it is the plain one.
    [[nodiscard]] std::optional<std::string_view> of(const KeySpec& key) const;
    [[nodiscard]] const std::string& words() const { return words_; } ///< as stated; empty if nothing was

private:
    struct Chosen {
        std::string_view key, unit; ///< of printed_quantities(), and a symbol
    };
    std::string words_{};
    std::vector<Chosen> chosen_{}; ///< the last of a key counts
};

} // namespace venture::quantity
