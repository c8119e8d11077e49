#include <venture/input/project.hpp>

#include <algorithm>
#include <iterator>

#include <venture/input/input.hpp>
#include <venture/input/key_shorthand.hpp>
#include <venture/quantity/preferred_units.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& ProjectInput::spec()
{
    using T = ProjectInput;
    static const RecordSpec all = RecordSpec::of<T>({
        document_key("name", &T::name, "name of the job", true),
        document_key("client", &T::client, "who it is for"),
        document_key("number", &T::number, "job number"),
        document_key("author", &T::author, "who answers for it"),
        document_key("revision", &T::revision, "revision letter or date; the only date that outputs carry"),
        {text("region", "whose usual values the room types that ship bring: \"Europe\" or \"North America\""),
         &T::region},
        {declare::number(
             "year", Kind::number, 1600, 9999,
             "whose weekdays and dates calendars count; that of the weather year unless typed, else 2029, which "
             "begins on a Monday"),
         &T::year},
        {otherwise_word(text("phase",
                             "what stands: existing, without rooms that are new; or planned, without those to be "
                             "removed"),
                        "planned", "what is designed for"),
         &T::phase},
        note_key<T>(),
    });
    return all;
}

/// Keys of [units]: one for each quantity that is printed.
const RecordSpec& UnitsInput::spec()
{
    using T = UnitsInput;
    static const RecordSpec all = [] {
        std::vector<Key> out = {
            {document(otherwise_word(word("preset", "units of all that is not named below", quantity::unit_presets()),
                                     quantity::unit_presets().front(), "SI unless typed")),
             &T::preset},
            document_key(
                "typed", &T::typed,
                "what bare numbers of this file, and of tables without units that it names, are read in: a set "
                "of units, single ones, or both (\"inch-pound\", \"length=mm\")")};
        using Member = Given<std::string> T::*;
        const Member members[] = {&T::length,
                                  &T::thickness,
                                  &T::area,
                                  &T::volume,
                                  &T::velocity,
                                  &T::temperature,
                                  &T::temperature_difference,
                                  &T::power,
                                  &T::total_power,
                                  &T::electric_power,
                                  &T::power_per_area,
                                  &T::heat_transfer,
                                  &T::heat_loss,
                                  &T::resistance,
                                  &T::conductivity,
                                  &T::density,
                                  &T::specific_heat,
                                  &T::areal_mass,
                                  &T::areal_capacity,
                                  &T::air_flow,
                                  &T::standard_air_flow,
                                  &T::air_flow_per_area,
                                  &T::area_per_power,
                                  &T::air_flow_per_power,
                                  &T::water_flow,
                                  &T::mass,
                                  &T::moisture_flow,
                                  &T::humidity_ratio,
                                  &T::concentration,
                                  &T::enthalpy,
                                  &T::energy,
                                  &T::electricity,
                                  &T::irradiation,
                                  &T::cloud_cover,
                                  &T::wind,
                                  &T::duration,
                                  &T::pressure};
        const auto& printed = quantity::printed_quantities();
        VENTURE_ASSERT(std::size(members) == printed.size());
        for (std::size_t i = 0; i < printed.size(); ++i)
            out.push_back(
                {document(word(printed[i].key, printed[i].text, quantity::unit_symbols(printed[i].kind))), members[i]});
        out.push_back(note_key<T>());
        return RecordSpec::of<T>(std::move(out));
    }();
    return all;
}

const RecordSpec& LibraryInput::spec()
{
    using T = LibraryInput;
    static const RecordSpec all = RecordSpec::of<T>({
        document_key("name", &T::name, "what origins call it", true),
        document_key("file", &T::file,
                     "TOML file with materials, build-ups, glazings, profiles or room types; may lie outside the "
                     "project, is never written",
                     true),
        note_key<T>(),
    });
    return all;
}

namespace {

/// Of a record and those inside it.
std::vector<std::string> tables_with_own_file(const RecordSpec& record)
{
    std::vector<std::string> out;
    for (const Nested& nested : record.nested()) {
        if (!nested.has_own_file) continue;
        out.emplace_back(nested.name);
        std::ranges::copy(tables_with_own_file(nested.spec()), std::back_inserter(out));
    }
    return out;
}

} // namespace

const RecordSpec& TableFileInput::spec()
{
    using T = TableFileInput;
    static const RecordSpec all = RecordSpec::of<T>({
        document_key("file", &T::file, "CSV file in the project's folder, one record a line", true),
        {document(must(word("holds", "what a line is", tables_with_own_file(Input::spec())))), &T::holds},
        {document(text("separator", "between cells; detected unless typed")), &T::separator},
        {document(text("decimal_mark", "of numbers; detected unless typed")), &T::decimal_mark},
        {document(text("encoding", "of letters; detected unless typed")), &T::encoding},
        {document(number("header_rows", Kind::number, 1, 2,
                         "1: names, with units in brackets; 2: units in a row of their own; detected unless typed")),
         &T::header_rows},
        note_key<T>(),
    });
    return all;
}

const RecordSpec& AcceptedInput::spec()
{
    using T = AcceptedInput;
    static const RecordSpec all = RecordSpec::of<T>({
        document_key("finding", &T::finding, "the finding's mark, as `venture check` prints it", true),
        document_key("reason", &T::reason, "why it is right as it is", true),
        document_key("by", &T::by, "initials of whoever answers for it", true),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& MethodInput::spec()
{
    using T = MethodInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {otherwise_word(text("inside_films",
                             "convection inside: fixed after ISO 6946; or by the difference between face "
                             "and air, after the tilt of the face"),
                        "fixed", "ISO 6946, for design"),
         &T::inside_films},
        {otherwise_word(
             text("outside_films",
                  "outside: 25 W/m2K to the air; or convection by the wind and long wave to sky, ground and air"),
             "fixed", "ISO 6946, for design"),
         &T::outside_films},
        {otherwise_word(
             text("outdoor_air_flows",
                  "what volume flows of leakage and ventilation are measured at: 20 degC and the pressure of "
                  "the site; or the outdoor air of each hour, of which a litre weighs more in winter"),
             "at 20 degC", "EN 12831-1, which takes 0.34 Wh/m3K all year"),
         &T::outdoor_air_flows},
        {otherwise_word(
             text("air_heat",
                  "heat that air carries: that of dry air, 1,006 J/kgK; or with that of the vapour in it, at "
                  "the mean humidity outdoors"),
             "dry", "latent loads count vapour at 2,501 kJ/kg, whatever its temperature"),
         &T::air_heat},
        {otherwise_word(
             text("relative_humidity",
                  "what limits of it are of: as much moisture as air holds so at the cooling set-point (the least: at "
                  "the "
                  "heating set-point); or the air of the room whatever its temperature, as a humidistat feels it"),
             "at set-points", "a room's condition as it is specified for design"),
         &T::relative_humidity},
        {text("control", "what set-points of rooms refer to that do not say so themselves, nor their types"),
         &T::control},
        note_key<T>(),
    });
    return all;
}

} // namespace venture::input
