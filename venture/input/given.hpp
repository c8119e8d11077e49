#pragma once
/// What records of an input are made of.

#include <venture/quantity/choice.hpp>
#include <venture/quantity/key.hpp>

namespace venture::quantity {
class RecordSpec;
}

namespace venture::input {

using quantity::Choice;
using quantity::Given;
using quantity::PointList;
using quantity::QuantityList;
using quantity::TextList;
using quantity::Whole;

} // namespace venture::input
