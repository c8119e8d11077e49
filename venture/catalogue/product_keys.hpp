#pragma once
/// Keys of product data files. Internal to catalogue.

#include <string>
#include <vector>

#include <venture/quantity/record.hpp>

namespace venture::catalogue {

using quantity::Given;
using quantity::QuantityList;

struct RadiatorInput {
    Given<std::string> name, maker, note;
    Given<double> height, length, output, exponent;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct FanCoilRow {
    Given<double> supply;
    Given<QuantityList> total, sensible;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct FanCoilInput {
    Given<std::string> name, maker, note;
    Given<double> air_flow, entering_dry_bulb, bypass_factor, water_rise;
    Given<QuantityList> wet_bulbs;
    std::vector<FanCoilRow> at_water{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct BoilerInput {
    Given<std::string> name, maker, note;
    Given<double> output, highest_supply;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct ChillerRow {
    Given<double> supply;
    Given<QuantityList> capacity;
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

struct ChillerInput {
    Given<std::string> name, maker, note;
    Given<QuantityList> outdoor;
    std::vector<ChillerRow> at_water{};
    [[nodiscard]] static const quantity::RecordSpec& spec();
};

} // namespace venture::catalogue
