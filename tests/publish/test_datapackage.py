"""A study's data package: the same verdict elsewhere to the last digit, nothing private in it, and no harm from a bad one."""

from __future__ import annotations

import csv
import io
import json
import zipfile
from collections.abc import Callable, Iterator
from contextlib import closing
from dataclasses import replace
from pathlib import Path
from typing import Any

import numpy as np
import pytest
from PIL import Image

from kuffin.cli import main
from kuffin.core.base.errors import KuffinError
from kuffin.demo.quiet import NAME as QUIET
from kuffin.notebook import edits, planedits, preparationedits, recordings
from kuffin.notebook import shelf as shelfedits
from kuffin.notebook.entities import Mark, Mount, Run
from kuffin.notebook.photos import add_photo, photo_data, photos
from kuffin.notebook.store import Notebook
from kuffin.publish.datapackage import package_study
from kuffin.publish.unpacking import unpack_study
from kuffin.verdict.study import StudyVerdict, judge
from tests.verdict.test_outcomes import log, made


def told(v: StudyVerdict) -> list[Any]:
    """All that a verdict says in numbers and words."""
    found: list[Any] = [(r.candidate, r.round, r.value, r.u95, r.left_out, r.held) for r in v.main.readings]
    for school in v.schools.values():
        pairs = school.comparison.pairs if school.comparison is not None else ()
        found += [(school.outcome.key, p.a, p.b, p.difference, p.low, p.high, p.p, p.verdict) for p in pairs]
    found += [(f.kind, f.seen, f.weight) for m in v.findings.values() for f in m]
    return [*found, *[(c.gist, c.judged, c.found) for c in v.claims]]


@pytest.fixture
def book(tmp_path: Path) -> Iterator[Notebook]:
    with closing(made(tmp_path, names=("Tern", "Plover"))) as made_one:
        yield made_one


@pytest.fixture
def elsewhere(tmp_path: Path) -> Iterator[Notebook]:
    with closing(Notebook.create(tmp_path / "elsewhere.kuffin")) as other:
        yield other


def test_studies_of_the_demo_come_to_the_same_verdict_and_the_same_bytes(
    demo: Path, elsewhere: Notebook, tmp_path: Path
) -> None:
    with closing(Notebook.open(demo)) as book:
        for study in [s for s in book.studies() if s.name in {"Radiators, spring", "Pads, spring"}]:
            first, again, back = (tmp_path / f"{study.id} {n}.zip" for n in ("first", "again", "back"))
            package_study(book, study.id, first)
            package_study(book, study.id, again)
            assert first.read_bytes() == again.read_bytes()
            got = unpack_study(first, elsewhere)
            assert told(judge(elsewhere, elsewhere.study(got))) == told(judge(book, book.study(study.id)))
            package_study(elsewhere, got, back)
            assert back.read_bytes() == first.read_bytes()


def test_curves_of_the_parts_go_along_and_recordings_where_they_are_asked_for(
    demo: Path, elsewhere: Notebook, tmp_path: Path
) -> None:
    with closing(Notebook.open(demo)) as book:
        study = book.study(next(s.id for s in book.studies() if s.name == QUIET))
        there = recordings.recordings(book)
        levels = {r.kept.name: r.sound.worked.value for each in judge(book, study).evidence.sounds.values() for r in each if r.sound.worked is not None}  # fmt: skip
        open_one, whole = tmp_path / "open.zip", tmp_path / "whole.zip"
        package_study(book, study.id, open_one)
        package_study(book, study.id, whole, everything=True)
    got = unpack_study(open_one, elsewhere)
    assert recordings.recordings(elsewhere) == [] and judge(elsewhere, elsewhere.study(got)).evidence.sounds == {}
    curves = {p.name: [(c.kind, len(c.points), c.coolant.name) for c in p.live_curves] for p in shelfedits.parts(elsewhere) if p.live_curves}  # fmt: skip
    assert curves["Tern"] == [("restriction", 15, "Brook")] and curves["Dipper"][0][:2] == ("pump", 18)
    again = unpack_study(whole, elsewhere)
    assert len(recordings.recordings(elsewhere)) == len(there)
    sounds = judge(elsewhere, elsewhere.study(again)).evidence.sounds
    assert {
        r.kept.name: r.sound.worked.value for each in sounds.values() for r in each if r.sound.worked is not None
    } == levels


