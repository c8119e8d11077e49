/// Lines that say which rooms a circuit serves.

#include <venture/services/serving.hpp>

#include <gmock/gmock.h>
#include <gtest/gtest.h>

#include <venture/services/services_for_tests.hpp>

namespace venture::services {
namespace {

using namespace for_tests; // NOLINT(google-build-using-namespace): words of these tests
using testing::ElementsAre;

input::ServeInput line(const char* by, std::vector<std::string> rooms = {})
{
    input::ServeInput out;
    out.by = std::string{by};
    if (rooms.empty()) return out;
    quantity::TextList texts;
    for (std::string& name : rooms) texts.push_back({std::move(name), {}});
    out.rooms = texts;
    return out;
}

/// Two circuits of heating and one of cooling; offices on two storeys and a hall.
input::Input three_circuits()
{
    input::Input in = two_circuits();
    in.circuits.push_back(circuit("warm too", "heating", 55, 45, "boiler"));
    return in;
}
std::vector<Client> rooms()
{
    return {{.room = "Office 1", .type = "office", .storey = "ground", .heated = true},
            {.room = "Office 2", .type = "office", .storey = "first", .heated = true},
            {.room = "Hall", .type = "hall", .storey = "ground", .heated = true, .cooled = true}};
}
std::vector<std::size_t> heating_of(const Services& s, std::size_t room)
{
    return circuits_of(s, room, Service::heating);
}

TEST(Serving, GoesByNamePatternTypeAndStorey)
{
    input::Input in = three_circuits();
    in.serve = {line("warm"), line("warm too", {"Office *"})};
    Services s = connected(in, rooms());
    EXPECT_THAT(heating_of(s, 0), ElementsAre(2U));
    EXPECT_THAT(heating_of(s, 2), ElementsAre(0U));
    in.serve.back() = line("warm too");
    in.serve.back().type = std::string{"office"};
    in.serve.back().storey = std::string{"first"};
    s = connected(in, rooms());
    EXPECT_THAT(heating_of(s, 0), ElementsAre(0U));
    EXPECT_THAT(heating_of(s, 1), ElementsAre(2U));
    EXPECT_THAT(circuits_of(s, 2, Service::cooling), ElementsAre(1U)); // no line speaks of cooling
}

TEST(Serving, TakesLaterLinesOverEarlierOnesAndAllOverTheRoomsOwnWord)
{
    input::Input in = three_circuits();
    in.serve = {line("warm too"), line("warm", {"Hall"})};
    std::vector<Client> clients = rooms();
    clients[2].heated_by = "warm too";
    const Services s = connected(in, clients);
    EXPECT_THAT(heating_of(s, 0), ElementsAre(2U));
    EXPECT_THAT(heating_of(s, 2), ElementsAre(0U));
    EXPECT_TRUE(says(s, codes::served_twice, "heating of room 'Hall'"));
    EXPECT_FALSE(says(s, codes::served_twice, "Office"));
}

TEST(Serving, PartsWhatARoomNeeds)
{
    input::Input in = three_circuits();
    in.serve = {line("warm"), line("warm", {"Hall"}), line("warm too", {"Hall"})};
    in.serve[1].share = 0.6;
    in.serve[2].share = 0.4;
    const Services s = connected(in, rooms());
    EXPECT_TRUE(s.problems.empty());
    EXPECT_THAT(heating_of(s, 2), ElementsAre(0U, 2U));
    EXPECT_DOUBLE_EQ(s.rooms[2][Service::heating][1].share, 0.4);
    EXPECT_THAT(heating_of(s, 0), ElementsAre(0U));
    in.serve[2].share = 0.5;
    EXPECT_TRUE(says(connected(in, rooms()), codes::contradiction, "'Hall' add up to 1.1"));
    in.serve[2] = line("warm", {"Hall"});
    in.serve[2].share = 0.4;
    EXPECT_TRUE(says(connected(in, rooms()), codes::twice, "served twice by circuit 'warm'"));
}

TEST(Serving, TellsWhatIsNotServed)
{
    input::Input in = three_circuits();
    in.serve = {line("warm"), line("nothing", {"Hall"})};
    in.serve[1].service = std::string{"heating"};
    const Services s = connected(in, rooms());
    EXPECT_TRUE(heating_of(s, 2).empty());
    EXPECT_TRUE(says(s, codes::unserved, "heating of room 'Hall'"));
    EXPECT_FALSE(says(s, codes::unserved, "cooling of room 'Hall'"));
}

TEST(Serving, TellsLinesThatSpeakOfNobody)
{
    input::Input in = three_circuits();
    in.serve = {line("warm"), line("warm", {"Ofice 1"}), line("warm", {"Shop *"}), line("wram"), line("cold")};
    in.serve[4].service = std::string{"heating"};
    in.serve.push_back(line("warm"));
    in.serve.back().type = std::string{"shop"};
    const Services s = connected(in, rooms());
    EXPECT_TRUE(says(s, codes::unknown_name, "no room is called 'Ofice 1'"));
    EXPECT_TRUE(says(s, codes::unused, "no room has a name like 'Shop *'"));
    EXPECT_TRUE(says(s, codes::unknown_name, "no circuit is called 'wram'"));
    EXPECT_TRUE(says(s, codes::contradiction, "circuit 'cold' does not carry heating"));
    EXPECT_TRUE(says(s, codes::unused, "speaks of no room"));
}

} // namespace
} // namespace venture::services
