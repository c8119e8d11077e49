#pragma once
/// What a command returns: sentences for people and tables for all.

#include <string>
#include <string_view>
#include <variant>
#include <vector>

#include <venture/figure/table.hpp>

namespace venture::figure {

/// Lines that people read; data for machines leave them out, since tables hold what they tell.
struct Sentences {
    std::string lines{}; ///< each ended
};

class Document {
public:
    Document() = default;
    explicit Document(std::string document_title) : title{std::move(document_title)} {}

    std::string title{}; ///< one line: what the whole is of
    std::vector<std::variant<Sentences, Table>> blocks{};

    Document& add(std::string lines)
    {
        if (!lines.empty()) blocks.emplace_back(Sentences{std::move(lines)});
        return *this;
    }
    Document& add(Table table)
    {
        blocks.emplace_back(std::move(table));
        return *this;
    }
    Document& add(Document more)
    {
        for (auto& block : more.blocks) blocks.push_back(std::move(block));
        return *this;
    }
    /// Whether a table of that name is in it that machines are told.
    [[nodiscard]] bool holds(std::string_view table) const;
    /// For machines: in their order, those of one name as one, without those that are only for people.
    [[nodiscard]] std::vector<Table> data_tables() const;
};

} // namespace venture::figure
