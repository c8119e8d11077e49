#include <venture/resolve/calendars.hpp>

#include <algorithm>
#include <map>
#include <set>

#include <venture/resolve/pass.hpp>
#include <venture/resolve/resolve.hpp>

namespace venture::resolve {

namespace codes = quantity::codes;
using quantity::Severity;

namespace {

class Calendars : Pass {
public:
    explicit Calendars(Work& work) : Pass{work} {}
    void add_profiles();
    void add_calendars();
    void look_for_idle_hours();
    [[nodiscard]] std::size_t profile_called(const Given<std::string>& name);

private:
    void set_year();
    void add_calendar(const CalendarInput& given);
    void check_days();
    [[nodiscard]] calendar::Profile profile_of(const ProfileInput& given);
    [[nodiscard]] std::optional<calendar::YearDays> days_called(std::string_view name);
    [[nodiscard]] std::optional<calendar::YearDays> days_in(std::string_view text, quantity::OriginId where);
    [[nodiscard]] std::optional<calendar::Profile> daily_profile(const std::string& text, quantity::OriginId where);
    [[nodiscard]] std::optional<calendar::Calendar> rule_calendar(const std::string& text, quantity::OriginId where);
    [[nodiscard]] std::optional<calendar::RuleDays> rule_of(const quantity::PlacedText& rule);
    void look_over(const calendar::Calendar& made, const CalendarInput& given);
    [[nodiscard]] std::optional<std::size_t> calendar_called(const Given<std::string>& name);
    [[nodiscard]] std::optional<std::vector<calendar::HourRange>> hours_in(std::string_view text,
                                                                           quantity::OriginId where);

