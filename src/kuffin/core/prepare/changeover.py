"""The change-over: from what is on the bench to what comes next, as an ordered list of things to do."""

from __future__ import annotations

from dataclasses import dataclass

from kuffin.core.base.language import tr
from kuffin.core.bench.configuration import SETTINGS, written
from kuffin.core.bench.parts import WET_SLOTS
from kuffin.core.bench.roles import spoken
from kuffin.core.bench.undertest import kind_under_test
from kuffin.core.prepare.builtin import BuiltIn


@dataclass(frozen=True, kw_only=True)
class ChangeOverTask:
    """One thing to do.

    Attributes
    ----------
    key : str
        What it is ticked by; the same in every change-over of its kind.
    sheet : str
        A sum that belongs to it: fill, leak, bleed, fit or print; blank for none.
    """

    key: str
    text: str
    minutes: float
    cautions: tuple[str, ...] = ()
    sheet: str = ""


def change_over(before: BuiltIn | None, after: BuiltIn) -> list[ChangeOverTask]:
    """What to do, in order.

    Parameters
    ----------
    before : BuiltIn or None
        What is on the bench; None for an empty bench.
    after : BuiltIn

    >>> tasks = change_over(None, BuiltIn(under_test="paste", candidate="Reed"))
    >>> [t.key for t in tasks][:4]
    ['off', 'paste', 'tighten', 'leak']
    """
    opened = not kind_under_test(after.under_test).dry_bench and (
        before is None or bool(_changed(before, after) & WET_SLOTS) or kind_under_test(after.under_test).wet
    )
    on_die = (
        before is None
        or kind_under_test(after.under_test).on_die
        or bool(_changed(before, after) & {"block", "paste", "pads", "backplate"})
    )
    tasks = [_switch_off(before)]
    if before is not None:
        if opened:
            tasks.append(_drain(before))
        tasks += _take_off(before, after, on_die)
    tasks += _put_on(before, after, on_die)
    if opened:
        tasks += _fill(after, fresh=before is None or before.parts.get("coolant") != after.parts.get("coolant"))
    tasks += _set(before, after)
    return tasks


_OWN_TASK = frozenset({"paste", "pads", "coolant"})  # what is spread, laid or filled in has a task of its own
_BUILT_IN = (
    "pump",
    "radiator",
    "block",
    "fans",
    "backplate",
)  # slots whose parts are taken off and put on by themselves
_SPEEDS = {"pump_percent": "pump", "fan_percent": "fans"}  # a speed, and whose it is
_SLOT_CAUTIONS: dict[str, tuple[str, ...]] = {"radiator": ("fins",)}


def _changed(before: BuiltIn, after: BuiltIn) -> set[str]:
    slots = set(before.parts) | set(after.parts)
    return {s for s in slots if before.parts.get(s) != after.parts.get(s)}


def _switch_off(before: BuiltIn | None) -> ChangeOverTask:
    dry = before is not None and kind_under_test(before.under_test).dry_bench
    cool = (
        ""
        if before is None
        else (
            tr(", let it cool until the cooler is within 5 K of the room")
            if dry
            else tr(", let it cool until the coolant is within 5 K of the room")
        )
    )
    return ChangeOverTask(
        key="off",
        text=tr("Shut the computer down, pull the mains plug{cool}.", cool=cool),
        minutes=3,
        cautions=("mains", "hot", "supply"),
    )


def _drain(before: BuiltIn) -> ChangeOverTask:
    volume = before.details.get("volume_ml")
    about = tr(" (about {volume:.0f} mL)", volume=volume) if volume else ""
    return ChangeOverTask(
        key="drain",
        text=tr("Drain the loop{about} into a vessel with a lid; tilt it to get the rest out.", about=about),
        minutes=8,
        cautions=("mains", *before.glycol_cautions),
    )


