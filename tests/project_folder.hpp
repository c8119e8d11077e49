#pragma once
/// A folder of one test, in which the program runs.

#include <filesystem>
#include <fstream>
#include <string>

#include <fmt/format.h>
#include <gtest/gtest.h>
#include <unistd.h>

#include <program.hpp>

namespace venture {

class ProjectFolder : public testing::Test {
protected:
    /// @param called  tells it from those of other fixtures
    explicit ProjectFolder(const std::string& called)
        : folder_{std::filesystem::temp_directory_path() /
                  fmt::format("venture_{}_{}_{}", called, ::getpid(),
                              testing::UnitTest::GetInstance()->current_test_info()->name())}
    {
        std::filesystem::remove_all(folder_);
        std::filesystem::create_directories(folder_);
    }
    ~ProjectFolder() override { std::filesystem::remove_all(folder_); }

    void write(const std::string& name, const std::string& text) const
    {
        std::ofstream{folder_ / name, std::ios::binary} << text;
    }

    std::filesystem::path folder_;
};

} // namespace venture
