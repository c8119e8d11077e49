#include <small_building.hpp>

namespace venture::testing_data {

building::Building built(const input::Input& in)
{
    resolve::Resolved r = resolve::resolve(in);
    for (const auto& p : r.problems)
        if (p.severity == quantity::Severity::error) ADD_FAILURE() << p.code << " " << p.message;
    return r.building ? std::move(*r.building) : building::Building{};
}

quantity::Problem problem_of(const input::Input& in, std::string_view code)
{
    const resolve::Resolved r = resolve::resolve(in);
    for (const auto& p : r.problems)
        if (p.code == code) return p;
    std::string all;
    for (const auto& p : r.problems) all += std::string{p.code} + " " + p.message + "\n";
    ADD_FAILURE() << "no problem " << code << " among:\n" << all;
    return {};
}

} // namespace venture::testing_data