def _take_off(before: BuiltIn, after: BuiltIn, on_die: bool) -> list[ChangeOverTask]:
    tasks = []
    kind = kind_under_test(before.under_test)
    keep = [
        s for s in ("fans", "block", "radiator", "paste") if s in after.parts and before.parts.get(s) == after.parts[s]
    ]
    if kind.slot == "radiator":
        kept = (
            tr("; keep the {parts} fans and their screws", parts=before.parts.get("fans", "same"))
            if "fans" in keep
            else ""
        )
        tasks.append(
            ChangeOverTask(
                key="take off",
                text=tr("Take {name} off{kept}.", name=before.name, kept=kept),
                minutes=6,
                cautions=before.fin_cautions,
            )
        )
    elif kind.slot == "coolant":
        tasks.append(
            ChangeOverTask(
                key="rinse",
                text=tr("Rinse {candidate} out: the Fill sheet says how often.", candidate=before.candidate),
                minutes=15,
                cautions=before.glycol_cautions,
                sheet="fill",
            )
        )
    elif not kind.on_die:
        tasks.append(
            ChangeOverTask(
                key="take off",
                text=tr("Take {name} off.", name=before.name),
                minutes=5,
                cautions=("hot", *before.fin_cautions),
            )
        )
    elif on_die:
        block = before.candidate if kind.sits_on_die else before.parts.get("block", tr("the block"))
        tasks.append(
            ChangeOverTask(
                key="take off",
                text=tr("Loosen the screws crosswise, a turn at a time, and lift {block} straight up.", block=block),
                minutes=5,
                cautions=("hot", *before.fin_cautions),
            )
        )
    if on_die and kind.on_die:
        tasks.append(
            ChangeOverTask(
                key="print",
                text=tr("Photograph the print on the block and on the die before wiping it."),
                minutes=2,
                cautions=(),
                sheet="print",
            )
        )
        tasks.append(
            ChangeOverTask(
                key="clean",
                text=tr("Clean die and block until a fresh cloth stays clean; let them dry."),
                minutes=5,
                cautions=before.paste_cautions,
            )
        )
    others = _changed(before, after) - {kind.slot}
    for slot in sorted(others):
        old = before.parts.get(slot)
        if old and slot in _BUILT_IN:
            tasks.append(
                ChangeOverTask(
                    key=f"off {slot}",
                    text=tr("Take the {slot} {old} off too.", slot=slot, old=old),
                    minutes=5,
                    cautions=_SLOT_CAUTIONS.get(slot, ()),
                )
            )
    return tasks


def _put_on(before: BuiltIn | None, after: BuiltIn, on_die: bool) -> list[ChangeOverTask]:
    tasks = []
    kind = kind_under_test(after.under_test)
    others = set(after.parts) if before is None else _changed(before, after)
    for slot in _BUILT_IN:
        if slot in others and slot != kind.slot and after.parts.get(slot):
            tasks.append(
                ChangeOverTask(
                    key=f"on {slot}",
                    text=tr("Build the {slot} {parts} in.", slot=slot, parts=after.parts[slot]),
                    minutes=6,
                    cautions=_SLOT_CAUTIONS.get(slot, ()),
                )
            )
    screws = after.details.get("screws")
    with_screws = tr(", screws {screws}", screws=screws) if screws else ""
    if kind.oriented:
        way = after.settings.get("orientation")
        tasks.append(
            ChangeOverTask(
                key="put on",
                text=tr(
                    "Fit {name}{how}{with_screws}{way}; connect it as marked.",
                    name=after.name,
                    how=after.use,
                    with_screws=with_screws,
                    way=f", {tr(str(way))}" if way else "",
                ),
                minutes=8,
                cautions=after.fin_cautions,
                sheet="fit",
            )
        )
    elif kind.any_temperature:
        opens = tr("If the loop is opened for it: drain it first, and leak test with air before any water.")
        tasks.append(
            ChangeOverTask(
                key="put on",
                text=tr(
                    "Fit {name}{how}{with_screws}. {opens}",
                    name=after.name,
                    how=after.use,
                    with_screws=with_screws,
                    opens=opens,
                ),
                minutes=8,
                cautions=("mains", "pressure"),
                sheet="fit",
            )
        )
    elif not kind.sits_on_die and kind.slot not in _OWN_TASK:
        tasks.append(
            ChangeOverTask(
                key="put on",
                text=tr("Fit {name}{how}{with_screws}.", name=after.name, how=after.use, with_screws=with_screws),
                minutes=6,
                cautions=after.fin_cautions,
                sheet="fit",
            )
        )
    if on_die:
        tasks += _on_die(after)
    return tasks


