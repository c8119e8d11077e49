#include <venture/cli/progress.hpp>

#include <cstdio>

#include <fmt/format.h>
#include <unistd.h>

namespace venture::cli {

using namespace std::chrono_literals;

Progress::Progress(std::string what)
    : what_{std::move(what)},
      begin_{Clock::now()},
      told_{begin_},
      terminal_{isatty(STDERR_FILENO) != 0}
{
}

Progress::~Progress()
{
    if (shown_) std::fputs("\r\033[K", stderr);
}

void Progress::tell(double share)
{
    const auto now = Clock::now();
    if (!terminal_ || now - begin_ < 1s || (shown_ && now - told_ < 200ms)) return;
    told_ = now;
    shown_ = true;
    const double passed_s = std::chrono::duration<double>(now - begin_).count();
    const std::string left = share > 0.05 ? fmt::format(", {:.0f} s left", passed_s * (1.0 - share) / share) : "";
    fmt::print(stderr, "\r{}: {:.0f} %{}\033[K", what_, 100.0 * share, left);
    std::fflush(stderr);
}

} // namespace venture::cli
