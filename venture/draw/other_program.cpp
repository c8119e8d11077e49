#include <venture/draw/other_program.hpp>

#include <cstdlib>
#include <fstream>
#include <sstream>

#include <boost/process/child.hpp>
#include <boost/process/io.hpp>
#include <fmt/format.h>

#include <venture/quantity/error.hpp>

namespace venture::draw {

namespace process = boost::process;

ScratchFolder::ScratchFolder() : path_{(std::filesystem::temp_directory_path() / "venture-XXXXXX").string()}
{
    if (mkdtemp(path_.data()) == nullptr)
        throw quantity::Error{fmt::format("no folder for drawing can be made in '{}'; TMPDIR names another place",
                                          std::filesystem::temp_directory_path().string())};
}

ScratchFolder::~ScratchFolder()
{
    std::error_code gone_already;
    std::filesystem::remove_all(path_, gone_already);
}

std::string bytes_of(const std::filesystem::path& file)
{
    std::ostringstream out;
    if (std::ifstream in{file, std::ios::binary}) out << in.rdbuf();
    return std::move(out).str();
}

int run_program(const OtherProgram& program, const ItsFiles& files)
{
    const std::string output = files.output.empty() ? "/dev/null" : files.output.string();
    try {
        process::child child{program.command, process::std_in<files.input.string(), process::std_out> output,
                             process::std_err > files.said.string()};
        child.wait();
        return child.exit_code();
    } catch (const process::process_error& e) {
        throw quantity::Error{fmt::format("{} by {}, which does not run ({}): install the package {}", program.draws,
                                          program.command.substr(0, program.command.find(' ')), e.code().message(),
                                          program.package)};
    }
}

} // namespace venture::draw
