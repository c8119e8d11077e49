#include <venture/fabric/junction.hpp>

namespace venture::fabric {

const std::vector<std::string>& junction_names()
{
    static const std::vector<std::string> names = {"opening edge",   "ground floor edge", "exposed floor edge",
                                                   "roof edge",      "inner floor edge",  "inner wall end",
                                                   "outward corner", "inward corner"};
    return names;
}

} // namespace venture::fabric
