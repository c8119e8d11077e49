#include <venture/store/schema.hpp>

#include <fmt/format.h>

#include <venture/store/columns.hpp>

namespace venture::store {

namespace {

template <class List>
std::string declared(const List& columns, const char* type)
{
    std::string out;
    for (const auto& [name, member] : columns) out += fmt::format("  {} {} NOT NULL,\n", name, type);
    return out;
}

} // namespace

std::string schema()
{
    return "CREATE TABLE run (\n"
           "  id INTEGER PRIMARY KEY AUTOINCREMENT,\n"
           "  inputs TEXT NOT NULL, -- fingerprint of building and weather, hexadecimal\n"
           "  step_s REAL NOT NULL, run_in_days REAL NOT NULL, first_day INTEGER NOT NULL, days INTEGER NOT NULL,\n"
           "  name TEXT NOT NULL, -- empty: none\n"
           "  project TEXT NOT NULL, revision TEXT NOT NULL, program TEXT NOT NULL,\n"
           "  weather TEXT NOT NULL, synthetic INTEGER NOT NULL, leap INTEGER NOT NULL,\n" +
           declared(columns::of_run, "REAL") + declared(columns::hours_of_run, "INTEGER") +
           "  unsettled_steps INTEGER NOT NULL\n"
           ");\n"
           "CREATE TABLE room (\n"
           "  run INTEGER NOT NULL, place INTEGER NOT NULL, name TEXT NOT NULL, storey TEXT NOT NULL,\n"
           "  heated INTEGER NOT NULL, cooled INTEGER NOT NULL, limited_moisture INTEGER NOT NULL,\n" +
           declared(columns::sizes_of_room, "REAL") + declared(columns::of_room, "REAL") +
           declared(columns::hours_of_room, "INTEGER") +
           "  air_supply TEXT NOT NULL, given_everything INTEGER NOT NULL,\n"
           "  PRIMARY KEY (run, place)\n"
           ") WITHOUT ROWID;\n"
           "CREATE TABLE room_month (\n"
           "  run INTEGER NOT NULL, place INTEGER NOT NULL, month INTEGER NOT NULL, -- 1 to 12\n" +
           declared(columns::of_month, "REAL") + declared(columns::damp_of_month, "REAL") +
           declared(columns::air_of_month, "REAL") +
           "  PRIMARY KEY (run, place, month)\n"
           ") WITHOUT ROWID;\n"
           "CREATE TABLE duration (\n"
           "  run INTEGER NOT NULL, place INTEGER NOT NULL,\n" +
           declared(columns::of_duration, "REAL") +
           "  PRIMARY KEY (run, place)\n"
           ") WITHOUT ROWID;\n"
           "CREATE TABLE series (\n"
           "  id INTEGER PRIMARY KEY, run INTEGER NOT NULL, path TEXT NOT NULL, subject TEXT NOT NULL, kind TEXT NOT "
           "NULL,\n"
           "  unit TEXT NOT NULL\n"
           ");\n"
           "CREATE UNIQUE INDEX series_of_run ON series (run, path);\n"
           "CREATE TABLE day (\n"
           "  series INTEGER NOT NULL, day INTEGER NOT NULL, -- of the year, from 1\n"
           "  mean REAL NOT NULL, least REAL NOT NULL, largest REAL NOT NULL, PRIMARY KEY (series, day)\n"
           ") WITHOUT ROWID;\n"
           "CREATE TABLE month (\n"
           "  series INTEGER NOT NULL, month INTEGER NOT NULL,\n"
           "  mean REAL NOT NULL, least REAL NOT NULL, largest REAL NOT NULL, PRIMARY KEY (series, month)\n"
           ") WITHOUT ROWID;\n"
           "CREATE TABLE hours (\n"
           "  series INTEGER NOT NULL, month INTEGER NOT NULL,\n"
           "  first_hour INTEGER NOT NULL, -- of the year, from 0\n"
           "  means BLOB NOT NULL, -- hour means, IEEE 754 single precision, little endian, one after the other\n"
           "  PRIMARY KEY (series, month)\n"
           ");\n";
}

} // namespace venture::store
