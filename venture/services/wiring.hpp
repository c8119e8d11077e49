#pragma once
/// Internal to `services`: the network that rooms, circuits and plants make.

#include <venture/services/services.hpp>

namespace venture::services {

/// Fills network and places. Circuits that are mixed from one another in a ring are told, and parted.
void wire(const std::vector<Client>& clients, Services& services);

} // namespace venture::services
