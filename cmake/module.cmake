# One library per module: folder = namespace = target = include path.
#
# venture_module(NAME [FAST | JSON] USES module... [TEST_LIBRARIES lib...] [EXTRA_SOURCES x.cpp...]
#                [PRIVATE_LIBRARIES lib...] [PUBLIC_LIBRARIES lib...] [BUILD_ONLY lib...])
# A module is the files of its folder: x_test.cpp are its tests, x_for_tests.hpp serve them, headers that say "Internal to"
# are not installed. TEST_LIBRARIES are what its tests need beside what it uses itself.
# FAST: heat flows through it, so that it is optimised for speed. JSON: most of its files make some.
# PRIVATE_LIBRARIES stay out of the exported package where they are header-only or found again by its config file.
function(venture_module name)
    cmake_parse_arguments(M "FAST;JSON" "" "USES;TEST_LIBRARIES;EXTRA_SOURCES;PRIVATE_LIBRARIES;PUBLIC_LIBRARIES;BUILD_ONLY" ${ARGN})
    file(GLOB sources CONFIGURE_DEPENDS RELATIVE ${CMAKE_CURRENT_SOURCE_DIR} *.cpp)
    file(GLOB headers CONFIGURE_DEPENDS RELATIVE ${CMAKE_CURRENT_SOURCE_DIR} *.hpp)
    set(tests ${sources})
    list(FILTER tests INCLUDE REGEX "_test\\.cpp$")
    list(FILTER sources EXCLUDE REGEX "_test\\.cpp$")
    list(FILTER headers EXCLUDE REGEX "_for_tests\\.hpp$")
    set(public_headers)
    foreach(header ${headers})
        file(STRINGS ${header} internal REGEX "Internal to " LIMIT_COUNT 1)
        if(NOT internal)
            list(APPEND public_headers ${header})
        endif()
    endforeach()
    set(target venture_${name})
    add_library(${target} STATIC)
    add_library(Venture::${name} ALIAS ${target})
    target_sources(${target}
        PRIVATE ${sources} ${M_EXTRA_SOURCES}
        PUBLIC FILE_SET HEADERS BASE_DIRS ${PROJECT_SOURCE_DIR} FILES ${public_headers})
    target_compile_features(${target} PUBLIC cxx_std_20)
    list(TRANSFORM M_USES PREPEND Venture:: OUTPUT_VARIABLE used)
    target_link_libraries(${target}
        PUBLIC ${used} ${M_PUBLIC_LIBRARIES}
        PRIVATE fmt::fmt ${M_PRIVATE_LIBRARIES} $<BUILD_INTERFACE:venture_warnings>)
    if(M_FAST)
        venture_cost(${target} fast)
    elseif(M_JSON)
        venture_cost(${target} json)
    else()
        venture_cost(${target} small)
    endif()
    foreach(lib ${M_BUILD_ONLY})
        target_link_libraries(${target} PRIVATE $<BUILD_INTERFACE:${lib}>)
    endforeach()
    set_target_properties(${target} PROPERTIES EXPORT_NAME ${name} VERIFY_INTERFACE_HEADER_SETS ON)
    install(TARGETS ${target} EXPORT VentureTargets FILE_SET HEADERS DESTINATION include)
    if(VENTURE_BUILD_TESTS AND tests)
        add_executable(${name}_test ${tests})
        target_link_libraries(${name}_test PRIVATE ${target} ${M_TEST_LIBRARIES} fmt::fmt ${M_PRIVATE_LIBRARIES} venture_test_main)
        venture_cost(${name}_test of_tests)
        foreach(lib ${M_BUILD_ONLY})
            target_link_libraries(${name}_test PRIVATE ${lib})
        endforeach()
        gtest_discover_tests(${name}_test TEST_PREFIX ${name}. PROPERTIES LABELS ${name} DISCOVERY_TIMEOUT 60)
    endif()
endfunction()
