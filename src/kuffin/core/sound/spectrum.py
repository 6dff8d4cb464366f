"""Energies of a recording that come in block by block: A-weighted, by third octaves, line by line, and over time.

Blocks are transformed without a window for energies, so that they add up exactly (Parseval), and in overlapping Hann windows for lines.
"""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from kuffin.core.sound.weighting import a_weighting, third_octaves

Array = NDArray[np.float64]
_LINE_S = 0.5  # length of a window for lines: 2 Hz apart
_FAST_S = 0.125  # time constant of the Fast weighting, IEC 61672-1, 3.8
_STEP_S = 1 / 64  # between moments of the level over time


class Energies:
    """Sums over all blocks, in squared units of the recording.

    Attributes
    ----------
    rate : int
        Samples a second.
    samples, peak : int, float
    """

    def __init__(self, rate: int) -> None:
        self.rate = rate
        self.samples = 0
        self.peak = 0.0
        self.clipped = 0
        self._weighted = self._plain = 0.0
        self.bands = third_octaves(0.5 * rate)
        self._in_bands = np.zeros(len(self.bands))
        self._lines = np.zeros(int(_LINE_S * rate) // 2 + 1)
        self._windows = 0
        self.picture_hz, self._cuts = _fine_bands(rate, self._lines.size)
        self._picture: list[Array] = []
        self._rest = np.empty(0)
        self._fast = 0.0
        self._moments: list[Array] = []

    def add(self, block: Array) -> None:
        """Take the next stretch, of any length."""
        n = block.size
        if not n:
            return
        self.samples += n
        self.peak = max(self.peak, float(np.abs(block).max()))
        self.clipped += int((np.abs(block) >= 0.9999).sum())
        power = np.abs(np.fft.rfft(block)) ** 2 / n  # sums to the block's squares over its two sides
        power[1 : (n + 1) // 2] *= 2
        hz = _line_hz(n, self.rate)
        weight = 10 ** (a_weighting(hz) / 10)
        self._plain += float(power.sum())
        self._weighted += float(power @ weight)
        edges = np.searchsorted(hz, [e for _, low, high in self.bands for e in (low, high)])
        total = np.concatenate(([0.0], np.cumsum(power)))
        self._in_bands += total[edges[1::2]] - total[edges[::2]]
        self._add_moments(np.fft.irfft(np.fft.rfft(block) * np.sqrt(weight), n))
        self._add_lines(block)

    def _add_moments(self, weighted: Array) -> None:
        """Mean squares of short steps of the A-weighted signal, through the Fast weighting."""
        step = max(int(_STEP_S * self.rate), 1)
        squares = (weighted[: weighted.size // step * step].reshape(-1, step) ** 2).mean(axis=1)
        keep = float(np.exp(-_STEP_S / _FAST_S))
        out = np.empty(squares.size)
        for i, s in enumerate(squares):
            self._fast = keep * self._fast + (1 - keep) * float(s)
            out[i] = self._fast
        self._moments.append(out)

    def _add_lines(self, block: Array) -> None:
        size = int(_LINE_S * self.rate)
        signal = np.concatenate((self._rest, block))
        window = np.hanning(size + 1)[:-1]
        at = 0
        while at + size <= signal.size:
            lines = np.abs(np.fft.rfft(signal[at : at + size] * window)) ** 2
            lines[1 : (size + 1) // 2] *= 2
            lines /= size * float(window @ window)
            self._lines += lines
            total = np.concatenate(([0.0], np.cumsum(lines)))
            self._picture.append(np.diff(total[self._cuts]))
            self._windows += 1
            at += size // 2
        self._rest = signal[at:]

    @property
    def mean_square(self) -> float:
        """Of the recording as it is."""
        return self._plain / max(self.samples, 1)

    @property
    def weighted(self) -> float:
        """Mean square of the A-weighted recording."""
        return self._weighted / max(self.samples, 1)

    @property
    def in_bands(self) -> Array:
        """Mean square in each third octave, shape (bands,)."""
        return self._in_bands / max(self.samples, 1)

    @property
    def fast(self) -> Array:
        """The A-weighted mean square with the Fast weighting, moment by moment; its first second, in which it settles, is left out."""
        moments = np.concatenate(self._moments or [np.empty(0)])
        return moments[int(1.0 / _STEP_S) :]

    def waterfall(self, most: int = 300) -> tuple[Array, Array]:
        """Moments, s, and the mean square in fine bands (`picture_hz`) at each, shape (moments, bands); no more than so many."""
        if not self._picture:
            return np.empty(0), np.empty((0, self.picture_hz.size))
        rows = np.array(self._picture)
        each = max(int(np.ceil(len(rows) / most)), 1)
        kept = [rows[i : i + each].mean(axis=0) for i in range(0, len(rows), each)]
        return (np.arange(len(kept)) + 0.5) * each * _LINE_S / 2, np.array(kept)

    @property
    def lines(self) -> tuple[Array, Array]:
        """Frequencies, Hz, and the mean square of each line."""
        size = int(_LINE_S * self.rate)
        return _line_hz(size, self.rate), self._lines / max(self._windows, 1)


def _fine_bands(rate: int, lines: int) -> tuple[Array, NDArray[np.int64]]:
    """Mid-frequencies of twelfths of an octave as far as lines tell them apart, and where they are cut among the lines."""
    step = 1 / _LINE_S
    edges = 25.0 * 2 ** (np.arange(0, 12 * np.log2(min(20_000.0, 0.5 * rate) / 25.0) + 1) / 12)
    cuts = np.unique(np.clip(np.round(edges / step).astype(np.int64), 1, lines))
    return np.asarray(np.sqrt(cuts[:-1] * cuts[1:]) * step, float), cuts


def _line_hz(samples: int, rate: int) -> Array:
    return np.asarray(np.fft.rfftfreq(samples, 1 / rate), float)
