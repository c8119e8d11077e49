/// Any bytes as a product file, and as a sheet of each kind of product; what comes of it is rated.
#include <cstdint>
#include <string>

#include <venture/catalogue/read_catalogue.hpp>

namespace {

using namespace venture;
using rating::At;

/// Products that were read refuse or give numbers, in any air and water that there can be.
void rate(const rating::Stocks& stocks)
{
    for (const double supply_C : {-5.0, 7.0, 45.0})
        for (const double pressure_Pa : {60e3, 101325.0})
            for (const rating::Stock& stock : stocks.all())
                for (const auto& product : stock.products) {
                    const auto got = product->rate(rating::Conditions{}
                                                       .set(At::water_supply, supply_C)
                                                       .set(At::water_return, supply_C + 5.0)
                                                       .set(At::entering_dry_bulb, 25.0)
                                                       .set(At::entering_wet_bulb, 18.0)
                                                       .set(At::room, 25.0)
                                                       .set(At::outdoor_dry_bulb, 32.0)
                                                       .set(At::air_pressure, pressure_Pa));
                    const auto* out = std::get_if<rating::Output>(&got);
                    if (out == nullptr) continue;
                    for (const double W : out->gives_W) VENTURE_ASSERT(W == W);
                }
}

} // namespace

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size)
{
    const std::string text{reinterpret_cast<const char*>(data), size};
    {
        quantity::OriginPool origins;
        quantity::Problems problems;
        rating::Stocks stocks;
        catalogue::read_products(text, "fuzz.toml", origins, problems, stocks);
        rate(stocks);
    }
    for (const rating::Kind* kind : catalogue::all_kinds()) {
        quantity::OriginPool origins;
        quantity::Problems problems;
        rating::Stocks stocks;
        input::CatalogueInput sheet;
        sheet.file = std::string{"fuzz.csv"};
        sheet.kind = std::string{kind->words};
        catalogue::read_sheet(text, sheet, origins, problems, stocks);
        rate(stocks);
    }
    return 0;
}
