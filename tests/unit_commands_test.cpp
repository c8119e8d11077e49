/// Units that take no water, stand over doors, have valves, get outdoor air, or were typed: as the program tells them.

#include <fmt/format.h>
#include <gmock/gmock.h>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

#include <project_folder.hpp>

namespace venture {
namespace {

using nlohmann::json;
using testing::HasSubstr;

constexpr const char* shop = R"(format = 1
[project]
name = "A shop"
[site]
latitude = -41
longitude = 172
time_zone = 12
winter_dry_bulb = -3
winter_ground = 9
  [[site.month]]
  month = 1
  dry_bulb = 31
  wet_bulb = 20
  daily_range = 11
  beam_depth = 0.42
  diffuse_depth = 2.2
  ground = 13
[fabric]
outside_wall = "masonry wall, insulated outside"
inner_wall = "block partition, plastered"
roof = "flat roof, warm, on concrete"
ground_floor = "ground floor, insulated under the slab"
[[storey]]
name = "ground"
level = 0
height = 3.4
[[room]]
name = "Sales"
storey = "ground"
at = [0, 0]
size = [12, 9]
heating_setpoint = 19
heated_by = "door"
infiltration = 0.6
  [[room.opening]]
  kind = "door"
  in = "south"
  width = 1.8
  height = 2.2
  u_value = 1.8
[[room]]
name = "Office"
storey = "ground"
at = [12, 0]
size = [5, 4]
heating_setpoint = 21
heated_by = "radiators"
cooling_setpoint = 25
cooled_by = "cold"
equipment_power = "600 W"
  [[room.opening]]
  in = "east"
  width = 1.8
  height = 1.3
  sill = 0.8
  glazing = "double, low-emissivity, argon"
[[room]]
name = "Annexe"
storey = "ground"
at = [12, 4]
size = [5, 5]
heating_setpoint = 20
heated_by = "current"
  [[room.opening]]
  in = "east"
  width = 1.5
  height = 1.2
  sill = 0.9
  glazing = "double, low-emissivity, argon"
[[plant]]
name = "boiler"
kind = "boiler"
[[plant]]
name = "chiller"
kind = "chiller"
[[circuit]]
name = "door"
carries = "heating"
unit = "air curtain"
supply = 70
return = 50
plant = "boiler"
[[circuit]]
name = "radiators"
carries = "heating"
unit = "radiator"
supply = 55
return = 45
plant = "boiler"
[[circuit]]
name = "current"
carries = "heating"
unit = "electric heater"
[[circuit]]
name = "cold"
carries = "cooling"
unit = "fan coil"
supply = 7
return = 12
)";

class Units : public ProjectFolder {
protected:
    Units() : ProjectFolder{"units"} {}

