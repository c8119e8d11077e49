#include <venture/project/toml_scanner.hpp>

namespace venture::project {

namespace {

class Scanner {
public:
    explicit Scanner(std::string_view text) : text_{text} {}

    std::vector<ScanFinding> run()
    {
        while (at_ < text_.size()) step();
        return std::move(findings_);
    }

private:
    [[nodiscard]] bool here(std::string_view what) const { return text_.substr(at_, what.size()) == what; }

    void step()
    {
        const char c = text_[at_];
        if (c == '\n') return new_line();
        if (!closing_.empty()) return inside_string(c);
        if (c == '#') return skip_comment();
        for (const std::string_view quote : {"\"\"\"", "'''", "\"", "'"})
            if (here(quote)) return open_string(quote);
        constexpr int deepest_key = 64;
        if (c == '.' && ++dots_ == deepest_key) report("a key of more than 64 parts");
        if (static_cast<unsigned char>(c) >= 0x80) report("a letter beyond ASCII outside quotes");
        if (c != ' ' && c != '\t' && c != '\r') last_ = c;
        advance(1);
    }

    /// Strings begin a line, or stand behind one of these.
    void open_string(std::string_view quote)
    {
        constexpr std::string_view before_a_string = "\n=[,{.";
        if (before_a_string.find(last_) == std::string_view::npos) report("");
        closing_ = quote;
        advance(quote.size());
    }

    void inside_string(char c)
    {
        if (c == '\\' && closing_.front() == '"') return advance(2);
        if (!here(closing_)) return advance(1);
        const std::size_t length = closing_.size();
        last_ = closing_.front();
        closing_ = {};
        advance(length);
        for (int more = 0; length == 3 && more < 2 && at_ < text_.size() && text_[at_] == last_; ++more)
            advance(1); // up to two quotes may stand before the closing three
    }

    void skip_comment()
    {
        while (at_ < text_.size() && text_[at_] != '\n') advance(1);
    }

    void new_line()
    {
        ++at_;
        ++line_;
        column_ = 1;
        dots_ = 0;
        told_ = false;
        if (closing_.size() == 1) closing_ = {}; // a string that is not closed ends with its line
        if (closing_.empty()) last_ = '\n';
    }

    void advance(std::size_t n)
    {
        for (; n > 0 && at_ < text_.size() && text_[at_] != '\n'; --n, ++at_)
            if ((static_cast<unsigned char>(text_[at_]) & 0xC0U) != 0x80U) ++column_;
    }

    void report(const char* message)
    {
        if (!told_) findings_.push_back({line_, column_, message});
        told_ = true;
    }

    std::string_view text_;
    std::size_t at_ = 0;
    std::uint32_t line_ = 1, column_ = 1;
    int dots_ = 0;
    char last_ = '\n'; ///< what stands before, blanks aside
    bool told_ = false;
    std::string_view closing_{};
    std::vector<ScanFinding> findings_{};
};

} // namespace

std::vector<ScanFinding> scan_toml(std::string_view text) { return Scanner{text}.run(); }

} // namespace venture::project