def test_drawn_studies_come_to_the_same_verdict(tmp_path: Path, elsewhere: Notebook) -> None:
    rng = np.random.default_rng(17)
    for n in range(3):
        folder = tmp_path / str(n)
        folder.mkdir()
        with closing(made(folder, names=("Tern", "Plover", "Knot")[: 2 + n % 2])) as book:
            study = book.study(1)
            a, b = (c.id for c in study.live_candidates[:2])
            edits.change_study(book, 1, "x", blocks=bool(n % 2), baseline_id=a, reference_id=b if n % 3 == 0 else None)
            planedits.set_plan(book, 1, "x", looks=[2, 3], outcomes=["clock", "flow"])
            mounts = [m for c in study.live_candidates for m in c.live_mounts]
            edits.leave_out(book, mounts[int(rng.integers(len(mounts)))].id, "a mount", "the screws were loose")
            package_study(book, 1, folder / "p.zip")
            got = unpack_study(folder / "p.zip", elsewhere)
            assert told(judge(elsewhere, elsewhere.study(got))) == told(judge(book, book.study(1)))


def test_what_is_private_stays_unless_it_is_asked_for(book: Notebook, tmp_path: Path) -> None:
    study = book.study(1)
    part = study.live_candidates[0].part
    with book.edit("say private things") as session:
        mount = session.get_one(Mount, study.live_candidates[0].live_mounts[0].id)
        run = session.get_one(Run, mount.live_runs[0].id)
        mount.note, run.note, run.source = "SECRET note", "SECRET comment", "/home/SECRET/logs/tern.csv"
        session.add(Mark(run_id=run.id, at_s=5, kind="mark", text="SECRET mark"))
        session.add(Mark(run_id=run.id, at_s=6, kind="stage", text="load", value=1.0))
    shelfedits.change_part(book, part.id, "x", price=61.5, currency="SECRET", note="SECRET shop")
    shelfedits.change_sample(book, part.live_samples[0].id, label="SECRET serial", note="SECRET")

    planedits.set_plan(book, 1, "x", days_off=["SECRET day"], seed=7)

    def content(everything: bool) -> str:
        target = tmp_path / f"{everything}.zip"
        package_study(book, 1, target, everything=everything)
        with zipfile.ZipFile(target) as packed:
            return "\n".join(packed.read(n).decode() for n in packed.namelist())

    open_one, whole = content(False), content(True)
    assert [line for line in open_one.split("\n") if "SECRET" in line] == []
    assert ",61.5," not in open_one and "tern.csv" in open_one and "load" in open_one
    assert all(
        x in whole for x in ("SECRET note", "SECRET comment", "/home/SECRET/logs", "SECRET mark", "SECRET day", "61.5")
    )


def test_a_channel_in_another_unit_is_brought_to_ours(book: Notebook, elsewhere: Notebook, tmp_path: Path) -> None:
    package_study(book, 1, tmp_path / "p.zip")

    def in_fahrenheit(data: bytes) -> bytes:
        rows = list(csv.reader(io.StringIO(data.decode())))
        at = rows[0].index("Die")
        for row in rows[1:]:
            row[at] = repr(float(row[at]) * 1.8 + 32)
        out = io.StringIO()
        csv.writer(out, lineterminator="\n").writerows(rows)
        return out.getvalue().encode()

    sent = tmp_path / "p.zip"
    for n in range(1, 7):
        changed(sent, tmp_path / f"{n}.zip", f"runs/{n:04d}.csv", in_fahrenheit)
        sent = tmp_path / f"{n}.zip"
    changed(sent, tmp_path / "f.zip", "tables/channel.csv", lambda d: d.replace(b",Die,degC,", b",Die,\xc2\xb0F,"))
    v = judge(elsewhere, elsewhere.study(unpack_study(tmp_path / "f.zip", elsewhere)))
    ours = judge(book, book.study(1))
    assert [r.value for r in v.main.readings] == pytest.approx([r.value for r in ours.main.readings], abs=1e-6)


