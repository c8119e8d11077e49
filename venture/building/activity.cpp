#include <venture/building/activity.hpp>

#include <algorithm>
#include <array>

namespace venture::building {

PersonHeat heat_of_person(Activity activity, double room_C)
{
    constexpr std::array<PersonHeat, 9> at_24_C = {{{50.0, 25.0},
                                                    {70.0, 35.0},
                                                    {70.0, 45.0},
                                                    {75.0, 55.0},
                                                    {75.0, 55.0},
                                                    {75.0, 70.0},
                                                    {80.0, 140.0},
                                                    {170.0, 255.0},
                                                    {210.0, 315.0}}};
    constexpr double usual_C = 24.0;
    const PersonHeat usual = at_24_C[static_cast<std::size_t>(activity)];
    const double whole_W = usual.sensible_W + usual.latent_W;
    const double sensible_W =
        std::clamp(usual.sensible_W * (no_sensible_heat_C - room_C) / (no_sensible_heat_C - usual_C), 0.0, whole_W);
    return {sensible_W, whole_W - sensible_W};
}

} // namespace venture::building
