"""What one waits for at the window: the demo's verdict, another theme, another size of text, another mount on Inspect."""

from __future__ import annotations

import os
import tempfile
import time
from collections.abc import Callable
from pathlib import Path


def report() -> None:
    """Print each in seconds, and over the time that the bare window takes on the same machine."""
    os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
    with tempfile.TemporaryDirectory() as folder:
        os.environ["XDG_CACHE_HOME"] = folder
        _report(Path(folder))


def _report(folder: Path) -> None:
    from shiboken6 import delete

    from kuffin.app.base.settings import Settings
    from kuffin.app.frame.window import MainWindow
    from kuffin.app.look import theme as looks
    from kuffin.app.look.application import application

    app = application()
    looks.apply(app, looks.LIGHT)
    settings = Settings(folder / "window.ini")
    settings.set_value("theme", "light")

    def took(do: Callable[[], object], until: Callable[[], bool] = lambda: True) -> tuple[float, float]:
        """Seconds altogether, and the longest that the window did not answer."""
        begin = last = time.perf_counter()
        do()
        longest = 0.0
        while True:
            app.processEvents()
            now = time.perf_counter()
            longest, last = max(longest, now - last), now
            if until() or now - begin > 120:
                return now - begin, longest
            time.sleep(0.002)
            last = time.perf_counter()

    made: list[MainWindow] = []

    def make() -> None:
        made.append(MainWindow(settings))
        made[0].resize(1280, 800)
        made[0].show()

    bare, _ = took(make)
    window = made[0]
    demo, pause = took(window.notebooks.open_demo, lambda: window.state.verdict is not None)
    print(f"the demo's verdict {demo:.1f} s after the window (aim 3; the longest pause {1000 * pause:.0f} ms)")
    for desk in window.desks:
        took(lambda desk=desk: window.show_desk(desk), lambda: not window.jobs.running)  # type: ignore[misc]
    for label, do in (
        ("dark theme", lambda: window.set_mode("dark")),
        ("light theme", lambda: window.set_mode("light")),
        ("larger text", lambda: window.scale_text(1.1)),
    ):
        whole, pause = took(do)
        print(f"{label}, all desks visited: {whole:.2f} s, {whole / bare:.2f} x making the bare window")
    plot = window.inspect.run_page.plot
    runs = [m.id for m in window.state.mounts() if m.live_runs]

    def drawn() -> bool:
        return plot.isEnabled() and plot.updatesEnabled()

    def idle(seconds: float) -> None:
        begin = time.perf_counter()
        took(lambda: None, lambda: time.perf_counter() - begin > seconds and not window.jobs.running)

    for label, order, looked in (
        ("the mount beside", runs, 0.6),
        ("a mount not read yet", [*runs[::3], *runs[1::3], *runs[2::3]], 0.0),
    ):
        window.open_mount(order[0])
        idle(looked)
        each = []
        for mount in order[1:9]:
            if not looked:
                window.inspect.run_page.views.forget()
            each.append(took(lambda m=mount: window.open_mount(m), drawn))  # type: ignore[misc]
            idle(looked)
        whole, pause = (sorted(x)[len(each) // 2] for x in zip(*each, strict=True))
        print(
            f"{label} on Inspect: {1000 * whole:.0f} ms (aim 100; the best of {len(each)} {1000 * min(each)[0]:.0f} ms), of which the "
            f"window did not answer for {1000 * pause:.0f} ms"
        )
    window.close()
    delete(window)  # or it comes down after Qt, when Python ends


if __name__ == "__main__":
    report()
