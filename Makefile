# A thin front: each target installs what is missing, builds with ninja and ccache, and runs.
BUILD   := build/release
PRESET  := release
DEMO    ?= build/demo
FUZZERS := project catalogue quantity loads_table tags weather icalendar

.PHONY: help demo test asan bench format lint fuzz coverage clean packages

help:
	@echo "make demo      build, copy the demo project to $(DEMO), run everything on it"
	@echo "make test      build and run every test"
	@echo "make asan      the same under the address and undefined-behaviour sanitizers"
	@echo "make bench     speed, as ratios within one run"
	@echo "make format    lay the code out (clang-format 16)"
	@echo "make lint      clang-tidy 16 over the library"
	@echo "make fuzz      some seventeen minutes of random input: 150 s for each reader"
	@echo "make coverage  tests with line coverage counted (gcov files in build/coverage)"

packages:
	@./cmake/install-packages

$(BUILD)/build.ninja: packages
	@cmake --preset $(PRESET) >/dev/null

demo: $(BUILD)/build.ninja
	@cmake --build --preset $(PRESET) --target venture
	@$(BUILD)/bin/venture demo $(DEMO)

test: $(BUILD)/build.ninja
	@cmake --build --preset $(PRESET)
	@ctest --preset $(PRESET)

asan: packages
	@cmake --preset asan >/dev/null
	@cmake --build --preset asan
	@ctest --preset asan

coverage: packages
	@cmake --preset coverage >/dev/null
	@cmake --build --preset coverage
	@ctest --preset coverage

bench: packages
	@cmake --preset $(PRESET) -DVENTURE_BUILD_BENCH=ON >/dev/null
	@cmake --build --preset $(PRESET) --target venture_bench
	@$(BUILD)/bin/venture_bench

format: packages
	@git ls-files '*.cpp' '*.hpp' | xargs clang-format-16 -i

lint: # file by file, as the dev preset compiles
	@cmake --preset dev >/dev/null
	@clang-format-16 --dry-run -Werror $$(git ls-files '*.cpp' '*.hpp')
	@git ls-files 'venture/*.cpp' 'examples/*.cpp' | grep -v '_test\.cpp$$' | \
	    xargs -P 2 -n 4 clang-tidy-16 -quiet -p build/dev -header-filter='/venture/' -extra-arg=-Wno-unknown-warning-option 2>/dev/null

fuzz: packages
	@cmake --preset fuzz >/dev/null
	@cmake --build --preset fuzz --target $(addprefix fuzz_,$(FUZZERS))
	@for target in $(FUZZERS); do \
	    mkdir -p build/fuzz/corpus/$$target; \
	    build/fuzz/bin/fuzz_$$target -max_total_time=$${SECONDS_EACH:-150} -rss_limit_mb=2048 -timeout=10 -max_len=4096 -print_final_stats=1 \
	        build/fuzz/corpus/$$target fuzz/seeds/$$target || exit 1; \
	done

clean:
	@rm -rf build
