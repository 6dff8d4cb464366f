"""What logs that wait for a study probably compare: by the parts that they are named after, by their names' words, or by their channels."""

from __future__ import annotations

from collections.abc import Collection, Mapping, Sequence
from dataclasses import dataclass

from kuffin.core.base.language import tr
from kuffin.core.bench.roles import COOLANT
from kuffin.core.bench.undertest import KINDS
from kuffin.core.compare.pairwords import joined
from kuffin.core.heat.normalise import schools_for
from kuffin.logs.assigning import proposed_candidates
from kuffin.logs.channelguess import words_of
from kuffin.reading.signals import lacking

_MOST_NAMED = 4


@dataclass(frozen=True, kw_only=True)
class ComparedGuess:
    """What is probably compared.

    Attributes
    ----------
    keys : tuple of str
        The kinds that it can be, in the order in which they are offered.
    sure : bool
        Whether one of them was told: by a name, or because no other can be read from the channels.
    why : str
        In a sentence; blank where nothing is known.
    """

    keys: tuple[str, ...] = ()
    sure: bool = False
    why: str = ""


def guess_compared(
    roles: Collection[str | None], stems: Sequence[str], shelf: Mapping[str, str] | None = None
) -> ComparedGuess:
    """Guess what logs compare; the person sees why and can choose otherwise.

    Parameters
    ----------
    roles : collection of str
        Of their channels.
    stems : sequence of str
        Their names without ending.
    shelf : mapping of str to str, optional
        The kind of each part on the shelf, by its name.

    >>> guess_compared(["coolant_in", "air_in", "power"], ["reed_round1", "rush_round1"]).why
    'By their channels radiators and fans can be compared.'
    >>> guess_compared([], ["paste_chalk_1", "paste_marl_1"]).keys
    ('paste',)
    """
    named = {name.casefold(): kind for name, kind in (shelf or {}).items()}
    kinds = {named.get(name.casefold(), "") for name in proposed_candidates(stems)} - {""}
    of_shelf = [k for k in KINDS.values() if kinds and kinds <= set(k.part_kinds)]
    if of_shelf:
        return ComparedGuess(
            keys=(of_shelf[0].key,),
            sure=True,
            why=tr("The shelf has {label} of these names.", label=tr(of_shelf[0].label)),
        )
    said = [k for k in KINDS.values() if stems and all(set(k.key.split()) <= words_of(s) for s in stems)]
    if len(said) == 1:
        return ComparedGuess(
            keys=(said[0].key,), sure=True, why=tr("By their names they are of {label}.", label=tr(said[0].label))
        )
    wet = bool(set(COOLANT) & set(roles))
    can = [
        k
        for k in KINDS.values()
        if not k.any_temperature
        and not (k.dry_bench and wet)
        and any(s.over and not lacking(s, roles) for s in schools_for(k.key))
    ]
    can.sort(key=lambda k: not wet and not k.dry_bench)
    labels = joined([tr(k.label) for k in can])
    return ComparedGuess(
        keys=tuple(k.key for k in can),
        sure=len(can) == 1,
        why=""
        if not can
        else tr("Their channels do not tell what is compared: please choose.")
        if len(can) > _MOST_NAMED
        else tr("By their channels {labels} can be compared.", labels=labels),
    )
