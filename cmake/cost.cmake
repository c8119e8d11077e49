# What a build costs: headers that everybody includes are compiled once, some files of a module at a time, and only what heat flows
# through is optimised for speed. Files that read, check and print are bound by the disk and the screen.
option(VENTURE_TOGETHER "Compile some files of a module at a time" ON)
option(VENTURE_PRECOMPILE "Precompile the headers of the standard library and of tests" ON)

set(VENTURE_FAST $<$<AND:$<CXX_COMPILER_ID:GNU,Clang>,$<CONFIG:Release>>:-O3>)
set(VENTURE_SMALL $<$<AND:$<CXX_COMPILER_ID:GNU,Clang>,$<CONFIG:Release>>:-O1>)
set(VENTURE_PLAIN $<$<AND:$<CXX_COMPILER_ID:GNU,Clang>,$<CONFIG:Release>>:-O0>)
if(CMAKE_CXX_COMPILER_ID STREQUAL "GNU")
    # The compiler looks for memory to free once it holds as much as most files take, and not again and again before: that
    # once took two fifths of the time of files that make JSON.
    add_compile_options(--param=ggc-min-heapsize=196608 --param=ggc-min-expand=20)
endif()

set(standard_headers <algorithm> <array> <cmath> <cstdint> <functional> <limits> <map> <memory> <numbers> <optional> <ranges> <set>
    <span> <string> <string_view> <unordered_map> <variant> <vector> <fmt/format.h>)

# Makes a target that holds the precompiled headers for all that are compiled alike.
function(venture_precompiled name options)
    cmake_parse_arguments(P "" "" "HEADERS;LIBRARIES" ${ARGN})
    file(GENERATE OUTPUT ${CMAKE_CURRENT_BINARY_DIR}/${name}.cpp CONTENT "// Has the headers of its precompilation.\n")
    add_library(${name} OBJECT EXCLUDE_FROM_ALL ${CMAKE_CURRENT_BINARY_DIR}/${name}.cpp)
    target_compile_features(${name} PRIVATE cxx_std_20)
    target_compile_options(${name} PRIVATE ${options})
    target_link_libraries(${name} PRIVATE fmt::fmt venture_warnings ${P_LIBRARIES})
    target_precompile_headers(${name} PRIVATE ${standard_headers} ${P_HEADERS})
endfunction()

if(VENTURE_PRECOMPILE)
    venture_precompiled(venture_headers_fast "${VENTURE_FAST}")
    venture_precompiled(venture_headers_small "${VENTURE_SMALL}" HEADERS <filesystem>)
    venture_precompiled(venture_headers_json "${VENTURE_SMALL}" HEADERS <filesystem> <nlohmann/json.hpp>
                        LIBRARIES nlohmann_json::nlohmann_json)
    if(VENTURE_BUILD_TESTS)
        venture_precompiled(venture_headers_of_tests "${VENTURE_PLAIN}" HEADERS <gtest/gtest.h> <gmock/gmock.h>
                            LIBRARIES GTest::gmock)
    endif()
endif()

# Compiles a target as its kind is: fast, small, json (small, and made of JSON) or of_tests.
function(venture_cost target kind)
    if(kind STREQUAL "fast")
        target_compile_options(${target} PRIVATE ${VENTURE_FAST})
    elseif(kind STREQUAL "small" OR kind STREQUAL "json")
        target_compile_options(${target} PRIVATE ${VENTURE_SMALL})
    else()
        target_compile_options(${target} PRIVATE ${VENTURE_PLAIN})
    endif()
    if(NOT kind STREQUAL "of_tests") # whose files may use a word for two things
        set(at_a_time 6)
        if(kind STREQUAL "json")
            set(at_a_time 3) # for the memory they take
        endif()
        set_target_properties(${target} PROPERTIES UNITY_BUILD ${VENTURE_TOGETHER} UNITY_BUILD_BATCH_SIZE ${at_a_time})
    endif()
    if(VENTURE_PRECOMPILE)
        get_target_property(type ${target} TYPE)
        if(type STREQUAL "EXECUTABLE") # compiled as libraries are, so that they can share precompiled headers
            set_target_properties(${target} PROPERTIES POSITION_INDEPENDENT_CODE OFF)
            target_compile_options(${target} PRIVATE -fPIC)
        endif()
        target_precompile_headers(${target} REUSE_FROM venture_headers_${kind})
    endif()
endfunction()

# Files with so many templates of their own that the compiler's memory is full with each.
function(venture_alone)
    set_source_files_properties(${ARGN} PROPERTIES SKIP_UNITY_BUILD_INCLUSION ON)
endfunction()