    [[nodiscard]] Ran run(const std::string& arguments, const std::string& more = "") const
    {
        write("project.toml", shop + more);
        return run_program(arguments, folder_);
    }
    [[nodiscard]] json table(const std::string& command, const std::string& name, const std::string& more = "") const
    {
        const Ran r = run(command + " . --json", more);
        EXPECT_LE(r.code, 1) << r.errors;
        return json::parse(r.out).at(name);
    }
    [[nodiscard]] static json of(const json& rows, const std::string& room, const std::string& duty)
    {
        for (const json& row : rows)
            if (row.at("room") == room && row.at("duty") == duty) return row;
        ADD_FAILURE() << room << " " << duty;
        return {};
    }
};

TEST_F(Units, StandOverDoorsUnderWindowsAndTakeElectricity)
{
    const json items = table("schedule", "schedule");
    const auto item = [&](const std::string& kind) -> json {
        for (const json& i : items)
            if (i.at("kind") == kind) return i;
        ADD_FAILURE() << kind;
        return {};
    };
    const json curtain = item("air curtain");
    EXPECT_GE(curtain.at("length"), 1.8);
    EXPECT_THAT(curtain.at("where").get<std::string>(), HasSubstr("door"));
    const json heater = item("electric heater");
    EXPECT_EQ(heater.at("electricity"), heater.at("heating_gives"));
    EXPECT_FALSE(heater.contains("supply") && !heater.at("supply").is_null());
    EXPECT_THAT(heater.at("where").get<std::string>(), HasSubstr("window"));
}

TEST_F(Units, OfElectricityAskNoPlant)
{
    const Ran r = run("size .");
    EXPECT_THAT(r.errors, testing::Not(HasSubstr("not served")));
    for (const json& plant : table("size", "plant"))
        if (plant.at("plant") == "boiler") {
            const json units = table("size", "unit");
            EXPECT_NEAR(plant.at("rooms_need").get<double>(),
                        of(units, "Sales", "heating").at("needs").get<double>() +
                            of(units, "Office", "heating").at("needs").get<double>(),
                        1e-6);
        }
}

TEST_F(Units, AreChosenForTheirShareOfRadiationAndTellTheDifference)
{
    const json units = table("size", "unit"), loads = table("loads", "room_load");
    const json office = of(units, "Office", "heating"), sales = of(units, "Sales", "heating");
    const auto load_of = [&](const std::string& room) {
        for (const json& l : loads)
            if (l.at("room") == room) return l.at("heating").get<double>();
        return 0.0;
    };
    EXPECT_NEAR(office.at("convective_needs"), load_of("Office"), 1e-9);
    EXPECT_NE(office.at("needs"), office.at("convective_needs"));
    EXPECT_NEAR(office.at("needs").get<double>() / load_of("Office"), 1.0, 0.06);
    EXPECT_FALSE(sales.contains("convective_needs")); // air curtains do not radiate
    const json same = of(table("size", "unit", "radiant_share = 0\n"), "Office", "heating"); // of the last circuit
    EXPECT_EQ(same.at("needs"), office.at("needs"));
}

TEST_F(Units, InRoomsThatSayTheirShareAreChosenForThatOne)
{
    const auto office = [&](const std::string& share) {
        const Ran r = run("size . --json --set \"room/Office/radiant_share=" + share + "\"");
        EXPECT_LE(r.code, 1) << r.errors;
        return of(json::parse(r.out).at("unit"), "Office", "heating");
    };
    for (const char* share : {"0", "0.5"}) EXPECT_FALSE(office(share).contains("convective_needs")) << share;
    const json untyped = of(table("size", "unit"), "Office", "heating");
    EXPECT_NE(office("0").at("needs"), untyped.at("needs"));
}

TEST_F(Units, HaveValvesSetForTheirFlow)
{
    const std::string more = R"(
[[circuit]]
name = "more"
carries = "heating"
unit = "radiator"
supply = 55
return = 45
plant = "boiler"
valve = "Tarnlock Fine"
pressure_difference = "8 kPa"
[[serve]]
by = "more"
rooms = ["Office"]
)";
    const json items = table("schedule", "schedule", more);
    bool any = false;
    for (const json& item : items) {
        if (item.at("kind") != "radiator") continue;
        any = true;
        EXPECT_EQ(item.at("valve"), "Tarnlock Fine");
        EXPECT_GT(item.at("authority").get<double>(), 0.3);
        EXPECT_LE(item.at("valve_drop").get<double>(), 8000.0);
        // m3/h over the square root of bar is the coefficient of the setting
        const double kv =
            item.at("water").get<double>() * 3600.0 / std::sqrt(item.at("valve_drop").get<double>() / 1e5);
        constexpr double coefficients[] = {0.012, 0.02, 0.032, 0.05, 0.078, 0.12, 0.18, 0.27};
        EXPECT_NEAR(kv, coefficients[std::stoul(item.at("valve_setting").get<std::string>()) - 1], 1e-6);
    }
    EXPECT_TRUE(any);
    EXPECT_THAT(run("schedule . --grouped", more).out, HasSubstr("Tarnlock Fine"));
    std::string wrong = more;
    wrong.replace(wrong.find("Tarnlock Fine"), 13, "Tarnlock Fin");
    EXPECT_THAT(run("size .", wrong).errors, HasSubstr("did you mean 'Tarnlock Fine'"));
}

