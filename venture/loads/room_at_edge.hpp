#pragma once
/// One room of a building on a day that was run: everything that comes over its edge as given signals, so that each can act
/// alone. Internal to loads.

#include <array>
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include <venture/balance/periodic_day.hpp>
#include <venture/loads/room_parts.hpp>

namespace venture::loads::detail {

/// What a run of the whole building left behind for its rooms.
struct DayOfBuilding {
    const balance::ThermalModel& model;
    balance::Recording recorded{};
    balance::PeriodicDay day{};
};
/// @param model  outlives what is returned   @param near  where it is known to begin; may be null
[[nodiscard]] DayOfBuilding run_for_parts(const balance::ThermalModel& model, const balance::PeriodBegin* near);

/// A place where something acts, and which path it belongs to.
struct Act {
    enum class At : std::uint8_t {
        beyond,     ///< temperature beyond a surface
        far_face,   ///< heat on the outside face of a surface
        near_face,  ///< heat on its face in the room
        radiant,    ///< gain
        convective, ///< gain
        stream,     ///< temperature of air that comes in
        set_point,
        limit,
        warm_ceiling, ///< air at faces warmer than the room's mean
    };
    At at = At::beyond;
    std::size_t index = 0;    ///< surface of the room's model, or its stream
    balance::Drives drives{}; ///< heat
    PathKind kind = PathKind::other;
    std::string through{};
};

/// Films of one model as they were recorded in another. @param there  the surface of `from` that one of `to` is
void take_films(const balance::Recording& recorded, const balance::ThermalModel& from, const balance::ThermalModel& to,
                const std::function<std::size_t(std::size_t surface)>& there, balance::Recording& out);

class RoomAtEdge {
public:
    /// @param name_of  what the room calls a surface of the building's model
    RoomAtEdge(const DayOfBuilding& building, std::size_t zone, double reference_C,
               const std::function<std::string(std::size_t surface)>& name_of);

    /// The room's model, in which nothing acts: the room is its first zone.
    [[nodiscard]] const balance::ThermalModel& silent() const { return silent_; }
    /// In the building's model. @param surface  of the room's
    [[nodiscard]] std::size_t surface_of(std::size_t surface) const { return surface_of_[surface]; }
    /// Paths in the order of the room's surfaces, then gains and air.
    [[nodiscard]] std::vector<LoadPath> paths() const;
    /// What acts in each hour of one path, and what is felt of that in the hour asked for: cooling, W.
    /// @returns nothing if it is no forcing, or no path of the room's
    struct Term {
        double acted = 0.0, cooling_W = 0.0, operative_K = 0.0;
    };
    [[nodiscard]] std::optional<std::array<Term, 24>> terms(PathKind kind, const std::string& through,
                                                            std::size_t hour) const;
    /// Whether a path acts as heat alone, not as a temperature.
    [[nodiscard]] bool is_heat(PathKind kind, const std::string& through) const;

private:
    void take_surfaces(const std::function<std::string(std::size_t)>& name_of);
    balance::Face given_face(const balance::Surface& s, std::size_t surface, bool outside);
    void take_heat_on_faces();
    void take_gains();
    void take_air();
    void take_control();
    void take_recording();
    balance::SignalId less_reference(balance::SignalId signal);
    /// A value that the run had at each of its stages.
    balance::SignalId by_stages(const std::function<double(std::size_t stage)>& value);
    /// The same of a temperature, less the reference.
    balance::SignalId from_stages(const std::function<double(std::size_t stage)>& at_C);
    void add_supply_air();
    void add_stream(const balance::Drives& kg_per_s, balance::SignalId temperature, PathKind kind, std::string through);
    [[nodiscard]] balance::ThermalModel with(const std::vector<std::vector<const Act*>>& rooms) const;
    void let_act(const Act& act, std::size_t in_room, balance::ThermalModel& m) const;
    [[nodiscard]] balance::Recording recorded_for(const balance::ThermalModel& m) const;
    [[nodiscard]] balance::PeriodicDay replay(const balance::ThermalModel& m) const;
    [[nodiscard]] double heat_of(const Act& act, const balance::ThermalModel& m, std::size_t step) const;
    [[nodiscard]] std::vector<const Act*> acts_of(PathKind kind, const std::string& through) const;
    [[nodiscard]] std::vector<balance::SignalId> signals_of(const Act& act) const;

    const DayOfBuilding& b_;
    std::size_t zone_;
    double reference_C_;
    balance::ThermalModel silent_{}; ///< nothing acts
    balance::SignalId nil_{};
    std::vector<std::size_t> surface_of_{}; ///< in the building's model
    std::vector<bool> turned_{};            ///< looks into the room with its outside face
    std::vector<std::string> name_{};       ///< as the room calls it
    std::vector<Act> acts_{};
    std::vector<balance::SignalId> beyond_{}, streams_{}; ///< by surface; by stream
    std::optional<balance::SignalId> heat_below_{}, cool_above_{};
    balance::Recording recorded_{};
};

} // namespace venture::loads::detail
