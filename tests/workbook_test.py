"""Workbooks recalculated by an office program that is not ours: its totals are those of the JSON. Runs where there is one."""

import csv
import json
import pathlib
import re
import shutil
import subprocess
import sys
import tempfile
import zipfile

program, root, office = sys.argv[1], pathlib.Path(sys.argv[2]), sys.argv[3]
failures = []
compared = 0


def without_kept_values(book, out):
    """Formulas alone: whatever stands in the sheet afterwards was computed by the reader."""
    with zipfile.ZipFile(book) as source, zipfile.ZipFile(out, "w") as target:
        for item in source.infolist():
            data = source.read(item)
            if item.filename.startswith("xl/worksheets/"):
                data = re.sub(rb"(</f>)<v>[^<]*</v>", rb"\1", data)
            target.writestr(item, data)


with tempfile.TemporaryDirectory() as folder:
    folder = pathlib.Path(folder)
    for arguments in (["check", "demo"], ["check", "school"], ["loads", "demo", "--room", "Operations room"], ["year", "house", "--step", "60"]):
        call = [program, *(str(root / "data" / a) if a in ("house", "demo", "school") else a for a in arguments)]
        document = json.loads(subprocess.run([*call, "--json"], capture_output=True, check=False).stdout)
        subprocess.run([*call, "-o", str(folder / "kept.xlsx"), "--force"], capture_output=True, check=True)
        without_kept_values(folder / "kept.xlsx", folder / "bare.xlsx")
        subprocess.run([office, "--headless", "--convert-to", "csv:Text - txt - csv (StarCalc):44,34,76,1,,0,false,false,false,false,false,-1",
                        "--outdir", str(folder), str(folder / "bare.xlsx")], capture_output=True, check=True)
        for table, totals in document["totals"].items():
            with open(folder / f"bare-{table}.csv", encoding="utf-8", newline="") as stream:
                rows = list(csv.reader(stream))
            keys = list(document["columns"][table])
            for total, cells in zip(totals, rows[-len(totals):]):
                for key, cell, heading in zip(keys, cells, rows[0]):
                    unit = document["columns"][table][key].get("unit")
                    if key not in total or key == keys[0] or unit is None or not heading.endswith(f"[{unit}]"):
                        continue
                    compared += 1
                    if abs(float(cell) - total[key]) > 1e-9 * max(1.0, abs(total[key])):
                        failures.append(f"{arguments} {table}/{key}: {cell} instead of {total[key]}")

for failure in failures:
    print(failure)
print(f"{compared} totals computed by the office program, {len(failures)} differ")
sys.exit(1 if failures or compared < 20 else 0)