def test_photos_and_preparation_go_along_where_they_are_asked_for(
    book: Notebook, elsewhere: Notebook, tmp_path: Path
) -> None:
    mount = book.study(1).live_candidates[0].live_mounts[0].id
    Image.new("RGB", (60, 40), "#884422").save(tmp_path / "print.png")
    photo = add_photo(book, tmp_path / "print.png", mount_id=mount, kind="print block")
    side = {"photo": photo, "corners": [[1, 1], [50, 1], [50, 30], [1, 30]], "share": 0.9, "low": 0.8, "high": 0.95, "thin": 0.1, "map": ""}  # fmt: skip
    preparationedits.keep_sheet(book, mount, "print", {"block": side})
    preparationedits.tick(book, mount, "drain", "Drain the loop", True)
    for everything in (False, True):
        package_study(book, 1, tmp_path / "p.zip", everything=everything)
        got = elsewhere.study(unpack_study(tmp_path / "p.zip", elsewhere)).live_candidates[0].live_mounts[0].id
        there = preparationedits.prepared(elsewhere, got)
        assert there.ticks["drain"].text == "Drain the loop" and there.sheets["print"]["block"]["share"] == 0.9
        shown = photos(elsewhere, mount_id=got)
        assert [p.name for p in shown] == (["print.png"] if everything else [])
        if everything:
            assert there.sheets["print"]["block"]["photo"] == shown[0].id
            assert photo_data(elsewhere, shown[0].id) == (tmp_path / "print.png").read_bytes()
        else:
            assert "photo" not in there.sheets["print"]["block"]
    bad = changed(tmp_path / "p.zip", tmp_path / "bad.zip", "photos/0001", lambda _: b"MZ no photo")
    with pytest.raises(KuffinError, match="no photo that Kuffin can read"):
        unpack_study(bad, elsewhere)


def test_it_says_what_each_column_is_and_no_name_becomes_a_formula(
    book: Notebook, elsewhere: Notebook, tmp_path: Path
) -> None:
    first = book.study(1).live_candidates[0]
    shelfedits.change_part(book, first.part_id, "x", name="=1+1 <b>é😀")
    package_study(book, 1, tmp_path / "p.zip")
    with zipfile.ZipFile(tmp_path / "p.zip") as packed:
        about = json.loads(packed.read("datapackage.json"))
        for resource in about["resources"]:
            rows = list(csv.reader(io.StringIO(packed.read(resource["path"]).decode(), newline="")))
            assert rows[0] == [f["name"] for f in resource["schema"]["fields"]]
            assert not any(c.startswith(("=", "@")) for row in rows for c in row)
        run = next(r for r in about["resources"] if r["name"] == "run-0001")
        fields = {f["name"]: f for f in run["schema"]["fields"]}
        assert fields["Die"]["unit"] == "degC" and fields["Die"]["role"] == "die" and fields["time_s"]["unit"] == "s"
    got = unpack_study(tmp_path / "p.zip", elsewhere)
    assert elsewhere.study(got).live_candidates[0].name == "=1+1 <b>é😀"


def changed(source: Path, target: Path, name: str, change: Callable[[bytes], bytes], *, keep_sum: bool = True) -> Path:
    """A package with one file changed; its checksum is made right, so that what is in it is looked at."""
    import hashlib

    with zipfile.ZipFile(source) as old:
        files = {n: old.read(n) for n in old.namelist()}
    files[name] = change(files[name])
    if keep_sum and name != "datapackage.json":
        about = json.loads(files["datapackage.json"])
        for r in about["resources"]:
            r["hash"] = f"sha256:{hashlib.sha256(files[r['path']]).hexdigest()}"
        files["datapackage.json"] = json.dumps(about).encode()
    with zipfile.ZipFile(target, "w", zipfile.ZIP_DEFLATED) as new:
        for n, data in files.items():
            new.writestr(n, data)
    return target


@pytest.mark.parametrize(
    ("name", "change", "said"),
    [
        ("tables/mount.csv", lambda d: d.replace(b"\n1,1,", b"\n1,77,", 1), "names 77, which is not in the package"),
        ("tables/run.csv", lambda d: d.replace(b",2400,", b",many,") if b",2400," in d else d.replace(b"true", b"perhaps"), "is no"),
        ("tables/study.csv", lambda d: b"\n".join(d.split(b"\n")[:1]) + b"\n", "study_id names 1, which is not in the package"),
        ("tables/candidate.csv", lambda d: d + b"1,2\n", "it has 2 cells"),
        ("tables/study.csv", lambda d: d.replace(b",0.95,", b",95.0,"), "its confidence is out of all bounds"),
        ("tables/study.csv", lambda d: d.replace(b",block,", b",rocket,"), "its under test is “rocket”"),
        ("tables/candidate.csv", lambda d: b"\xff\xfe" + d, "cannot be read"),
        ("runs/0001.csv", lambda d: d.replace(b"\n2.0,", b"\n0.0,", 1), "its times do not rise"),
        ("runs/0001.csv", lambda d: d.split(b"\n")[0] + b"\n", "which is none or too many"),
        ("runs/0001.csv", lambda d: d.replace(b"\n2.0,", b"\ninf,", 1), "do not rise"),
        ("datapackage.json", lambda d: d.replace(b'"format": 1', b'"format": 99'), "written by a newer Kuffin"),
        ("datapackage.json", lambda d: b"{}", "does not say that it is a study"),
        ("datapackage.json", lambda d: d.replace(b'"mount"', b'"mounts"', 1), "lacks “mount”"),
    ],
)  # fmt: skip
def test_a_bad_package_is_refused_in_a_sentence_and_nothing_of_it_stays(
    book: Notebook, elsewhere: Notebook, tmp_path: Path, name: str, change: Callable[[bytes], bytes], said: str
) -> None:
    package_study(book, 1, tmp_path / "p.zip")
    bad = changed(tmp_path / "p.zip", tmp_path / "bad.zip", name, change)
    with pytest.raises(KuffinError) as error:
        unpack_study(bad, elsewhere)
    assert said in str(error.value) and "bad.zip" in str(error.value)
    assert elsewhere.studies() == [] and shelfedits.parts(elsewhere) == []


