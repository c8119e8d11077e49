#include <venture/draw/gnuplot.hpp>

#include <algorithm>
#include <cctype>
#include <filesystem>
#include <fstream>

#include <fmt/format.h>
#include <fontconfig/fontconfig.h>

#include <venture/draw/other_program.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/shown_text.hpp>

namespace venture::draw {

namespace {

namespace files = std::filesystem;

/// Letters and lines are so many px in each kind: they count letters in points, lines otherwise.
std::string terminal(Picture picture, double width, double height)
{
    constexpr double px_per_inch = 96.0, letters = 0.75, lines_in_pdf = 2.0;
    const std::string common = "noenhanced background '#ffffff' font 'DejaVu Sans,12'";
    switch (picture) {
    case Picture::png:
        return fmt::format("set terminal pngcairo size {:.0f},{:.0f} {} fontscale {}\n", width, height, common,
                           letters);
    case Picture::pdf:
        return fmt::format("set terminal pdfcairo size {}in,{}in {} fontscale {} linewidth {}\n", width / px_per_inch,
                           height / px_per_inch, common, letters * letters, lines_in_pdf);
    case Picture::svg:
        break;
    }
    return fmt::format("set terminal svg size {:.0f},{:.0f} {}\n", width, height, common);
}

void replace_all(std::string& text, std::string_view what, std::string_view by)
{
    for (std::size_t at = text.find(what); at != std::string::npos; at = text.find(what, at + by.size()))
        text.replace(at, what.size(), by);
}

/// A PDF that is dated 1 January 2000; bold letters that a browser knows, too.
std::string mended(std::string bytes, Picture picture)
{
    constexpr std::string_view dated = "/CreationDate (D:", date = "20000101000000Z";
    if (const std::size_t at = bytes.find(dated); picture == Picture::pdf && at != std::string::npos)
        bytes.replace(at + dated.size(), date.size(), date);
    if (picture == Picture::svg)
        replace_all(bytes, "font-family=\"DejaVu Sans:Bold\"", "font-family=\"DejaVu Sans\" font-weight=\"bold\"");
    return bytes;
}

/// All letters that some font here has.
class LettersOfFonts {
public:
    LettersOfFonts() : all_{FcCharSetCreate()}
    {
        FcPattern* any = FcPatternCreate();
        FcObjectSet* what = FcObjectSetBuild(FC_CHARSET, static_cast<char*>(nullptr));
        FcFontSet* fonts = FcFontList(nullptr, any, what);
        for (int i = 0; fonts != nullptr && i < fonts->nfont; ++i) {
            FcCharSet* of_font = nullptr;
            if (FcPatternGetCharSet(fonts->fonts[i], FC_CHARSET, 0, &of_font) == FcResultMatch)
                FcCharSetMerge(all_, of_font, nullptr);
        }
        if (fonts != nullptr) FcFontSetDestroy(fonts);
        FcObjectSetDestroy(what);
        FcPatternDestroy(any);
    }
    ~LettersOfFonts() { FcCharSetDestroy(all_); }
    LettersOfFonts(const LettersOfFonts&) = delete;
    LettersOfFonts& operator=(const LettersOfFonts&) = delete;
    [[nodiscard]] bool has(FcChar32 letter) const { return FcCharSetHasChar(all_, letter) == FcTrue; }

private:
    FcCharSet* all_;
};

/// What no font has would be drawn as a box as large as the sheet: a small one stands in its place.
std::string drawable(const std::string& text)
{
    static const LettersOfFonts letters;
    constexpr std::string_view box = "\u25a1";
    std::string out;
    for (std::size_t at = 0; at < text.size();) {
        FcChar32 letter = 0;
        const int length = FcUtf8ToUcs4(reinterpret_cast<const FcChar8*>(text.data() + at), &letter,
                                        static_cast<int>(text.size() - at));
        const auto bytes = static_cast<std::size_t>(std::max(1, length));
        out += length > 0 && letters.has(letter) ? std::string_view{text}.substr(at, bytes) : box;
        at += bytes;
    }
    return out;
}

} // namespace

std::string quoted_for_gnuplot(const std::string& text)
{
    constexpr std::string_view plain = " ,.:;()/+-=<>#&*[]{}|!?%";
    std::string out = "\"";
    for (const char c : drawable(quantity::harmless(text))) {
        const auto byte = static_cast<unsigned char>(c);
        if (byte >= 0x80 || std::isalnum(byte) != 0 || plain.find(c) != std::string_view::npos)
            out += c;
        else
            out += fmt::format("\\{:03o}", byte);
    }
    return out + "\"";
}

std::string run_gnuplot(const std::string& commands, Picture picture, double width, double height)
{
    const ScratchFolder scratch;
    const files::path script = scratch.file("commands"), drawn = scratch.file("picture"), said = scratch.file("said");
    std::ofstream{script, std::ios::binary} << terminal(picture, width, height) << "set encoding utf8\nset output "
                                            << quoted_for_gnuplot(drawn.string()) << "\n"
                                            << commands << "unset output\n";
    const int ended =
        run_program({.command = "gnuplot --default-settings -", .package = "gnuplot-nox", .draws = "charts are drawn"},
                    {.input = script, .said = said});
    std::string bytes = bytes_of(drawn);
    if (ended == 0 && !bytes.empty()) return mended(std::move(bytes), picture);
    constexpr std::size_t telling = 300; // it repeats the command first
    const std::string words = bytes_of(said);
    throw quantity::Error{fmt::format("charts: gnuplot ended with {}: ...{}", ended,
                                      words.substr(words.size() - std::min(telling, words.size())))};
}

} // namespace venture::draw
