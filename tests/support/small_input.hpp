#pragma once
/// One room in code, for tests: 5 x 4 x 3 m on the ground, everything stated, hand sums easy.

#include <initializer_list>

#include <venture/input/input.hpp>

namespace venture::testing_data {

[[nodiscard]] input::MaterialInput material(const char* name, double conductivity, double density);

[[nodiscard]] input::BuildupInput build_up(const char* name, std::initializer_list<const char*> layers);

[[nodiscard]] input::RoomInput room(const char* name, double x, double y, double along_x, double along_y,
                                    const char* storey = "ground");

/// Site, materials, build-ups and two storeys, without rooms.
[[nodiscard]] input::Input shell();

[[nodiscard]] input::OpeningInput window(const char* in, double width, double height);

[[nodiscard]] input::Input one_room();

} // namespace venture::testing_data
