"""Several devices, several tests of a mount, in the window: logs are dropped, told apart, judged, mended."""

from __future__ import annotations

import datetime as dt
from collections.abc import Callable
from pathlib import Path

import pytest
from PySide6.QtWidgets import QDialog

from kuffin.app.desks.compare.outcomespage import OutcomesPage
from kuffin.app.desks.plan.question import QuestionPage
from kuffin.app.dialogs.channels import Channels
from kuffin.app.frame.window import MainWindow
from kuffin.notebook import edits
from kuffin.simulated.hydraulics import Pump
from kuffin.simulated.room import Room
from kuffin.simulated.severaldevices import Heated, record_several
from kuffin.simulated.station import Block, LoadPlan, Radiator, RunPlan, as_csv
from tests.app.driving import with_dialog

Wait = Callable[[], None]
TESTS = (("card", 20.0, 240.0), ("both", 140.0, 240.0))


@pytest.fixture(scope="module")
def logs(tmp_path_factory: pytest.TempPathFactory) -> Path:
    """Two blocks for the card, two mounts each, with the processor idle and under load."""
    folder, at = tmp_path_factory.mktemp("logs"), dt.datetime(2026, 4, 14, 9)
    for seed, (name, mount) in enumerate((n, m) for n in ("Plover", "Knot") for m in (1, 2)):
        for test, processor_w, card_w in TESTS:
            plan = RunPlan(
                radiator=Radiator(name="Reed", k_w=0.03),
                block=Block(name="none"),
                load=LoadPlan(name="none", power_w=0),
                room=Room(start_c=21.5, drift_k_h=0.2, wander_k=0.1),
                start=at,
                pump_speed=0.8,
            )
            heated = [
                Heated(
                    device="processor",
                    block=Block(name="Tern", r0_k_w=0.03, paste_k_w=0.06),
                    load=LoadPlan(name="long mix", power_w=processor_w),
                ),
                Heated(
                    device="card",
                    block=Block(name=name, r0_k_w=0.025, paste_k_w=0.05 + 0.012 * (name == "Knot")),
                    load=LoadPlan(name="batch", power_w=card_w),
                ),
            ]
            table, _ = record_several(plan, heated, Pump(), seed, "x")
            (folder / f"{name.lower()}_{test}_{mount}.csv").write_text(as_csv(table))
            at += dt.timedelta(minutes=65)
        at += dt.timedelta(minutes=40)
    return folder


@pytest.fixture
def told(window: MainWindow, at_rest: Wait, tmp_path: Path, logs: Path) -> MainWindow:
    """All logs added to an empty notebook, with what Kuffin proposes and what it asks for."""
    window.notebooks.create(tmp_path / "new.kuffin")
    window.studies.begin_study("Which block keeps the card cooler?", "block", ["Plover", "Knot"], 0.5, 2)
    at_rest()
    window.studies.add_logs([str(logs)])
    at_rest()
    dialog = window.importer.dialog
    assert dialog is not None
    assert {(log.candidate, log.mount.round, log.condition) for log in dialog.logs if log.mount} == {
        (n, m, t) for n in ("Plover", "Knot") for m in (1, 2) for t, _, _ in TESTS
    }
    assert dialog.cooled.isVisible() and dialog.cooled.about.currentData() == "card"
    dialog.cooled.loop.setCurrentText("processor, then card")
    dialog.accept()
    at_rest()
    return window


def test_dropped_logs_become_tests_of_mounts_and_a_verdict_by_the_cards_own_power(
    told: MainWindow, at_rest: Wait
) -> None:
    v = told.state.verdict
    assert v is not None and v.mounts == 4
    assert [c.name for c in v.conditions] == ["card", "both"]
    assert "Plover keeps the card’s die" in told.header.verdict.text()
    mounts = told.state.mounts()
    assert [len(m.live_runs) for m in mounts] == [2, 2, 2, 2]
    for reading in v.main.readings:  # block and paste: 0.075 and 0.087 K/W, with what the flow adds
        own = v.results[reading.runs[0]]
        assert own.device == "card" and set(own.devices) == {"processor"}
        assert own.heat_w == pytest.approx((own.power_w or 0) + (own.devices["processor"].power_w or 0))
    told.open_mount(mounts[0].id)
    told.show_desk("Inspect")
    at_rest()
    assert told.inspect.tests.isVisible() and told.inspect.tests.count() == 2
    told.inspect.tests.setCurrentIndex(1)
    told.inspect.tests.activated.emit(1)
    at_rest()
    run = told.state.run()
    assert run is not None and run.condition == "both"
    told.inspect.paged.go("heat")
    at_rest()
    assert [f.label for f in told.inspect.heat.shown()] == ["Plover, round 1: card", "Plover, round 1: processor"]
    told.show_desk("Compare")
    told.compare.paged.go("outcomes")
    at_rest()
    (conditions,) = told.findChildren(OutcomesPage)
    said = conditions.one_another.text()
    assert "in the processor warm the coolant at the card by" in said
    told.show_desk("Plan")
    at_rest()
    (page,) = told.findChildren(QuestionPage)
    assert page.asked_about.isVisible() and "the loop cools processor, then card" in page.device_said.text()
    page.device.setCurrentIndex(page.device.findData("processor"))
    page.device.activated.emit(page.device.currentIndex())
    at_rest()
    assert told.state.verdict is not None
    assert {r.device for r in told.state.verdict.results.values()} == {"processor"}


