#include <venture/store/database.hpp>

#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::store {

namespace {

std::string in_words(int code, const std::string& detail)
{
    switch (code & 0xff) { // the kind of a code stands in its lowest byte
    case SQLITE_BUSY:
    case SQLITE_LOCKED:
        return "is in use: another run writes into it; try again when that is done";
    case SQLITE_FULL:
        return "cannot grow: the disk is full; nothing was kept, and what was there still is";
    case SQLITE_IOERR:
        return fmt::format("cannot be read or written ({}); nothing was kept, and what was there still is", detail);
    case SQLITE_CORRUPT:
    case SQLITE_NOTADB:
        return "is damaged, or no file of kept runs; it was left as it is: move it away, and run again";
    case SQLITE_READONLY:
    case SQLITE_PERM:
    case SQLITE_AUTH:
        return "may not be written by you";
    case SQLITE_CANTOPEN:
        return "cannot be opened";
    case SQLITE_NOMEM:
        return "needs more memory than there is";
    default:
        return detail;
    }
}

} // namespace

void fail(int code, const std::string& detail, const std::filesystem::path& file)
{
    throw quantity::Error{fmt::format("{} {}", file.generic_string(), in_words(code, detail))};
}

Database::Database(std::filesystem::path file, Access access, int patience_ms) : file_{std::move(file)}
{
    sqlite3* db = nullptr;
    // To read is to write, too, where a run was killed: what it left half done is taken back first.
    // One thread has it, so that nothing is locked within.
    const int flags = SQLITE_OPEN_READWRITE | SQLITE_OPEN_NOMUTEX | (access == Access::write ? SQLITE_OPEN_CREATE : 0);
    int code = sqlite3_open_v2(file_.c_str(), &db, flags, nullptr);
    if (code != SQLITE_OK && access == Access::read) { // of someone else's, or on a medium that is not written to
        sqlite3_close(db);
        code = sqlite3_open_v2(file_.c_str(), &db, SQLITE_OPEN_READONLY | SQLITE_OPEN_NOMUTEX, nullptr);
    }
    db_.reset(db);
    if (code != SQLITE_OK) fail(code, db != nullptr ? sqlite3_errmsg(db) : "", file_);
    sqlite3_extended_result_codes(db, 1);
    sqlite3_busy_timeout(db, patience_ms);
}

void Database::execute(const char* sql) const
{
    if (const int code = sqlite3_exec(db_.get(), sql, nullptr, nullptr, nullptr); code != SQLITE_OK)
        fail(code, sqlite3_errmsg(db_.get()), file_);
}

std::int64_t Database::whole(std::string_view sql) const
{
    Statement s = prepare(sql);
    return s.next() ? s.whole(0) : 0;
}

Statement::Statement(sqlite3* db, std::string_view sql, const std::filesystem::path& file) : db_{db}, file_{file}
{
    sqlite3_stmt* statement = nullptr;
    const int code = sqlite3_prepare_v2(db, sql.data(), static_cast<int>(sql.size()), &statement, nullptr);
    statement_.reset(statement);
    check(code);
}

void Statement::check(int code)
{
    if (code != SQLITE_OK && code != SQLITE_ROW && code != SQLITE_DONE) fail(code, sqlite3_errmsg(db_), file_);
}

Statement& Statement::bind(std::int64_t value)
{
    check(sqlite3_bind_int64(statement_.get(), ++bound_, value));
    return *this;
}

Statement& Statement::bind(double value)
{
    check(sqlite3_bind_double(statement_.get(), ++bound_, value));
    return *this;
}

Statement& Statement::bind(std::string_view text)
{
    check(sqlite3_bind_text64(statement_.get(), ++bound_, text.data(), text.size(), SQLITE_TRANSIENT, SQLITE_UTF8));
    return *this;
}

Statement& Statement::bind(std::span<const std::byte> blob)
{
    check(sqlite3_bind_blob64(statement_.get(), ++bound_, blob.data(), blob.size(), SQLITE_STATIC));
    return *this;
}

bool Statement::next()
{
    const int code = sqlite3_step(statement_.get());
    check(code);
    return code == SQLITE_ROW;
}

void Statement::run()
{
    while (next()) {
    }
    again();
}

void Statement::again()
{
    sqlite3_reset(statement_.get());
    bound_ = 0;
}

std::int64_t Statement::whole(int column) const { return sqlite3_column_int64(statement_.get(), column); }

double Statement::number(int column) const { return sqlite3_column_double(statement_.get(), column); }

std::string Statement::text(int column) const
{
    const auto* bytes = reinterpret_cast<const char*>(sqlite3_column_text(statement_.get(), column));
    return bytes == nullptr
               ? std::string{}
               : std::string{bytes, static_cast<std::size_t>(sqlite3_column_bytes(statement_.get(), column))};
}

std::span<const std::byte> Statement::blob(int column) const
{
    const auto* bytes = static_cast<const std::byte*>(sqlite3_column_blob(statement_.get(), column));
    return {bytes, static_cast<std::size_t>(sqlite3_column_bytes(statement_.get(), column))};
}

Transaction::Transaction(const Database& db) : db_{db} { db_.execute("BEGIN IMMEDIATE"); }

Transaction::~Transaction()
{
    if (!open_) return;
    try {
        db_.execute("ROLLBACK");
    } catch (const quantity::Error&) { // it was rolled back already, as where the disk was full
    }
}

void Transaction::commit()
{
    db_.execute("COMMIT");
    open_ = false;
}

} // namespace venture::store
