# Shipped data compiled in: an installed program needs no search path.
# cmake -DOUTPUT=x.cpp -DROOT=data -DFILES="a.toml;b.toml" -P embed.cmake
set(code "// Made from ${ROOT} by cmake/embed.cmake.\n#include <venture/catalogue/shipped.hpp>\n\nnamespace venture::catalogue {\n\nconst std::vector<ShippedFile>& shipped_files()\n{\n    static const std::vector<ShippedFile> files = {\n")
foreach(file ${FILES})
    file(READ ${ROOT}/${file} content)
    string(REGEX REPLACE "^\\.\\./docs/" "" name "${file}") # what the docs say is there to be shown, too
    string(APPEND code "        {\"${name}\", R\"venture(${content})venture\"},\n")
endforeach()
string(APPEND code "    };\n    return files;\n}\n\n} // namespace venture::catalogue\n")
file(WRITE ${OUTPUT} "${code}")
