"""Print the figures: python -m benchmarks [NAME ...], all of them without a name."""

from __future__ import annotations

import os
import sys

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
os.environ.setdefault("OMP_NUM_THREADS", "1")

from benchmarks import (
    ageing,
    comparing,
    devices,
    findings,
    following,
    forecasting,
    hard_runs,
    hostile,
    imports,
    inspecting,
    kills,
    leaving_out,
    panning,
    planning,
    predicting,
    publishing,
    reading,
    recording,
    scaling,
    settling,
    starting,
    strangers,
    verdicts,
    windows,
)

ALL = {
    "ageing": ageing.report,
    "reading": reading.report,
    "scaling": scaling.report,
    "leaving_out": leaving_out.report,
    "starting": starting.report,
    "panning": panning.report,
    "planning": planning.report,
    "predicting": predicting.report,
    "publishing": publishing.report,
    "forecasting": forecasting.report,
    "recording": recording.report,
    "findings": findings.report,
    "inspecting": inspecting.report,
    "verdicts": verdicts.report,
    "following": following.report,
    "hard_runs": hard_runs.report,
    "hostile": hostile.report,
    "windows": windows.report,
    "comparing": comparing.report,
    "devices": devices.report,
    "imports": imports.report,
    "kills": kills.report,
    "strangers": strangers.report,
    "settling": lambda: settling.report(settling.run(120)),
}

if __name__ == "__main__":
    for name in sys.argv[1:] or list(ALL):
        ALL[name]()
