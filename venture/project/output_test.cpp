#include <venture/project/output.hpp>

#include <fstream>
#include <sstream>

#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::project {
namespace {

namespace fs = std::filesystem;

class Output : public testing::Test {
protected:
    void SetUp() override
    {
        folder = fs::temp_directory_path() /
                 ("venture_output_" + std::string{testing::UnitTest::GetInstance()->current_test_info()->name()});
        fs::remove_all(folder);
    }
    void TearDown() override { fs::remove_all(folder); }
    [[nodiscard]] std::string content(const std::string& name) const
    {
        std::ifstream in{folder / name};
        std::ostringstream text;
        text << in.rdbuf();
        return text.str();
    }
    void someone_writes(const std::string& name, const std::string& text) const
    {
        std::ofstream{folder / name} << text;
    }
    fs::path folder;
};

TEST_F(Output, WritesAndOverwritesItsOwn)
{
    OutputFolder{folder}.write("a/loads.txt", "one");
    OutputFolder{folder}.write("a/loads.txt", "two"); // another run knows it by the manifest
    EXPECT_EQ(content("a/loads.txt"), "two");
    EXPECT_FALSE(fs::exists(folder / "a/loads.txt.part"));
}

TEST_F(Output, LeavesAFileAloneThatSomeoneElseWrote)
{
    fs::create_directories(folder);
    someone_writes("notes.txt", "mine");
    EXPECT_THROW(OutputFolder{folder}.write("notes.txt", "ours"), quantity::Error);
    EXPECT_EQ(content("notes.txt"), "mine");
}

TEST_F(Output, LeavesAFileAloneThatWasChangedSince)
{
    OutputFolder{folder}.write("project.toml", "as written");
    someone_writes("project.toml", "edited by hand");
    EXPECT_THROW(OutputFolder{folder}.write("project.toml", "again"), quantity::Error);
    EXPECT_EQ(content("project.toml"), "edited by hand");
}

TEST_F(Output, WritesOverBothWhenForced)
{
    fs::create_directories(folder);
    someone_writes("notes.txt", "mine");
    OutputFolder forced{folder, true};
    forced.write("notes.txt", "ours");
    EXPECT_EQ(content("notes.txt"), "ours");
}

TEST_F(Output, RefusesAManifestThatIsNone)
{
    fs::create_directories(folder);
    someone_writes(manifest_name, "[1, 2");
    EXPECT_THROW(OutputFolder{folder}, quantity::Error);
}

TEST_F(Output, SaysWhenTheFolderCannotBeMade) { EXPECT_THROW(OutputFolder{"/proc/nowhere/results"}, quantity::Error); }

} // namespace
} // namespace venture::project
