/// One bad project for each code: what the real program says of it, by code, place and hint.

#include <regex>
#include <set>

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <program.hpp>

namespace venture {
namespace {

namespace fs = std::filesystem;
using nlohmann::json;

const fs::path corpus = fs::path{VENTURE_SOURCE_DIR} / "tests/corpus";

json cases() { return json::parse(text_of(corpus / "cases.json"), nullptr, false); }

struct Case {
    json what;
    friend void PrintTo(const Case& c, std::ostream* os) { *os << c.what.at("folder"); }
};

std::vector<Case> all_cases()
{
    std::vector<Case> out;
    for (const json& c : cases()) out.push_back({c});
    return out;
}

class Corpus : public testing::TestWithParam<Case> {};

TEST_P(Corpus, IsToldByCodePlaceAndHint)
{
    const json& c = GetParam().what;
    const Ran ran = run_program(fmt::format("{} {} --json {}", c["command"].get<std::string>(),
                                            c["folder"].get<std::string>(), c.value("arguments", "")),
                                corpus);
    const json doc = json::parse(ran.out, nullptr, false);
    ASSERT_FALSE(doc.is_discarded()) << ran.out << ran.errors;
    bool found = false, error = false;
    for (const json& p : doc["problems"]) {
        error = error || p["severity"] == "error";
        found =
            found || (p["code"] == c["code"] && p["file"] == c["file"] && p["line"] == c["line"] &&
                      p["column"] == c["column"] && p["hint"].get<std::string>().find(c["hint"]) != std::string::npos);
    }
    EXPECT_TRUE(found) << doc["problems"].dump(2);
    EXPECT_EQ(ran.code, error ? 2 : c["code"] == "V404" ? 1 : 0);
}

INSTANTIATE_TEST_SUITE_P(All, Corpus, testing::ValuesIn(all_cases()),
                         [](const auto& tested) { return tested.param.what.at("folder").template get<std::string>(); });

TEST(CorpusIndex, HasEveryCodeAndEveryFolder)
{
    const std::string codes = text_of(fs::path{VENTURE_SOURCE_DIR} / "venture/quantity/codes.hpp");
    std::set<std::string> known, shown, folders, listed;
    const std::regex code{R"re("(V[0-9]{3})")re"};
    for (std::sregex_iterator it{codes.begin(), codes.end(), code}, end; it != end; ++it) known.insert((*it)[1]);
    for (const json& c : cases()) {
        shown.insert(c["code"]);
        listed.insert(c["folder"]);
        EXPECT_TRUE(c["folder"].get<std::string>().starts_with(c["code"].get<std::string>()));
    }
    for (const auto& entry : fs::directory_iterator{corpus})
        if (entry.is_directory()) folders.insert(entry.path().filename());
    EXPECT_EQ(known, shown);
    EXPECT_EQ(folders, listed);
}

} // namespace
} // namespace venture