    std::map<std::string, calendar::YearDays> days_{}; ///< that [[days]] name
    std::set<const CalendarInput*> made_{};
    std::vector<std::string> begun_{}; ///< one asks for the next
};

constexpr int usual_year = 2029; // common, and begins on a Monday

bool begins_with_digit(const std::string& text) { return !text.empty() && text[0] >= '0' && text[0] <= '9'; }

} // namespace

void Calendars::set_year()
{
    Given<double>& year = work_.input.project.year;
    building_.project.year = calendar_year(input_);
    if (!year && !year.refused)
        year = building_.project.year == usual_year
                   ? Given<double>{static_cast<double>(usual_year),
                                   work_.input.origins.add({.kind = quantity::OriginKind::default_value,
                                                            .text = "a common year that begins on a Monday"})}
                   : computed(*input_.weather.year, "that of the weather year", input_.weather.year.origin);
    building_.project.year_origin = year.origin;
}

/// A profile by its hours or its 24 values.
calendar::Profile Calendars::profile_of(const ProfileInput& given)
{
    calendar::Profile profile{value_of(given.name), {}};
    if (given.hours && given.values)
        problem(codes::contradiction, given.values.origin,
                fmt::format("profile '{}' has hours and values", profile.name), "keep one of them");
    if (!given.hours && !given.values && !given.hours.refused && !given.values.refused)
        tell_missing("profile", given, "'hours' or 'values'", "give clock hours as \"08-12 50 %\", or 24 fractions",
                     "a profile says nothing of its hours");
    if (given.values && (*given.values).size() == profile.fraction.size())
        std::ranges::copy(*given.values, profile.fraction.begin());
    if (!given.hours) return profile;
    std::vector<calendar::HourRange> all;
    for (const auto& text : *given.hours) {
        const auto ranges = calendar::parse_hour_range(text.text);
        if (const auto* wrong = std::get_if<std::string>(&ranges))
            problem(codes::hours, text.origin, *wrong, std::string{calendar::how_hours_are_written});
        else
            std::ranges::copy(std::get<std::vector<calendar::HourRange>>(ranges), std::back_inserter(all));
    }
    return calendar::profile_of(std::move(profile.name), all);
}

void Calendars::add_profiles()
{
    building_.calendars.push_back(calendar::every_day(calendar::constant_profile("always", 1.0)));
    building_.calendars.push_back(calendar::every_day(calendar::constant_profile("never", 0.0)));
    for (const ProfileInput& given : input_.profiles)
        building_.calendars.push_back(calendar::every_day(profile_of(given)));
}

/// Days that [[days]] call so; nothing if none does.
std::optional<calendar::YearDays> Calendars::days_called(std::string_view name)
{
    const auto at = std::ranges::find_if(input_.days, [&](const DaysInput& d) { return d.name && *d.name == name; });
    if (at == input_.days.end()) return std::nullopt;
    if (const auto known = days_.find(*at->name); known != days_.end()) return known->second;
    calendar::YearDays& days = days_[*at->name]; // none, while it asks for itself
    if (at->dates)
        for (const auto& text : *at->dates)
            if (const auto some = days_in(text.text, text.origin)) days |= *some;
    return days;
}

std::optional<calendar::YearDays> Calendars::days_in(std::string_view text, quantity::OriginId where)
{
    const auto parsed =
        calendar::parse_days(text, {.year = building_.project.year,
                                    .south = value_of(input_.site.latitude) < 0.0,
                                    .named = [this](std::string_view name) { return days_called(name); }});
    if (const auto* wrong = std::get_if<std::string>(&parsed)) {
        problem(codes::days, where, *wrong, std::string{calendar::how_days_are_written});
        return std::nullopt;
    }
    return std::get<calendar::YearDays>(parsed);
}

void Calendars::check_days()
{
    for (const DaysInput& given : input_.days) {
        if (!given.name) continue;
        if (!given.dates && !given.file && !given.dates.refused && !given.file.refused)
            tell_missing("days", given, "'dates' or 'file'", "give dates, or an iCalendar file",
                         "[[days]] say nothing of their dates");
        const auto days = days_called(*given.name);
        if (days && days->none() && (given.dates || given.file))
            finding(Severity::warning, codes::idle_rule, given.name.origin, "days/" + *given.name,
                    fmt::format("'{}' has no day in {}", *given.name, building_.project.year),
                    "check its dates, or [project] year");
    }
}

/// What stands behind the colon of a rule: a profile or another calendar by name, or hours.
std::optional<calendar::Calendar> Calendars::rule_calendar(const std::string& text, quantity::OriginId where)
{
    const auto is_made = [&] {
        return std::ranges::find(building_.calendars, text, &calendar::Calendar::name) != building_.calendars.end();
    };
    const auto other =
        std::ranges::find_if(input_.calendars, [&](const CalendarInput& c) { return c.name && *c.name == text; });
    if (!is_made() && other != input_.calendars.end()) {
        if (const auto round = std::ranges::find(begun_, text); round != begun_.end()) {
            problem(
                codes::contradiction, where,
                fmt::format("calendar '{}' goes by itself: {}, {}", text, fmt::join(round, begun_.end(), ", "), text),
                "let one of them name a profile");
            return std::nullopt;
        }
        add_calendar(*other);
        if (!is_made()) return std::nullopt; // told already
    }
    const auto index = calendar_called({text, where});
    if (!index) return std::nullopt;
    return building_.calendars[*index];
}

/// The profile that design days take.
std::optional<calendar::Profile> Calendars::daily_profile(const std::string& text, quantity::OriginId where)
{
    const auto index = calendar_called({text, where});
    if (!index) return std::nullopt;
    const calendar::Calendar& found = building_.calendars[*index];
    if (found.is_one_profile()) return found.profiles.front();
    problem(codes::contradiction, where, fmt::format("'{}' is a calendar itself", text), "name a profile here");
    return std::nullopt;
}

std::optional<calendar::RuleDays> Calendars::rule_of(const quantity::PlacedText& rule)
{
    const auto colon = rule.text.find(": ");
    if (colon == std::string::npos) {
        problem(codes::days, rule.origin, fmt::format("'{}' is no rule", rule.text),
                "write the days, a colon and a blank, and the profile: \"Monday to Friday: office hours\"");
        return std::nullopt;
    }
    const auto days = days_in(quantity::trimmed(std::string_view{rule.text}.substr(0, colon)), rule.origin);
    auto taken =
        rule_calendar(std::string{quantity::trimmed(std::string_view{rule.text}.substr(colon + 2))}, rule.origin);
    if (!days || !taken) return std::nullopt;
    return calendar::RuleDays{rule.text, *days, std::move(*taken)};
}

void Calendars::add_calendars()
{
    set_year();
    check_days();
    for (const CalendarInput& given : input_.calendars)
        if (given.name && given.rules && !made_.contains(&given)) add_calendar(given); // else told already
}

void Calendars::add_calendar(const CalendarInput& given)
{
    if (!given.rules) return;
    begun_.push_back(*given.name);
    std::vector<calendar::RuleDays> rules;
    for (const auto& text : *given.rules)
        if (auto rule = rule_of(text)) rules.push_back(std::move(*rule));
    begun_.pop_back();
    calendar::Calendar made = calendar::calendar_of(*given.name, rules, building_.project.year);
    if (given.design_day)
        if (const auto profile = daily_profile(*given.design_day, given.design_day.origin)) {
            made.design.fill(made.profiles.size());
            made.profiles.push_back(*profile);
        }
    if (rules.size() == (*given.rules).size()) look_over(made, given);
    if (std::ranges::any_of(input_.profiles, [&](const ProfileInput& p) { return p.name && *p.name == made.name; }))
        problem(codes::twice, given.name.origin,
                fmt::format("a profile and a calendar are both called '{}'", made.name), "rename one of them");
    building_.calendars.push_back(std::move(made));
    made_.insert(&given);
}

/// Profiles, calendars and [[days]] of the project that nothing goes by.
void Calendars::look_for_idle_hours()
{
    std::vector<std::string_view> said; // texts that name profiles, calendars and days
    quantity::for_each_record_in(ConstRecord{input_}, [&](const ConstRecord& record) {
        for (const Key& key : record.keys()) {
            if (key.spec.names.empty() || !record.is_given(key)) continue;
            if (key.shape == quantity::ValueShape::text) said.push_back(*record.at<std::string>(key));
            if (key.shape == quantity::ValueShape::texts)
                for (const quantity::PlacedText& text : *record.at<TextList>(key)) said.push_back(text.text);
        }
    });
    const auto look = [&](std::string_view table, const Given<std::string>& name) {
        if (!name || input_.origins.at(name.origin).kind != quantity::OriginKind::file) return; // a library's may wait
        if (std::ranges::any_of(said,
                                [&](std::string_view text) { return text.find(*name) != std::string_view::npos; }))
            return;
        finding(Severity::note, codes::unused, name.origin, fmt::format("{}/{}", table, *name),
                fmt::format("nothing goes by the {} '{}'", table, *name), "let something go by it, or leave it out");
    };
    for (const ProfileInput& given : input_.profiles) look("profile", given.name);
    for (const DaysInput& given : input_.days) look("days", given.name);
    for (const CalendarInput& given : input_.calendars) look("calendar", given.name);
}

/// What is odd about a calendar by itself.
void Calendars::look_over(const calendar::Calendar& made, const CalendarInput& given)
{
    const std::string subject = "calendar/" + made.name;
    for (std::size_t r = 0; r < made.rules.size(); ++r) {
        const calendar::Rule& rule = made.rules[r];
        if (rule.won > 0) continue;
        finding(Severity::warning, codes::idle_rule, (*given.rules)[r].origin, subject,
                rule.named == 0 ? fmt::format("the rule '{}' names no day of {}", rule.text, building_.project.year)
                                : fmt::format("later rules take every day of '{}'", rule.text),
                rule.named == 0 ? "check its dates, or [project] year"
                                : "later rules win: move it down, or leave it out");
    }
    if (const auto open = calendar::days_without_rule(made, building_.project.year); open > 0)
        finding(Severity::warning, codes::idle_rule, given.rules.origin, subject,
                fmt::format("no rule of '{}' names {} day{} of {}; they take \"never\"", made.name, open,
                            open == 1 ? "" : "s", building_.project.year),
                "begin with a rule for every day, such as \"every day: never\"");
}

std::optional<std::size_t> Calendars::calendar_called(const Given<std::string>& name)
{
    const auto at = std::ranges::find(building_.calendars, *name, &calendar::Calendar::name);
    if (at != building_.calendars.end()) return static_cast<std::size_t>(at - building_.calendars.begin());
    if (!begins_with_digit(*name))
        return find("profile or calendar", name, building_.calendars,
                    [](const calendar::Calendar& c) { return c.name; });
    const auto ranges = hours_in(*name, name.origin);
    if (!ranges) return std::nullopt;
    building_.calendars.push_back(calendar::every_day(calendar::profile_of(*name, *ranges)));
    return building_.calendars.size() - 1;
}

/// Hours that stand where a profile's name could: "08-12 50 %, 13-17".
std::optional<std::vector<calendar::HourRange>> Calendars::hours_in(std::string_view text, quantity::OriginId where)
{
    std::vector<calendar::HourRange> all;
    for (std::size_t at = 0; at <= text.size();) {
        const std::size_t comma = std::min(text.find(',', at), text.size());
        const auto ranges = calendar::parse_hour_range(quantity::trimmed(text.substr(at, comma - at)));
        if (const auto* wrong = std::get_if<std::string>(&ranges)) {
            problem(codes::hours, where, *wrong,
                    fmt::format("{}; or the name of a [[profile]] or [[calendar]]", calendar::how_hours_are_written));
            return std::nullopt;
        }
        std::ranges::copy(std::get<std::vector<calendar::HourRange>>(ranges), std::back_inserter(all));
        at = comma + 1;
    }
    return all;
}

std::size_t Calendars::profile_called(const Given<std::string>& name)
{
    return name ? calendar_called(name).value_or(0) : 0;
}

int calendar_year(const Input& input)
{
    if (input.project.year) return static_cast<int>(*input.project.year);
    if (input.weather.is_used() && input.weather.year && *input.weather.year > 0.0)
        return static_cast<int>(*input.weather.year);
    return usual_year;
}

void add_profiles(Work& work) { Calendars{work}.add_profiles(); }

void add_calendars(Work& work) { Calendars{work}.add_calendars(); }

std::size_t profile_called(Work& work, const Given<std::string>& name) { return Calendars{work}.profile_called(name); }

void look_for_idle_hours(Work& work) { Calendars{work}.look_for_idle_hours(); }

} // namespace venture::resolve
