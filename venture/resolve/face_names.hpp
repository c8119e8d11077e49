#pragma once
/// What faces of rooms are called: by their side, or by a name that someone gave them. Internal to resolve.

#include <map>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

#include <venture/resolve/pass.hpp>

namespace venture::resolve {

/// The side that a face was named on; what is no name stands as it is.
[[nodiscard]] std::string side_of(const RoomInput& room, const std::string& face);

class FaceNames : Pass {
public:
    explicit FaceNames(Work& work) : Pass{work} {}
    /// Takes the names that faces are given, before anything refers to them. Names of walls by their side stay good beside
    /// them.
    void take_names();
    /// Surfaces of a face of a room; none, and told, if it has no such face.
    [[nodiscard]] std::vector<Surface*> faces_called(std::string_view name, std::size_t room, quantity::OriginId where);
    /// Numbers of the surfaces that a room has a side of.
    [[nodiscard]] const std::vector<std::size_t>& surfaces_of(std::size_t room);
    /// After surfaces came or went, or other rooms lie behind them.
    void look_again() { by_room_.clear(); }
    /// What a face that was given by its corners is called.
    [[nodiscard]] std::string of_corners(const FaceInput& face, std::size_t room) const;

private:
    void name_face(const FaceInput& face, std::size_t room);
    [[nodiscard]] std::string hint_of_room(std::string_view name, std::size_t room);

    std::vector<std::vector<std::size_t>> by_room_{}; ///< numbers of surfaces; empty: to be found again
    /// By room and name in small letters: the face as it is called without.
    std::map<std::pair<std::size_t, std::string>, std::string> called_{};
};

} // namespace venture::resolve
