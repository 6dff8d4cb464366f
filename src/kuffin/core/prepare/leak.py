"""The leak test with air: pressure made free of temperature, its trend, and what the test could have shown."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from kuffin.core.base.errors import BenchError
from kuffin.core.base.language import tr
from kuffin.core.base.student import t_quantile

ATMOSPHERE_KPA = 101.325
USUAL_LIMIT_KPA = 1.0  # in 15 minutes
_SURE = 0.9999  # a tight loop must not fail
_WEATHER_KPA_PER_S = 0.1 / 3600  # what the weather does to a gauge in an hour
_SETTLE_S = 180.0  # air that was pumped in is warm, and cools


@dataclass(frozen=True, kw_only=True)
class LeakTest:
    """What a hold says.

    Attributes
    ----------
    verdict : str
        ``pass``, ``fail`` or ``hold``.
    loss_kpa : float
        What is lost in 15 minutes, freed from temperature (negative: the pressure rises).
    half_width_kpa : float
        Of that; statistics at 99.99 % and all that gauge, temperature and weather could do.
    smallest_kpa, smallest_ml_min : float
        The smallest leak that this test would surely have shown, per 15 minutes, and in mL of air a minute.
    needed_s : float or None
        How long the hold must be in all until it can pass; None where it can already, or failed.
    corrected_kpa : ndarray, shape (n,)
        Pressure over air, as it would be at the first temperature.
    """

    verdict: str
    sentence: str
    loss_kpa: float
    half_width_kpa: float
    smallest_kpa: float
    smallest_ml_min: float
    needed_s: float | None
    times_s: NDArray[np.float64]
    corrected_kpa: NDArray[np.float64]


def highest_pressure(allowed: Mapping[str, float | None]) -> tuple[float | None, str, list[str]]:
    """The lowest of the pressures that the parts' makers allow, whose it is, and which parts say nothing."""
    known = {name: kpa for name, kpa in allowed.items() if kpa is not None}
    silent = [name for name, kpa in allowed.items() if kpa is None]
    if not known:
        return None, "", silent
    weakest = min(known, key=lambda n: known[n])
    return known[weakest], weakest, silent


