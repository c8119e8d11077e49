#pragma once
/// Running the real program: what it prints, what it says, how it ends.

#include <sys/wait.h>
#include <unistd.h>

#include <array>
#include <filesystem>
#include <fstream>
#include <sstream>
#include <string>

#include <fmt/format.h>

namespace venture {

struct Ran {
    int code = -1;
    std::string out, errors;
};

inline std::string text_of(const std::filesystem::path& file)
{
    std::ifstream in{file, std::ios::binary};
    std::ostringstream text;
    text << in.rdbuf();
    return text.str();
}

/// Runs the program in a folder, with arguments as a shell takes them.
/// @param columns  of its page; so many unless said that nothing is parted or left out
inline Ran run_program(const std::string& arguments, const std::filesystem::path& folder,
                       const std::string& program = VENTURE_PROGRAM, int columns = 2000)
{
    static int count = 0;
    const auto errors =
        std::filesystem::temp_directory_path() / fmt::format("venture_stderr_{}_{}", ::getpid(), ++count);
    const std::string command = fmt::format("cd '{}' && COLUMNS={} '{}' {} 2>'{}'", folder.string(), columns, program,
                                            arguments, errors.string());
    Ran r;
    FILE* pipe = ::popen(command.c_str(), "r");
    if (pipe == nullptr) return r;
    std::array<char, 4096> buffer{};
    for (std::size_t n = 0; (n = std::fread(buffer.data(), 1, buffer.size(), pipe)) > 0;)
        r.out.append(buffer.data(), n);
    const int status = ::pclose(pipe);
    r.code = WIFEXITED(status) ? WEXITSTATUS(status) : 128 + WTERMSIG(status);
    r.errors = text_of(errors);
    std::filesystem::remove(errors);
    return r;
}

} // namespace venture
