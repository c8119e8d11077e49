#include <venture/loads/side_by_side.hpp>

#include <tbb/blocked_range.h>
#include <tbb/parallel_for.h>
#include <tbb/task_arena.h>

namespace venture::loads {

void side_by_side(std::size_t count, const std::function<void(std::size_t)>& task, unsigned threads)
{
    const auto run = [&] {
        tbb::parallel_for(
            tbb::blocked_range<std::size_t>{0, count, 1}, // one a time: they differ in length
            [&](const auto& some) {
                for (std::size_t i = some.begin(); i < some.end(); ++i) task(i);
            },
            tbb::simple_partitioner{});
    };
    tbb::task_arena{threads == 0 ? tbb::task_arena::automatic : static_cast<int>(threads)}.execute(run);
}

} // namespace venture::loads
