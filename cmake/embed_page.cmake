# Files of a page compiled in: an installed program needs no search path.
# cmake -DOUTPUT=x.cpp -DPAGE=page.html -DTHREE=three.min.js -DORBIT=OrbitControls.js -P embed_page.cmake
set(code "// Made by cmake/embed_page.cmake.\n#include <venture/draw/page_parts.hpp>\n\nnamespace venture::draw {\n\n")
foreach(part "building_page_html;${PAGE}" "three_js;${THREE}" "orbit_controls_js;${ORBIT}")
    list(GET part 0 name)
    list(GET part 1 file)
    file(READ ${file} content)
    string(APPEND code "std::string_view ${name}()\n{\n    return R\"venture(${content})venture\";\n}\n\n")
endforeach()
file(WRITE ${OUTPUT} "${code}} // namespace venture::draw\n")
