#pragma once
/// Which lines of a table speak of which rooms: by name or pattern, by type, by storey; all that a line names must hold.

#include <string>
#include <vector>

#include <venture/input/given.hpp>
#include <venture/quantity/problems.hpp>
#include <venture/services/services.hpp>

namespace venture::services {

/// Rooms that a line speaks of; what is not given does not matter.
struct SpeaksOf {
    const quantity::Given<quantity::TextList>* rooms = nullptr;
    const quantity::Given<std::string>*type = nullptr, *storey = nullptr;
    quantity::OriginId where{};
    std::string called{}; ///< "line by warm": what an acceptance of its finding names
};

class RoomLines {
public:
    RoomLines() = default;
    /// @param problems  take names that no room bears, and lines that speak of none
    RoomLines(const std::vector<SpeaksOf>& lines, const std::vector<Client>& clients, quantity::Problems& problems);
    /// Lines that speak of a client, in their order.
    [[nodiscard]] const std::vector<std::size_t>& of(std::size_t client) const { return lines_of_[client]; }

private:
    void find_lines_of(const std::vector<Client>& clients, const std::vector<SpeaksOf>& lines);
    void tell_idle(const std::vector<SpeaksOf>& lines, const std::vector<Client>& clients,
                   quantity::Problems& problems) const;
    std::vector<std::vector<std::size_t>> lines_of_{};
};

} // namespace venture::services
