#pragma once
/// JSON Schemas (draft-07) of the files of a project, made from the declarations of their keys, for editors that
/// complete and check TOML.

#include <string>

#include <venture/quantity/typed_units.hpp>

namespace venture::project {

enum class SchemaOf {
    project, ///< project.toml
    include, ///< a file that a project includes: the same tables, no format needed
    library, ///< a library: materials, build-ups and the like
};

/// Name of the file that a schema is published in, e.g. "project.schema.json".
[[nodiscard]] std::string schema_file_name(SchemaOf what);

/// The schema as JSON text. It checks structure, names, enumerations, units and bounds of bare numbers; what depends
/// on several values, and bounds of numbers typed with a unit, only the reader checks.
/// @param typed  what bare numbers of the file are read in; of a library always the plain units
[[nodiscard]] std::string schema_json(SchemaOf what, const quantity::TypedUnits& typed = {});

} // namespace venture::project
