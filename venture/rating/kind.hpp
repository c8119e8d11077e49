#pragma once
/// A kind of unit or plant: all that the rest of the program knows of it.

#include <functional>
#include <memory>
#include <optional>
#include <span>
#include <string_view>
#include <vector>

#include <venture/quantity/record.hpp>
#include <venture/rating/medium.hpp>
#include <venture/rating/product.hpp>

namespace venture::rating {

/// Where products of a kind stand.
enum class Stands : std::uint8_t { room, plant_room, pipe };

/// Along what the units of a room stand, where that matters: one at each.
enum class Along : std::uint8_t { nothing, windows, walls, doors };

/// Water that is assumed for a kind where a project names no circuits.
struct AssumedWater {
    double supply_C = 0.0, return_C = 0.0;
};

/// Records of a kind's products as a catalogue holds them, on their way to products.
class Shelf {
public:
    virtual ~Shelf() = default;
    Shelf() = default;
    Shelf(const Shelf&) = delete;
    Shelf& operator=(const Shelf&) = delete;
    /// Of the table that is called as the kind's key.
    [[nodiscard]] virtual quantity::Records records() = 0;
    /// @throws quantity::Error  what no product of this kind could be   @pre all required keys are given
    [[nodiscard]] virtual std::shared_ptr<const Product> make(std::size_t i, std::string from) const = 0;
    /// Lines of a sheet that are points of one product's table become one record.
    virtual void join_points() = 0;
};

struct Kind {
    std::string_view key;   ///< "fan_coil": its table in catalogues
    std::string_view words; ///< "fan coil"
    std::string_view tag{}; ///< that tags of its kind begin with: "FC"
    Stands stands = Stands::room;
    Along along = Along::nothing; ///< windows: or walls, where windows do not do
    bool passes_air = false;      ///< outdoor air can come through it
    double radiant_share = 0.0;   ///< of its heat, usually; our statement, since makers' differ
    std::vector<Service> gives{};
    Medium medium = Medium::water;      ///< that units take, that plants give
    std::optional<Medium> also_takes{}; ///< instead, where a circuit says so
    /// For a circuit that nobody gave, of the first kind in the list that gives its service.
    std::optional<AssumedWater> assumed{};
    std::vector<At> needs{}; ///< what its products are rated at
    std::unique_ptr<Shelf> (*shelf)() = nullptr;
    [[nodiscard]] bool does(Service service) const;
    [[nodiscard]] bool takes(Medium what) const { return what == medium || what == also_takes; }
    /// Of one body in several lengths, one under each window or along each wall.
    [[nodiscard]] bool in_rows() const { return along == Along::windows || along == Along::walls; }
    [[nodiscard]] bool is_rated_at(At what) const;
};

/// A kind whose records are structs `Record` and whose products are made of one by `Made(const Record&, from)`. Records that
/// can be a table have `static std::vector<Record> joined(const std::vector<Record>&)`.
template <quantity::Declared Record, class Made>
class ShelfOf : public Shelf {
public:
    explicit ShelfOf(std::string_view key) : table_{key, &List::all} {}
    [[nodiscard]] quantity::Records records() override { return {table_, &list_.all}; }
    [[nodiscard]] std::shared_ptr<const Product> make(std::size_t i, std::string from) const override
    {
        return std::make_shared<const Made>(list_.all[i], std::move(from));
    }
    void join_points() override
    {
        if constexpr (requires { Record::joined(list_.all); }) list_.all = Record::joined(list_.all);
    }

private:
    struct List {
        std::vector<Record> all{};
    };
    List list_{};
    quantity::Nested table_;
};

/// What a catalogue says of a product: a value for each key of its kind that is one number or text, in their order.
using Said = std::vector<std::variant<std::monostate, double, std::string>>;
/// Those keys.
[[nodiscard]] std::vector<const quantity::Key*> plain_keys(const Kind& kind);

/// Products of one kind.
struct Stock {
    const Kind* kind = nullptr;
    std::vector<std::shared_ptr<const Product>> products{};
    std::vector<Said> said{}; ///< one a product
    bool invented = false;    ///< that ship with the program: of makers that do not exist
    /// Null if there is none of that name.
    [[nodiscard]] const Product* find(std::string_view name) const;
};

/// What may be chosen, kind by kind.
class Stocks {
public:
    /// @param kind  of the lists of kinds   @return a new one if there is none yet
    [[nodiscard]] Stock& of(const Kind& kind);
    [[nodiscard]] std::span<const std::shared_ptr<const Product>> products(const Kind& kind) const;
    [[nodiscard]] const Product* find(const Kind& kind, std::string_view name) const;
    [[nodiscard]] const std::vector<Stock>& all() const { return all_; }
    /// Takes those of others of whose kind there is none here.
    void fill_up(const Stocks& others);
    /// Whether what there is of a kind was made up.
    [[nodiscard]] bool are_invented(const Kind& kind) const;

private:
    std::vector<Stock> all_{};
};

} // namespace venture::rating
