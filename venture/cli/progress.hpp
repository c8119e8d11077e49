#pragma once
/// How far something is that takes a while.

#include <chrono>
#include <string>

namespace venture::cli {

/// A line on stderr that is written over, once more than a second has passed; nothing where stderr is no terminal.
class Progress {
public:
    /// @param what  "running the year"
    explicit Progress(std::string what);
    Progress(const Progress&) = delete;
    Progress& operator=(const Progress&) = delete;
    ~Progress(); ///< takes the line away
    /// @param share  that is done, 0..1
    void tell(double share);

private:
    using Clock = std::chrono::steady_clock;
    std::string what_;
    Clock::time_point begin_, told_;
    bool terminal_, shown_ = false;
};

} // namespace venture::cli