def test_paths_that_lead_out_bombs_and_what_was_changed_on_the_way(
    book: Notebook, elsewhere: Notebook, tmp_path: Path
) -> None:
    package_study(book, 1, tmp_path / "p.zip")
    for path in ("../evil.csv", "/etc/evil.csv", "a/../../evil.csv", "C:/evil.csv"):
        bad = tmp_path / "out.zip"
        bad.write_bytes((tmp_path / "p.zip").read_bytes())
        with zipfile.ZipFile(bad, "a") as packed:
            packed.writestr(zipfile.ZipInfo(path), "x")
        with pytest.raises(KuffinError, match="leads out of it"):
            unpack_study(bad, elsewhere)
    bomb = tmp_path / "bomb.zip"
    bomb.write_bytes((tmp_path / "p.zip").read_bytes())
    with zipfile.ZipFile(bomb, "a", zipfile.ZIP_DEFLATED) as packed:
        packed.writestr("runs/9999.csv", b"0" * 60_000_000)
    with pytest.raises(KuffinError, match="would grow 400 times"):
        unpack_study(bomb, elsewhere)
    changed(tmp_path / "p.zip", tmp_path / "c.zip", "runs/0001.csv", lambda d: d.replace(b"4", b"5", 1), keep_sum=False)
    with pytest.raises(KuffinError, match="not as it was sent"):
        unpack_study(tmp_path / "c.zip", elsewhere)
    (tmp_path / "half.zip").write_bytes((tmp_path / "p.zip").read_bytes()[:5000])
    with pytest.raises(KuffinError, match="is no data package"):
        unpack_study(tmp_path / "half.zip", elsewhere)
    assert elsewhere.studies() == []


def test_on_the_command_line(book: Notebook, tmp_path: Path, capsys: pytest.CaptureFixture[str]) -> None:
    path, target, other = book.path, tmp_path / "p.zip", tmp_path / "new.kuffin"
    book.close()
    assert main(["package", str(path), "--study", "no such", "--out", str(target)]) == 2 and not target.exists()
    assert main(["package", str(path), "--study", "which block?", "--out", str(target)]) == 0
    assert main(["unpack", str(target), str(other)]) == 0
    assert "Plover keeps the die" in capsys.readouterr().out
    target.write_bytes(b"no zip")
    assert main(["unpack", str(target), str(tmp_path / "none.kuffin")]) == 2
    assert not (tmp_path / "none.kuffin").exists() and "is no data package" in capsys.readouterr().err


def test_a_study_without_a_run_has_nothing_to_send(tmp_path: Path) -> None:
    with closing(Notebook.create(tmp_path / "n.kuffin")) as book:
        edits.add_study(book, "Which?", "block", ["Tern", "Plover"], 1.0)
        with pytest.raises(KuffinError, match="nothing to send"):
            package_study(book, 1, tmp_path / "p.zip")
        assert not (tmp_path / "p.zip").exists()


def test_the_same_names_on_a_shelf_are_told_apart(book: Notebook, elsewhere: Notebook, tmp_path: Path) -> None:
    package_study(book, 1, tmp_path / "p.zip")
    unpack_study(tmp_path / "p.zip", elsewhere)
    edits.add_logs(book, 1, [edits.NewRun("Tern", replace(log("Tern", 9), file="more.csv"), round=4)])
    package_study(book, 1, tmp_path / "q.zip")
    unpack_study(tmp_path / "q.zip", elsewhere)
    assert sorted(p.name for p in shelfedits.parts(elsewhere)) == ["Plover", "Plover (2)", "Tern", "Tern (2)"]
