#pragma once
/// Internal to `services`: which circuits serve a room.

#include <span>
#include <string>
#include <vector>

#include <venture/services/room_lines.hpp>
#include <venture/services/telling.hpp>

namespace venture::services {

class Serving {
public:
    /// @param clients  all rooms   @param circuits  those that could be read   @param problems  are added to
    Serving(const input::Input& input, const std::vector<Client>& clients, const std::vector<Circuit>& circuits,
            quantity::Problems& problems);
    /// Servers of a room, service by service.
    [[nodiscard]] Servers of(std::size_t client);

private:
    struct Line {
        const input::ServeInput* said = nullptr;
        std::optional<std::size_t> circuit{}; ///< none: nothing serves
        std::optional<Service> only{};        ///< none: whatever it is
    };
    void read(const input::ServeInput& said);
    std::vector<Server> servers(std::size_t client, Service service);
    std::vector<Server> by_lines(const Client& client, Service service, const std::vector<const Line*>& lines);
    std::vector<Server> by_name(const Client& client, Service service);
    std::vector<Server> unserved(const Client& client, Service service, std::string_view why);
    [[nodiscard]] std::optional<std::size_t> find_circuit(const std::string& name, quantity::OriginId where);
    const input::Input& input_;
    const std::vector<Client>& clients_;
    const std::vector<Circuit>& circuits_;
    quantity::Problems& problems_;
    Teller say;
    std::vector<Line> lines_{};
    RoomLines room_lines_{};
};

} // namespace venture::services
