"""Another program's data package: its tables come as logs with their units; what is unsound is refused in a sentence."""

from __future__ import annotations

import json
import zipfile
from pathlib import Path
from typing import Any

import numpy as np
import pytest

from kuffin.core.base.errors import KuffinError
from kuffin.logs.reader import read_log
from kuffin.publish.otherpackage import is_own, tables_as_logs


def about(**more: Any) -> dict[str, Any]:
    fields = [
        {"name": "t", "type": "number", "unit": "s"},
        {"name": "Water", "unit": "degF"},
        {"name": "P", "unit": "W"},
    ]
    resource = {"name": "run one", "path": "data/a.csv", "schema": {"fields": fields}, **more}
    return {"name": "other-lab", "resources": [resource, {"name": "picture", "path": "x.png", "format": "png"}]}


def table(delimiter: str = ",") -> str:
    rows = [("t", "Water", "P"), *((str(2 * i), f"{86 + 0.01 * i:.2f}", "181.5") for i in range(200))]
    return "\n".join(delimiter.join(r) for r in rows) + "\n"


def packed(path: Path, told: Any, root: str = "", files: dict[str, str] | None = None) -> Path:
    with zipfile.ZipFile(path, "w") as made:
        made.writestr(f"{root}datapackage.json", told if isinstance(told, str) else json.dumps(told))
        for name, text in (files or {"data/a.csv": table()}).items():
            made.writestr(root + name, text)
    return path


@pytest.mark.parametrize("root", ["", "other-lab-1.0/"])
def test_units_of_the_schema_are_heeded(tmp_path: Path, root: str) -> None:
    package = packed(tmp_path / "p.zip", about(), root)
    assert not is_own(package)
    (log,) = tables_as_logs(package, tmp_path)
    read = read_log(log)
    water = next(c for c in read.channels if c.name.startswith("Water"))
    assert water.unit == "degC" and abs(float(np.mean(water.values[:10])) - 30.0) < 0.1  # 86 °F
    assert next(c for c in read.channels if c.name.startswith("P")).unit == "W"


def test_a_description_beside_its_tables_is_read_too(tmp_path: Path) -> None:
    lab = tmp_path / "lab"
    (lab / "data").mkdir(parents=True)
    (lab / "data" / "a.csv").write_text(table(";"))
    (lab / "datapackage.json").write_text(json.dumps(about(dialect={"delimiter": ";"})))
    (log,) = tables_as_logs(lab / "datapackage.json", tmp_path)
    assert log.name == "run one.csv" and read_log(log).rows == 200


@pytest.mark.parametrize(
    ("told", "files", "said"),
    [
        ("{", None, "cannot be read"),
        ([1], None, "says nothing of a package"),
        ({"name": "x"}, None, "names no tables"),
        (about(path="../../etc/passwd.csv"), None, "leads out of it"),
        (about(path="/etc/passwd.csv"), None, "leads out of it"),
        (about(path="data/gone.csv"), None, "lacks data/gone.csv"),
        (about(path=["a.csv", "b.csv"]), None, "holds no table that Kuffin can read"),
        (about(encoding="no-such"), None, "cannot be read"),
        (about(), {"data/a.csv": "0" * 30_000_000}, ""),
    ],
)  # fmt: skip
def test_an_unsound_one_is_refused_in_a_sentence(
    tmp_path: Path, told: Any, files: dict[str, str] | None, said: str
) -> None:
    out = tmp_path / "out"
    out.mkdir()
    package = packed(tmp_path / "p.zip", told, files=files)
    if not said:  # it grows a thousandfold when it is packed tightly
        with zipfile.ZipFile(package, "w", zipfile.ZIP_DEFLATED) as made:
            made.writestr("datapackage.json", json.dumps(told))
            made.writestr("data/a.csv", files["data/a.csv"])
        said = "would grow"
    with pytest.raises(KuffinError, match=said):
        tables_as_logs(package, out)
    assert list(out.iterdir()) == []


def test_names_of_tables_are_no_paths(tmp_path: Path) -> None:
    out = tmp_path / "out"
    out.mkdir()
    (log,) = tables_as_logs(packed(tmp_path / "p.zip", about(name="../../.ssh/<b>keys")), out)
    assert log.parent == out and log.is_file()
