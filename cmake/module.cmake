# One library per module: folder = namespace = target = include path.
#
# venture_module(NAME USES module... SOURCES x.cpp... HEADERS x.hpp... [TESTS x_test.cpp...]
#                [PRIVATE_LIBRARIES lib...] [PUBLIC_LIBRARIES lib...])
# PRIVATE_LIBRARIES stay out of the exported package where they are header-only or found again by its config file.
function(venture_module name)
    cmake_parse_arguments(M "" "" "USES;SOURCES;HEADERS;TESTS;PRIVATE_LIBRARIES;PUBLIC_LIBRARIES;BUILD_ONLY" ${ARGN})
    set(target venture_${name})
    add_library(${target} STATIC)
    add_library(Venture::${name} ALIAS ${target})
    target_sources(${target}
        PRIVATE ${M_SOURCES}
        PUBLIC FILE_SET HEADERS BASE_DIRS ${PROJECT_SOURCE_DIR} FILES ${M_HEADERS})
    target_compile_features(${target} PUBLIC cxx_std_20)
    list(TRANSFORM M_USES PREPEND Venture:: OUTPUT_VARIABLE used)
    target_link_libraries(${target}
        PUBLIC ${used} ${M_PUBLIC_LIBRARIES}
        PRIVATE ${M_PRIVATE_LIBRARIES} $<BUILD_INTERFACE:venture_warnings>)
    foreach(lib ${M_BUILD_ONLY})
        target_link_libraries(${target} PRIVATE $<BUILD_INTERFACE:${lib}>)
    endforeach()
    set_target_properties(${target} PROPERTIES EXPORT_NAME ${name} VERIFY_INTERFACE_HEADER_SETS ON)
    install(TARGETS ${target} EXPORT VentureTargets FILE_SET HEADERS DESTINATION include)
    if(VENTURE_BUILD_TESTS AND M_TESTS)
        add_executable(${name}_test ${M_TESTS})
        target_link_libraries(${name}_test PRIVATE ${target} ${M_PRIVATE_LIBRARIES} venture_test_main)
        foreach(lib ${M_BUILD_ONLY})
            target_link_libraries(${name}_test PRIVATE ${lib})
        endforeach()
        gtest_discover_tests(${name}_test TEST_PREFIX ${name}. PROPERTIES LABELS ${name} DISCOVERY_TIMEOUT 60)
    endif()
endfunction()
