#include <venture/exchange/icalendar.hpp>

#include <algorithm>
#include <memory>

#include <fmt/format.h>
#include <libical/ical.h>

#include <venture/quantity/codes.hpp>
#include <venture/quantity/names.hpp>

namespace venture::exchange {

namespace codes = quantity::codes;

namespace {

struct FreeComponent {
    void operator()(icalcomponent* c) const { icalcomponent_free(c); }
};
struct FreeIterator {
    void operator()(icalrecur_iterator* i) const { icalrecur_iterator_free(i); }
};

/// Days since 1970 of a date.
int day_number(icaltimetype t)
{
    t.is_date = 1;
    t.hour = t.minute = t.second = 0;
    t.zone = nullptr;
    return static_cast<int>(icaltime_as_timet(t) / 86400);
}

std::string iso(int day)
{
    const icaltimetype t = icaltime_from_timet_with_zone(static_cast<time_t>(day) * 86400, 1, nullptr);
    return fmt::format("{:04}-{:02}-{:02}", t.year, t.month, t.day);
}

/// Whether it is a day that a calendar has; lax readers make days of "2027-05-14" that none has.
bool is_a_day(const icaltimetype& t)
{
    return !icaltime_is_null_time(t) && t.month >= 1 && t.month <= 12 && t.day >= 1 &&
           t.day <= icaltime_days_in_month(t.month, t.year);
}

/// Lines that begin so, from 1. @param words  in small letters
std::vector<std::uint32_t> lines_with(std::string_view words, const std::string& bytes)
{
    std::vector<std::uint32_t> lines;
    std::uint32_t line = 1;
    for (std::size_t at = 0; at < bytes.size(); ++line) {
        const std::size_t end = std::min(bytes.find('\n', at), bytes.size());
        if (quantity::lower_case(quantity::trimmed(std::string_view{bytes}.substr(at, end - at))).starts_with(words))
            lines.push_back(line);
        at = end + 1;
    }
    return lines;
}

class Reader {
public:
    Reader(const std::string& file, int year, const std::string& words, quantity::OriginPool& origins,
           quantity::Problems& problems)
        : file_{file},
          words_{quantity::lower_case(words)},
          origins_{origins},
          problems_{problems}
    {
        icaltimetype first = icaltime_null_date();
        first.year = year;
        first.month = first.day = 1;
        first_ = day_number(first);
        first.year = year + 1;
        end_ = day_number(first);
    }

    quantity::TextList run(const std::string& bytes)
    {
        icalerror_set_errors_are_fatal(0);
        const std::unique_ptr<icalcomponent, FreeComponent> root{icalparser_parse_string(bytes.c_str())};
        if (!root || (icalcomponent_isa(root.get()) != ICAL_VCALENDAR_COMPONENT &&
                      icalcomponent_isa(root.get()) != ICAL_XROOT_COMPONENT)) {
            tell_no_calendar(bytes);
            return {};
        }
        lines_ = lines_with("begin:vevent", bytes);
        if (icalcomponent_isa(root.get()) == ICAL_VCALENDAR_COMPONENT) {
            read_calendar(root.get());
        } else {
            for (icalcomponent* c = icalcomponent_get_first_component(root.get(), ICAL_VCALENDAR_COMPONENT);
                 c != nullptr; c = icalcomponent_get_next_component(root.get(), ICAL_VCALENDAR_COMPONENT))
                read_calendar(c);
        }
        if (event_ == 0)
            problem(codes::syntax, 1, "no event stands in the file", "a holiday is a VEVENT with a DTSTART");
        return std::move(out_);
    }

private:
    void problem(std::string_view code, std::uint32_t line, std::string message, std::string hint)
    {
        problems_.add({quantity::Severity::error, code, place(line), std::move(message), std::move(hint)});
    }

    quantity::OriginId place(std::uint32_t line)
    {
        return origins_.add({quantity::OriginKind::file, file_, line, 1, {}});
    }

    void tell_no_calendar(const std::string& bytes)
    {
        const auto begun = lines_with("begin:", bytes), ended = lines_with("end:", bytes);
        if (lines_with("begin:vcalendar", bytes).empty() || begun.size() == ended.size())
            problem(codes::syntax, 1, "the file is no iCalendar file", "it begins with BEGIN:VCALENDAR (RFC 5545)");
        else
            problem(codes::syntax, begun.back(),
                    fmt::format("the calendar is cut off or muddled: {} lines BEGIN: and {} lines END:", begun.size(),
                                ended.size()),
                    "have it written again by the program that it is from");
    }

    void read_calendar(icalcomponent* calendar)
    {
        for (icalcomponent* e = icalcomponent_get_first_component(calendar, ICAL_VEVENT_COMPONENT); e != nullptr;
             e = icalcomponent_get_next_component(calendar, ICAL_VEVENT_COMPONENT))
            read_event(e);
    }

