"""Tables out: they hold what the verdict says, and Kuffin's own command can read them."""

from __future__ import annotations

import csv
import io
import json
from pathlib import Path

import pytest

from kuffin.cli import main
from kuffin.notebook import answering
from kuffin.notebook.store import Notebook
from kuffin.publish.tables import as_csv, as_json, finding_rows, readings_rows, verdict_rows
from kuffin.verdict.study import StudyVerdict, judge


@pytest.fixture
def verdict(demo_notebook: Notebook) -> StudyVerdict:
    return judge(demo_notebook, demo_notebook.study(1))


def test_readings_compared_by_the_command_give_the_windows_verdict(
    verdict: StudyVerdict, tmp_path: Path, capsys: pytest.CaptureFixture[str]
) -> None:
    path = tmp_path / "readings.csv"
    path.write_text(as_csv(readings_rows(verdict)), encoding="utf-8")
    code = main(
        [
            "compare",
            str(path),
            "--response",
            "coolant_over_air_per_watt [K]",
            "--by",
            "candidate",
            "--unit",
            "mount",
            "--round",
            "round",
            "--margin",
            "0.5",
            "--spread",
            "noticed",  # as the window does
            "--json",
        ]
    )
    told = json.loads(capsys.readouterr().out)
    assert code == 0
    found = verdict.main.comparison
    assert found is not None
    for pair in told["pairs"]:
        ours = found.pair(pair["a"], pair["b"])
        sign = 1 if ours.a == pair["a"] else -1
        assert pair["difference"] == pytest.approx(sign * ours.difference)
        assert pair["p"] == pytest.approx(ours.p, abs=1e-9)


def test_verdicts_come_with_their_words_for_every_school(verdict: StudyVerdict) -> None:
    rows = list(csv.DictReader(io.StringIO(as_csv(verdict_rows(verdict)))))
    assert len(rows) == 6 * len(verdict.schools)
    assert all(row["in_words"].endswith(".") for row in rows)
    assert as_csv([]) == ""


def test_json_has_no_nan_and_names_the_question(verdict: StudyVerdict) -> None:
    told = json.loads(as_json(verdict), parse_constant=lambda text: pytest.fail(text))
    assert told["question"] == "Which slim radiator keeps booth seven cool?"
    assert len(told["readings"]) == 12
    assert told["school"] == "coolant_over_air_per_watt"


def test_findings_come_with_their_answers(demo_notebook: Notebook) -> None:
    study = demo_notebook.study(2)
    before = judge(demo_notebook, study)
    askew = next(r for r in before.main.readings if (r.candidate, r.round) == ("Marl", 2))
    answering.accept(demo_notebook, askew.mount_id, "Marl, round 2", ["contact"], "to show it")
    rows = list(csv.DictReader(io.StringIO(as_csv(finding_rows(judge(demo_notebook, demo_notebook.study(2)))))))
    told = {(r["candidate"], r["round"], r["kind"]): (r["answer"], r["reason"]) for r in rows}
    assert told["Marl", "2", "contact"] == ("accepted", "to show it")
    assert told["Marl", "2", "core spread"] == ("open", "")
    assert ("", "", "one sample") in told


def test_a_study_tells_its_claims_its_bench_and_its_sentences_in_json(demo_notebook: Notebook) -> None:
    blocks = next(s.id for s in demo_notebook.studies() if "Blocks" in s.name)
    v = judge(demo_notebook, demo_notebook.study(blocks))
    told = json.loads(as_json(v))
    (claim,) = told["claims"]
    assert (claim["judged"], claim["amount"]) == ("refuted", 3.0)
    assert claim["low"] < claim["high"] < 3
    assert told["bench_moved"]["when"] == "between day 2 and day 3" and not told["corrected_by_baseline"]
    assert told["condition"] == "load 240 W" and told["looks"]["after_rounds"] == [2, 4]
    assert len(told["in_words"]) == 11
