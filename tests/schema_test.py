"""The published schemas against an independent validator (python3-jsonschema): every good file is accepted, every file
of the corpus that a schema can see through is rejected, and the files in docs/schema are what the program prints."""

import json
import pathlib
import subprocess
import sys
import tempfile
import tomllib

import jsonschema

program, root = sys.argv[1], pathlib.Path(sys.argv[2])
failures = []


def schemas():
    with tempfile.TemporaryDirectory() as folder:
        subprocess.run([program, "schema", "-o", folder], check=True, capture_output=True)
        found = {}
        for file in sorted(pathlib.Path(folder).glob("*.schema.json")):
            text = file.read_text(encoding="utf-8")
            published = root / "docs/schema" / file.name
            if not published.exists() or published.read_text(encoding="utf-8") != text:
                failures.append(f"docs/schema/{file.name} is not what `venture schema` writes")
            schema = json.loads(text)
            jsonschema.Draft7Validator.check_schema(schema)
            found[file.name.split(".")[0]] = jsonschema.Draft7Validator(schema)
        return found


validators = schemas()


def errors_of(kind, file):
    with open(file, "rb") as stream:
        document = tomllib.load(stream)
    return [f"{list(e.path)}: {e.message[:200]}" for e in validators[kind].iter_errors(document)]


def accept(kind, file):
    for error in errors_of(kind, file):
        failures.append(f"{file.relative_to(root)} should be accepted: {error}")


for name in ("demo", "house"):
    accept("project", root / "data" / name / "project.toml")
for library in root.glob("data/**/library*.toml"):
    accept("library", library)
accept("library", root / "tests/corpus/library.toml")

# What commands give is valid by the schema of results, which knows every table.
for arguments in (["check", "house"], ["check", "demo"], ["loads", "demo"], ["loads", "house", "--room", "Kitchen"],
                  ["size", "demo"], ["climate", "house"], ["climate", "derive", "house"], ["climate", "house", "--day", "July"],
                  ["year", "house", "--days", "3", "--step", "60", "--series", "heating"],
                  ["check", "house", "--origins"], ["library"], ["loads", "demo", "--second-opinion"],
                  ["loads", "demo", "--hours"], ["loads", "demo", "--room", "Operations room", "--by-source"],
                  ["loads", "house", "--model", "July", "--room", "Kitchen"], ["explain", "demo", "Operations room"],
                  ["explain", "house", "filled cavity wall"], ["explain", "house", "double, low-emissivity, argon"],
                  ["explain", "school", "lessons"]):
    call = [program, *(str(root / "data" / a) if a in ("house", "demo", "school") else a for a in arguments), "--json"]
    document = json.loads(subprocess.run(call, capture_output=True, check=False).stdout)
    for error in validators["results"].iter_errors(document):
        failures.append(f"{' '.join(arguments)} --json: {list(error.path)}: {error.message[:200]}")
    unknown = sorted(set(document["columns"]) - set(validators["results"].schema["properties"]))
    if unknown:
        failures.append(f"{' '.join(arguments)}: tables that the schema does not know: {unknown}")

rejected = accepted = 0
for case in json.loads((root / "tests/corpus/cases.json").read_text(encoding="utf-8")):
    file = root / "tests/corpus" / case["folder"] / "project.toml"
    if case["schema"] == "not TOML":
        continue
    if case["schema"] == "accepts":
        accept("project", file)
        accepted += 1
    elif not errors_of("project", file):
        failures.append(f"{file.relative_to(root)} should be rejected")
    else:
        rejected += 1

print(f"{accepted} accepted, {rejected} rejected, as they should be" if not failures else "\n".join(failures))
sys.exit(1 if failures or rejected < 8 else 0)
