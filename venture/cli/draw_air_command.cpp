/// `venture draw air`: a room's air on the psychrometric chart, in a design hour or over the year.

#include <algorithm>
#include <memory>

#include <fmt/format.h>

#include <venture/air/room_density.hpp>
#include <venture/airside/coil_ledger.hpp>
#include <venture/cli/command.hpp>
#include <venture/cli/kept_year.hpp>
#include <venture/cli/options.hpp>
#include <venture/cli/part_of_year.hpp>
#include <venture/cli/printing.hpp>
#include <venture/cli/room_argument.hpp>
#include <venture/draw/air_drawing.hpp>

namespace venture::cli::of_draw_air {

namespace {

struct Asked {
    std::string room{};
    bool winter = false, year = false;
};

/// From set-points and limits of humidity; nothing where the room has not got all of them.
std::optional<draw::HeldAir> held_air(const building::Use& use, quantity::Pressure pressure)
{
    if (!use.heating_setpoint_C || !use.cooling_setpoint_C) return std::nullopt;
    if (!use.humidity_limit && !use.least_humidity) return std::nullopt;
    const auto ratio = [pressure](const building::HumidityLimit& limit) {
        return [limit, pressure](double air_C) { return limit.humidity_ratio(air_C, pressure); };
    };
    const building::HumidityLimit dry{.value = 0.0}, saturated{.value = 1.0};
    return draw::HeldAir{use.heating_setpoint_C->value, use.cooling_setpoint_C->value,
                         ratio(use.least_humidity.value_or(dry)), ratio(use.humidity_limit.value_or(saturated)),
                         use.control_operative};
}

draw::AirDrawing empty_drawing(const Job& job, const building::Room& room)
{
    draw::AirDrawing out{.title = fmt::format("{}: {}", job.building()->project.name, room.name)};
    out.pressure = air::standard_pressure(job.building()->site.place.height_m);
    out.held = held_air(room.use, out.pressure);
    return out;
}

/// The states of the coils of a room that is given everything, and the ways between them in their order.
void add_coils(const airside::AirStates& s, draw::AirDrawing& out)
{
    const double density = air::room_density_kg_per_m3(out.pressure);
    for (const airside::NamedState& state : airside::named_states(s))
        out.states.push_back(
            {state.name, state.at, state.kg_per_s > 0.0 ? std::optional{state.kg_per_s / density} : std::nullopt});
    constexpr std::size_t outdoors = 0, room = 1;
    std::size_t last = outdoors;
    for (std::size_t i = 2; i < out.states.size(); ++i) {
        out.ways.emplace_back(last, i);
        if (out.states[i].name == airside::mixed_state) out.ways.emplace_back(room, i);
        last = i;
    }
    out.ways.emplace_back(last, room);
}

/// In the hour of its peak: of coils, else of what the room itself has.
bool add_design_hour(const Job& job, const building::Room& room, bool winter, draw::AirDrawing& out)
{
    const auto& coils = job.project().coils().rooms;
    const auto coil = std::ranges::find(coils, room.name, &airside::CoilLoad::room);
    const auto& load = *std::ranges::find(job.design().loads.rooms, room.name, &loads::RoomLoad::room);
    if (coil != coils.end() && (winter ? coil->heating_W : coil->cooling_W) > 0.0) {
        out.subtitle = winter ? fmt::format("{} heats in winter design", coil->supply)
                              : fmt::format("{} cools, {}", coil->supply, in_words(coil->cooling_when));
        if (const double short_W = winter ? coil->heating_short_W : coil->cooling_short_W; short_W > 0.0)
            out.subtitle += fmt::format("; drawn as the room asks, {} more than its coils give",
                                        job.units().text(short_W, quantity::Kind::power));
        add_coils(winter ? coil->in_winter : coil->in_summer, out);
        return true;
    }
    if (winter || load.cooling_W <= 0.0) {
        print_error(fmt::format("room '{}' has no {} whose states could be drawn; --year draws the hours of its year\n",
                                room.name, winter ? "coils in winter" : "cooling load"));
        return false;
    }
    out.subtitle = fmt::format("largest cooling, {}", in_words(load.cooling_when));
    out.states.push_back({"air of the room", {load.cooling_air_C, load.cooling_humidity_ratio}, {}});
    return true;
}

ExitCode add_year(Job& job, const CommonOptions& o, const building::Room& room, draw::AirDrawing& out)
{
    if (!has_building_and_weather(job)) return ExitCode::bad_input;
    const YearOptions whole;
    CommonOptions as_year = o;
    if (o.step_min == CommonOptions{}.step_min) as_year.step_min = usual_year_step_min; // a run that is kept is read
    auto options = part_of_year(as_year, whole, job);
    options->series = {"outdoor temperature", "outdoor humidity ratio", "air temperature", "humidity ratio"};
    const KeptYear kept = found_or_run(job, *options, whole);
    if (job.failed()) return ExitCode::bad_input;
    const auto values = [&](const char* kind, const std::string& of) -> const std::vector<double>& {
        return std::ranges::find_if(kept.year.series,
                                    [&](const balance::Series& s) { return s.kind == kind && s.id == of; })
            ->values;
    };
    const auto points = [&](const std::vector<double>& t, const std::vector<double>& w) {
        std::vector<air::Point> all;
        for (std::size_t h = 0; h < t.size(); ++h) all.push_back({t[h], w[h]});
        return all;
    };
    out.outdoor_hours = points(values("outdoor temperature", ""), values("outdoor humidity ratio", ""));
    out.room_hours = points(values("air temperature", room.name), values("humidity ratio", room.name));
    out.synthetic = kept.year.synthetic;
    out.subtitle = fmt::format("hour means of the weather year '{}'", kept.year.weather);
    return ExitCode::done;
}

ExitCode run(const CommonOptions& o, const Asked& asked, const PictureOptions& picture)
{
    Job job = open(o);
    (void)job.weather();
    if (job.failed() || !job.building()) return finish(job, o);
    const auto name = room_called(job, asked.room);
    if (!name) return ExitCode::bad_input;
    const building::Room& room = job.building()->rooms[*job.building()->find_room(*name)];
    draw::AirDrawing drawing = empty_drawing(job, room);
    if (asked.year) {
        if (const ExitCode code = add_year(job, o, room, drawing); code != ExitCode::done) return code;
    } else {
        job.set_step(60.0 * o.step_min);
        (void)job.design();
        if (job.failed()) return finish(job, o);
        if (!add_design_hour(job, room, asked.winter, drawing)) return ExitCode::bad_input;
    }
    return deliver_picture(job, o, picture, "air",
                           draw::draw_air(drawing, {.picture = picture.picture(), .units = job.units()}), true);
}

std::function<ExitCode()> declare(Parser& parser)
{
    const auto options = std::make_shared<CommonOptions>();
    const auto asked = std::make_shared<Asked>();
    const auto picture = std::make_shared<PictureOptions>();
    add_project(parser, *options);
    parser.add("ROOM", asked->room, "name of the room").required();
    parser.flag("--winter", asked->winter, "winter design in place of the largest cooling");
    parser.flag("--year", asked->year, "the hours of the weather year, of the room and outdoors");
    add_step(parser, *options);
    add_picture(parser, *picture, "air");
    return [=] { return run(*options, *asked, *picture); };
}

} // namespace

} // namespace venture::cli::of_draw_air

namespace venture::cli {

extern const Command draw_air_command;
const Command draw_air_command = {"draw air", Group::draw,
                                  "a room's air on the psychrometric chart: a design hour, or the hours of its year",
                                  of_draw_air::declare};

} // namespace venture::cli
