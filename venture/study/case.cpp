#include <venture/study/case.hpp>

#include <algorithm>

#include <venture/airside/air_year.hpp>
#include <venture/airside/coil_figures.hpp>
#include <venture/building/building_figures.hpp>
#include <venture/input/chosen_units.hpp>
#include <venture/input/fingerprint.hpp>
#include <venture/loads/load_figures.hpp>
#include <venture/quantity/hash.hpp>
#include <venture/study/case_state.hpp>
#include <venture/study/changes.hpp>

namespace venture::study {

namespace {

/// Of all that loads follow from: not of who serves rooms, nor of how results are shown.
std::uint64_t fingerprint_without_services(input::Input input)
{
    input.circuits.clear();
    input.plants.clear();
    input.serve.clear();
    input.kept.clear();
    input.accepted.clear();
    input.units = {};
    return input::fingerprint_of(input);
}

} // namespace

Case::Case(Given given, Options options) : state_{std::make_shared<State>()}
{
    state_->given = std::move(given);
    state_->options = options;
    state_->input = state_->given.input;
    state_->units = input::chosen_units(state_->input.units);
    state_->problems.add_all(state_->given.problems);
    if (state_->given.complete) state_->given.complete(state_->input, state_->problems);
}

Case Case::with(const std::vector<std::string>& changes) const
{
    Given given = state_->given;
    quantity::Problems problems;
    lay_over(given.input, changes, problems);
    for (const quantity::Problem& p : problems) given.problems.push_back(p);
    Case out{std::move(given), state_->options};
    const bool has_loads = state_->loads_asked && !state_->failed() && state_->building && !state_->typed &&
                           std::ranges::none_of(state_->loads.loads.rooms, [](const loads::RoomLoad& r) {
                               return r.heating_overruled || r.cooling_overruled; // whose reasons stand in the input
                           });
    if (has_loads && !out.failed() &&
        fingerprint_without_services(state_->given.input) == fingerprint_without_services(out.state_->given.input))
        out.state_->loads = state_->loads;
    return out;
}

const std::optional<climate::WeatherYear>& Case::weather() const
{
    state_->use_weather();
    return state_->weather;
}

const std::optional<climate::Site>& Case::site() const
{
    state_->resolve_site();
    return state_->site;
}

const std::optional<building::Building>& Case::building() const
{
    state_->resolve_building();
    return state_->building;
}

const services::Services& Case::services() const
{
    state_->resolve_building();
    return state_->services;
}

const loads::DesignLoads& Case::loads() const
{
    state_->compute_loads();
    return state_->loads;
}

loads::DesignOptions Case::design_options() const
{
    return {.step_s = state_->options.step_s, .known = state_->loads.models};
}

const rating::Stocks& Case::products() const
{
    state_->read_products();
    return *state_->stocks;
}

const Sizing& Case::sizing() const
{
    state_->choose();
    return *state_->sizing;
}

loads::BuildingYear Case::year(const loads::BuildingYearOptions& options) const
{
    airside::AirYear air{*building(), options.series};
    loads::BuildingYearOptions with_air = options;
    with_air.watcher = &air;
    std::erase_if(with_air.series, [](const std::string& kind) {
        return std::ranges::any_of(airside::air_series_kinds(), [&](const auto& known) { return known.name == kind; });
    });
    loads::BuildingYear out = loads::run_year(*building(), *weather(), with_air);
    state_->year_asked = true;
    const auto findings = loads::year_findings(*building(), out, state_->units);
    state_->problems.add_all(findings);
    if (findings.empty()) state_->problems.add_all(air.problems()); // of a room that cannot be they follow
    return out;
}

const airside::CoilLoads& Case::coils() const
{
    state_->compute_loads();
    return state_->coils;
}

std::uint64_t Case::year_fingerprint() const
{
    quantity::Hash hash;
    hash.add_bits(fingerprint_without_services(state_->given.input));
    hash.add_bits(fingerprint_of(*weather()));
    return hash.value();
}

std::vector<figure::Figure> Case::figures(std::string_view pattern) const
{
    std::vector<figure::Figure> out;
    const std::string_view wanted = figure::parts_of(pattern).table;
    const auto add = [&](const figure::Table& table) {
        for (figure::Figure& f : figures_of(table))
            if (figure::matches(f.path, pattern)) out.push_back(std::move(f));
    };
    const auto asks_for = [&](std::string_view table) { return wanted.empty() || wanted == "*" || wanted == table; };
    const auto add_of = [&](const auto& tables, const auto& subject) {
        for (const figure::Declaration& table : tables.declarations())
            if (asks_for(table.name)) add(tables.table(table.name, subject()));
    };
    if (building() && !failed())
        add_of(building::building_tables(), [&]() -> const building::Building& { return *building(); });
    add_of(loads::design_tables(), [&] {
        return loads::DesignTold{
            .design = &loads(), .origins = &input().origins, .building = building() ? &*building() : nullptr};
    });
    add_of(airside::coil_tables(), [&]() -> const airside::CoilLoads& { return coils(); });
    add_of(size_tables(), [&]() -> const Sizing& { return sizing(); });
    return out;
}

const input::Input& Case::input() const { return state_->input; }
const quantity::Problems& Case::problems() const { return state_->problems; }
const quantity::PreferredUnits& Case::units() const { return state_->units; }
bool Case::has_typed_loads() const { return state_->typed.has_value(); }

const std::vector<std::string>& Case::assumed() const
{
    static const std::vector<std::string> none;
    return state_->typed ? state_->typed->assumed : none;
}

bool Case::was_asked_for(Stage stage) const
{
    switch (stage) {
    case Stage::weather:
        return state_->weather_asked;
    case Stage::site:
        return state_->site.has_value();
    case Stage::building:
        return state_->building_asked;
    case Stage::loads:
        return state_->loads_asked && !(state_->loads.runs.empty() && !state_->typed);
    case Stage::year:
        return state_->year_asked;
    case Stage::sizes:
        return state_->sizing.has_value();
    }
    return false;
}

void Case::set_step(double step_s) { state_->options.step_s = step_s; }

} // namespace venture::study
