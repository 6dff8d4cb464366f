"""The command line: thin, over the same core as the window."""

from __future__ import annotations

import argparse
import os
import sys
import warnings
from collections.abc import Callable
from importlib import import_module
from typing import NoReturn

# the matrices here are small: more threads only get in each other's way (set before NumPy is imported)
os.environ.setdefault("OMP_NUM_THREADS", "1")
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")

from kuffin import __version__, commands
from kuffin.commands.terminal import plain_output
from kuffin.core.base.errors import KuffinError, OpenReading


class _Parser(argparse.ArgumentParser):
    """Says what is wrong with a command in one line."""

    def error(self, message: str) -> NoReturn:
        self.exit(2, f"{self.prog}: {message}; see {self.prog} --help\n")


def _later(name: str) -> Callable[[argparse.Namespace], object]:
    """A command that is imported only when it is run."""

    def run(args: argparse.Namespace) -> object:
        return getattr(import_module(f"kuffin.commands.{name}"), name)(args)

    return run


def _how_to_read(parser: argparse.ArgumentParser) -> None:
    """What one says of a log that can be read in two ways."""
    parser.add_argument("--decimal", choices=(".", ","), help="the decimal sign, where the log leaves it open")
    parser.add_argument("--dates", choices=("dm", "md", "ymd"), help="day, month or year first, where it is open")
    parser.add_argument("--time-unit", metavar="UNIT", help="of a clock that names none: ms, s, min, h")


