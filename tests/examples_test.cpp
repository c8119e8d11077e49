/// The examples print what is kept beside them.

#include <house_project.hpp>

namespace venture {
namespace {

using Examples = HouseProject;

TEST_F(Examples, PrintWhatStandsBesideThem)
{
    int examples = 0;
    for (const auto& file :
         std::filesystem::directory_iterator{std::filesystem::path{VENTURE_SOURCE_DIR} / "examples"}) {
        if (file.path().extension() != ".expected") continue;
        ++examples;
        const Ran r = run_program("house", folder, fmt::format("{}/{}", EXAMPLES, file.path().stem().string()));
        EXPECT_EQ(r.code, 0) << file;
        EXPECT_EQ(r.out, text_of(file));
    }
    EXPECT_GE(examples, 12);
}

} // namespace
} // namespace venture