def _on_die(after: BuiltIn) -> list[ChangeOverTask]:
    tasks = []
    s = after.settings
    paste, pads = after.own("paste") or tr("the usual paste"), after.own("pads")
    if pads:
        where = f" ({s['pads_where']})" if s.get("pads_where") else ""
        tasks.append(
            ChangeOverTask(
                key="pads",
                text=tr("Lay pads {pads}{where}, without film, without air under them.", pads=pads, where=where),
                minutes=6,
                cautions=(),
                sheet="fit",
            )
        )
    amount = f", {written(SETTINGS['paste_amount_g'], s['paste_amount_g'])}" if s.get("paste_amount_g") else ""
    spread = tr(", as {spread}", spread=tr(str(s["spread"]))) if s.get("spread") else tr(", in the usual way")
    tasks.append(
        ChangeOverTask(
            key="paste",
            text=tr("Put {paste} on{amount}{spread}; photograph it.", paste=paste, amount=amount, spread=spread),
            minutes=4,
            cautions=after.paste_cautions,
        )
    )
    block = after.name if kind_under_test(after.under_test).sits_on_die else after.parts.get("block", tr("the block"))
    how = s.get("tightening") or "crosswise, in turns"
    torque = tr(" to {written}", written=written(SETTINGS["torque_nm"], s["torque_nm"])) if s.get("torque_nm") else ""
    tasks.append(
        ChangeOverTask(
            key="tighten",
            text=tr(
                "Set {block} down straight{how} and tighten {tightening}{torque}.",
                block=block,
                how=after.use,
                tightening=tr(how),
                torque=torque,
            ),
            minutes=6,
            cautions=after.fin_cautions,
            sheet="fit",
        )
    )
    return tasks


def _fill(after: BuiltIn, fresh: bool) -> list[ChangeOverTask]:
    volume = after.details.get("volume_ml")
    about = tr(" about {volume:.0f} mL of", volume=volume) if volume else ""
    coolant = after.own("coolant") or "coolant"
    return [
        ChangeOverTask(key="leak", text=tr("Leak test with air before any water: pump up, close, and hold."), minutes=20, cautions=("pressure",), sheet="leak"),
        ChangeOverTask(key="mix", text=tr("Mix {coolant}.", coolant=coolant), minutes=4, cautions=(*after.glycol_cautions, "biocide"), sheet="fill") if fresh else
        ChangeOverTask(key="mix", text=tr("Have {coolant} ready, the same mix as before.", coolant=coolant), minutes=2, cautions=after.glycol_cautions, sheet="fill"),
        ChangeOverTask(key="fill", text=tr("Fill in{about} {coolant} with only the pump running, the computer's own supply off.", about=about, coolant=coolant), minutes=10, cautions=("jumper", "dry", "mains", *after.glycol_cautions), sheet="fill"),
        ChangeOverTask(key="bleed", text=tr("Bleed: tilt, tap, top up, until the flow stands still."), minutes=10, cautions=("dry",), sheet="bleed"),
        ChangeOverTask(key="dry", text=tr("Look and feel for drops at every joint with a dry paper towel."), minutes=2, cautions=("mains",)),
    ]  # fmt: skip


def _set(before: BuiltIn | None, after: BuiltIn) -> list[ChangeOverTask]:
    tasks = []
    kind = kind_under_test(after.under_test)
    for key, what in _SPEEDS.items():
        value = after.settings.get(key)
        if value is not None and (before is None or before.settings.get(key) != value or what in kind.brings):
            tasks.append(
                ChangeOverTask(
                    key=f"set {key}",
                    text=tr("Set the {setting} to {written}.", setting=tr(what), written=written(SETTINGS[key], value)),
                    minutes=1,
                )
            )
    dry = kind.dry_bench
    where = tr("air at the cooler's intake") if dry else tr("air at the radiator's intake, coolant in the stream")
    if kind.any_temperature:
        where = tr("{part} and {over}", part=tr(spoken(kind.part)), over=tr(spoken(kind.over)))
    moving = tr("the fans") if dry else tr("pump, fans")
    tasks.append(
        ChangeOverTask(
            key="probes", text=tr("See that each probe sits where it belongs: {where}.", where=where), minutes=2
        )
    )
    tasks.append(
        ChangeOverTask(
            key="start",
            text=tr("Plug in, start, and see that {moving} and every channel read sensibly.", moving=moving),
            minutes=4,
            cautions=("mains",),
        )
    )
    return tasks


def minutes(tasks: list[ChangeOverTask]) -> float:
    """How long a change-over is expected to take.

    >>> minutes(change_over(None, BuiltIn(under_test="paste", candidate="Reed"))) > 0
    True
    """
    return sum(t.minutes for t in tasks)
