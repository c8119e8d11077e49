#pragma once
/// A database file, and statements on it. Internal to store.

#include <cstdint>
#include <filesystem>
#include <memory>
#include <span>
#include <string>
#include <string_view>
#include <vector>

#include <sqlite3.h>

namespace venture::store {

/// How a file is opened.
enum class Access : std::uint8_t { read, write };

/// One statement, with values in place of its question marks. @pre lives no longer than its database
class Statement {
public:
    Statement(sqlite3* db, std::string_view sql, const std::filesystem::path& file);
    Statement& bind(std::int64_t value);
    Statement& bind(int value) { return bind(static_cast<std::int64_t>(value)); }
    Statement& bind(bool value) { return bind(static_cast<std::int64_t>(value)); }
    Statement& bind(std::size_t value) { return bind(static_cast<std::int64_t>(value)); }
    Statement& bind(double value);
    Statement& bind(std::string_view text);
    Statement& bind(std::span<const std::byte> blob); ///< must stay as it is until run() or next()
    /// The next row. @returns whether there is one   @throws quantity::Error  in words for who runs a program
    bool next();
    /// Goes through to the end, and is ready for other values.
    void run();
    /// Ready for other values.
    void again();

    [[nodiscard]] std::int64_t whole(int column) const;
    [[nodiscard]] double number(int column) const;
    [[nodiscard]] std::string text(int column) const;
    [[nodiscard]] std::span<const std::byte> blob(int column) const; ///< until the next row

private:
    struct Finalize {
        void operator()(sqlite3_stmt* s) const { sqlite3_finalize(s); }
    };
    void check(int code);
    sqlite3* db_;
    const std::filesystem::path& file_;
    std::unique_ptr<sqlite3_stmt, Finalize> statement_{};
    int bound_ = 0;
};

class Database {
public:
    /// @param patience_ms  how long it waits for others   @throws quantity::Error  it cannot be opened
    Database(std::filesystem::path file, Access access, int patience_ms);
    [[nodiscard]] Statement prepare(std::string_view sql) const { return {db_.get(), sql, file_}; }
    /// Statements one after the other.
    void execute(const char* sql) const;
    [[nodiscard]] std::int64_t whole(std::string_view sql) const;
    [[nodiscard]] std::int64_t last_id() const { return sqlite3_last_insert_rowid(db_.get()); }
    [[nodiscard]] const std::filesystem::path& file() const { return file_; }

private:
    struct Close {
        void operator()(sqlite3* db) const { sqlite3_close(db); }
    };
    std::filesystem::path file_;
    std::unique_ptr<sqlite3, Close> db_{};
};

/// All or nothing: rolled back unless commit() was called.
class Transaction {
public:
    explicit Transaction(const Database& db);
    Transaction(const Transaction&) = delete;
    Transaction& operator=(const Transaction&) = delete;
    ~Transaction();
    void commit();

private:
    const Database& db_;
    bool open_ = true;
};

/// @throws quantity::Error  what went wrong with a file, and what to do
[[noreturn]] void fail(int code, const std::string& detail, const std::filesystem::path& file);

} // namespace venture::store
