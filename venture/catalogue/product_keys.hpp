#pragma once
/// Keys of product data files. Internal to catalogue.

#include <string>
#include <vector>

#include <venture/quantity/key.hpp>

namespace venture::catalogue {

using quantity::Given;
using quantity::QuantityList;

struct RadiatorInput {
    Given<std::string> name, maker, note;
    Given<double> height, length, output, exponent;
};

struct FanCoilRow {
    Given<double> supply;
    Given<QuantityList> total, sensible;
};

struct FanCoilInput {
    Given<std::string> name, maker, note;
    Given<double> air_flow, entering_dry_bulb, bypass_factor, water_rise;
    Given<QuantityList> wet_bulbs;
    std::vector<FanCoilRow> at_water{};
    static void for_each_nested(auto& self, auto visit) { visit("at_water", self.at_water); }
};

struct BoilerInput {
    Given<std::string> name, maker, note;
    Given<double> output, highest_supply;
};

struct ChillerRow {
    Given<double> supply;
    Given<QuantityList> capacity;
};

struct ChillerInput {
    Given<std::string> name, maker, note;
    Given<QuantityList> outdoor;
    std::vector<ChillerRow> at_water{};
    static void for_each_nested(auto& self, auto visit) { visit("at_water", self.at_water); }
};

} // namespace venture::catalogue

namespace venture::quantity {

template <>
std::span<const Key<catalogue::RadiatorInput>> keys<catalogue::RadiatorInput>();
template <>
std::span<const Key<catalogue::FanCoilInput>> keys<catalogue::FanCoilInput>();
template <>
std::span<const Key<catalogue::FanCoilRow>> keys<catalogue::FanCoilRow>();
template <>
std::span<const Key<catalogue::BoilerInput>> keys<catalogue::BoilerInput>();
template <>
std::span<const Key<catalogue::ChillerInput>> keys<catalogue::ChillerInput>();
template <>
std::span<const Key<catalogue::ChillerRow>> keys<catalogue::ChillerRow>();

} // namespace venture::quantity
