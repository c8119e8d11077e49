/// The same results in every form: numbers alike cell by cell, names harmless, files that read back.

#include <set>

#include <gmock/gmock.h>

#include <house_project.hpp>

namespace venture {
namespace {

using nlohmann::json;
using testing::HasSubstr;
using testing::Not;

class Forms : public HouseProject {
protected:
    /// Cells of a sheet as a program that is not ours reads them: {"sheet": [[...]]}; formulas stay as they are.
    [[nodiscard]] json workbook(const std::string& file) const
    {
        const std::string script =
            "import openpyxl,json,sys;b=openpyxl.load_workbook(sys.argv[1]);"
            "print(json.dumps({s.title:[[c.value for c in r] for r in s.iter_rows()] for s in b}))";
        const Ran ran = run_program(fmt::format("-c '{}' {}", script, file), folder, "/usr/bin/python3");
        return json::parse(ran.out, nullptr, false);
    }
    [[nodiscard]] std::vector<std::vector<std::string>> csv(const std::string& text) const
    {
        const std::string script = "import csv,json,sys;print(json.dumps(list(csv.reader(sys.stdin))))";
        std::ofstream{folder / "table.csv", std::ios::binary} << text;
        const Ran ran = run_program(fmt::format("-c '{}' < table.csv", script), folder, "/usr/bin/python3");
        return json::parse(ran.out).get<std::vector<std::vector<std::string>>>();
    }
    void call_the_kitchen(const std::string& name) const
    {
        std::string text = text_of(folder / "house/project.toml");
        for (std::size_t at = 0; (at = text.find("\"Kitchen\"", at)) != std::string::npos;)
            text.replace(at, std::string{"\"Kitchen\""}.size(), "\"" + name + "\"");
        std::ofstream{folder / "house/project.toml", std::ios::binary} << text;
    }
};

/// Of every table of every command: what JSON holds in SI stands in CSV and in the workbook, too.
TEST_F(Forms, HoldTheSameNumbersCellByCell)
{
    for (const char* command : {"check", "loads", "size", "climate", "year --days 10", "loads --room Kitchen",
                                "loads --hours", "check --origins"}) {
        const std::string call = fmt::format("{} house", command);
        const json all = run_json(call + " --json");
        EXPECT_EQ(run(call + " -o all.xlsx --force").code, 0) << command;
        const json sheets = workbook("all.xlsx");
        ASSERT_FALSE(sheets.is_discarded()) << command;
        std::size_t numbers = 0;
        for (const auto& [table, columns] : all["columns"].items()) {
            if (all[table].empty()) continue;
            const auto rows = csv(run(fmt::format("{} --as csv --table {} --units SI", call, table)).out);
            ASSERT_EQ(rows.size(), all[table].size() + 1) << table;
            ASSERT_GE(sheets[table].size(), rows.size()) << table;
            for (std::size_t c = 0; c < rows[0].size(); ++c) {
                const std::string key = rows[0][c].substr(0, rows[0][c].find(" ["));
                ASSERT_TRUE(columns.contains(key)) << key;
                for (std::size_t r = 1; r < rows.size(); ++r) {
                    const json &in_json = all[table][r - 1], &cell = sheets[table][r][c];
                    if (!in_json.contains(key)) {
                        EXPECT_EQ(rows[r][c], "");
                        EXPECT_TRUE(cell.is_null()) << table << "/" << key;
                    } else if (in_json[key].is_number() && columns[key].contains("unit")) {
                        const double of_csv = std::stod(rows[r][c]), of_sheet = cell.get<double>();
                        EXPECT_NEAR(of_csv, of_sheet, 1e-12 * std::abs(of_csv)) << table << "/" << key;
                        if (rows[0][c].find(" [" + columns[key]["unit"].get<std::string>() + "]") !=
                            std::string::npos) {
                            EXPECT_NEAR(of_csv, in_json[key].get<double>(), 1e-12 * std::abs(of_csv))
                                << table << "/" << key;
                        }
                        ++numbers;
                    }
                }
            }
        }
        EXPECT_GT(numbers, 30u) << command;
    }
}

TEST_F(Forms, WorkbooksTotalByFormulas)
{
    EXPECT_EQ(run("check house -o check.xlsx").code, 0);
    const json rooms = workbook("check.xlsx")["room"];
    std::set<std::string> formulas;
    for (const json& row : rooms)
        for (const json& cell : row)
            if (cell.is_string() && cell.get<std::string>().starts_with("=")) formulas.insert(cell);
    EXPECT_TRUE(formulas.contains("=SUM(D2:D7)")) << rooms.back();
}

TEST_F(Forms, AreChosenByTheFilesEnding)
{
    for (const char* ending : {"txt", "json", "csv", "html", "xlsx"}) {
        const Ran r = run(fmt::format("loads house -o out.{}", ending));
        EXPECT_EQ(r.code, 0) << r.errors;
        EXPECT_THAT(r.out, HasSubstr("wrote"));
        EXPECT_GT(text_of(folder / fmt::format("out.{}", ending)).size(), 500u);
    }
    EXPECT_TRUE(text_of(folder / "out.html").starts_with("<!DOCTYPE html>"));
    EXPECT_EQ(text_of(folder / "out.xlsx").substr(0, 2), "PK");
    const Ran none = run("loads house -o out.doc");
    EXPECT_EQ(none.code, 2);
    EXPECT_THAT(none.errors, HasSubstr("does not say what to write"));
    EXPECT_THAT(run("loads house --as json -o out.csv").errors, HasSubstr("the file's ending says another form"));
    EXPECT_THAT(run("loads house --as csv --table room_laod").errors, HasSubstr("did you mean 'room_load'?"));
    EXPECT_EQ(run("loads house --as csv").out, text_of(folder / "out.csv"));
}

TEST_F(Forms, AreTheSameTwice)
{
    for (const char* ending : {"json", "html", "xlsx"}) {
        EXPECT_EQ(run(fmt::format("size house -o one.{0}", ending)).code, 0);
        EXPECT_EQ(run(fmt::format("size house -o two.{0}", ending)).code, 0);
        EXPECT_EQ(text_of(folder / fmt::format("one.{}", ending)), text_of(folder / fmt::format("two.{}", ending)));
    }
}

/// A name that a spreadsheet would run, that a page would take for its own, or that acts on a terminal, harms nowhere and reads
/// back as it was.
TEST_F(Forms, HoldNamesThatWouldActSomewhere)
{
    call_the_kitchen("=1+1 <b>\\\"\\u202E\\u05D0\\u6E29\\\",\\u001B[31m\\tx");
    const std::string name = "=1+1 <b>\"\u202E\u05D0\u6E29\",\x1B[31m\tx";
    const auto rows = csv(run("loads house --as csv").out);
    EXPECT_EQ(rows[2][0], "'" + name);
    EXPECT_EQ(run_json("loads house --json")["room_load"][1]["room"], name);
    const std::string page = run("loads house --as html").out;
    EXPECT_THAT(page, HasSubstr("=1+1 &lt;b&gt;"));
    EXPECT_THAT(page, Not(HasSubstr("<b>")));
    EXPECT_THAT(page, Not(HasSubstr("\u202E")));
    EXPECT_EQ(run("loads house -o all.xlsx").code, 0);
    const json sheet = workbook("all.xlsx")["room_load"];
    EXPECT_THAT(sheet[2][0].get<std::string>(),
                testing::StartsWith("=1+1 <b>\"")); // a text: openpyxl would say "=..." of either
    const std::string typed = run("loads house --csv").out;
    EXPECT_THAT(typed, HasSubstr("\"'=1+1"));
    std::ofstream{folder / "typed.csv", std::ios::binary} << typed;
    EXPECT_EQ(run_json("size typed.csv --json")["unit"][1]["room"], name);
}

TEST_F(Forms, CsvOfLoadsIsOneTableAndSaysSoBesideOthers)
{
    for (const char* beside : {"--table coil_load", "--as json", "-o loads.csv"}) {
        const Ran r = run(std::string{"loads house --csv "} + beside);
        EXPECT_EQ(r.code, 2) << beside;
        EXPECT_THAT(r.errors, HasSubstr("--as csv, with --table NAME")) << beside;
    }
}

TEST(Completion, OffersWhatTheProgramHas)
{
    const auto here = std::filesystem::temp_directory_path();
    const std::string bash = run_program("completion bash", here).out, zsh = run_program("completion zsh", here).out;
    for (const std::string& script : {bash, zsh})
        for (const char* part :
             {"'draw plan') offered='", "--storey", "'loads --as') offered='text json csv html xlsx'"})
            EXPECT_THAT(script, HasSubstr(part));
    const std::string ask =
        "-c 'eval \"$(\"$0\" completion bash)\"; COMP_WORDS=(venture draw pl); COMP_CWORD=2; _venture; "
        "echo \"${COMPREPLY[0]}\"' " VENTURE_PROGRAM;
    EXPECT_EQ(run_program(ask, here, "/bin/bash").out, "plan\n");
}

} // namespace
} // namespace venture