def judge_leak(
    times_s: NDArray[np.float64],
    gauge_kpa: NDArray[np.float64],
    temperature_c: NDArray[np.float64] | None,
    *,
    volume_ml: float,
    gauge_count_kpa: float = 0.1,
    limit_kpa: float = USUAL_LIMIT_KPA,
) -> LeakTest:
    """Judge a hold.

    In a tight loop absolute pressure over absolute temperature is constant, so the trend of ``p·T0/T`` is the leak.
    The half-width of the trend adds to the fit's own interval what a coarse gauge (1.5 counts), a thermometer that
    feels the air inside only partly (0.3 of the change, and 0.1 K) and the weather (0.1 kPa an hour) could do. Below
    it a loss fails the loop; twice it is the smallest leak that the test would surely have shown, and must be within
    the limit for a pass.

    Parameters
    ----------
    times_s, gauge_kpa : ndarray, shape (n,)
        Pressure over air.
    temperature_c : ndarray, shape (n,), or None
        At the loop; without it 1 K of unknown change is allowed for.
    volume_ml : float
        Of air in the loop under test.
    gauge_count_kpa : float
        The gauge's smallest step.
    limit_kpa : float
        The loss in 15 minutes that may still pass.

    Raises
    ------
    BenchError
        With fewer than four readings, or times that do not run on, or sizes that make no sense.
    """
    t = np.asarray(times_s, dtype=float)
    p = np.asarray(gauge_kpa, dtype=float)
    good = np.isfinite(t) & np.isfinite(p)
    temperature = None if temperature_c is None else np.asarray(temperature_c, dtype=float)
    if temperature is not None:
        good &= np.isfinite(temperature)
        temperature = temperature[good]
    t, p = t[good], p[good]
    if t.size < 2 or np.any(np.diff(t) <= 0):
        raise BenchError("give at least two pressures, each later than the one before")
    if volume_ml <= 0 or limit_kpa <= 0 or gauge_count_kpa < 0:
        raise BenchError("volume and limit must be above zero")
    if np.any(p < -ATMOSPHERE_KPA):
        raise BenchError("a pressure that far below the air's is none; type it as kPa over air")
    kelvin = np.full(t.size, 295.0) if temperature is None else temperature + 273.15
    corrected = (p + ATMOSPHERE_KPA) * kelvin[0] / kelvin - ATMOSPHERE_KPA
    use = t - t[0] >= min(_SETTLE_S, 0.25 * (t[-1] - t[0])) if t.size > 5 else np.ones(t.size, bool)
    slope, statistical = _trend(t[use], corrected[use])
    span = float(t[use][-1] - t[use][0])
    change_k = 1.0 if temperature is None else 0.3 * float(np.ptp(temperature[use])) + 0.1
    level = float(np.mean(p)) + ATMOSPHERE_KPA
    fixed = 1.5 * gauge_count_kpa + change_k * level / float(np.mean(kelvin))
    half = statistical + fixed / span + _WEATHER_KPA_PER_S
    quarter = 900.0
    loss, half_loss, smallest = -slope * quarter, half * quarter, 2 * half * quarter
    ml_min = volume_ml * (smallest / 15) / ATMOSPHERE_KPA
    needed: float | None = None
    if loss > half_loss and p.size >= 4:
        verdict = "fail"
        words = tr(
            "It leaks: {loss:.2f} ± {half_loss:.2f} kPa are lost in 15 minutes after taking temperature out. Let the pressure off, find the place (fittings first) with soapy water, and test again. Do not fill it",
            loss=loss,
            half_loss=half_loss,
        )
    elif -loss > half_loss and p.size >= 4:
        verdict = "hold"
        words = tr(
            "The pressure rises by more than temperature explains: is the pump still connected, or is the loop warming where the thermometer is not? Close it off and hold on"
        )
    elif smallest <= limit_kpa and p.size >= 4:
        verdict = "pass"
        words = tr(
            "Tight, as far as this test can tell: it would have shown a loss of {smallest:.2f} kPa in 15 minutes ({ml_min:.2f} mL of air a minute)",
            smallest=smallest,
            ml_min=ml_min,
        )
    else:
        verdict = "hold"
        needed = _time_needed(t, statistical, fixed, limit_kpa)
        if needed is None:
            words = tr(
                "This gauge cannot show a loss as small as {limit_kpa:g} kPa in 15 minutes; use a finer one, keep the temperature steadier, or allow more",
                limit_kpa=limit_kpa,
            )
        else:
            words = tr(
                "Hold on, about {minutes:.0f} min more: so far a loss under {smallest:.2f} kPa in 15 minutes could hide",
                minutes=max(needed - (t[-1] - t[0]), 60) / 60,
                smallest=smallest,
            )
    return LeakTest(
        verdict=verdict,
        sentence=words + ".",
        loss_kpa=loss,
        half_width_kpa=half_loss,
        smallest_kpa=smallest,
        smallest_ml_min=ml_min,
        needed_s=needed,
        times_s=t,
        corrected_kpa=corrected,
    )


def _trend(t: NDArray[np.float64], y: NDArray[np.float64]) -> tuple[float, float]:
    """Slope by least squares and its half-width, widened for readings that hang together."""
    x = t - t.mean()
    sxx = float(x @ x)
    slope = float(x @ (y - y.mean()) / sxx)
    if t.size < 4:
        return slope, float("inf")
    rest = y - y.mean() - slope * x
    df = t.size - 2
    variance = float(rest @ rest) / df
    together = float(rest[:-1] @ rest[1:] / (rest @ rest)) if variance > 0 else 0.0
    widen = np.sqrt((1 + together) / (1 - together)) if 0 < together < 0.95 else (1.0 if together <= 0 else 6.0)
    return slope, float(t_quantile(_SURE, df) * np.sqrt(variance / sxx) * widen)


def _time_needed(t: NDArray[np.float64], statistical: float, fixed: float, limit_kpa: float) -> float | None:
    """How long a hold must be until twice its half-width is within the limit: fixed parts fall as 1/t, noise as t^-1.5."""
    wanted = limit_kpa / 900 / 2
    span = float(t[-1] - t[0])
    for minutes in range(2, 24 * 60):
        long = minutes * 60.0
        if long <= span:
            continue
        noise = statistical * (span / long) ** 1.5 if np.isfinite(statistical) else 0.0
        if noise + fixed / (0.9 * long) + _WEATHER_KPA_PER_S <= wanted:
            return long
    return None
