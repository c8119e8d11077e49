#pragma once
/// A copy of the shipped house in a folder of its own, for tests of the real program.

#include <algorithm>
#include <filesystem>
#include <fstream>
#include <string>

#include <fmt/format.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>
#include <unistd.h>

#include <program.hpp>

namespace venture {

class HouseProject : public testing::Test {
protected:
    void SetUp() override
    {
        namespace fs = std::filesystem;
        const auto* test = testing::UnitTest::GetInstance()->current_test_info();
        std::string name = fmt::format("venture_{}_{}_{}", test->test_suite_name(), test->name(), ::getpid());
        std::ranges::replace(name, '/', '_'); // of tests with parameters
        folder = fs::temp_directory_path() / name;
        fs::remove_all(folder);
        fs::create_directories(folder);
        fs::copy(fs::path{VENTURE_SOURCE_DIR} / "data/house", folder / "house");
    }
    void TearDown() override { std::filesystem::remove_all(folder); }

    [[nodiscard]] Ran run(const std::string& arguments) const { return run_program(arguments, folder); }
    [[nodiscard]] nlohmann::json run_json(const std::string& arguments) const
    {
        const Ran r = run(arguments);
        nlohmann::json doc = nlohmann::json::parse(r.out, nullptr, false);
        EXPECT_FALSE(doc.is_discarded()) << r.out << r.errors;
        return doc;
    }
    /// The first place of a text in a file, replaced.
    void replace(const std::filesystem::path& file, const std::string& what, const std::string& by) const
    {
        std::string text = text_of(folder / file);
        const auto at = text.find(what);
        ASSERT_NE(at, std::string::npos) << what;
        text.replace(at, what.size(), by);
        std::ofstream{folder / file, std::ios::binary} << text;
    }
    void append(const std::filesystem::path& file, const std::string& text) const
    {
        std::ofstream{folder / file, std::ios::binary | std::ios::app} << text;
    }

    std::filesystem::path folder;
};

} // namespace venture
