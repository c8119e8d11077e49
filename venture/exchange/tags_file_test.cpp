/// The list of tags as a file that people edit.

#include <venture/exchange/tags_file.hpp>

#include <fstream>
#include <sstream>

#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <unistd.h>

#include <venture/quantity/error.hpp>

namespace venture::exchange {
namespace {

namespace fs = std::filesystem;
using testing::HasSubstr;

class TagsFile : public testing::Test {
protected:
    TagsFile() : file_{fs::temp_directory_path() / ("venture_tags_" + std::to_string(::getpid()) + ".csv")}
    {
        remove();
    }
    ~TagsFile() override { remove(); }
    void remove() { fs::remove(file_); }
    void write(const std::string& text) { std::ofstream{file_, std::ios::binary} << text; }
    [[nodiscard]] std::string text() const
    {
        std::ostringstream out;
        out << std::ifstream{file_, std::ios::binary}.rdbuf();
        return out.str();
    }
    [[nodiscard]] std::string refusal() const
    {
        try {
            (void)read_tags(file_);
        } catch (const quantity::Error& wrong) {
            return wrong.what();
        }
        return {};
    }
    fs::path file_;
};

TEST_F(TagsFile, ThatIsNotThereIsEmpty) { EXPECT_TRUE(read_tags(file_).issued.empty()); }

TEST_F(TagsFile, ComesBackAsItWas)
{
    study::Tags tags;
    tags.own_columns = {"supplier", "ordered"};
    tags.issued = {{"RAD-0-01", "radiator", "Hall, \"old\"", "window", false, {"Ash & Sons", ""}},
                   {"RAD-0-02", "radiator", "=1+1", "", true, {"", "12 May"}}};
    write_tags(file_, tags);
    const study::Tags back = read_tags(file_);
    EXPECT_EQ(back.own_columns, tags.own_columns);
    ASSERT_EQ(back.issued.size(), 2u);
    for (std::size_t i = 0; i < 2; ++i) {
        EXPECT_EQ(back.issued[i].tag, tags.issued[i].tag);
        EXPECT_EQ(back.issued[i].place, tags.issued[i].place);
        EXPECT_EQ(back.issued[i].gone, tags.issued[i].gone);
        EXPECT_EQ(back.issued[i].own, tags.issued[i].own);
    }
}

TEST_F(TagsFile, MayHaveItsColumnsInAnyOrderAndSemicolons)
{
    write("supplier;place;tag;kind;state;where\nAsh;Hall;R 1;radiator;;by the door\nBirch;Loft;R 2;radiator;gone;\n");
    const study::Tags tags = read_tags(file_);
    ASSERT_EQ(tags.issued.size(), 2u);
    EXPECT_EQ(tags.issued[0].tag, "R 1");
    EXPECT_EQ(tags.issued[0].where, "by the door");
    EXPECT_EQ(tags.issued[0].own, std::vector<std::string>{"Ash"});
    EXPECT_TRUE(tags.issued[1].gone);
}

TEST_F(TagsFile, TellsAllThatIsWrongAndIsLeftAsItIs)
{
    const std::string wrong = "tag,kind,place,where,state\nR 1,radiator,Hall,,\nR 1,radiator,Loft,,\n"
                              "R 3,radiator,,,\nR 4,radiator,Hall,,lost\n";
    write(wrong);
    const std::string told = refusal();
    EXPECT_THAT(told, HasSubstr(":3: tag 'R 1' stands on line 2 as well"));
    EXPECT_THAT(told, HasSubstr(":4: a line needs tag, kind and place"));
    EXPECT_THAT(told, HasSubstr(":5: state 'lost'"));
    EXPECT_EQ(text(), wrong);
}

TEST_F(TagsFile, ThatIsAnotherTableIsRefused)
{
    write("room,heating\nHall,3 kW\n");
    EXPECT_THAT(refusal(), HasSubstr("no column 'tag'"));
}

} // namespace
} // namespace venture::exchange