    void read_event(icalcomponent* event)
    {
        const std::uint32_t line = event_ < lines_.size() ? lines_[event_] : 1;
        ++event_;
        const char* found = icalcomponent_get_summary(event);
        const std::string summary = found != nullptr ? found : "";
        if (!words_.empty() && quantity::lower_case(summary).find(words_) == std::string::npos) return;
        if (icalcomponent_get_status(event) == ICAL_STATUS_CANCELLED) return;
        if (icalproperty* wrong = icalcomponent_get_first_property(event, ICAL_XLICERROR_PROPERTY)) {
            const char* why = icalproperty_get_xlicerror(wrong);
            problem(
                codes::syntax, line,
                fmt::format("the event '{}' has a line that cannot be read: {}", summary, why != nullptr ? why : "?"),
                "mend it after RFC 5545, or leave it out");
            return;
        }
        const icaltimetype start = icalcomponent_get_dtstart(event);
        if (!is_a_day(start)) {
            problem(codes::syntax, line, fmt::format("the event '{}' has no beginning that is a date", summary),
                    "write DTSTART;VALUE=DATE:20270514");
            return;
        }
        int days = 1;
        const icaltimetype end = icalcomponent_get_dtend(event);
        if (!icaltime_is_null_time(end) && !is_a_day(end)) {
            problem(codes::syntax, line, fmt::format("the event '{}' has an end that is no date", summary),
                    "write DTEND;VALUE=DATE:20270515, the day after its last one");
            return;
        }
        if (!icaltime_is_null_time(end)) {
            const bool at_midnight = end.is_date || (end.hour == 0 && end.minute == 0 && end.second == 0);
            days = day_number(end) - day_number(start) + (at_midnight ? 0 : 1);
            if (days < 0 || (days == 0 && icaltime_compare(end, start) < 0)) {
                problem(codes::syntax, line, fmt::format("the event '{}' ends before it begins", summary),
                        "mend its DTEND, the day after its last one");
                return;
            }
            days = std::max(1, days);
        }
        where_ = place(line);
        for (const int first : beginnings(event, start)) add(first, first + days);
    }

    /// Every day that an event begins on, as far as the year goes.
    std::vector<int> beginnings(icalcomponent* event, icaltimetype start)
    {
        constexpr int most = 20000; // daily for half a century
        std::vector<int> out{day_number(start)};
        for (icalproperty* p = icalcomponent_get_first_property(event, ICAL_RRULE_PROPERTY); p != nullptr;
             p = icalcomponent_get_next_property(event, ICAL_RRULE_PROPERTY)) {
            const std::unique_ptr<icalrecur_iterator, FreeIterator> i{
                icalrecur_iterator_new(icalproperty_get_rrule(p), start)};
            for (int n = 0; i && n < most; ++n) {
                const icaltimetype t = icalrecur_iterator_next(i.get());
                if (icaltime_is_null_time(t) || day_number(t) >= end_) break;
                out.push_back(day_number(t));
            }
        }
        for (icalproperty* p = icalcomponent_get_first_property(event, ICAL_RDATE_PROPERTY); p != nullptr;
             p = icalcomponent_get_next_property(event, ICAL_RDATE_PROPERTY))
            if (const icaltimetype t = icalproperty_get_rdate(p).time; is_a_day(t)) out.push_back(day_number(t));
        for (icalproperty* p = icalcomponent_get_first_property(event, ICAL_EXDATE_PROPERTY); p != nullptr;
             p = icalcomponent_get_next_property(event, ICAL_EXDATE_PROPERTY))
            std::erase(out, day_number(icalproperty_get_exdate(p)));
        std::ranges::sort(out);
        out.erase(std::ranges::unique(out).begin(), out.end());
        return out;
    }

    /// @param end  the day after the last one
    void add(int first, int end)
    {
        first = std::max(first, first_);
        end = std::min(end, end_);
        if (first >= end) return;
        out_.push_back({end == first + 1 ? iso(first) : iso(first) + " to " + iso(end - 1), where_});
    }

    const std::string& file_;
    std::string words_;
    quantity::OriginPool& origins_;
    quantity::Problems& problems_;
    int first_ = 0, end_ = 0;
    std::size_t event_ = 0;
    std::vector<std::uint32_t> lines_{};
    quantity::OriginId where_{};
    quantity::TextList out_{};
};

} // namespace

quantity::TextList read_event_days(const std::string& bytes, const std::string& file, int year,
                                   const std::string& words, quantity::OriginPool& origins,
                                   quantity::Problems& problems)
{
    return Reader{file, year, words, origins, problems}.run(bytes);
}

} // namespace venture::exchange
