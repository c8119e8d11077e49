#pragma once
/// Adds up a room's heat while a year is run. Internal to loads.

#include <functional>
#include <optional>
#include <vector>

#include <venture/balance/heat_balance.hpp>
#include <venture/loads/room_year_parts.hpp>

namespace venture::loads::detail {

class RoomYearAccount {
public:
    /// @param name_of  what the room calls a surface of the model   @param model  outlives it
    RoomYearAccount(const balance::ThermalModel& model, std::size_t zone,
                    const std::function<std::string(std::size_t surface)>& name_of);
    /// @param month  from 0   @param r  with Account::faces
    void take(std::size_t step, std::size_t month, const balance::StepResult& r);
    [[nodiscard]] RoomYearParts parts() && { return std::move(parts_); }

private:
    /// A face of a surface that looks into the room.
    struct Seen {
        std::size_t surface = 0, side = 0, path = 0;
        double by_supply = 0.0; ///< share of the room's supply that is put into it
    };
    /// Sun or a gain.
    struct Source {
        balance::Drive drive{};
        std::size_t path = 0;
        std::optional<std::size_t> body{}; ///< people whose heat follows the air
    };
    std::size_t path(PathKind kind, const std::string& through);
    void take_faces(const std::function<std::string(std::size_t)>& name_of);
    void take_gains(const balance::Drives& drives);
    void find_flows(std::size_t step, const balance::StepResult& r);

    const balance::ThermalModel& model_;
    std::size_t zone_;
    std::vector<Seen> faces_{};
    std::vector<Source> sources_{};
    std::vector<double> flow_W_{}; ///< by path, in the step
    RoomYearParts parts_{};
};

} // namespace venture::loads::detail
