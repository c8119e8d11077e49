#pragma once
/// The kinds of unit and plant that there are: the one list. A line here, the three files of that name (`radiator.hpp`,
/// `.cpp`, `_test.cpp`) and its products in data/catalogue/ make a kind.

// A macro, since from this list come an enumeration, its words and the addresses of objects in other modules.
#define VENTURE_UNIT_KINDS(each)                                                                                       \
    each(radiator, "radiator") each(fan_coil, "fan coil") each(convector, "convector") each(towel_rail, "towel rail")  \
        each(unit_heater, "unit heater") each(radiant_strip, "radiant strip") each(electric_heater, "electric heater") \
            each(fan_radiator, "fan radiator") each(air_curtain, "air curtain")

#define VENTURE_PLANT_KINDS(each) each(boiler, "boiler") each(chiller, "chiller")

/// In pipes: they serve units, and no circuit is of them.
#define VENTURE_FITTING_KINDS(each) each(valve, "valve")