def test_logs_that_do_not_say_their_mount_are_asked_for_and_mended_afterwards(
    window: MainWindow, at_rest: Wait, tmp_path: Path, logs: Path
) -> None:
    window.notebooks.create(tmp_path / "new.kuffin")
    window.studies.begin_study("Which block keeps the card cooler?", "block", ["Plover"], 0.5, 2)
    at_rest()
    for i, name in enumerate(("plover_card_1", "plover_both_1")):
        (tmp_path / f"plover{' copy' * i}.csv").write_text((logs / f"{name}.csv").read_text())
    window.studies.add_logs([str(tmp_path / "plover.csv"), str(tmp_path / "plover copy.csv")])
    at_rest()
    dialog = window.importer.dialog
    assert dialog is not None
    assert not dialog.add.isEnabled() and "still without a mount" in dialog.missing.text()
    dialog.table.a_mount_each()
    assert dialog.add.isEnabled()
    dialog.accept()
    at_rest()
    first, second = window.state.mounts()
    notebook = window.state.notebook
    assert notebook is not None and window.state.verdict is not None and window.state.verdict.mounts == 2
    tests = {first.live_runs[0].id: "card", second.live_runs[0].id: "both"}
    edits.one_mount(notebook, first.id, {run: edits.ToldCondition(name) for run, name in tests.items()})
    at_rest()
    (one,) = window.state.mounts()
    assert {r.id: r.condition for r in one.live_runs} == tests
    assert window.state.verdict.mounts == 1
    window.notebooks.undo()
    at_rest()
    assert len(window.state.mounts()) == 2


def test_the_next_thing_leads_to_the_channels_that_are_not_told_and_mends_all_logs_at_once(
    window: MainWindow, at_rest: Wait, tmp_path: Path
) -> None:
    rows = "\n".join(
        f"{10 * i},{20 + 30 * (i > 30)},{30 + 20 * (i > 30)},{21 + 8 * (i > 30)},21,{5 + 150 * (i > 30)}"
        for i in range(240)
    )
    files = []
    for name in ("tern 1", "tern 2"):
        files.append(tmp_path / f"{name}.csv")
        header = "Time [s],Core die [°C],Card die [°C],Coolant [°C],Room [°C],Card power [W]"
        files[-1].write_text(f"{header}\n{rows}\n{2400 if name[-1] == '1' else 2410},50,50,29,21,155\n")
    window.notebooks.create(tmp_path / "new.kuffin")
    window.studies.begin_study("Which block?", "block", ["Tern", "Plover"], 0.5, 2)
    at_rest()
    window.studies.add_logs([str(f) for f in files])
    at_rest()
    assert window.importer.dialog is not None
    window.importer.dialog.table.a_mount_each()
    window.importer.dialog.accept()
    at_rest()
    step = window.header.step
    assert (
        step is not None and "say what its channels are" in step.label and "“Core die” does not say whose" in step.hint
    )

    def tell(dialog: QDialog) -> None:
        assert isinstance(dialog, Channels) and dialog.alike.isChecked()
        dialog.device_boxes["Core die"].setCurrentText("processor")
        dialog.accept()

    with_dialog(lambda: window.header.next.click(), tell)
    at_rest()
    owners = [{c.name: c.device for c in m.live_runs[0].channels}["Core die"] for m in window.state.mounts()]
    assert owners == ["processor", "processor"]
    assert window.header.step is not None and "its channels" not in window.header.step.label
    assert window.state.study is not None
    edits.change_study(window.state.notebook, window.state.study.id, "ask about the board", device="board")
    at_rest()
    assert "say whose die is asked about" in window.header.step.label
    window.header.next.click()
    assert window.plan.isVisible() and window.plan.question.device.isVisible()
    window.notebooks.undo()
    window.notebooks.undo()
    at_rest()
    assert not any(c.device for m in window.state.mounts() for c in m.live_runs[0].channels if c.name == "Core die")


def test_what_is_told_at_import_is_one_step_and_a_log_is_read_again_beside_the_window(
    window: MainWindow, at_rest: Wait, tmp_path: Path, logs: Path
) -> None:
    window.notebooks.create(tmp_path / "new.kuffin")
    window.studies.begin_study("Which block keeps the card cooler?", "block", ["Plover", "Knot"], 0.5, 2)
    at_rest()
    window.studies.add_logs([str(logs / "plover_card_1.csv"), str(logs / "plover_both_1.csv")])
    at_rest()
    dialog = window.importer.dialog
    assert dialog is not None and not dialog.details.reading
    line = dialog.table.line(0)
    line.setText("driver 12.4; power limit")
    assert not dialog.add.isEnabled() and "power limit" in dialog.missing.text()
    line.setText("driver 12.4; power limit 240 W")
    line.editingFinished.emit()
    assert [log.settings for log in dialog.logs] == [{"driver": "12.4", "power_limit_w": 240.0}, {}]
    dialog.details.decimal.activated.emit(0)
    assert dialog.details.reading and not dialog.add.isEnabled()
    at_rest()
    assert not dialog.details.reading and dialog.add.isEnabled()
    dialog.cooled.loop.setCurrentText("processor, then card")
    dialog.accept()
    at_rest()
    (mount,) = [m for m in window.state.mounts() if m.live_runs]
    assert {r.condition: r.settings.get("driver") for r in mount.live_runs} == {"card": "12.4", "both": None}
    notebook = window.state.notebook
    assert notebook is not None and window.state.study is not None and window.state.study.bench_id is not None
    assert notebook.undo_label == "add 2 logs"
    window.notebooks.undo()
    at_rest()
    assert window.state.study.bench_id is None and not any(m.live_runs for m in window.state.mounts())
