#include <venture/quantity/shown_text.hpp>

#include <gtest/gtest.h>

#include <venture/quantity/names.hpp>

namespace venture::quantity {
namespace {

TEST(Harmless, LeavesLettersOfEveryAlphabet)
{
    const std::string names = "Büro, 温室, Зал, צל, e\u0301";
    EXPECT_EQ(harmless(names), names);
}

TEST(Harmless, ShowsEveryControlCharacterAndTurnOfLetters)
{
    for (int c = 0; c < 0x20; ++c) {
        const std::string shown = harmless(std::string(1, static_cast<char>(c)));
        EXPECT_EQ(display_width(shown), 1U) << c;
        EXPECT_GE(static_cast<unsigned char>(shown.front()), 0x80U) << c;
    }
    EXPECT_EQ(harmless("a\x7f"), "a\u2421");
    EXPECT_EQ(harmless("\u202Eevil\u2069"), "<U+202E>evil<U+2069>");
    EXPECT_EQ(harmless("\u0085"), "<U+0085>");
    EXPECT_EQ(harmless("\xff"), "<FF>");
    EXPECT_EQ(harmless("a\nb", true), "a\nb");
}

TEST(Wrapped, HasNoLineThatIsTooLong)
{
    const std::string text = "A sentence with averyveryverylongword and 温室温室温室 in it";
    for (std::size_t width = 2; width < 70; ++width) {
        std::string joined;
        for (const std::string& line : wrapped(text, width)) {
            EXPECT_LE(display_width(line), width);
            joined += line;
        }
        std::erase(joined, ' ');
        EXPECT_EQ(joined, "Asentencewithaveryveryverylongwordand温室温室温室init") << width; // nothing is lost
    }
    EXPECT_EQ(wrapped("one two three", 8), (std::vector<std::string>{"one two", "three"}));
    EXPECT_EQ(wrapped("", 8), std::vector<std::string>{""});
}

} // namespace
} // namespace venture::quantity
