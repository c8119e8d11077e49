#include <venture/project/pack.hpp>

#include <fstream>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/quantity/error.hpp>

namespace venture::project {
namespace {

namespace fs = std::filesystem;

class Pack : public testing::Test {
protected:
    fs::path root = fs::temp_directory_path() /
                    ("venture_pack_" + std::string{testing::UnitTest::GetInstance()->current_test_info()->name()});
    void SetUp() override
    {
        fs::remove_all(root);
        fs::create_directories(root / "job/rooms");
        write("shared.toml", "[[material]]\nname = \"brick\"\nconductivity = 0.8\n");
        write("more.toml", "[[material]]\nname = \"slate\"\nconductivity = 2\n");
        write("job/rooms/a.toml", "[[room]]\nname = \"A\"\n");
        write("job/rooms.csv", "name;height\nB;3,5\n");
        write("job/project.toml",
              "format = 1 # caf\u00e9\ninclude = \"rooms/a.toml\"\n[[library]]\nname = \"Our office\"\nfile = "
              "\"../shared.toml\" # ours\n[[library]]\nname = \"our OFFICE\"\nfile = '../more.toml'\n[[table]]\nfile = "
              "\"rooms.csv\"\nholds = \"room\"\n");
    }
    void TearDown() override { fs::remove_all(root); }

    void write(const fs::path& name, const std::string& text) const
    {
        std::ofstream{root / name, std::ios::binary} << text;
    }
    [[nodiscard]] std::vector<PackedFile> packed() const
    {
        OutputFolder out{root / "copy"};
        return pack(read_project(root / "job"), out);
    }
};

TEST_F(Pack, CopiesEverythingAndReadsTheSameAlone)
{
    const auto files = packed();
    EXPECT_EQ(files.size(), 5u);
    for (const char* gone : {"shared.toml", "more.toml"}) fs::remove(root / gone);
    fs::remove_all(root / "job");
    const ProjectFile copy = read_project(root / "copy");
    for (const auto& problem : copy.problems) EXPECT_NE(problem.severity, quantity::Severity::error) << problem.message;
    EXPECT_EQ(copy.input.materials.size(), 2u);
    ASSERT_EQ(copy.input.rooms.size(), 2u);
    EXPECT_DOUBLE_EQ(*copy.input.rooms[1].height, 3.5);
    EXPECT_EQ(*copy.input.libraries[0].file, "libraries/our-office.toml");
    EXPECT_EQ(*copy.input.libraries[1].file, "libraries/our-office-2.toml");
}

TEST_F(Pack, ChangesNothingButThePathsOfLibraries)
{
    (void)packed();
    std::string text = read_file(root / "copy/project.toml").text;
    EXPECT_THAT(text, testing::HasSubstr("format = 1 # caf\u00e9\n"));
    EXPECT_THAT(text, testing::HasSubstr("file = \"libraries/our-office.toml\" # ours\n"));
    EXPECT_EQ(read_file(root / "copy/rooms.csv").text, read_file(root / "job/rooms.csv").text);
}

TEST_F(Pack, KeepsTheFingerprintsOfTheOriginals)
{
    const ProjectFile project = read_project(root / "job");
    OutputFolder out{root / "copy"};
    for (const PackedFile& f : pack(project, out)) EXPECT_EQ(f.fingerprint, project.sources.find(f.from)->fingerprint);
    EXPECT_EQ(read_project(root / "copy").sources.find("libraries/our-office-2.toml")->fingerprint,
              project.sources.find("../more.toml")->fingerprint);
}

TEST_F(Pack, BringsCataloguesAlong)
{
    write("heron air.csv", "name,output [kW],highest_supply\nA,10,80\n");
    write("job/own.toml", "[[boiler]]\n");
    std::ofstream{root / "job/project.toml", std::ios::app}
        << "[[catalogue]]\nfile = \"../heron air.csv\"\nkind = \"boiler\"\n[[catalogue]]\nfile = \"own.toml\"\n";
    (void)packed();
    const ProjectFile copy = read_project(root / "copy");
    ASSERT_EQ(copy.input.catalogues.size(), 2u);
    EXPECT_EQ(*copy.input.catalogues[0].file, "catalogues/heron-air.csv");
    EXPECT_EQ(*copy.input.catalogues[1].file, "catalogues/own.toml");
    const SourceFile* file = copy.sources.find("catalogues/heron-air.csv");
    ASSERT_NE(file, nullptr);
    EXPECT_EQ(file->role, FileRole::catalogue);
}

TEST_F(Pack, NoticesAFileThatChangedMeanwhile)
{
    const ProjectFile project = read_project(root / "job");
    write("shared.toml", "[[material]]\nname = \"other\"\n");
    OutputFolder out{root / "copy"};
    EXPECT_THROW((void)pack(project, out), quantity::Error);
}

TEST_F(Pack, DoesNotWriteOverStrangersFiles)
{
    fs::create_directories(root / "copy");
    write("copy/project.toml", "mine\n");
    EXPECT_THROW((void)packed(), quantity::Error);
    EXPECT_EQ(read_file(root / "copy/project.toml").text, "mine\n");
}

} // namespace
} // namespace venture::project