def build_parser() -> argparse.ArgumentParser:
    """The commands and their options."""
    parser = _Parser(
        prog="kuffin",
        description="A bench notebook for people who test cooling parts.",
        usage="%(prog)s [NOTEBOOK.kuffin] [LOG …]\n       %(prog)s COMMAND …",
        epilog="Without a command the window opens: on the last notebook, or on the one that is named, with the logs, recordings or "
        "packages that are named waiting. Each command tells its own options: kuffin COMMAND --help.",
    )
    parser.add_argument("--version", action="version", version=f"kuffin {__version__}")
    choices = parser.add_subparsers(dest="command", prog="kuffin")

    read = choices.add_parser("read", help="what a delimited log holds")
    read.add_argument("log")
    _how_to_read(read)
    read.add_argument("--json", action="store_true")
    read.set_defaults(run=commands.read)

    settle = choices.add_parser("settle", help="when a trace reached equilibrium")
    settle.add_argument("log")
    _how_to_read(settle)
    settle.add_argument("--response", required=True, metavar="COL")
    settle.add_argument("--over", metavar="COL")
    settle.add_argument("--per", metavar="COL")
    settle.add_argument("--load", metavar="COL")
    settle.add_argument("--tolerance", type=float, metavar="X", help="default 0.2 K per 10 minutes")
    settle.add_argument("--json", action="store_true")
    settle.set_defaults(run=commands.settle_log)

    compare = choices.add_parser("compare", help="compare configurations from a tidy table")
    compare.add_argument("table")
    compare.add_argument("--response", required=True, metavar="COL")
    compare.add_argument("--by", required=True, metavar="COL", help="the candidate")
    for name, text in (
        ("--unit", "the mount"),
        ("--sample", "the physical sample"),
        ("--round", "the round"),
        ("--adjust", "numeric covariates, comma between them"),
    ):
        compare.add_argument(name, metavar="COL", help=text)
    compare.add_argument("--reference", metavar="NAME", help="compare every candidate with this one only")
    compare.add_argument("--margin", type=float, metavar="X", help="the smallest difference that matters")
    compare.add_argument("--confidence", type=float, default=0.95, metavar="C")
    compare.add_argument("--better", choices=("lower", "higher"), default="lower")
    compare.add_argument(
        "--spread",
        choices=("pooled", "separate", "moderated", "noticed"),
        default="pooled",
        help="moderated: each candidate its own, drawn towards that of all, as the window does it",
    )
    compare.add_argument(
        "--half-width", metavar="COL", help="each reading's own 95 %% half-width: the scatter is never taken for less"
    )
    compare.add_argument("--along", metavar="COL", help="mounts were swept over this: read each off its own curve")
    compare.add_argument("--at", type=float, metavar="X", help="the place at which mounts are read")
    compare.add_argument(
        "--along-is", choices=("speed", "flow", "level"), default="speed", help="what the sweep goes along"
    )
    compare.add_argument("--csv", metavar="FILE", help="write the pairs as a table")
    compare.add_argument("--picture", metavar="FILE", help="draw the comparison; the name ends in .svg, .png or .pdf")
    compare.add_argument("--json", action="store_true")
    compare.set_defaults(run=_later("compare"))

    flow = choices.add_parser("flow", help="restriction of parts from pairs of flow and pressure drop")
    flow.add_argument("table")
    flow.add_argument("--part", required=True, metavar="COL")
    flow.add_argument("--flow", required=True, metavar="COL")
    flow.add_argument("--drop", required=True, metavar="COL")
    flow.add_argument("--count", metavar="COL", help="how many in series the drop is over")
    flow.add_argument("--flow-accuracy", default="", metavar="X", help="half-width of 95 %%, such as 2%%")
    flow.add_argument("--drop-accuracy", default="", metavar="X", help="such as 1%% + 0.1 kPa")
    flow.add_argument("--at", metavar="Q,Q", help="flows at which drops are told, L/h")
    flow.add_argument("--loop", metavar="A,B", help="the parts of a loop, in series")
    flow.add_argument("--pump", metavar="TABLE", help="a table with speed (%%), flow and head")
    flow.add_argument("--pump-speed", type=float, default=100.0, metavar="S", help="per cent of full speed")
    flow.add_argument("--json", action="store_true")
    flow.set_defaults(run=_later("flow"))

    sound = choices.add_parser("sound", help="levels and tones of a recording")
    sound.add_argument("recording")
    sound.add_argument("--calibration", metavar="FILE", help="a recording of a calibrator's tone")
    sound.add_argument("--level", type=float, default=94.0, metavar="DB", help="the calibrator's level, default 94 dB")
    sound.add_argument(
        "--calibration-gain",
        type=float,
        default=0.0,
        metavar="DB",
        help="how much higher it was recorded than the rest; negative: lower",
    )
    sound.add_argument("--background", metavar="FILE", help="a recording of the place with everything off")
    sound.add_argument("--json", action="store_true")
    sound.set_defaults(run=_later("sound"))

    plan = choices.add_parser("plan", help="how many mounts a question takes")
    plan.add_argument("--candidates", type=int, required=True, metavar="K")
    plan.add_argument("--sd", type=float, required=True, metavar="S")
    plan.add_argument("--difference", type=float, required=True, metavar="D")
    plan.add_argument("--power", type=float, default=0.8)
    plan.add_argument("--confidence", type=float, default=0.95)
    plan.add_argument("--reference", action="store_true")
    plan.add_argument("--rounds", action="store_true", help="rounds are taken out as blocks, as in a drawn order")
    plan.add_argument("--json", action="store_true")
    plan.set_defaults(run=commands.plan)

    record = choices.add_parser("record", help="record a study's next run without a window")
    record.add_argument("notebook")
    record.add_argument("--study", required=True, metavar="NAME")
    record.add_argument("--candidate", required=True, metavar="NAME")
    record.add_argument("--bench", metavar="NAME", help="“simulated” for the one that ships; default: the study's")
    record.add_argument("--speed", type=float, default=1.0, metavar="X", help="of the simulated bench")
    record.add_argument("--json", action="store_true", help="one line of JSON a second")
    record.set_defaults(run=commands.record)

    package = choices.add_parser("package", help="a study's raw data as a data package, for another lab")
    package.add_argument("notebook")
    package.add_argument("--study", required=True, metavar="NAME")
    package.add_argument("--out", required=True, metavar="FILE.zip")
    package.add_argument(
        "--everything", action="store_true", help="with notes, prices, samples' labels, logs' paths and own marks"
    )
    package.set_defaults(run=commands.package)

    report = choices.add_parser("report", help="a study's page, figures and tables, into a folder")
    report.add_argument("notebook")
    report.add_argument("--study", required=True, metavar="NAME")
    report.add_argument("--out", required=True, metavar="FOLDER")
    report.add_argument("--theme", choices=("light", "dark"), default="light")
    report.add_argument("--json", action="store_true")
    report.set_defaults(run=commands.report)

    predict = choices.add_parser("predict", help="what a candidate would do at another power, room, fan or pump")
    predict.add_argument("notebook")
    predict.add_argument("--study", required=True, metavar="NAME")
    predict.add_argument("--candidate", required=True, metavar="NAME")
    predict.add_argument(
        "--power", metavar="W[,W]", help="of the device asked about; further ones heat the coolant too"
    )
    predict.add_argument("--air", type=float, metavar="C", help="the room")
    predict.add_argument("--fan", type=float, metavar="PERCENT", help="the fans' setting")
    predict.add_argument("--pump", type=float, metavar="PERCENT", help="the pump's setting")
    predict.add_argument("--part", metavar="NAME", help="another radiator, block …, which another study measured")
    predict.add_argument("--coolant", metavar="NAME", help="water, or a coolant of the shelf")
    predict.add_argument("--limit", type=float, metavar="C", help="tell the highest power at this temperature")
    predict.add_argument("--json", action="store_true")
    predict.set_defaults(run=_later("predict"))

    unpack = choices.add_parser("unpack", help="put a data package's study into a notebook")
    unpack.add_argument("package", metavar="FILE.zip")
    unpack.add_argument("notebook", help="made where it is not there")
    unpack.set_defaults(run=commands.unpack)

    demo = choices.add_parser("demo", help="open a fresh copy of the demo notebook")
    demo.add_argument("--write", metavar="FILE", help="write the demo notebook to a file, without a window")
    demo.set_defaults(run=commands.demo)
    desk = choices.add_parser(
        "desktop", help="put Kuffin into your desktop's menu: entry, icons, file type, manual page, completion"
    )
    desk.add_argument("--remove", action="store_true", help="take it away again")
    desk.set_defaults(run=_later("desktop"), parser=parser)
    return parser