TEST_F(Units, ThatSomeoneTypedNeedNoCatalogue)
{
    const Ran r = run("size .", R"(
[[kept]]
serves = "Office"
duty = "cooling"
product = "what hangs there"
gives = "0.9 kW"
gives_sensible = "0.8 kW"
)");
    EXPECT_THAT(r.out, HasSubstr("what hangs there (kept)"));
    EXPECT_THAT(r.errors, HasSubstr("what hangs there"));
    EXPECT_THAT(run("check .", "[[kept]]\nserves = \"Office\"\nduty = \"heating\"\nproduct = \"x\"\n"
                               "gives = \"1 kW\"\ngives_sensible = \"1 kW\"\n")
                    .errors,
                HasSubstr("sensible is a part of cooling"));
}

TEST_F(Units, GetPrimaryAirThroughThemOrBeside)
{
    const auto cooling = [&](const std::string& way) {
        return of(table("size", "unit",
                        "[[primary_air]]\nrooms = [\"Office\"]\nway = \"" + way +
                            "\"\nflow = \"25 L/s\"\ncooling_temperature = 18\nheating_temperature = 18\n"),
                  "Office", "cooling");
    };
    const json without = of(table("size", "unit"), "Office", "cooling"), beside = cooling("beside units"),
               through = cooling("through units");
    EXPECT_NEAR(beside.at("needs").get<double>(), through.at("needs").get<double>(), 1e-9);
    EXPECT_LT(beside.at("primary_air").get<double>(), -150.0);
    EXPECT_NEAR(beside.at("needs").get<double>() - without.at("needs").get<double>(),
                beside.at("primary_air").get<double>(), 1.0);
    const Ran twice = run("size . --set \"room/Office/ventilation_rate=1\"",
                          "[[primary_air]]\nrooms = [\"Office\"]\nway = \"beside units\"\nflow = \"25 L/s\"\n");
    EXPECT_THAT(twice.errors, HasSubstr("V452"));
    const Ran none =
        run("size .", "[[primary_air]]\nrooms = [\"Annexe\"]\nway = \"through units\"\nflow = \"5 L/s\"\n");
    EXPECT_THAT(none.errors, HasSubstr("none of them lets air through"));
}

TEST_F(Units, HaveTagsByOnesOwnRule)
{
    const json items = table("schedule", "schedule", R"(
[tags]
rule = "{prefix}{number}.{storey}"
digits = 3
[[tags.prefix]]
kind = "radiator"
prefix = "HK"
)");
    std::vector<std::string> tags;
    for (const json& item : items) tags.push_back(item.at("tag"));
    EXPECT_THAT(tags, testing::IsSupersetOf({"HK001.0", "AC001.0", "EH001.0"}));
    EXPECT_EQ(run("check .", "[tags]\nrule = \"{prefix}\"\n").code, 2);
}

TEST_F(Units, AreMountedAsIsAskedFor)
{
    const Ran r =
        run("size . --room Office --rejected", "[[choosing]]\nunit = \"fan coil\"\nmounting = \"cassette\"\n");
    EXPECT_THAT(r.out, HasSubstr("made for another mounting: wall"));
    EXPECT_EQ(run("size .", "[[choosing]]\nunit = \"fan coil\"\nmounting = \"wall\"\n").code, 0);
}

TEST_F(Units, WithDuctsMustOvercomeThem)
{
    const Ran r =
        run("size . --room Office --rejected", "[[choosing]]\nunit = \"fan coil\"\nexternal_pressure = \"60 Pa\"\n");
    EXPECT_THAT(r.out, HasSubstr("its maker says no external pressure"));
}

} // namespace
} // namespace venture
