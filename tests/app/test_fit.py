"""Plan · Does it fit?, from sizes that are written on the Shelf to the published page."""

from __future__ import annotations

from collections.abc import Callable

from PySide6.QtWidgets import QLabel

from kuffin.app.frame.window import MainWindow
from kuffin.notebook import shelf
from kuffin.publish.page.material import gather
from kuffin.publish.page.setting import fits
from kuffin.verdict.value import whole_price
from tests.app.test_compare_pages import open_study

Wait = Callable[[], None]


def test_what_does_not_fit_is_said_mended_and_published(demo_window: MainWindow, at_rest: Wait) -> None:
    window, state = demo_window, demo_window.state
    open_study(window, "Blocks, late winter", at_rest)
    window.show_desk("Plan")
    window.plan.go("fit")
    at_rest()
    page = window.plan.fit
    assert page.said.text().startswith("Plover does not fit.")
    assert "does not clear memory over 40 mm" in page.told.text() and "With Moor instead of Heath" in page.told.text()
    published = "\n".join(str(b) for b in fits(gather(state.notebook, state.verdict)))
    assert "does not clear memory over 40 mm" in published and "Alike for all" in published
    plover = next(p for p in shelf.parts(state.notebook) if p.name == "Plover")
    shelf.change_part(
        state.notebook, plover.id, "measure it again", fields={**plover.fields, "memory_clearance_mm": 45.0}
    )
    state.refresh()
    at_rest()
    assert "Plover does not fit" not in page.said.text()
    cells = " ".join(w.text() for w in page.table.findChildren(QLabel))
    assert "fits, 3 mm to spare" in cells and "not known" in cells


def test_a_study_without_sizes_says_what_to_write_where(demo_window: MainWindow, at_rest: Wait) -> None:
    open_study(demo_window, "Pads, spring", at_rest)
    demo_window.show_desk("Plan")
    demo_window.plan.go("fit")
    at_rest()
    page = demo_window.plan.fit
    assert page.empty.isVisible() and "Write sizes down on the Shelf" in page.empty.text() and not page.said.isVisible()


def test_an_adapter_is_in_the_whole_price_and_a_case_is_not(demo_window: MainWindow, at_rest: Wait) -> None:
    open_study(demo_window, "Radiators, spring", at_rest)
    state = demo_window.state

    def price() -> float | None:
        study = state.study
        bench = next(b for b in shelf.benches(state.notebook) if b.id == study.bench_id)
        return whole_price(study, "Reed", bench, shelf.parts(state.notebook), "EUR")[0]

    before = price()
    part = shelf.add_part(state.notebook, "adapter", "Sluice", fields={"thread": "G1/4"}, price=4.5, currency="EUR")
    bench = next(b for b in shelf.benches(state.notebook) if b.id == state.study.bench_id)
    shelf.change_bench(state.notebook, bench.id, "an adapter", settings={**bench.settings, "adapter": part})
    state.refresh()
    assert before is not None and price() == before + 4.5