def _names_files(argv: list[str]) -> bool:
    """Whether these are files to open: no command has a point in it."""
    return "." in argv[0] and not any(a.startswith("-") for a in argv)


def main(argv: list[str] | None = None) -> int:
    """Run a command, or open the window."""
    with plain_output():
        return _main(argv)


def _main(argv: list[str] | None) -> int:
    argv = sys.argv[1:] if argv is None else argv
    if not os.environ.get("KUFFIN_DEBUG"):
        warnings.simplefilter("ignore")  # one line on standard error is for the person
    try:
        if not argv or _names_files(argv):
            return commands.open_window(argv)
        args = build_parser().parse_args(argv)
        return args.run(args) or 0
    except OpenReading as error:
        print(f"{error}: --{error.asks.replace('_', '-')}", file=sys.stderr)
        return 2
    except KuffinError as error:
        print(" ".join(str(error).split()), file=sys.stderr)
        return 2
    except KeyboardInterrupt:
        return 130
    except BrokenPipeError:
        return 0
    except Exception as error:
        if os.environ.get("KUFFIN_DEBUG"):
            raise
        print(
            f"a fault of Kuffin's own: {type(error).__name__}: {' '.join(str(error).split())}; set KUFFIN_DEBUG=1 to see more",
            file=sys.stderr,
        )
        return 1


if __name__ == "__main__":
    sys.exit(main())
