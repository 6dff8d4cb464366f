"""The bench of this computer, as the person has set it up."""

from __future__ import annotations

from pathlib import Path

from platformdirs import user_config_dir, user_log_dir

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.bench.protocol import Step
from kuffin.core.bench.roles import missing_signals
from kuffin.core.compare.pairwords import several
from kuffin.instruments.configured import ConfiguredInstrument
from kuffin.instruments.setup import BenchSetup, load_setup
from kuffin.recording.loads import LoadByCommand, LoadByHand, LoadControl
from kuffin.recording.openbench import OpenBench


def usual_place() -> Path:
    """Where this computer's bench settings are kept."""
    return Path(user_config_dir("kuffin")) / "bench.json"


def open_this_bench(steps: tuple[Step, ...], settings: Path | None = None) -> OpenBench:
    """Open the instruments that are set up on this computer.

    Raises
    ------
    BenchError
        Where there are none.
    """
    setup = load_setup(settings or usual_place())
    instruments = [ConfiguredInstrument(i) for i in setup.instruments if i.channels]
    if not instruments:
        raise BenchError("no instruments are set up on this computer; find them on the Bench page")
    return OpenBench(
        name="this computer's instruments", instruments=instruments, load=load_for(setup, steps), interval_s=setup.row_s
    )


def load_for(setup: BenchSetup, steps: tuple[Step, ...]) -> LoadControl:
    """Commands where every load of the steps has one in the person's settings; else the person starts them."""
    wanted = {s.load for s in steps if s.load}
    if wanted and wanted <= {name for name, command in setup.loads.items() if command.strip()}:
        return LoadByCommand(setup.loads, Path(user_log_dir("kuffin")) / "load.log")
    return LoadByHand()


def set_up_words(steps: tuple[Step, ...], settings: Path) -> tuple[str, bool]:
    """What is set up on this computer, in words, and whether one can record from it."""
    try:
        setup = load_setup(settings)
    except BenchError as error:
        return str(error), False
    channels = setup.channels
    if not channels:
        return tr("No instruments are set up on this computer yet: find them on the Bench page."), False
    read = len([i for i in setup.instruments if i.channels])
    words = tr(
        "{channels} of {instruments}.",
        channels=several(len(channels), "channel"),
        instruments=several(read, "instrument"),
    )
    missing = [tr(s.level) for s in missing_signals({c.role for c in channels})]
    if missing:
        words += tr(" No channel tells {missing}: what rests on it cannot be said.", missing=tr(" or ").join(missing))
    wanted = sorted({s.load for s in steps if s.load})
    lacking = [w for w in wanted if not setup.loads.get(w, "").strip()]
    if lacking:
        named = ", ".join(f"“{w}”" for w in lacking)
        words += tr(
            " This notebook asks for the load {named}; a notebook may run nothing, so start it by hand when asked, or set a command for it on the Bench page.",
            named=named,
        )
    words = " ".join([words, *(f"{s}." for s in setup.set_aside)])
    return words[:1].upper() + words[1:], True
