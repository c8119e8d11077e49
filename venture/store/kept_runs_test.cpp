#include <venture/store/kept_runs.hpp>

#include <csignal>
#include <fstream>
#include <random>

#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>

#include <gmock/gmock.h>

#include <venture/quantity/each_field.hpp>
#include <venture/quantity/error.hpp>
#include <venture/quantity/into_hash.hpp>
#include <venture/store/database.hpp>
#include <venture/store/schema.hpp>

namespace venture::store {
namespace {

namespace fs = std::filesystem;
using testing::HasSubstr;

/// A folder of its own for each test.
class Kept : public testing::Test {
protected:
    Kept()
        : folder{fs::temp_directory_path() / fmt::format("venture_store_{}_{}", getpid(),
                                                         testing::UnitTest::GetInstance()->current_test_info()->name())}
    {
        fs::remove_all(folder);
        fs::create_directories(folder);
    }
    ~Kept() override { fs::remove_all(folder); }
    fs::path folder;
    [[nodiscard]] fs::path file() const { return folder / "results" / "kept_runs.sqlite"; }
};

/// Rooms with numbers of their own, and a few series.
loads::BuildingYear a_year(unsigned seed, int first_day = 1, int days = 365)
{
    std::mt19937 random{seed};
    const auto number = [&] { return static_cast<double>(random()) / 4294967296.0; };
    loads::BuildingYear out{.weather = "somewhere", .synthetic = true, .first_day = first_day, .days = days};
    out.heating_peak_W = 1000.0 * number();
    out.cooling_peak_hour = 4711;
    out.worst_closure = 1e-12;
    out.duration = {{1.0, 1000.0 * number(), number()}, {8760.0, number(), 0.0}};
    for (const char* name : {"Front room", "Kitchen's \"end\"", "Döner/Café"}) {
        loads::RoomYear room{.room = name, .storey = "ground", .floor_area_m2 = number(), .volume_m3 = number()};
        room.heated = true;
        room.run.heating_J = 1e9 * number();
        room.run.warmest_C = 30.0 * number();
        room.run.heating_peak_hour = random() % 8760;
        for (auto& month : room.months) month = {number(), number(), number(), number()};
        for (auto& month : room.damp) month = {number(), number(), number(), number(), number()};
        room.air.supply = "house air";
        for (auto& month : room.air.months) {
            month.fan_J = number();
            month.hours = 730.0;
            month.reheat_J = number();
        }
        out.rooms.push_back(std::move(room));
    }
    for (const auto& [kind, id] :
         {std::pair{"air temperature", "Front room"}, std::pair{"sun through glass, beam", "Front room"},
          std::pair{"outdoor temperature", ""}}) {
        balance::Series s{kind, "degC", id, {}};
        for (int h = 0; h < 24 * days; ++h) s.values.push_back(20.0 + number());
        out.series.push_back(std::move(s));
    }
    return out;
}

KeptRun a_run(std::uint64_t inputs, int first_day = 1, int days = 365)
{
    return {.key = {inputs, 900.0, 30.0, first_day, days}, .project = "A house", .revision = "B", .program = "0"};
}

std::uint64_t fingerprint(const loads::BuildingYear& year)
{
    quantity::Hash hash;
    quantity::IntoHash into{hash};
    quantity::each_field(year.rooms, into);
    quantity::each_field(year.duration, into);
    hash.add(year.heating_peak_W);
    hash.add(year.worst_closure);
    hash.add_bits(year.cooling_peak_hour);
    hash.add(std::string_view{year.weather});
    return hash.value();
}

TEST_F(Kept, ComesBackAsItWas)
{
    const loads::BuildingYear year = a_year(1);
    (void)KeptRuns::to_write(file()).keep(a_run(7), year);
    const auto kept = KeptRuns::to_read(file());
    ASSERT_TRUE(kept);
    const auto run = kept->find({7, 900.0, 30.0, 1, 365});
    ASSERT_TRUE(run);
    EXPECT_EQ(run->revision, "B");
    EXPECT_EQ(fingerprint(kept->year(*run)), fingerprint(year));
    EXPECT_FALSE(kept->find({8, 900.0, 30.0, 1, 365}));
    EXPECT_FALSE(kept->find({7, 600.0, 30.0, 1, 365}));
    const auto series = kept->series(run->id, "hour/Front room/air_temperature");
    ASSERT_EQ(series.size(), 1u);
    const std::vector<double> hours = kept->hours(series[0]);
    ASSERT_EQ(hours.size(), 8760u);
    for (std::size_t h = 0; h < hours.size(); ++h) EXPECT_NEAR(hours[h], year.series[0].values[h], 2e-6);
}

TEST_F(Kept, DaysAndMonthsAreMeansOfTheirHours)
{
    const loads::BuildingYear year = a_year(2, 32, 30); // from 1 February, over the end of the month
    (void)KeptRuns::to_write(file()).keep(a_run(7, 32, 30), year);
    const auto kept = *KeptRuns::to_read(file());
    const auto series = kept.series(kept.runs()[0].id, "hour/building/*");
    ASSERT_EQ(series.size(), 1u);
    const auto days = kept.days(series[0]), months = kept.months(series[0]);
    ASSERT_EQ(days.size(), 30u);
    EXPECT_EQ(days[0].number, 32);
    ASSERT_EQ(months.size(), 2u);
    EXPECT_EQ(months[1].number, 3);
    const std::vector<double> march = kept.hours(series[0], 3), &all = year.series[2].values;
    ASSERT_EQ(march.size(), 48u);
    double sum = 0.0;
    for (std::size_t h = 0; h < 48; ++h) {
        EXPECT_NEAR(march[h], all[28 * 24 + h], 2e-6);
        sum += all[28 * 24 + h];
    }
    EXPECT_NEAR(months[1].mean, sum / 48.0, 1e-12);
    EXPECT_EQ(months[1].largest, std::max(days[28].largest, days[29].largest));
    EXPECT_TRUE(kept.hours(series[0], 7).empty());
}

TEST_F(Kept, TheSameRunTakesThePlaceOfTheOneBefore)
{
    KeptRuns kept = KeptRuns::to_write(file());
    KeptRun named = a_run(7);
    named.name = "base";
    (void)kept.keep(named, a_year(1));
    const auto second = kept.keep(a_run(7), a_year(2));
    ASSERT_EQ(kept.runs().size(), 1u);
    EXPECT_EQ(kept.called("base")->id, second);
    EXPECT_EQ(kept.called(std::to_string(second))->name, "base");
    KeptRun other = a_run(9);
    other.name = "base";
    (void)kept.keep(other, a_year(3)); // takes the name
    EXPECT_EQ(kept.called("base")->key.inputs, 9u);
    EXPECT_EQ(kept.runs().size(), 2u);
    EXPECT_FALSE(kept.called("bass"));
}

TEST_F(Kept, TheOldestWithoutANameGoFirstAndGiveTheirRoomBack)
{
    KeptRuns kept = KeptRuns::to_write(file());
    KeptRun named = a_run(1000);
    named.name = "stays";
    (void)kept.keep(named, a_year(1));
    for (unsigned i = 0; i < KeptRuns::most_unnamed; ++i) (void)kept.keep(a_run(i), a_year(i));
    const auto size = fs::file_size(file());
    for (unsigned i = 100; i < 106; ++i) (void)kept.keep(a_run(i), a_year(i));
    EXPECT_EQ(kept.runs().size(), KeptRuns::most_unnamed + 1u);
    EXPECT_EQ(kept.runs().front().name, "stays");
    EXPECT_LE(fs::file_size(file()), size + size / 10);
    for (const KeptRun& run : kept.runs()) kept.forget(run.id);
    EXPECT_TRUE(kept.runs().empty());
    EXPECT_LT(fs::file_size(file()), size / 4);
}

// ---- files that are not as they should be

std::string refusal(const fs::path& file)
{
    try {
        (void)KeptRuns::to_write(file, 50);
    } catch (const quantity::Error& refused) {
        return refused.what();
    }
    return "opened";
}

TEST_F(Kept, FilesOfOtherFormsAreLeftAsTheyAre)
{
    for (const auto& [form, word] : {std::pair{KeptRuns::form + 6, "newer"}, std::pair{KeptRuns::form - 1, "older"}}) {
        fs::remove(file());
        (void)KeptRuns::to_write(file()).keep(a_run(7), a_year(1));
        Database{file(), Access::write, 50}.execute(fmt::format("PRAGMA user_version = {}", form).c_str());
        const auto before = fs::file_size(file());
        EXPECT_THAT(refusal(file()), HasSubstr(word));
        EXPECT_THROW((void)KeptRuns::to_read(file()), quantity::Error);
        EXPECT_EQ(fs::file_size(file()), before);
    }
}

TEST_F(Kept, OtherFilesAreLeftAsTheyAre)
{
    fs::create_directories(file().parent_path());
    const std::string words(5000, 'x');
    std::ofstream{file()} << words;
    EXPECT_THAT(refusal(file()), HasSubstr("damaged, or no file of kept runs"));
    std::ifstream in{file()};
    EXPECT_EQ((std::string{std::istreambuf_iterator<char>{in}, {}}), words);
    fs::remove(file());
    Database{file(), Access::write, 50}.execute("CREATE TABLE mine (x)");
    EXPECT_THAT(refusal(file()), HasSubstr("none of kept runs"));
    fs::remove(file());
    fs::create_directories(file());
    EXPECT_THAT(refusal(file()), HasSubstr("cannot be opened"));
}

TEST_F(Kept, TruncatedFilesAreTold)
{
    (void)KeptRuns::to_write(file()).keep(a_run(7), a_year(1));
    const auto whole = fs::file_size(file());
    int told = 0;
    for (const auto size : {whole / 2, whole / 10, std::uintmax_t{20000}, std::uintmax_t{100}, std::uintmax_t{7}}) {
        fs::resize_file(file(), size);
        try {
            const auto kept = KeptRuns::to_read(file());
            for (const KeptRun& run : kept->runs())
                for (const KeptSeries& s : kept->series(run.id)) (void)kept->hours(s);
        } catch (const quantity::Error& refused) {
            EXPECT_THAT(refused.what(), HasSubstr("damaged"));
            ++told;
        }
    }
    EXPECT_EQ(told, 5);
}

TEST_F(Kept, WhereNothingIsThereIsNothingToRead)
{
    EXPECT_FALSE(KeptRuns::to_read(file()));
    fs::create_directories(file().parent_path());
    std::ofstream{file()} << ""; // as a run leaves it that was killed before it wrote anything
    EXPECT_FALSE(KeptRuns::to_read(file()));
    EXPECT_TRUE(KeptRuns::to_write(file()).runs().empty());
}

// ---- what happens while a run is kept

/// Runs something in a process of its own. @returns its number
template <class Work>
pid_t in_child(Work work)
{
    const pid_t child = fork();
    if (child != 0) return child;
    int code = 0;
    try {
        work();
    } catch (const std::exception&) {
        code = 1;
    }
    _exit(code);
}

int code_of(pid_t child)
{
    int status = 0;
    waitpid(child, &status, 0);
    return WIFEXITED(status) ? WEXITSTATUS(status) : -1;
}

/// Every run is whole.
void expect_sound(const fs::path& file, std::size_t at_least)
{
    const auto kept = KeptRuns::to_read(file);
    ASSERT_TRUE(kept);
    EXPECT_GE(kept->runs().size(), at_least);
    for (const KeptRun& run : kept->runs()) {
        EXPECT_EQ(kept->year(run).rooms.size(), 3u);
        ASSERT_EQ(kept->series(run.id).size(), 3u);
        for (const KeptSeries& s : kept->series(run.id)) EXPECT_EQ(kept->hours(s).size(), 8760u);
    }
}

TEST_F(Kept, KilledAtAnyMomentNothingIsLostAndNothingHalfThere)
{
    (void)KeptRuns::to_write(file()).keep(a_run(1), a_year(1));
    std::mt19937 random{17};
    for (int trial = 0; trial < 50; ++trial) {
        const pid_t child = in_child([&] {
            for (std::uint64_t i = 0;; ++i) (void)KeptRuns::to_write(file()).keep(a_run(2 + i % 3), a_year(5));
        });
        usleep(static_cast<useconds_t>(1000 + random() % 60000));
        kill(child, SIGKILL);
        (void)code_of(child);
        expect_sound(file(), 1);
    }
    EXPECT_EQ((Database{file(), Access::read, 50}.prepare("PRAGMA integrity_check").next()), true);
}

TEST_F(Kept, TwoRunsAtOnceAreBothKept)
{
    (void)KeptRuns::to_write(file());
    const pid_t first = in_child([&] {
        for (std::uint64_t i = 0; i < 4; ++i) (void)KeptRuns::to_write(file()).keep(a_run(10), a_year(1));
    });
    const pid_t second = in_child([&] {
        for (std::uint64_t i = 0; i < 4; ++i) (void)KeptRuns::to_write(file()).keep(a_run(20), a_year(2));
    });
    EXPECT_EQ(code_of(first), 0);
    EXPECT_EQ(code_of(second), 0);
    expect_sound(file(), 2);
}

TEST_F(Kept, AFileThatSomeoneElseHoldsIsTold)
{
    (void)KeptRuns::to_write(file()).keep(a_run(1), a_year(1));
    const Database holder{file(), Access::write, 50};
    const Transaction held{holder};
    KeptRuns kept = KeptRuns::to_write(file(), 50);
    try {
        (void)kept.keep(a_run(2), a_year(2));
        FAIL() << "kept";
    } catch (const quantity::Error& refused) {
        EXPECT_THAT(refused.what(), HasSubstr("is in use"));
    }
    EXPECT_EQ(kept.runs().size(), 1u);
}

TEST_F(Kept, WhereTheFileCannotGrowWhatWasThereStays)
{
    (void)KeptRuns::to_write(file()).keep(a_run(1), a_year(1));
    const auto size = fs::file_size(file());
    const pid_t child = in_child([&] {
        std::signal(SIGXFSZ, SIG_IGN);
        const rlimit limit{size + 4096, size + 4096};
        setrlimit(RLIMIT_FSIZE, &limit);
        (void)KeptRuns::to_write(file()).keep(a_run(2), a_year(2));
    });
    EXPECT_EQ(code_of(child), 1);
    expect_sound(file(), 1);
    EXPECT_EQ(KeptRuns::to_read(file())->runs().size(), 1u);
    (void)KeptRuns::to_write(file()).keep(a_run(2), a_year(2)); // and goes on as soon as there is room
    expect_sound(file(), 2);
}

TEST_F(Kept, DocumentsItsTables)
{
    std::ifstream page{std::string{VENTURE_SOURCE_DIR} + "/docs/kept_runs.md"};
    const std::string text{std::istreambuf_iterator<char>{page}, {}};
    EXPECT_THAT(text, HasSubstr("```sql\n" + schema() + "```"));
}

} // namespace
} // namespace venture::store
